import type { AccountProblem } from '#core/assessment/portfolio/account'
import type { MeasureKind, MeasureVerdict } from '#core/assessment/portfolio/measure'
import type { ReaderPrompt } from '#core/assessment/portfolio/reader'

/** What keeps an account from being handed in, and what to do. */
export function accountProblemSays(problem: AccountProblem): string {
  switch (problem.code) {
    case 'noTitle':
      return 'Give the account a title.'
    case 'noJob':
      return 'Name the job: the same name in every account of it.'
    case 'noDay':
      return 'Say on which day the work was done.'
    case 'dayAhead':
      return 'The day is still to come. An account is of work that has been done.'
    case 'noSetting':
      return 'Say what kind of premises it was.'
    case 'noText':
      return 'Write what you did.'
    case 'noClaim':
      return 'Mark a passage and say which criterion it meets.'
    case 'emptyClaim':
      return `The claim for ${problem.of} has no words. Mark the passage again.`
    case 'unknownCriterion':
      return (
        `The framework in force has no ${problem.of} that work elsewhere ` +
        'can show. Remove the claim, or choose another criterion.'
      )
    case 'claimedTwice':
      return `The same words are claimed twice for ${problem.of}. One occasion counts once: remove one of them.`
  }
}

/** What an assessor would ask of a passage. */
export const READER_TEXT: Readonly<Record<ReaderPrompt, string>> = {
  own: 'Is it said that you did it yourself?',
  source: 'Where did you know it from: drawing, specification, instructions, BS 7671, a guide?',
  used: 'How did you use that source: which page, which value, what did you compare?',
  cableType: 'Which type of cable?',
  cableSize: 'Which size, in mm²?',
  cableLength: 'How long was it?',
  zone: 'Which zone does it run in?',
  zoneKnown: 'How did you know the zone?',
  fixing: 'What held it: clips, saddles, screws and plugs?',
  spacing: 'At which spacing?',
  levelBy: 'Level by what?',
  influence: 'Which outside influences did you consider: water, zone, impact, IP?',
  why: 'Why this, and not something else?',
}

export const MEASURE_TEXT: Readonly<
  Record<MeasureKind, { readonly name: string; readonly unit: string; readonly across: string }>
> = {
  clipSpacing: { name: 'Spacing of cable clips', unit: 'mm', across: 'Cable, mm across' },
  saddleSpacing: { name: 'Spacing of conduit saddles', unit: 'mm', across: 'Conduit, mm across' },
  zoneOffset: { name: 'Cable from ceiling or corner', unit: 'mm', across: '' },
  level: { name: 'Out of level', unit: 'mm', across: 'Read over, m' },
  length: { name: 'Length of cable', unit: 'm', across: '' },
  size: { name: 'Size of conductor', unit: 'mm²', across: '' },
}

/** What the figure says by itself. */
export function measureSays({ isWithin, limit, source }: MeasureVerdict, kind: MeasureKind): string {
  if (isWithin === null || limit === null) return source
  const unit = kind === 'level' ? 'mm on each metre' : MEASURE_TEXT[kind].unit
  return `${isWithin ? 'Within' : 'More than'} ${limit} ${unit} (${source})`
}

/** Reasons that assessors refuse a claim for; a chip each, and their own words. */
export const REFUSALS = [
  'The passage says that it was done, not how.',
  'It does not say that you did it yourself.',
  'The source is named, but not how it was used.',
  'Type, size or length of the cable is missing.',
  'It does not say how the zone was known.',
  'Fixings and their spacing are missing.',
  'The reason is missing: why this?',
  'This is another criterion than the one claimed.',
  'A photograph or a witness is needed for this.',
] as const

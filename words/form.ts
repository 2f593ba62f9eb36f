import { percent } from '#core/exercise/form/to-form'
import type { FormProblem } from '#core/exercise/form/problem'
import { QUANTITIES, type QuantityKey } from '#core/units/quantity'
import { structureSentence } from './structure'

type Plain = Extract<FormProblem, { readonly code: string }>['code']
type WithFigures =
  | 'tooLong'
  | 'otherUnit'
  | 'notANumber'
  | 'notAbove'
  | 'below'
  | 'above'
  | 'marks'
  | 'structure'
  | 'makerRow'
  | 'makerTooMany'

const SENTENCES: Readonly<Record<Exclude<Plain, WithFigures>, string>> = {
  choose: 'Choose one from the list.',
  fill: 'Fill this in.',
  notWhole: 'Must be a whole number.',
  negative: 'Must be more than 0; a negative value has no meaning here.',
  lamps: 'Write lamps as number × watts, such as 8 × 18 W.',
  surgeHalf: 'An SPD stands behind a device of its own: give the ways of both, or leave both empty.',
  bothOrNeither: 'Give both the rating and the size of the existing circuit, or neither.',
  noCircuit: 'Add a circuit.',
  noneDesigned: 'Choose at least one circuit to be designed.',
  noStep: 'Choose at least one step to ask for.',
  noCriterion: 'Choose at least one criterion that this exercise evidences.',
  codeLetters: 'Letters, digits, points and hyphens only.',
  noSuchCircuit: 'Choose a circuit of this exercise.',
}

const limitWords = (limit: number, quantity: QuantityKey, isShare: boolean): string =>
  isShare ? percent(limit) : `${limit * QUANTITIES[quantity].scale} ${QUANTITIES[quantity].unit}`.trim()

/** What is expected in a box, as one sentence. */
export function formSentence(problem: FormProblem): string {
  switch (problem.code) {
    case 'tooLong':
      return `At most ${problem.longest} characters.`
    case 'otherUnit': {
      const { unit } = QUANTITIES[problem.quantity]
      return `The unit does not fit. ${unit ? `Use ${unit}.` : 'No unit here.'}`
    }
    case 'notANumber': {
      const { unit } = QUANTITIES[problem.quantity]
      return `Write a number${unit ? ` in ${unit}` : ''}.`
    }
    case 'notAbove':
      return `Must be more than ${limitWords(problem.limit, problem.quantity, problem.isShare)}.`
    case 'below':
      return `Must be ${limitWords(problem.limit, problem.quantity, problem.isShare)} or more.`
    case 'above':
      return `Must be ${limitWords(problem.limit, problem.quantity, problem.isShare)} or less.`
    case 'marks':
      return `Marks from ${problem.least} to ${problem.most} for known steps.`
    case 'makerRow':
      return (
        `Row ${problem.row}: the ${problem.column} cannot be read. Write rating; current; time; let-through ` +
        'in A; A; s; A²s, such as 32; 345; 0.01; 9500. Time or let-through may be empty.'
      )
    case 'makerTooMany':
      return `At most ${problem.most} points.`
    case 'structure':
      return structureSentence(problem.problem)
    default:
      return SENTENCES[problem.code]
  }
}

/** The sentences of a form by box, as the screens show them. */
export const formSentences = (problems: Readonly<Record<string, FormProblem>>): Record<string, string> =>
  Object.fromEntries(Object.entries(problems).map(([box, problem]) => [box, formSentence(problem)]))

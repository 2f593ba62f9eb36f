import { CIRCUIT_CHAIN } from '#core/design/circuit-chain'
import { BOARD_CHAIN } from '#core/design/board-chain'
import type { StepMark, StepVerdict } from '#core/assessment/marking/mark-step'
import { findingSentence } from '#words/findings/findings'
import type { GroupMarks, GroupStep } from '#schemas/marking-views'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { groupShown } from './exercises'
import { besideAll, markedOf, scopeNames } from './marked'

const CALCULATED = new Set(
  [...CIRCUIT_CHAIN, ...BOARD_CHAIN].filter(({ kind }) => kind === 'calculated').map(({ key }) => key),
)
const MOST_SLIPS = 4

/** What the group gets wrong: every step of the exercise over all sheets that have been handed in. */
export function groupMarks(
  { repos }: Context,
  actor: Person,
  exerciseId: number,
  wanted: string | null = null,
): GroupMarks {
  allow(actor, 'attempt.see')
  const { exercise } = found(repos.exercises.byId(exerciseId))
  const shown = groupShown({ repos }, actor, exerciseId, wanted)
  const group = repos.attempts.ofGroup(exerciseId, shown.cohort)
  const attempts = group.filter(({ stage }) => ['handedIn', 'decided', 'released'].includes(stage))
  const decided = repos.decisions.latestOf(
    attempts.filter(({ stage }) => stage !== 'handedIn').map(({ id }) => id),
  )
  const beside = besideAll({ repos }, group)
  const sheets = attempts.map((attempt) => ({
    attempt,
    marked: decided.get(attempt.id)?.evidence.marked ?? markedOf({ repos }, attempt, beside),
  }))
  const first = sheets[0]
  const head = { exercise: { id: exerciseId, code: exercise.code, title: exercise.title }, ...shown }
  if (!first) return { ...head, sheets: 0, steps: [] }
  const names = scopeNames(first.attempt, first.marked)
  const steps = first.marked.design.map(({ node, step, scope }, i): GroupStep => {
    const marks = sheets.map(({ attempt, marked }) => ({ attempt, mark: marked.design[i]! }))
    return {
      node,
      step,
      scopeName: names[scope]!,
      verdicts: countVerdicts(marks.map(({ mark }) => mark)),
      ratios: !CALCULATED.has(step)
        ? []
        : marks.flatMap(({ attempt, mark }) =>
            mark.value === undefined || mark.reference === 0
              ? []
              : [
                  {
                    name: attempt.personName,
                    attempt: attempt.id,
                    ratio: mark.value / mark.reference,
                    verdict: mark.verdict,
                  },
                ],
          ),
      slips: commonSlips(marks.map(({ mark }) => mark)),
    }
  })
  return { ...head, sheets: sheets.length, steps }
}

function countVerdicts(marks: readonly StepMark[]): Readonly<Record<StepVerdict, number>> {
  const count = { right: 0, carried: 0, wrong: 0, missing: 0 }
  for (const { verdict } of marks) count[verdict] += 1
  return count
}

/** The same reason given to several people, the most frequent first. */
function commonSlips(marks: readonly StepMark[]): GroupStep['slips'] {
  const counts = new Map<string, number>()
  for (const { findings, verdict } of marks) {
    if (verdict !== 'wrong') continue
    for (const sentence of new Set(
      findings.filter(({ seriousness }) => seriousness !== 'note').map(findingSentence),
    ))
      counts.set(sentence, (counts.get(sentence) ?? 0) + 1)
  }
  return [...counts]
    .map(([sentence, count]) => ({ sentence, count }))
    .sort((a, b) => b.count - a.count)
    .slice(0, MOST_SLIPS)
}

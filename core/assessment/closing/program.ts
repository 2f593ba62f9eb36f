import { MINUTE_WORTH, type Choice } from './plan'
import { fills, type ClosingLimits, type ClosingPerson, type ClosingProblem, type Want } from './problem'

/** The integer programme as text in LP form, and how to read its answer. */
export interface Programme {
  readonly text: string
  readonly choicesOf: (value: (variable: string) => number) => Choice[]
}

const x = (person: number, exercise: number): string => `x_${person}_${exercise}`
/** Long sums are broken: a line of LP text may hold no more than so many characters. */
const TERMS_A_LINE = 12
const sum = (terms: readonly string[]): string =>
  terms
    .map((term, i) => (i > 0 && i % TERMS_A_LINE === 0 ? `\n   + ${term}` : `${i > 0 ? ' + ' : ''}${term}`))
    .join('')

/**
 * Who does what so that most is closed: `x` is one where a person does an exercise, `y` counts what is filled of a want
 * and is no more than what the exercises give, `z` is one where a member of a set is shown at last.
 */
export function programmeOf(problem: ClosingProblem, limits: ClosingLimits): Programme {
  const all = problem.people.map((person, p) => partOf(problem, person, p, limits))
  const uses = all.flatMap(({ use }) => use)
  const objective = all.flatMap((part) => part.objective)
  const rows = all.flatMap((part) => part.rows)
  const minutes = uses.map(({ variable, minutes: m }) => `${m} ${variable}`)
  return {
    text: [
      'Maximize',
      ' worth: ' +
        `${sum([...objective, ...uses.map(({ variable, minutes: m }) => `${-MINUTE_WORTH * m} ${variable}`)]).replaceAll('+ -', '- ')}`,
      'Subject To',
      ...(minutes.length > 0 ? [` pool: ${sum(minutes)} <= ${limits.bays * limits.hours * 60}`] : []),
      ...rows.map((row, i) => ` r${i}: ${row}`),
      'Bounds',
      ...all.flatMap((part) => part.bounds).map((bound) => ` ${bound}`),
      'Binary',
      ` ${[...uses.map(({ variable }) => variable), ...all.flatMap((part) => part.binary)].join('\n ')}`,
      'End',
    ].join('\n'),
    choicesOf: (value) =>
      uses
        .filter(({ variable }) => value(variable) > 0.5)
        .map(({ person, exercise }) => ({ person, exercise })),
  }
}

interface Part {
  readonly use: readonly (Choice & { readonly variable: string; readonly minutes: number })[]
  readonly objective: readonly string[]
  readonly rows: readonly string[]
  readonly bounds: readonly string[]
  readonly binary: readonly string[]
}

/** The variables and rows of one person. */
function partOf(problem: ClosingProblem, person: ClosingPerson, p: number, limits: ClosingLimits): Part {
  const use = problem.exercises.flatMap((exercise, e) =>
    !person.had.includes(exercise.id) && person.wants.some((want) => fills(problem, exercise, want) !== false)
      ? [{ person: person.id, exercise: exercise.id, variable: x(p, e), minutes: exercise.minutes, e }]
      : [],
  )
  if (use.length === 0) return { use: [], objective: [], rows: [], bounds: [], binary: [] }
  const wants = person.wants.map((want, w) => wantPart(problem, want, `${p}_${w}`, use))
  const time = `${sum(use.map(({ variable, minutes }) => `${minutes} ${variable}`))} <= ${limits.hours * 60}`
  return {
    use,
    objective: wants.flatMap((part) => part.objective),
    rows: [time, ...wants.flatMap((part) => part.rows)],
    bounds: wants.flatMap((part) => part.bounds),
    binary: wants.flatMap((part) => part.binary),
  }
}

function wantPart(
  problem: ClosingProblem,
  want: Want,
  name: string,
  use: readonly { readonly variable: string; readonly e: number }[],
): Omit<Part, 'use'> {
  const found = use.map(({ variable, e }) => ({ variable, by: fills(problem, problem.exercises[e]!, want) }))
  const givers = found.filter(({ by }) => by !== false)
  if (givers.length === 0) return { objective: [], rows: [], bounds: [], binary: [] }
  const y = `y_${name}`
  const head = { objective: [`${want.weight} ${y}`], bounds: [`0 <= ${y} <= ${want.more}`] }
  const less = (terms: readonly string[]) => terms.map((term) => ` - ${term}`).join('')
  if (!want.byMembers)
    return { ...head, rows: [`${y}${less(givers.map(({ variable }) => variable))} <= 0`], binary: [] }
  const members = want.byMembers.flatMap((member, m) => {
    const from = givers.filter(({ by }) => Array.isArray(by) && by.includes(member))
    return from.length > 0 ? [{ z: `z_${name}_${m}`, from: from.map(({ variable }) => variable) }] : []
  })
  return {
    ...head,
    rows: [
      `${y}${less(members.map(({ z }) => z))} <= 0`,
      ...members.map(({ z, from }) => `${z}${less(from)} <= 0`),
    ],
    binary: members.map(({ z }) => z),
  }
}

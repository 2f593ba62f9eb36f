import {
  fills,
  type ClosingExercise,
  type ClosingLimits,
  type ClosingPerson,
  type ClosingProblem,
} from './problem'

/** One exercise for one person. */
export interface Choice {
  readonly person: number
  readonly exercise: number
}

export interface PlannedTask extends Choice {
  /** Keys of the wants that it fills, beyond what others of the plan fill. */
  readonly fills: readonly string[]
  /** The next best for this person in its place, and how much less it closes; null where there is none. */
  readonly second: { readonly exercise: number; readonly less: number } | null
}
export interface ClosingPlan {
  readonly tasks: readonly PlannedTask[]
  /** Worth of everything that is filled. */
  readonly worth: number
  readonly minutes: number
}

/** Minutes weigh so little that they only choose between plans that close the same. */
export const MINUTE_WORTH = 1e-5

/** What these exercises fill of somebody’s wants, by key. */
export function filledBy(
  problem: ClosingProblem,
  person: ClosingPerson,
  chosen: readonly ClosingExercise[],
): Map<string, number> {
  return new Map(
    person.wants.map((want) => {
      const found = chosen.map((exercise) => fills(problem, exercise, want))
      const n = want.byMembers
        ? new Set(found.flatMap((members) => (Array.isArray(members) ? members : []))).size
        : found.filter((is) => is !== false).length
      return [want.key, Math.min(n, want.more)]
    }),
  )
}

export function worthOf(
  problem: ClosingProblem,
  person: ClosingPerson,
  chosen: readonly ClosingExercise[],
): number {
  const filled = filledBy(problem, person, chosen)
  return person.wants.reduce((sum, { key, weight }) => sum + weight * filled.get(key)!, 0)
}

const poolMinutes = ({ bays, hours }: ClosingLimits): number => bays * hours * 60

/** A first plan at once: again and again the exercise that closes most a minute. */
export function greedyChoices(problem: ClosingProblem, limits: ClosingLimits): Choice[] {
  const exercises = new Map(problem.exercises.map((exercise) => [exercise.id, exercise]))
  const chosen = new Map<number, ClosingExercise[]>(problem.people.map(({ id }) => [id, []]))
  let left = poolMinutes(limits)
  for (;;) {
    let best: { readonly choice: Choice; readonly rate: number } | null = null
    for (const person of problem.people) {
      const own = chosen.get(person.id)!
      const spent = own.reduce((sum, { minutes }) => sum + minutes, 0)
      const before = worthOf(problem, person, own)
      for (const exercise of candidates(problem, person, own)) {
        if (exercise.minutes > left || spent + exercise.minutes > limits.hours * 60) continue
        const gain = worthOf(problem, person, [...own, exercise]) - before
        const rate = gain / exercise.minutes
        if (gain > 0 && (best === null || rate > best.rate))
          best = { choice: { person: person.id, exercise: exercise.id }, rate }
      }
    }
    if (best === null) break
    const exercise = exercises.get(best.choice.exercise)!
    chosen.get(best.choice.person)!.push(exercise)
    left -= exercise.minutes
  }
  return [...chosen].flatMap(([person, list]) => list.map(({ id }) => ({ person, exercise: id })))
}

const candidates = (
  { exercises }: ClosingProblem,
  { had }: ClosingPerson,
  own: readonly ClosingExercise[],
): readonly ClosingExercise[] => exercises.filter((one) => !had.includes(one.id) && !own.includes(one))

/** A plan out of choices: what each closes, in the order that closes most first, and its second best. */
export function planOf(problem: ClosingProblem, choices: readonly Choice[]): ClosingPlan {
  const exercises = new Map(problem.exercises.map((exercise) => [exercise.id, exercise]))
  const tasks = problem.people.flatMap((person) => {
    const own = choices
      .filter((choice) => choice.person === person.id)
      .map(({ exercise }) => exercises.get(exercise)!)
    return inOrder(problem, person, own).map(({ exercise, filled }): PlannedTask => {
      const others = own.filter((other) => other !== exercise)
      const whole = worthOf(problem, person, own)
      // One that takes no longer: it fits wherever this one does.
      const alternatives = candidates(problem, person, own)
        .filter(({ minutes }) => minutes <= exercise.minutes)
        .map((other) => ({ exercise: other.id, less: whole - worthOf(problem, person, [...others, other]) }))
        .sort((a, b) => a.less - b.less)
      return { person: person.id, exercise: exercise.id, fills: filled, second: alternatives[0] ?? null }
    })
  })
  const worth = problem.people.reduce((sum, person) => {
    const own = choices
      .filter((choice) => choice.person === person.id)
      .map(({ exercise }) => exercises.get(exercise)!)
    return sum + worthOf(problem, person, own)
  }, 0)
  return {
    tasks,
    worth,
    minutes: choices.reduce((sum, { exercise }) => sum + exercises.get(exercise)!.minutes, 0),
  }
}

function inOrder(problem: ClosingProblem, person: ClosingPerson, own: readonly ClosingExercise[]) {
  const done: ClosingExercise[] = []
  const order: { readonly exercise: ClosingExercise; readonly filled: readonly string[] }[] = []
  while (done.length < own.length) {
    const before = filledBy(problem, person, done)
    const gains = own
      .filter((exercise) => !done.includes(exercise))
      .map((exercise) => {
        const after = filledBy(problem, person, [...done, exercise])
        const filled = person.wants
          .filter(({ key }) => after.get(key)! > before.get(key)!)
          .map(({ key }) => key)
        return { exercise, filled, gain: worthOf(problem, person, [...done, exercise]) }
      })
      .sort((a, b) => b.gain - a.gain)
    const [next] = gains
    done.push(next!.exercise)
    order.push(next!)
  }
  return order
}

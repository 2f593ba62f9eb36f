import { endOf, lengthsOf, tasksBefore, type Placement, type PlanTask, type SessionFrame } from './session'

/** Something in a plan that cannot be, or should not be, and whom it concerns. */
export type PlanConflict =
  | { readonly code: 'twoPlaces'; readonly task: string; readonly other: string; readonly person: number }
  | { readonly code: 'bayTwice'; readonly task: string; readonly other: string; readonly bay: number }
  | {
      readonly code: 'noInstrument' | 'noAssessor'
      readonly task: string
      readonly from: number
      readonly to: number
    }
  | {
      readonly code: 'assessorTwice'
      readonly task: string
      readonly other: string
      readonly assessor: number
    }
  | { readonly code: 'assessorAway'; readonly task: string; readonly assessor: number }
  | {
      readonly code: 'instrumentTwice'
      readonly task: string
      readonly other: string
      readonly instrument: number
    }
  | { readonly code: 'notCalibrated'; readonly task: string; readonly instrument: number }
  | {
      readonly code: 'tooEarly' | 'tooLate' | 'liveTooEarly'
      readonly task: string
      readonly minutes: number
    }
  | { readonly code: 'notHere'; readonly task: string; readonly person: number }
  | { readonly code: 'bayNotUsable'; readonly task: string; readonly bay: number }
  | { readonly code: 'desksFull'; readonly task: string; readonly desks: number }
  | { readonly code: 'unplanned'; readonly task: string }

interface Placed {
  readonly task: PlanTask
  readonly at: Placement
  readonly lengths: ReturnType<typeof lengthsOf>
  readonly end: number
}
interface Span {
  readonly from: number
  readonly to: number
}
const meet = (a: Span, b: Span): boolean => a.from < b.to && b.from < a.to

/**
 * Everything that does not go together, each at the task that it concerns; fast enough to run while something is
 * dragged.
 */
export function conflictsOf(
  frame: SessionFrame,
  tasks: readonly PlanTask[],
  placements: readonly Placement[],
): PlanConflict[] {
  const byTask = new Map(placements.map((placement) => [placement.task, placement]))
  const placed = tasks.flatMap((task): Placed[] => {
    const at = byTask.get(task.id)
    if (!at) return []
    const lengths = lengthsOf(task, frame.step)
    return [{ task, at, lengths, end: endOf(at, lengths) }]
  })
  return [
    ...tasks.filter(({ id }) => !byTask.has(id)).map(({ id }) => ({ code: 'unplanned', task: id }) as const),
    ...placed.flatMap((one) => ofOne(frame, one)),
    ...placed.flatMap((one, i) => placed.slice(i + 1).flatMap((other) => ofTwo(one, other))),
    ...placed.flatMap((one) => desksOf(frame, one, placed)),
    ...placed.flatMap((one) => orderOf(tasks, one, byTask, frame.step)),
  ]
}

function ofOne(frame: SessionFrame, { task, at, lengths, end }: Placed): PlanConflict[] {
  const early = lengths.design - at.start
  const stand = { from: at.live, to: at.live + lengths.live }
  const assessor = frame.assessors.find(({ id }) => id === at.assessor)
  return [
    ...task.people
      .filter((person) => frame.absent.includes(person))
      .map((person) => ({ code: 'notHere', task: task.id, person }) as const),
    ...(frame.bays.includes(at.bay) ? [] : [{ code: 'bayNotUsable', task: task.id, bay: at.bay } as const]),
    ...(early > 0 ? [{ code: 'tooEarly', task: task.id, minutes: early } as const] : []),
    ...(end > frame.minutes
      ? [{ code: 'tooLate', task: task.id, minutes: end - frame.minutes } as const]
      : []),
    ...(at.live < at.start + lengths.bay
      ? [{ code: 'liveTooEarly', task: task.id, minutes: at.start + lengths.bay - at.live } as const]
      : []),
    ...(at.assessor === null ? [{ code: 'noAssessor', task: task.id, ...stand } as const] : []),
    ...(at.assessor !== null && !(assessor && assessor.from <= stand.from && assessor.to >= stand.to)
      ? [{ code: 'assessorAway', task: task.id, assessor: at.assessor } as const]
      : []),
    ...(at.instrument === null
      ? [
          {
            code: 'noInstrument',
            task: task.id,
            from: at.start + lengths.build,
            to: at.start + lengths.bay,
          } as const,
        ]
      : []),
    ...(at.liveInstrument === null ? [{ code: 'noInstrument', task: task.id, ...stand } as const] : []),
    ...[...new Set([at.instrument, at.liveInstrument])].flatMap((instrument) =>
      instrument !== null && !frame.instruments.includes(instrument)
        ? [{ code: 'notCalibrated', task: task.id, instrument } as const]
        : [],
    ),
  ]
}

const standOf = ({ at, end }: Placed): Span => ({ from: at.live, to: end })
/** When which instrument is in use. */
const testsOf = (one: Placed): (Span & { readonly instrument: number | null })[] => [
  {
    from: one.at.start + one.lengths.build,
    to: one.at.start + one.lengths.bay,
    instrument: one.at.instrument,
  },
  { ...standOf(one), instrument: one.at.liveInstrument },
]

function ofTwo(a: Placed, b: Placed): PlanConflict[] {
  const task = b.task.id
  const other = a.task.id
  const whole = ({ at, lengths, end }: Placed): Span => ({ from: at.start - lengths.design, to: end })
  const shared = a.task.people.find((person) => b.task.people.includes(person))
  const isTogether = meet({ from: a.at.start, to: a.end }, { from: b.at.start, to: b.end })
  return [
    ...(shared !== undefined && meet(whole(a), whole(b))
      ? [{ code: 'twoPlaces', task, other, person: shared } as const]
      : []),
    ...(a.at.bay === b.at.bay && isTogether
      ? [{ code: 'bayTwice', task, other, bay: a.at.bay } as const]
      : []),
    ...(a.at.assessor !== null && a.at.assessor === b.at.assessor && meet(standOf(a), standOf(b))
      ? [{ code: 'assessorTwice', task, other, assessor: a.at.assessor } as const]
      : []),
    ...testsOf(a).flatMap((span) =>
      testsOf(b).flatMap((one) =>
        span.instrument !== null && span.instrument === one.instrument && meet(span, one)
          ? [{ code: 'instrumentTwice', task, other, instrument: span.instrument } as const]
          : [],
      ),
    ),
  ]
}

/** More people at a desk than there are desks: said of those who come last. */
function desksOf({ desks }: SessionFrame, one: Placed, placed: readonly Placed[]): PlanConflict[] {
  const span = (of: Placed): Span => ({ from: of.at.start - of.lengths.design, to: of.at.start })
  const earlier = placed.filter(
    (other) =>
      other !== one &&
      span(other).from <= span(one).from &&
      meet(span(other), { from: span(one).from, to: span(one).from + 1 }) &&
      (span(other).from < span(one).from || placed.indexOf(other) < placed.indexOf(one)),
  )
  return one.lengths.design > 0 && earlier.length >= desks
    ? [{ code: 'desksFull', task: one.task.id, desks }]
    : []
}

/** A later task of the same people that stands before an earlier one meets it, or is in the wrong order. */
function orderOf(
  tasks: readonly PlanTask[],
  one: Placed,
  byTask: ReadonlyMap<string, Placement>,
  step: number,
): PlanConflict[] {
  return tasksBefore(tasks, tasks.indexOf(one.task)).flatMap((before) => {
    const earlier = byTask.get(before.id)
    if (!earlier) return []
    const free = endOf(earlier, lengthsOf(before, step))
    const begins = one.at.start - one.lengths.design
    return begins < free && one.end <= earlier.start - lengthsOf(before, step).design
      ? [{ code: 'tooEarly', task: one.task.id, minutes: free - begins } as const]
      : []
  })
}

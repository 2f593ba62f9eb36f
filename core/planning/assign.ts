import { endOf, lengthsOf, type Placement, type PlanTask, type SessionFrame } from './session'

/** A time without a place yet. */
export interface Timed {
  readonly task: string
  readonly start: number
  readonly live: number
}
interface Span {
  readonly from: number
  readonly to: number
}
type Tasks = ReadonlyMap<string, PlanTask>
const meet = (a: Span, b: Span): boolean => a.from < b.to && b.from < a.to

/** What is taken when, by whom or what. */
function register() {
  const spans = new Map<number, Span[]>()
  return {
    take: (id: number | null, span: Span): void => {
      if (id !== null) spans.set(id, [...(spans.get(id) ?? []), span])
    },
    isFree: (id: number, span: Span): boolean => !(spans.get(id) ?? []).some((known) => meet(known, span)),
  }
}

/**
 * Gives each timed task a bay, those that stay first, then the one that is free; and everybody and everything they
 * need.
 */
export function assign(
  frame: SessionFrame,
  tasks: Tasks,
  fixed: readonly Placement[],
  timed: readonly Timed[],
): Placement[] {
  const bays = register()
  const whole = ({ task, start, live }: Timed): Span => ({
    from: start,
    to: live + lengthsOf(tasks.get(task)!, frame.step).live,
  })
  const kept = fixed.filter(({ task }) => tasks.has(task))
  for (const placement of kept) bays.take(placement.bay, whole(placement))
  const placed = [...timed]
    .sort((a, b) => a.start - b.start || a.live - b.live)
    .map((one): Placement => {
      const bay = frame.bays.find((id) => bays.isFree(id, whole(one))) ?? 0
      bays.take(bay, whole(one))
      return { ...one, bay, assessor: null, instrument: null, liveInstrument: null }
    })
  return equip(frame, tasks, placed, kept)
}

/**
 * Gives assessors and instruments out, in order of time the first that is free: for tests that is always enough where
 * there are enough; an assessor is the one who has to leave soonest of those who can stay. `kept` keep what they
 * have, and
 * are served first with what they lack.
 */
export function equip(
  frame: SessionFrame,
  tasks: Tasks,
  placements: readonly Placement[],
  kept: readonly Placement[] = [],
): Placement[] {
  const { lengths, stand, tests } = spansOf(frame, tasks)
  const [people, meters] = [register(), register()]
  for (const one of kept) {
    people.take(one.assessor, stand(one))
    meters.take(one.instrument, tests(one))
    meters.take(one.liveInstrument, stand(one))
  }
  const leavingFirst = [...frame.assessors].sort((a, b) => a.to - b.to || a.from - b.from)
  const assessorFor = (span: Span): number | null =>
    leavingFirst.find(({ id, from, to }) => from <= span.from && to >= span.to && people.isFree(id, span))
      ?.id ?? null
  const meterFor = (span: Span): number | null =>
    frame.instruments.find((id) => meters.isFree(id, span)) ?? null

  const given = new Map<string, number | null>()
  const give = (wanted: readonly Wanted[], from: Register, find: (span: Span) => number | null) => {
    for (const { key, span, has } of [...wanted].sort((a, b) => a.span.from - b.span.from)) {
      const found = has ?? find(span)
      if (has === null) from.take(found, span)
      given.set(key, found)
    }
  }
  for (const list of [kept, placements]) {
    const isKept = list === kept
    const has = (id: number | null) => (isKept ? id : null)
    const standing = list.map((one) => ({ key: `${one.task} by`, span: stand(one), has: has(one.assessor) }))
    const testing = list.flatMap((one) => [
      { key: `${one.task} dead`, span: tests(one), has: has(one.instrument) },
      { key: `${one.task} live`, span: stand(one), has: has(one.liveInstrument) },
    ])
    give(standing, people, assessorFor)
    give(testing, meters, meterFor)
  }
  return [...kept, ...placements]
    .map((one) => ({
      ...one,
      assessor: given.get(`${one.task} by`)!,
      instrument: given.get(`${one.task} dead`)!,
      liveInstrument: given.get(`${one.task} live`)!,
    }))
    .sort((a, b) => a.start - b.start || endOf(a, lengths(a.task)) - endOf(b, lengths(b.task)))
}

/** When a task is tested dead and live, by its placement. */
function spansOf({ step }: SessionFrame, tasks: Tasks) {
  const lengths = (id: string) => lengthsOf(tasks.get(id)!, step)
  return {
    lengths,
    stand: ({ task, live }: Placement): Span => ({ from: live, to: live + lengths(task).live }),
    tests: ({ task, start }: Placement): Span => ({
      from: start + lengths(task).build,
      to: start + lengths(task).bay,
    }),
  }
}

type Register = ReturnType<typeof register>
/** Something that is needed for a while; null where nobody or nothing has been given yet. */
interface Wanted {
  readonly key: string
  readonly span: Span
  readonly has: number | null
}

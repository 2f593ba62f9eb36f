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
const meet = (a: Span, b: Span): boolean => a.from < b.to && b.from < a.to

/**
 * Gives each timed task a bay, an assessor and an instrument: in order of time the one that is free, those that stay
 * first. Null where none is free; an assessor is the one who has to leave soonest of those who can stay.
 */
export function assign(
  frame: SessionFrame,
  tasks: ReadonlyMap<string, PlanTask>,
  fixed: readonly Placement[],
  timed: readonly Timed[],
): Placement[] {
  const lengths = (id: string) => lengthsOf(tasks.get(id)!, frame.step)
  const bays = new Map<number, Span[]>()
  const people = new Map<number, Span[]>()
  const meters = new Map<number, Span[]>()
  const take = (map: Map<number, Span[]>, id: number | null, span: Span) => {
    if (id !== null) map.set(id, [...(map.get(id) ?? []), span])
  }
  const isFree = (map: Map<number, Span[]>, id: number, span: Span) =>
    !(map.get(id) ?? []).some((known) => meet(known, span))
  const spansOf = ({ task, start, live }: Timed) => {
    const { build, bay, live: long } = lengths(task)
    const stand = { from: live, to: live + long }
    return { bay: { from: start, to: live + long }, stand, tests: { from: start + build, to: start + bay } }
  }
  for (const placement of fixed.filter(({ task }) => tasks.has(task))) {
    const spans = spansOf(placement)
    take(bays, placement.bay, spans.bay)
    take(people, placement.assessor, spans.stand)
    take(meters, placement.instrument, spans.tests)
    take(meters, placement.liveInstrument, spans.stand)
  }
  const leavingFirst = [...frame.assessors].sort((a, b) => a.to - b.to || a.from - b.from)
  const placed: Placement[] = [...timed]
    .sort((a, b) => a.start - b.start || a.live - b.live)
    .map((one): Placement => {
      const spans = spansOf(one)
      const bay = frame.bays.find((id) => isFree(bays, id, spans.bay))
      const assessor = leavingFirst.find(
        ({ id, from, to }) => from <= spans.stand.from && to >= spans.stand.to && isFree(people, id, spans.stand),
      )
      take(bays, bay ?? null, spans.bay)
      take(people, assessor?.id ?? null, spans.stand)
      return { ...one, bay: bay ?? 0, assessor: assessor?.id ?? null, instrument: null, liveInstrument: null }
    })
  // Spans of tests in order of time: the first instrument that is free is always enough.
  const given = new Map<string, number | null>()
  const tests = placed.flatMap((one) => [
    { key: `${one.task} dead`, span: spansOf(one).tests },
    { key: `${one.task} live`, span: spansOf(one).stand },
  ])
  for (const { key, span } of tests.sort((a, b) => a.span.from - b.span.from)) {
    const meter = frame.instruments.find((id) => isFree(meters, id, span)) ?? null
    take(meters, meter, span)
    given.set(key, meter)
  }
  const equipped = placed.map((one) => ({
    ...one,
    instrument: given.get(`${one.task} dead`)!,
    liveInstrument: given.get(`${one.task} live`)!,
  }))
  return [...fixed.filter(({ task }) => tasks.has(task)), ...equipped].sort(
    (a, b) => a.start - b.start || endOf(a, lengths(a.task)) - endOf(b, lengths(b.task)),
  )
}

import type { BayTest, Outcome } from '../kinds/kind'
import { kindOf } from '../kinds/kinds'
import type { FaultHypothesis } from './fault-hypotheses'
import { explainsAny, leftBy, score, type Candidate, type Study } from './study'

/** A cause whose sheet is read only as far as it is worth reading. */
export interface OpenCause {
  readonly from: FaultHypothesis
  /** What it may change, the readings to be explained first. */
  readonly felt: readonly BayTest[]
  /** How many of these are to be explained. */
  readonly odd: number
  readonly outcomes: ReadonlyMap<string, Outcome>
  /** What it costs at the least, whatever the rest of its sheet reads. */
  readonly bound: number
}

/** So many readings are taken together once those to be explained are through. */
const AT_ONCE = 8

/** What causes of one kind at the same circuits can change, and what that leaves unexplained whatever they do. */
type Reach = Pick<OpenCause, 'felt' | 'odd'> & { readonly left: number }

/**
 * The causes of which nothing has been read yet, without those that could not show in such readings. What they reach is
 * worked out once for all of the same circuits.
 */
export function openCauses(
  study: Study,
  hypotheses: readonly FaultHypothesis[],
  suspects: ReadonlySet<string>,
): readonly OpenCause[] {
  const isShown = showsResistance(study)
  const reaches = new Map<string, Reach>()
  return hypotheses.flatMap((from) => {
    const { kind, circuits, hypothesis } = from
    if (kind.group === 'resistance' && !isShown) return []
    const canTrip = kind.group === 'thing' || kind.group === 'place'
    const name = `${canTrip} ${circuits && [...circuits].join(' ')}`
    const { felt, odd, left } = reaches.get(name) ?? reachOf(study, circuits, { suspects, canTrip })
    reaches.set(name, { felt, odd, left })
    return { from, felt, odd, outcomes: new Map(), bound: hypothesis.priorCost + left }
  })
}

function reachOf(
  { measured, odd, soundCosts }: Study,
  circuits: ReadonlySet<string> | null,
  { suspects, canTrip }: { readonly suspects: ReadonlySet<string>; readonly canTrip: boolean },
): Reach {
  const touched = circuits ?? suspects
  // What opens or crosses a conductor stops an RCD test too; that is computed where the reading asks for it.
  const isFelt = ({ key, circuit, kind: test }: BayTest) =>
    (circuit === null ? circuits === null : touched.has(circuit)) &&
    (kindOf(test).fit.by !== 'limit' || canTrip || odd.has(key))
  const felt = measured.filter(isFelt)
  // What strays most first: a cause that does not move it is soon left behind.
  const first = felt
    .filter(({ key }) => odd.has(key))
    .sort((a, b) => soundCosts.get(b.key)! - soundCosts.get(a.key)!)
  const known = new Set(felt.map(({ key }) => key))
  let left = 0
  for (const [key, cost] of soundCosts) if (!known.has(key)) left += cost
  return { felt: [...first, ...felt.filter(({ key }) => !odd.has(key))], odd: first.length, left }
}

/** A few ohms in series are nothing beside megohms, and no reason for a cross. */
const showsResistance = ({ oddTests }: Study): boolean =>
  oddTests.some(({ kind }) => kindOf(kind).fit.by === 'amount')

/** Reads on: one reading to be explained, or some of the rest. Null where it explains none. */
export function readOn(study: Study, cause: OpenCause, atOnce = AT_ONCE): OpenCause | Candidate | null {
  const { from, felt, odd } = cause
  const at = cause.outcomes.size
  const next = felt.slice(at, at < odd ? Math.min(odd, at + (atOnce === Infinity ? odd : 1)) : at + atOnce)
  const read = study.reader.read(from.faulted, next)
  const outcomes = new Map(cause.outcomes)
  let { bound } = cause
  for (const test of next) {
    const base = study.sound.get(test.key)
    const outcome = read.get(test.key) ?? base
    outcomes.set(test.key, outcome ?? { is: 'none' })
    if (outcome && base) bound += leftBy(study, from.hypothesis, test, { expected: outcome, base })
  }
  if (at < odd && outcomes.size >= odd && !explainsAny(study, outcomes)) return null
  return outcomes.size === felt.length
    ? score(study, from.hypothesis, new Map([...study.sound, ...known(study, outcomes)]))
    : { ...cause, outcomes, bound }
}

/** What cannot be measured at the sound bay is no reading of this one. */
const known = ({ sound }: Study, outcomes: ReadonlyMap<string, Outcome>) =>
  [...outcomes].filter(([key]) => sound.has(key))

/** Read to the end; null where it explains nothing. */
export function readToTheEnd(study: Study, cause: OpenCause): Candidate | null {
  let read: OpenCause | Candidate | null = cause
  while (read !== null && 'felt' in read) read = readOn(study, read, Infinity)
  return read
}

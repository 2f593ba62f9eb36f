import { possibleFaults } from '../../bay/faults/catalogue'
import { circuitOf, type Fault, type FaultKind } from '../../bay/faults/fault'
import type { Rig } from '../../bay/model/rig'
import { indexParts, partIdOf } from '../../bay/model/terminals'
import type { BayTest } from './bay-test'
import type { Outcome, Outcomes } from './predict'

/** A slip at the bench or on paper: the bay is as it should be, the reading is not. */
export type Slip =
  | { readonly kind: 'leads'; readonly ohm: number }
  | { readonly kind: 'lampsIn' | 'switchOff'; readonly circuit: string }
  | { readonly kind: 'decimal'; readonly test: string; readonly factor: number }
  | { readonly kind: 'digits'; readonly test: string }

/** Why a sheet reads as it does. */
export interface Hypothesis {
  readonly faults: readonly Fault[]
  readonly slip: Slip | null
  /** Where it is, for the words: parts, terminals, conductors. */
  readonly at: readonly string[]
  /** What it costs before any reading is looked at: rarer causes cost more. */
  readonly priorCost: number
  /** Resistances of the catalogue stand for any of their kind. */
  readonly isScalable: boolean
}

export const SOUND: Hypothesis = { faults: [], slip: null, at: [], priorCost: 0, isScalable: false }

/** Every cause costs at least this, so that a sound bay with scatter stays sound. */
const BASE = 2.5
const COMMONEST = 5

/** Circuits that differ between two states of a bay; null where something that all share differs. */
export function circuitsChanged(before: Rig, after: Rig): ReadonlySet<string> | null {
  const parts = indexParts(after)
  const ofRef = (ref: string) => parts.get(partIdOf(ref))?.circuit ?? null
  const [newWires, goneWires] = [others(after.wires, before.wires), others(before.wires, after.wires)]
  const found: (string | null)[] = [
    ...[...newWires, ...goneWires].map((wire) => circuitOf(before, wire)),
    ...[...others(after.parts, before.parts), ...others(before.parts, after.parts)].map(
      ({ circuit }) => circuit,
    ),
    ...others(after.leaks, before.leaks).flatMap(({ from, to }) => [ofRef(from), ofRef(to)]),
  ]
  // A conductor that has gone to another circuit belongs to both.
  for (const wire of newWires)
    found.push(...[ofRef(wire.from), ofRef(wire.to)].filter((circuit) => circuit !== null))
  return found.length === 0 || found.includes(null) ? null : new Set(found as string[])
}

const SETS = new WeakMap<readonly object[], ReadonlySet<object>>()

/** Those of one list that are not the same objects as those of the other. */
function others<T extends object>(list: readonly T[], than: readonly T[]): readonly T[] {
  if (list === than) return []
  const known = (SETS.get(than) as ReadonlySet<T> | undefined) ?? new Set(than)
  SETS.set(than, known)
  return list.filter((one) => !known.has(one))
}

/** Workmanship that no reading can show is left to the eye. */
const UNSEEN = new Set([
  'blankMissing',
  'labelMissing',
  'earthOutOfOrder',
  'plugFuseTooLarge',
  'otherCurve',
  'ratingTooHigh',
])
/** Reads like a loose termination, which stands for any resistance at a screw. */
const LIKE_LOOSE = 'insulationUnderScrew'

/** Each fault of the catalogue wherever these circuits could have it, with the bay as it would be. */
export function faultHypotheses(
  rig: Rig,
  circuits: ReadonlySet<string>,
): readonly {
  readonly hypothesis: Hypothesis
  readonly kind: FaultKind
  readonly made: Rig
  readonly circuits: ReadonlySet<string> | null
}[] {
  return possibleFaults(rig).flatMap(({ kind, place }) => {
    if (UNSEEN.has(kind.code) || kind.code === LIKE_LOOSE) return []
    const made = kind.apply(rig, place)
    const changed = circuitsChanged(rig, made)
    if (changed && ![...changed].some((circuit) => circuits.has(circuit))) return []
    const hypothesis: Hypothesis = {
      faults: [{ code: kind.code, place: place.key }],
      slip: null,
      at: place.at,
      priorCost: BASE + Math.log(COMMONEST / kind.prior),
      isScalable: kind.group === 'resistance' || kind.group === 'leak',
    }
    return [{ hypothesis, kind, made, circuits: changed }]
  })
}

const CONTINUITY = new Set(['r1', 'rn', 'r2', 'r1r2', 'r2Long'])
const LEADS_OHM = { least: 0.05, most: 0.35 } as const

/** Slips that could explain these odd readings, with what the sheet would then read. */
export function slipHypotheses(
  tests: readonly BayTest[],
  observed: Outcomes,
  sound: Outcomes,
  odd: ReadonlySet<string>,
  lampsIn: (circuit: string) => Outcomes,
  switchOff: (circuit: string) => Outcomes,
): { readonly hypothesis: Hypothesis; readonly outcomes: Outcomes }[] {
  const found: { hypothesis: Hypothesis; outcomes: Outcomes }[] = []
  const add = (
    slip: Slip,
    priorCost: number,
    changed: ReadonlyMap<string, Outcome>,
    at: readonly string[] = [],
  ) =>
    found.push({
      hypothesis: { faults: [], slip, at, priorCost, isScalable: false },
      outcomes: new Map([...sound, ...changed]),
    })

  // The same resistance too much in every continuity reading, the shortest ones too.
  const continuity = tests.filter(
    ({ kind, key }) =>
      CONTINUITY.has(kind) && observed.get(key)?.is === 'value' && sound.get(key)?.is === 'value',
  )
  const extra = continuity
    .map(
      ({ key }) =>
        (observed.get(key) as { value: number }).value - (sound.get(key) as { value: number }).value,
    )
    .sort((a, b) => a - b)
  const middle = extra[Math.floor(extra.length / 2)] ?? 0
  if (extra.length >= 2 && middle >= LEADS_OHM.least && middle <= LEADS_OHM.most) {
    add(
      { kind: 'leads', ohm: middle },
      BASE,
      new Map(
        continuity.map(({ key }) => [
          key,
          { is: 'value', value: (sound.get(key) as { value: number }).value + middle },
        ]),
      ),
    )
  }
  for (const circuit of new Set(
    tests.flatMap(({ circuit: own, key }) => (own && odd.has(key) ? [own] : [])),
  )) {
    add({ kind: 'lampsIn', circuit }, BASE, lampsIn(circuit))
    add({ kind: 'switchOff', circuit }, BASE + 0.5, switchOff(circuit))
  }
  for (const key of odd) {
    const [seen, told] = [observed.get(key), sound.get(key)]
    if (seen?.is !== 'value' || told?.is !== 'value') continue
    const factor = [10, 0.1, 100, 0.01, 1000, 0.001].find(
      (one) => Math.abs(seen.value / (told.value * one) - 1) < 0.15,
    )
    if (factor) add({ kind: 'decimal', test: key, factor }, BASE + 1, new Map([[key, seen]]), [key])
    else if (hasSameDigits(seen.value, told.value))
      add({ kind: 'digits', test: key }, BASE + 1.5, new Map([[key, seen]]), [key])
  }
  return found
}

/** 0.47 and 0.74: two figures have changed places. */
function hasSameDigits(a: number, b: number): boolean {
  const [one, other] = [a, b].map((value) => value.toFixed(2).replace('.', '')) as [string, string]
  return (
    one.length === other.length &&
    [...one].filter((figure, i) => figure !== other[i]).length === 2 &&
    [...one].sort().join('') === [...other].sort().join('')
  )
}

import { possibleFaults } from '../../bay/faults/catalogue'
import { circuitOf, type FaultKind, type Place } from '../../bay/faults/fault'
import type { Rig } from '../../bay/model/rig'
import { indexParts, partIdOf } from '../../bay/model/terminals'
import { BASE_COST, type Hypothesis } from './hypothesis'

const COMMONEST = 5

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

export interface FaultHypothesis {
  readonly hypothesis: Hypothesis
  readonly kind: FaultKind
  readonly place: Place
  /** The bay as it would be. */
  readonly faulted: Rig
  /** Circuits that it changes; null where it changes something that all share. */
  readonly circuits: ReadonlySet<string> | null
}

/** Each fault of the catalogue wherever these circuits could have it, with the bay as it would be. */
export const faultHypotheses = (rig: Rig, circuits: ReadonlySet<string>): readonly FaultHypothesis[] =>
  faultsOf(rig).filter(
    ({ circuits: changed }) => !changed || [...changed].some((circuit) => circuits.has(circuit)),
  )

/** Every fault that a reading can show, once for every sheet of a bay. */
const FAULTS = new WeakMap<Rig, readonly FaultHypothesis[]>()
function faultsOf(rig: Rig): readonly FaultHypothesis[] {
  const known = FAULTS.get(rig)
  if (known) return known
  const faults = possibleFaults(rig)
    .filter(({ kind }) => !UNSEEN.has(kind.code) && kind.code !== LIKE_LOOSE)
    .map(({ kind, place }): FaultHypothesis => {
      const faulted = kind.apply(rig, place)
      const hypothesis: Hypothesis = {
        faults: [{ code: kind.code, place: place.key }],
        slip: null,
        at: place.at,
        priorCost: BASE_COST + Math.log(COMMONEST / kind.prior),
        isScalable: kind.isAnySize === true,
      }
      return { hypothesis, kind, place, faulted, circuits: circuitsChanged(rig, faulted) }
    })
  FAULTS.set(rig, faults)
  return faults
}

/** Circuits that differ between two states of a bay; null where something that all share differs. */
function circuitsChanged(before: Rig, after: Rig): ReadonlySet<string> | null {
  const parts = indexParts(after)
  const ofRef = (ref: string) => parts.get(partIdOf(ref))?.circuit ?? null
  const [newWires, goneWires] = [others(after.wires, before.wires), others(before.wires, after.wires)]
  const changedParts = [...others(after.parts, before.parts), ...others(before.parts, after.parts)]
  const found: (string | null)[] = [
    ...[...newWires, ...goneWires].map((wire) => circuitOf(before, wire)),
    ...changedParts.map(({ circuit }) => circuit),
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
  return list.filter((candidate) => !known.has(candidate))
}

import { COPPER_OHM_PER_M } from '../../regulations/conductors'
import type { Rig, Wire } from '../model/rig'
import { changeWire } from './edit'
import { circuitWires, conductorOf, type Conductor, type FaultKind } from './fault'

/** A screw that was not tightened after dressing, Ω; of the catalogue's 0.3 to 5 Ω. */
const LOOSE_OHM = 1
const UNDER_SCREW_OHM = 5
/** Where nobody took the short way. */
const DETOUR = 1.8
/** Where the drawing was longer than the wall, as a share; and what is left at the least. */
const SHORTCUT = 0.4
const LEAST_SHARE = 0.1

const AREAS = Object.keys(COPPER_OHM_PER_M)
  .map(Number)
  .sort((a, b) => a - b)
const smaller = (areaMm2: number): number | undefined => AREAS[AREAS.indexOf(areaMm2) - 1]

const runsOf = (rig: Rig) => rig.runs.map(({ id }) => ({ key: id, at: [id] }))

const timesAsLong = (rig: Rig, run: string, times: number): Rig => ({
  ...rig,
  wires: rig.wires.map((wire) => (wire.run === run ? { ...wire, lengthM: wire.lengthM * times } : wire)),
})

/** These conductors of a run one size too small. */
const thinnerBy = (code: string, prior: number, conductors: readonly Conductor[]): FaultKind => {
  const isMeant = (wire: Wire, run: string) => wire.run === run && conductors.includes(conductorOf(wire))
  return {
    code,
    group: 'resistance',
    prior,
    places: (rig) =>
      runsOf(rig).filter(({ key }) =>
        rig.wires.some((wire) => isMeant(wire, key) && smaller(wire.areaMm2) !== undefined),
      ),
    apply: (rig, { key }) => ({
      ...rig,
      wires: rig.wires.map((wire) =>
        isMeant(wire, key) ? { ...wire, areaMm2: smaller(wire.areaMm2) ?? wire.areaMm2 } : wire,
      ),
    }),
  }
}

export const RESISTANCE_FAULTS: readonly FaultKind[] = [
  {
    code: 'loose',
    group: 'resistance',
    isAnySize: true,
    prior: 5,
    places: (rig) =>
      circuitWires(rig).flatMap((wire) => [
        { key: `${wire.id} from`, at: [wire.from, wire.id] },
        { key: `${wire.id} to`, at: [wire.to, wire.id] },
      ]),
    apply: (rig, { key }, size = 1) => {
      const [id, end] = key.split(' ') as [string, string]
      const ohm = LOOSE_OHM * size
      return changeWire(rig, id, { looseOhm: end === 'from' ? [ohm, 0] : [0, ohm] })
    },
  },
  {
    code: 'insulationUnderScrew',
    group: 'resistance',
    prior: 3,
    places: (rig) => circuitWires(rig).map(({ id, to }) => ({ key: id, at: [to, id] })),
    apply: (rig, { key }) => changeWire(rig, key, { looseOhm: [0, UNDER_SCREW_OHM] }),
  },
  thinnerBy('thinner', 2, ['line', 'neutral']),
  thinnerBy('thinnerLine', 1, ['line']),
  thinnerBy('thinnerCpc', 2, ['earth']),
  {
    code: 'longer',
    group: 'resistance',
    isAnySize: true,
    prior: 2,
    places: runsOf,
    apply: (rig, { key }, size = 1) => timesAsLong(rig, key, 1 + (DETOUR - 1) * size),
  },
  {
    code: 'shorter',
    group: 'resistance',
    isAnySize: true,
    prior: 1,
    places: runsOf,
    apply: (rig, { key }, size = 1) => timesAsLong(rig, key, Math.max(LEAST_SHARE, 1 - SHORTCUT * size)),
  },
]

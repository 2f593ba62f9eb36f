import { circuitWires, type Conductor, type FaultKind } from './fault'
import { withoutWire } from './edit'

/** A conductor that is not connected, or broken on its way. */
const openConductor = (code: string, conductor: Conductor, prior: number): FaultKind => ({
  code,
  group: 'open',
  prior,
  places: (rig) => circuitWires(rig, conductor).map(({ id }) => ({ key: id, at: [id] })),
  apply: (rig, { key }) => withoutWire(rig, key),
})

/** A conductor of the intake, found by the parts that it joins. */
const openIntake = (code: string, prior: number, from: string, to: string): FaultKind => ({
  code,
  group: 'open',
  prior,
  places: (rig) =>
    rig.wires
      .filter((wire) => wire.from.startsWith(from) && wire.to.startsWith(to))
      .map(({ id }) => ({ key: id, at: [id] })),
  apply: (rig, { key }) => withoutWire(rig, key),
})

export const OPEN_FAULTS: readonly FaultKind[] = [
  openConductor('lineOpen', 'line', 4),
  openConductor('neutralOpen', 'neutral', 4),
  openConductor('earthOpen', 'earth', 4),
  openIntake('mainEarthOpen', 2, 'supply.E', 'met.'),
  openIntake('electrodeOpen', 2, 'electrode.E', 'met.'),
  openIntake('bondingOpen', 2, 'met.', 'pipe.E'),
  openIntake('supplyNeutralLost', 1, 'supply.N', 'meter.N'),
]

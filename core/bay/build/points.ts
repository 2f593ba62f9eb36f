import { sizeOf } from '../../regulations/cables/sizes'
import { isDrawnIn } from '../../regulations/cables/sizes'
import { COPPER_OHM_PER_M } from '../../regulations/conductors'
import { U0_V, U_V } from '../../regulations/supply'
import type { Circuit } from '../../installation/installation'
import type { LoadKind } from '../model/loads'
import type { Pole, TerminalRef } from '../model/rig'
import type { Origin, WorkedCircuit } from './worked'
import type { Draft } from './draft'

/** Of the first leg of a lighting circuit, the share up to the switch. */
const TO_SWITCH = 0.6
/** Of a fixed load's run, the share up to its isolator. */
const TO_ISOLATOR = 0.9
/** Standing leakage of an electronic load's filter; common practice, no source. */
const FILTER_A = 0.5e-3
const DISCHARGE_POWER_FACTOR = 0.9
const MOTOR_START_S = 1.5

/** Lays one leg: the circuit's conductors from terminal to terminal, over so many metres. */
type Lay = (
  ends: readonly (readonly [
    conductor: 'line' | 'neutral' | 'earth',
    from: TerminalRef,
    to: TerminalRef,
    share?: number,
  ])[],
  lengthM: number,
  lineIndex?: number,
) => void

/** Points of a final circuit, wired as designed. */
export function buildPoints(draft: Draft, worked: WorkedCircuit, origin: Origin): void {
  const { circuit, lineMm2 } = worked
  const size = sizeOf(circuit.cable.kind, circuit.cable.method, circuit.phases, lineMm2)!
  const run = draft.run({
    id: `${circuit.id}run`,
    name: circuit.name,
    made: isDrawnIn(circuit.cable.kind) ? 'plastic' : 'cable',
    lengthM: circuit.lengthM,
    metal: null,
  })
  // Armour or sheath as the protective conductor: its own resistance, put down beside the nearest copper.
  const isCopper = COPPER_OHM_PER_M[size.cpcMm2] === size.r2OhmPerM
  const lay: Lay = (ends, lengthM, lineIndex = 0) => {
    for (const [conductor, from, to, share = 1] of ends) {
      if (conductor === 'earth')
        draft.wire(from, to, isCopper ? size.cpcMm2 : lineMm2, lengthM * share, 'green-and-yellow', {
          run,
          ...(isCopper ? {} : { ohmPerM: size.r2OhmPerM }),
        })
      else
        draft.wire(
          from,
          to,
          lineMm2,
          lengthM * share,
          conductor === 'neutral' ? 'blue' : origin.lines[lineIndex]!.colour,
          { run },
        )
    }
  }
  if (circuit.use === 'sockets') buildSockets(draft, circuit, origin, lay)
  else if (circuit.use === 'lighting') buildLights(draft, circuit, origin, lay)
  else buildFixed(draft, circuit, origin, lay)
}

/** The points of a circuit are numbered from 1; 0 is its switch or isolator. */
export const pointId = (circuit: string, i: number): string => `${circuit}p${i}`

const point = (circuit: Circuit, i: number, name: string) => ({
  id: pointId(circuit.id, i),
  name,
  board: null,
  circuit: circuit.id,
})

function buildSockets(draft: Draft, circuit: Circuit, origin: Origin, lay: Lay): void {
  const spurs = circuit.topology === 'ring' ? circuit.spurs : 0
  const onRun = circuit.points - spurs
  const load: LoadKind = { kind: 'resistive', watt: 2000 }
  const sockets = Array.from({ length: onRun }, (_, i) =>
    draft.part({
      ...point(circuit, i + 1, `Socket ${origin.number}.${i + 1}`),
      kind: 'socket',
      gangs: 2,
      load,
    }),
  )
  const legs = circuit.topology === 'ring' ? onRun + 1 : onRun
  const legM = circuit.lengthM / legs
  let before = { L: origin.lines[0]!.from, N: origin.neutral(), E: origin.earth() }
  for (const id of sockets) {
    const here = { L: `${id}.L`, N: `${id}.N`, E: `${id}.E` }
    lay(
      [
        ['line', before.L, here.L],
        ['neutral', before.N, here.N],
        ['earth', before.E, here.E],
      ],
      legM,
    )
    before = here
  }
  if (circuit.topology === 'ring')
    lay(
      [
        ['line', before.L, origin.lines[0]!.from],
        ['neutral', before.N, origin.neutral()],
        ['earth', before.E, origin.earth()],
      ],
      legM,
    )
  for (let i = 0; i < spurs; i += 1) {
    const from = sockets[Math.floor(((i + 0.5) * onRun) / spurs)]!
    const id = draft.part({
      ...point(circuit, onRun + i + 1, `Socket ${origin.number}.${onRun + i + 1}, spur`),
      kind: 'socket',
      gangs: 2,
      load,
    })
    lay(
      [
        ['line', `${from}.L`, `${id}.L`],
        ['neutral', `${from}.N`, `${id}.N`],
        ['earth', `${from}.E`, `${id}.E`],
      ],
      circuit.spurM,
    )
  }
}

function buildLights(draft: Draft, circuit: Circuit, origin: Origin, lay: Lay): void {
  const load = lampLoad(circuit)
  const legM = circuit.lengthM / circuit.points
  const id = draft.part({
    ...point(circuit, 0, `Switch ${origin.number}`),
    kind: 'switch',
    action: 'one-way',
  })
  let before = { L: `${id}.L1`, N: origin.neutral(), E: `${id}.E` }
  lay(
    [
      ['line', origin.lines[0]!.from, `${id}.C`],
      ['earth', origin.earth(), `${id}.E`],
    ],
    legM * TO_SWITCH,
  )
  for (let i = 1; i <= circuit.points; i += 1) {
    const lamp = draft.part({
      ...point(circuit, i, `Lamp ${origin.number}.${i}`),
      kind: 'lampholder',
      holder: 'screw',
      load,
    })
    const share = i === 1 ? 1 - TO_SWITCH : 1
    lay(
      [
        ['line', before.L, `${lamp}.L`, share],
        ['neutral', before.N, `${lamp}.N`],
        ['earth', before.E, `${lamp}.E`, share],
      ],
      legM,
    )
    before = { L: `${lamp}.L`, N: `${lamp}.N`, E: `${lamp}.E` }
  }
}

function lampLoad({ load }: Circuit): LoadKind {
  if (load.basis !== 'lamps') return { kind: 'filament', watt: 100 }
  return load.isDischarge
    ? { kind: 'electronic', watt: load.eachW, powerFactor: DISCHARGE_POWER_FACTOR, earthLeakA: FILTER_A }
    : { kind: 'filament', watt: load.eachW }
}

/** A load behind its isolator; of several points each is an appliance on the run. */
function buildFixed(draft: Draft, circuit: Circuit, origin: Origin, lay: Lay): void {
  const lines: readonly Pole[] = origin.lines.map(({ pole }) => pole)
  const hasNeutral = circuit.phases === 1 || circuit.use !== 'motor'
  const poles: readonly Pole[] = [...lines, ...(hasNeutral ? ['N' as const] : [])]
  const layLeg = (
    from: Readonly<Record<string, TerminalRef>>,
    to: (pole: string) => TerminalRef,
    lengthM: number,
  ) => {
    lines.forEach((pole, i) => lay([['line', from[pole]!, to(pole)]], lengthM, i))
    if (hasNeutral) lay([['neutral', from.N!, to('N')]], lengthM)
    lay([['earth', from.E!, to('E')]], lengthM)
  }
  let before: Record<string, TerminalRef> = {
    ...Object.fromEntries(origin.lines.map(({ pole, from }) => [pole, from])),
    ...(hasNeutral ? { N: origin.neutral() } : {}),
    E: origin.earth(),
  }
  const isAlone = circuit.points === 1
  if (isAlone) {
    const isolator = draft.part({
      ...point(
        circuit,
        0,
        `${circuit.use === 'cooker' ? 'Cooker switch' : 'Isolating switch'} ${origin.number}`,
      ),
      kind: 'device',
      role: 'isolator',
      poles,
      solid: [],
      hasEarth: true,
      ratingA: 45,
      overcurrent: null,
      residual: null,
      detectsArcs: false,
      plugFuseA: null,
      marking: 'line-load',
      way: null,
    })
    layLeg(
      before,
      (pole) => `${isolator}.${pole === 'E' ? 'E' : `${pole} in`}`,
      circuit.lengthM * TO_ISOLATOR,
    )
    before = Object.fromEntries(
      [...poles, 'E'].map((pole) => [pole, `${isolator}.${pole === 'E' ? 'E' : `${pole} out`}`]),
    )
  }
  const legM = isAlone ? circuit.lengthM * (1 - TO_ISOLATOR) : circuit.lengthM / circuit.points
  for (let i = 1; i <= circuit.points; i += 1) {
    const id = draft.part({
      ...point(circuit, i, isAlone ? circuit.name : `${circuit.name} ${i}`),
      kind: 'appliance',
      poles,
      load: fixedLoad(circuit),
    })
    layLeg(before, (pole) => `${id}.${pole}`, legM)
    before = Object.fromEntries([...poles, 'E'].map((pole) => [pole, `${id}.${pole}`]))
  }
}

function fixedLoad({ load, points, phases, dc }: Circuit): LoadKind {
  const volt = phases === 3 ? Math.sqrt(3) * U_V : U0_V
  switch (load.basis) {
    case 'motor':
      return {
        kind: 'motor',
        watt: load.powerW / load.efficiency / points,
        powerFactor: load.powerFactor,
        startMultiple: load.startMultiple,
        startS: MOTOR_START_S,
      }
    case 'current':
      return { kind: 'resistive', watt: (load.currentA * volt) / points }
    case 'lamps':
      return { kind: 'filament', watt: load.eachW }
    case 'board':
      return { kind: 'resistive', watt: 1000 }
    default:
      return dc === 'none'
        ? { kind: 'resistive', watt: load.powerW / points }
        : {
            kind: 'electronic',
            watt: load.powerW / points,
            powerFactor: load.basis === 'power' ? load.powerFactor : 1,
            earthLeakA: FILTER_A,
          }
  }
}

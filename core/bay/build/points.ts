import { CABLES, isDrawnIn } from '../../regulations/cables/sizes'
import type { Circuit } from '../../installation/installation'
import type { TerminalRef } from '../model/rig'
import { copperOf } from './copper'
import type { Draft } from './draft'
import { buildFixed } from './fixed-loads'
import { pointOf, type CircuitDraft, type Lay } from './lay'
import { PLUGGED, lampLoad } from './point-loads'
import type { Origin, WorkedCircuit } from './worked'

/** Of the first leg of a lighting circuit, the share up to the switch. */
const TO_SWITCH = 0.6

/** Points of a final circuit, wired as designed. */
export function buildPoints(draft: Draft, worked: WorkedCircuit, origin: Origin): void {
  const { circuit } = worked
  const circuitDraft: CircuitDraft = { draft, circuit, origin, lay: layerOf(draft, worked, origin) }
  if (circuit.use === 'sockets') buildSockets(circuitDraft)
  else if (circuit.use === 'lighting') buildLights(circuitDraft)
  else buildFixed(circuitDraft)
}

/** Armour or sheath as the protective conductor: its own resistance, put down beside the nearest copper. */
function layerOf(draft: Draft, { circuit, lineMm2, size }: WorkedCircuit, origin: Origin): Lay {
  const run = draft.run({
    id: `${circuit.id}run`,
    name: circuit.name,
    made: isDrawnIn(circuit.cable.kind) ? 'plastic' : 'cable',
    lengthM: circuit.lengthM,
    metal: null,
  })
  const live = copperOf(lineMm2, size.r1OhmPerM)
  const isCopper = CABLES[circuit.cable.kind].cpc.made === 'copper'
  const cpc = isCopper ? copperOf(size.cpcMm2, size.r2OhmPerM) : { areaMm2: lineMm2, ohmPerM: size.r2OhmPerM }
  const conductors = {
    line: (i: number) => ({ ...live, colour: origin.lines[i]!.colour }),
    neutral: () => ({ ...live, colour: 'blue' as const }),
    earth: () => ({ ...cpc, colour: 'green-and-yellow' as const }),
  }
  return (ends, lengthM, lineIndex = 0) => {
    for (const [conductor, from, to, share = 1] of ends)
      draft.wire(from, to, { ...conductors[conductor](lineIndex), lengthM: lengthM * share, run })
  }
}

interface Place {
  readonly L: TerminalRef
  readonly N: TerminalRef
  readonly E: TerminalRef
}

const placeAt = (id: string): Place => ({ L: `${id}.L`, N: `${id}.N`, E: `${id}.E` })

const allThree = (from: Place, to: Place) =>
  [
    ['line', from.L, to.L],
    ['neutral', from.N, to.N],
    ['earth', from.E, to.E],
  ] as const

const placeOfOrigin = ({ lines, neutral, earth }: Origin): Place => ({
  L: lines[0]!.from,
  N: neutral(),
  E: earth(),
})

function buildSockets(circuitDraft: CircuitDraft): void {
  const { circuit, origin, lay } = circuitDraft
  const isRing = circuit.topology === 'ring'
  const spurs = isRing ? circuit.spurs : 0
  const onRun = circuit.points - spurs
  const sockets = Array.from({ length: onRun }, (_, i) => buildSocket(circuitDraft, i + 1))
  const legM = circuit.lengthM / (isRing ? onRun + 1 : onRun)
  let before = placeOfOrigin(origin)
  for (const id of sockets) {
    lay(allThree(before, placeAt(id)), legM)
    before = placeAt(id)
  }
  if (isRing) lay(allThree(before, placeOfOrigin(origin)), legM)
  for (let i = 0; i < spurs; i += 1) {
    const from = sockets[Math.floor(((i + 0.5) * onRun) / spurs)]!
    lay(allThree(placeAt(from), placeAt(buildSocket(circuitDraft, onRun + i + 1, ', spur'))), circuit.spurM)
  }
}

const buildSocket = ({ draft, circuit, origin }: CircuitDraft, i: number, more = ''): string =>
  draft.part({
    ...pointOf(circuit, i, `Socket ${origin.number}.${i}${more}`),
    kind: 'socket',
    gangs: 2,
    load: PLUGGED,
  })

function buildLights({ draft, circuit, origin, lay }: CircuitDraft): void {
  const legM = circuit.lengthM / circuit.points
  const id = draft.part({
    ...pointOf(circuit, 0, `Switch ${origin.number}`),
    kind: 'switch',
    action: 'one-way',
  })
  let before: Place = { L: `${id}.L1`, N: origin.neutral(), E: `${id}.E` }
  lay(
    [
      ['line', origin.lines[0]!.from, `${id}.C`],
      ['earth', origin.earth(), `${id}.E`],
    ],
    legM * TO_SWITCH,
  )
  for (let i = 1; i <= circuit.points; i += 1) {
    const lamp = placeAt(buildLamp(draft, circuit, origin, i))
    const share = i === 1 ? 1 - TO_SWITCH : 1
    lay(
      [
        ['line', before.L, lamp.L, share],
        ['neutral', before.N, lamp.N],
        ['earth', before.E, lamp.E, share],
      ],
      legM,
    )
    before = lamp
  }
}

const buildLamp = (draft: Draft, circuit: Circuit, { number }: Origin, i: number): string =>
  draft.part({
    ...pointOf(circuit, i, `Lamp ${number}.${i}`),
    kind: 'lampholder',
    holder: 'screw',
    load: lampLoad(circuit),
  })

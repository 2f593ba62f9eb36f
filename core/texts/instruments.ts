import type { Hazard, HazardCode, Reading } from '../bay/instruments/reading'
import type { SocketVerdict } from '../bay/instruments/voltage'
import { formatQuantity } from '../units/format'

type Params = Hazard['params']

const HAZARDS: Readonly<Record<HazardCode, (p: Params) => string>> = {
  live: (p) =>
    `The circuit is live (${p.volt} V). The tester refuses; an older one would have suffered. Isolate, lock off and prove dead before a dead test.`,
  noSupply: () => 'There is no supply here. A live test needs one, and permission by name.',
  electronics: (p) =>
    `${p.part} has ${p.volt} V across it: electronics may be damaged, and the reading is theirs. Take it out or join line and neutral.`,
  trips: (p) =>
    `The test current opens ${p.device}. Use the test that does not trip, or measure in front of it.`,
  touchVoltage: (p) =>
    `The test would put ${p.volt} V on exposed metal. The tester stops: look at the earthing first.`,
  leads: (p) => `The leads were not nulled: their ${p.ohm} Ω are in the reading.`,
}

export const hazardSentence = ({ code, params }: Hazard): string => HAZARDS[code](params)

/** What stands on the display: `0.47 Ω`, `>999 MΩ`, `– – –` where the tester refuses. */
export function readingWords({ quantity, value, isOver }: Reading): string {
  if (value === undefined) return '– – –'
  if (quantity === 'insulation' || quantity === 'time')
    return `${isOver ? '>' : ''}${formatQuantity(value, quantity)}`
  if (quantity === 'voltage') return `${Math.round(value * 10) / 10} V`
  return `${isOver ? '>' : ''}${formatQuantity(value, quantity)}`
}

/** What a plug-in tester says. */
export const SOCKET_WORDS: Readonly<Record<SocketVerdict, string>> = {
  right: 'in order',
  noPower: 'no power',
  lineNeutralSwapped: 'line and neutral exchanged',
  lineEarthSwapped: 'line and earth exchanged',
  noEarth: 'no earth',
  noNeutral: 'no neutral',
  unclear: 'unclear: several lamps half lit',
}

import { displayText } from '#core/bay/instruments/display-text'
import type { Hazard, HazardCode } from '#core/bay/instruments/reading'
import type { Display } from '#core/bay/instruments/take'
import type { Rotation, SocketVerdict } from '#core/bay/instruments/voltage'

type Params = Hazard['params']

const HAZARDS: Readonly<Record<HazardCode, (p: Params) => string>> = {
  live: (p) =>
    `The circuit is live (${p.volt} V). The tester refuses; an older one would have suffered. Isolate, lock off and prove dead before a dead test.`,
  noSupply: () => 'There is no supply here. A live test needs one, and permission by name.',
  lowSupply: (p) =>
    `Only ${p.volt} V stand between these terminals. The test needs a whole supply: a conductor ` +
    'is open on the way, or these two do not belong together.',
  openLoop: () =>
    'The voltage collapses under the test current: the loop is not closed. A conductor is open on the way.',
  supplyOff: () =>
    'Nothing stands here: the supply of this bay is off. Prove the instrument again before you believe it.',
  deadHere: () =>
    'The supply is on, and nothing stands between these two. Test the other pairs, and prove the instrument again.',
  nothingFlows: () =>
    'No current in what the clamp goes round: nothing is in use behind it, or it has no supply.',
  noRcdOpened: () =>
    'No RCD opened within the test: none stands in front of this point, or none sees this current.',
  unsolved: () =>
    'This bay cannot be computed as it is joined up, so nothing is shown. Take the last change back.',
  electronics: (p) =>
    `${p.part} has ${p.volt} V across it: electronics may be damaged, and the reading is theirs. Take it out or join line and neutral.`,
  trips: (p) =>
    `The test current opens ${p.device}. Use the test that does not trip, or measure in front of it.`,
  touchVoltage: (p) =>
    `The test would put ${p.volt} V on exposed metal. The tester stops: look at the earthing first.`,
  leads: (p) => `The leads were not nulled: their ${p.ohm} Ω are in the reading.`,
}

export const hazardSentence = ({ code, params }: Hazard): string => HAZARDS[code](params)

/** What stands on a display that shows nothing because the instrument refuses. */
const REFUSED = '– – –'

/** What a plug-in tester says. */
export const SOCKET_WORDS: Readonly<Record<SocketVerdict, string>> = {
  right: 'correct',
  noPower: 'no supply',
  lineNeutralSwapped: 'line and neutral reversed',
  lineEarthSwapped: 'line and earth reversed',
  noEarth: 'no earth',
  noNeutral: 'no neutral',
  unclear: 'unclear: several lamps half lit',
}

const ROTATION_WORDS: Readonly<Record<Rotation, string>> = {
  'L1-L2-L3': 'L1-L2-L3',
  'L1-L3-L2': 'L1-L3-L2',
  missing: 'a line is missing',
  none: 'no supply',
}

/** What stands on the display: `0.47 Ω`, `>999 MΩ`, `– – –` where the tester refuses. */
export function displayWords(display: Display): string {
  switch (display.is) {
    case 'reading':
      return displayText(display.reading) ?? REFUSED
    case 'lamp':
      return display.volt === 0 ? 'no lamp lights' : `${display.volt} V`
    case 'socket':
      return SOCKET_WORDS[display.verdict]
    case 'rotation':
      return ROTATION_WORDS[display.rotation]
  }
}

/** What the instrument has to say beside its display. */
export const displaySentences = (display: Display): string[] =>
  display.is === 'reading' || display.is === 'lamp'
    ? (display.is === 'lamp' ? display.hazards : display.reading.hazards).map(hazardSentence)
    : []

import { breakerZsOhm } from '#core/regulations/book/book'
import type { CircuitDesign } from '#core/design/reference'
import { timeLimitS } from '#core/design/limits/limits'
import { CURVES, DEVICES, hasRcd, magneticA, type Curve } from '#core/regulations/devices'
import { U0_V } from '#core/regulations/supply'
import { FAMILY_NAME, INFEED_NAME } from '../../names'
import {
  chooseAs,
  nameOf,
  numberAs,
  ofCircuit,
  round,
  spokenAs,
  valueOf,
  verdictAs,
  type JobGenerator,
  type Made,
} from './generator'

const TABLE_41_3 = 'BS 7671 Table 41.3, from memory'
const curveOf = ({ circuit }: CircuitDesign): Curve | null => circuit.device.curve

/** The next rating on the shelf, down or up. */
function nextRating(circuit: CircuitDesign, way: -1 | 1): number | undefined {
  const { ratingsA } = DEVICES[circuit.circuit.device.family]
  return ratingsA[ratingsA.indexOf(valueOf(circuit, 'in') ?? 0) + way]
}

function lower(circuit: CircuitDesign): Made | null {
  const [next, ib] = [nextRating(circuit, -1), valueOf(circuit, 'ib')]
  if (next === undefined || ib === undefined || circuit.circuit.topology === 'ring') return null
  return {
    text: `Would ${next} A do for ${nameOf(circuit)}?`,
    plain: `${nameOf(circuit)}: ${next} A. Enough?`,
    expected: verdictAs(next >= ib, `Ib is ${round(ib, 1)} A.`),
    prompts: ['Compare it with Ib.'],
    follow: 'And what would it do in use?',
    source: 'BS 7671 433.1.1, from memory',
  }
}

function higher(circuit: CircuitDesign): Made | null {
  const [next, iz] = [nextRating(circuit, 1), valueOf(circuit, 'iz')]
  if (next === undefined || iz === undefined || circuit.circuit.topology === 'ring') return null
  return {
    text: `Somebody fits ${next} A to ${nameOf(circuit)}. Is the cable still protected against overload?`,
    expected: verdictAs(next <= iz, `As installed it carries ${round(iz, 1)} A.`),
    prompts: ['Compare it with Iz.'],
    follow: 'What happens to the permitted Zs?',
    source: 'BS 7671 433.1.1, from memory',
  }
}

function otherCurve(circuit: CircuitDesign): Made | null {
  const [curve, rating, zs] = [curveOf(circuit), valueOf(circuit, 'in'), valueOf(circuit, 'zs')]
  const next = curve && CURVES[CURVES.indexOf(curve) + 1]
  if (!next || rating === undefined || zs === undefined || hasRcd(circuit.circuit.device.family)) return null
  const limit = breakerZsOhm(circuit.task.book, next, rating)
  return {
    text: `The breaker of ${nameOf(circuit)} is replaced by a type ${next}. Is Zs of ${round(zs)} Ω still low enough for it alone?`,
    expected: verdictAs(zs <= limit, `Type ${next} ${rating} A allows ${limit} Ω.`),
    prompts: ['At how many times In is it sure to trip?'],
    source: TABLE_41_3,
  }
}

const numberOfCircuit = (
  [code, level]: readonly [code: string, level: 1 | 2 | 3],
  read: (circuit: CircuitDesign) => number | undefined | null,
  ask: (name: string) => string,
  [unit, places, within]: readonly [unit: string, places: number, within: number],
  more: Partial<Made> = {},
): JobGenerator =>
  ofCircuit({ code, topic: 'board', level, moments: ['design', 'terminations', 'energise'] }, (circuit) => {
    const value = read(circuit)
    if (value === undefined || value === null) return null
    return { text: ask(nameOf(circuit)), expected: numberAs(round(value, places), unit, within), ...more }
  })

/** Which end of the device is fed, where a second source lies behind it. */
function fedFromBehind(circuit: CircuitDesign): Made | null {
  const { feedsBack, marking } = circuit.task
  if (!feedsBack?.length) return null
  const who = feedsBack.map((infeed) => INFEED_NAME[infeed]).join(' and ')
  return {
    text: `May the device of ${nameOf(circuit)} be one that is marked line and load?`,
    plain: `${nameOf(circuit)}: marked line and load. Allowed?`,
    expected: verdictAs(
      false,
      [
        `No: ${who} can feed its load end. It must be bidirectional.`,
        ...(marking === 'line-load' ? ['The one that is fitted is not.'] : []),
      ].join(' '),
    ),
    prompts: ['From which sides can power come?', 'What stays live when it has opened?'],
    follow: 'Where must you isolate before you work on it?',
    source: 'BS 7671:2018+A3:2024 530.3.201, from memory',
  }
}

export const BOARD_QUESTIONS: readonly JobGenerator[] = [
  ofCircuit(
    { code: 'fed-from-behind', topic: 'board', level: 2, moments: ['design', 'terminations', 'energise'] },
    fedFromBehind,
  ),
  numberOfCircuit(
    ['in', 1],
    (c) => valueOf(c, 'in'),
    (name) => `What rating has the device of ${name}?`,
    ['A', 0, 0],
    { follow: 'Why this one?' },
  ),
  numberOfCircuit(
    ['way', 1],
    ({ circuit }) => circuit.way,
    (name) => `On which way is ${name}?`,
    ['way', 0, 0],
    { prompts: ['Look at the circuit chart.'] },
  ),
  numberOfCircuit(
    ['zs-max', 2],
    (c) => valueOf(c, 'zsMax'),
    (name) => `What is the maximum permitted Zs of ${name}?`,
    ['Ω', 2, 0.02],
    { source: TABLE_41_3 },
  ),
  numberOfCircuit(
    ['zs', 2],
    (c) => valueOf(c, 'zs'),
    (name) => `What Zs do you expect at the furthest point of ${name}, by calculation?`,
    ['Ω', 2, 0.03],
    { prompts: ['Ze + (R1 + R2).'] },
  ),
  numberOfCircuit(
    ['fault-current', 2],
    (c) => valueOf(c, 'faultCurrent'),
    (name) => `What earth fault current flows at the furthest point of ${name}?`,
    ['A', 0, 10],
    { prompts: [`${U0_V} V divided by Zs.`] },
  ),
  numberOfCircuit(
    ['time-limit', 2],
    (c) => timeLimitS(c.task, valueOf(c, 'in') ?? 0),
    (name) => `Within what time must ${name} disconnect a fault to earth?`,
    ['s', 1, 0],
    { source: 'BS 7671 411.3.2, from memory' },
  ),
  numberOfCircuit(
    ['ia', 2],
    (c) => {
      const curve = curveOf(c)
      const rating = valueOf(c, 'in')
      return curve && rating ? magneticA(curve, rating) : null
    },
    (name) => `What current is sure to trip the breaker of ${name} at once?`,
    ['A', 0, 1],
    { prompts: ['How many times In?'], source: 'BS EN 60898-1' },
  ),
  ofCircuit({ code: 'curve', topic: 'board', level: 1, moments: ['design', 'energise'] }, (circuit) => {
    const curve = curveOf(circuit)
    const expected =
      curve &&
      chooseAs(
        `Type ${curve}`,
        CURVES.map((other) => `Type ${other}`),
      )
    return expected
      ? { text: `Which type is the breaker of ${nameOf(circuit)}?`, expected, follow: 'Why not another one?' }
      : null
  }),
  ofCircuit(
    { code: 'standard', topic: 'board', level: 1, moments: ['design', 'energise'] },
    ({ circuit }) => {
      const { standard } = DEVICES[circuit.device.family]
      const expected = chooseAs(
        standard,
        Object.values(DEVICES).map((facts) => facts.standard),
      )
      return (
        expected && {
          text: `To which standard is the device of ${circuit.name} made?`,
          expected,
          prompts: [`It is: ${FAMILY_NAME[circuit.device.family]}.`],
        }
      )
    },
  ),
  ofCircuit({ code: 'lower', topic: 'board', level: 2, moments: ['design'] }, lower),
  ofCircuit({ code: 'higher', topic: 'board', level: 2, moments: ['design'] }, higher),
  ofCircuit({ code: 'other-curve', topic: 'board', level: 3, moments: ['design', 'live'] }, otherCurve),
  ofCircuit(
    { code: 'breaking', topic: 'board', level: 2, moments: ['design', 'live'] },
    (circuit, { intake }) => {
      const capacity = valueOf(circuit, 'breaking')
      if (capacity === undefined) return null
      return {
        text: `Prospective fault current here is ${round(intake.ipfA / 1000, 2)} kA. Is a device of ${capacity / 1000} kA enough for ${nameOf(circuit)}?`,
        expected: verdictAs(
          capacity >= intake.ipfA,
          `${capacity / 1000} kA against ${round(intake.ipfA / 1000, 2)} kA.`,
        ),
        source: 'BS 7671 434.5.1, from memory',
      }
    },
  ),
  ofCircuit(
    { code: 'ring-or-radial', topic: 'board', level: 1, moments: ['design', 'dead'] },
    ({ circuit }) => ({
      text: `Is ${circuit.name} a ring or a radial, and how can it be seen at the board?`,
      expected: spokenAs(
        circuit.topology === 'ring'
          ? 'A ring: two line conductors in its breaker, two neutrals and two cpcs in the bars.'
          : 'A radial: one line conductor in its breaker, one neutral and one cpc.',
      ),
      prompts: ['How many conductors are in the breaker?'],
    }),
  ),
]

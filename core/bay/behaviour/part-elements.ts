import { real } from '../network/complex'
import { EARTH, type Element, type Impedance } from '../network/network'
import type { Arrester, Changeover, DevicePart, Meter, Part, Pole, Switch } from '../model/rig'
import { loadElements, type LoadsAt } from './load-elements'
import { standbyElements } from './standby'

/** Heat that a pole turns its rated current into, W; common practice, no source (standards allow 3 W and more). */
const POLE_W = 1.2
const LEAST_POLE_OHM = 0.5e-3
const METER_OHM = 0.5e-3
const SWITCH_OHM = 2e-3
/** A surge arrester below its clamping voltage, Ω. */
const ARRESTER_OHM = 1e9
/** The test button makes two and a half times IΔn flow past one pole. */
const TEST_MULTIPLE = 2.5

/** Contacts, loads and ways to earth of one part. Conductors between parts are not among them. */
export function partElements(part: Part, at: LoadsAt): Element[] {
  const { id } = part
  switch (part.kind) {
    case 'meter':
      return meterElements(part)
    case 'device':
      return deviceElements(part, at)
    case 'switch':
      return switchElements(part, at.state.thrown[id] ?? false)
    case 'arrester':
      return arresterElements(part, at.state.inUse[id] ?? false)
    case 'standby':
      return standbyElements(part, at)
    case 'changeover':
      return changeoverElements(part, at.state.thrown[id] ?? false)
    case 'metalwork':
      return [
        { kind: 'impedance', name: `${id}:earth`, from: `${id}.E`, to: EARTH, ohm: real(part.toEarthOhm) },
      ]
    case 'socket':
      return part.load ? loadElements({ id, poles: ['L', 'N'], load: part.load }, at) : []
    case 'lampholder':
      return loadElements({ id, poles: ['L', 'N'], load: part.load }, at)
    case 'appliance':
      return loadElements({ id, poles: part.poles, load: part.load }, at)
    default:
      return []
  }
}

interface Contact {
  readonly name: string
  readonly ends: readonly [string, string]
  readonly ohm: number
  readonly isClosed: boolean
}

const contact = (id: string, { name, ends: [from, to], ohm, isClosed }: Contact): Impedance => ({
  kind: 'impedance',
  name: `${id}:${name}`,
  from: `${id}.${from}`,
  to: `${id}.${to}`,
  ohm: real(ohm),
  isOpen: !isClosed,
})

const through = (pole: Pole) => [`${pole} in`, `${pole} out`] as const
const METER_POLES = { 1: ['L', 'N'], 3: ['L1', 'L2', 'L3', 'N'] } as const

const meterElements = ({ id, phases }: Meter): Impedance[] =>
  METER_POLES[phases].map((pole) =>
    contact(id, { name: pole, ends: through(pole), ohm: METER_OHM, isClosed: true }),
  )

function deviceElements(device: DevicePart, { state, volt }: LoadsAt): Impedance[] {
  const { id, poles, solid, ratingA, residual } = device
  const isClosed = state.closed[id] ?? false
  const ohm = Math.max(LEAST_POLE_OHM, POLE_W / ratingA ** 2)
  return [
    ...poles.map((pole) =>
      contact(id, { name: pole, ends: through(pole), ohm, isClosed: isClosed || solid.includes(pole) }),
    ),
    ...(residual && poles.length > 1 ? [testButton(device, volt, state.testing[id] ?? false)] : []),
  ]
}

/** Which contacts a switch has, and whether each is closed when it is thrown. */
const CONTACTS = {
  'one-way': [['1', 'C', 'L1', true]],
  'two-way': [
    ['1', 'C', 'L1', false],
    ['2', 'C', 'L2', true],
  ],
  intermediate: [
    ['a', 'A1', 'B1', false],
    ['b', 'A2', 'B2', false],
    ['c', 'A1', 'B2', true],
    ['d', 'A2', 'B1', true],
  ],
} as const

const switchElements = ({ id, action }: Switch, isThrown: boolean): Impedance[] =>
  CONTACTS[action].map(([name, from, to, whenThrown]) =>
    contact(id, { name, ends: [from, to], ohm: SWITCH_OHM, isClosed: isThrown === whenThrown }),
  )

const changeoverElements = ({ id, poles }: Changeover, isOnStandby: boolean): Impedance[] =>
  poles.flatMap((pole) =>
    (['grid', 'standby'] as const).map((side) =>
      contact(id, {
        name: `${pole} ${side}`,
        ends: [`${pole} ${side}`, `${pole} out`],
        ohm: SWITCH_OHM,
        isClosed: isOnStandby === (side === 'standby'),
      }),
    ),
  )

const arresterElements = ({ id, poles, clampV }: Arrester, isIn: boolean): Impedance[] =>
  poles.map((pole) => ({
    kind: 'impedance',
    name: `${id}:${pole}`,
    from: `${id}.${pole}`,
    to: `${id}.E`,
    ohm: real(ARRESTER_OHM),
    law: { kind: 'varistor', clampV },
    isOpen: !isIn,
  }))

/** A resistor from behind one pole to before the neighbouring one, past the summing core. */
function testButton({ id, poles, residual }: DevicePart, volt: number, isHeld: boolean): Impedance {
  const [one, other] = [poles[0]!, poles.at(-1)!] as [Pole, Pole]
  const across = other === 'N' ? volt : volt * Math.sqrt(3)
  return {
    kind: 'impedance',
    name: `${id}:test`,
    from: `${id}.${one} out`,
    to: `${id}.${other} in`,
    ohm: real(across / (TEST_MULTIPLE * residual!.ratedA)),
    isOpen: !isHeld,
  }
}

import { ZERO, phasor, real } from '../network/complex'
import { EARTH, type Element, type Impedance } from '../network/network'
import type { Supply } from '../model/rig'
import { SOURCE_EARTH_OHM } from '../model/supply'

/** Where the supply's own conductors join its terminals, Ω. */
const JOINT_OHM = 0.5e-3
/** A battery floats; its reference is the workshop's insulation, Ω. */
const FLOAT_OHM = 1e6

/** Source, line and earthing of a supply as its arrangement has them. `hertz` 0: only a battery drives. */
export function supplyElements(supply: Supply, isOn: boolean, hertz: number): Element[] {
  if (supply.arrangement === 'battery') return batteryElements(supply, isOn, hertz)
  const { id } = supply
  return [
    ...lineElements(supply, isOn, hertz),
    impedance(`${id}:source-earth`, `${id}:star`, EARTH, SOURCE_EARTH_OHM),
    ...neutralElements(supply, isOn),
    ...(supply.arrangement === 'TN-S'
      ? [impedance(`${id}:E`, `${id}:star`, `${id}.E`, supply.earthOhm)]
      : []),
  ]
}

export const impedance = (name: string, from: string, to: string, ohm: number): Impedance => ({
  kind: 'impedance',
  name,
  from,
  to,
  ohm: real(ohm),
})

const batteryElements = ({ id, volt, lineOhm }: Supply, isOn: boolean, hertz: number): Element[] => [
  {
    kind: 'source',
    name: `${id}:+`,
    from: `${id}.−`,
    to: `${id}.+`,
    volt: hertz === 0 ? real(volt) : ZERO,
    ohm: real(lineOhm),
    isOpen: !isOn,
  },
  impedance(`${id}:float`, `${id}.−`, EARTH, FLOAT_OHM),
]

/** Angle of each line, °. */
const ANGLES = {
  1: [['L', 0]],
  3: [
    ['L1', 0],
    ['L2', -120],
    ['L3', 120],
  ],
} as const

/** The lines of a source, each from its star point. */
export const lineElements = (
  { id, phases, volt, lineOhm }: Pick<Supply, 'id' | 'phases' | 'volt' | 'lineOhm'>,
  isOn: boolean,
  hertz: number,
): Element[] =>
  ANGLES[phases].map(([line, angle]): Element => ({
    kind: 'source',
    name: `${id}:${line}`,
    from: `${id}:star`,
    to: `${id}.${line}`,
    volt: hertz === 0 ? ZERO : phasor(volt, angle),
    ohm: real(lineOhm),
    isOpen: !isOn,
  }))

/** Of TN-C-S neutral and earth come out of one combined conductor. */
function neutralElements({ id, arrangement, neutralOhm, earthOhm }: Supply, isOn: boolean): Element[] {
  const [star, combined] = [`${id}:star`, `${id}:combined`]
  if (arrangement !== 'TN-C-S')
    return [{ ...impedance(`${id}:N`, star, `${id}.N`, neutralOhm), isOpen: !isOn }]
  return [
    impedance(combined, star, combined, neutralOhm),
    { ...impedance(`${id}:N`, combined, `${id}.N`, JOINT_OHM), isOpen: !isOn },
    impedance(`${id}:E`, combined, `${id}.E`, earthOhm),
  ]
}

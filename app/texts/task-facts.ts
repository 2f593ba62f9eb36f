import { amountOf } from '#core/exercise/form/to-form'
import type { PublicCircuit, PublicInstallation } from '#core/exercise/assignment'
import { isBuried, isDrawnIn } from '#core/regulations/cables/sizes'
import type { Standby, WaterService } from '#core/installation/installation'
import { DEVICES } from '#core/regulations/devices'
import type { MakerPoint } from '#core/regulations/maker-data'
import { formatQuantity } from '#core/units/format'
import {
  CABLE_NAME,
  CONSEQUENCE_NAME,
  DC_NAME,
  GROUPING_NAME,
  LOCATION_NAME,
  METHOD_NAME,
  PREMISES_NAME,
  STANDBY_NAME,
  USE_NAME,
} from '#words/names'

/** One line of a task sheet. */
export interface Fact {
  readonly name: string
  readonly symbol?: string
  readonly value: string
}

const phases = (count: 1 | 3): string => (count === 3 ? 'three phase, 400 V' : 'single phase, 230 V')

/** What the distributor brings and what the building is. */
export function intakeFacts({
  intake,
  premises,
  consequence,
}: Pick<PublicInstallation, 'intake' | 'premises' | 'consequence'>): Fact[] {
  return [
    { name: 'Supply', value: `${intake.arrangement}, ${phases(intake.phases)}` },
    { name: 'External loop', symbol: 'Ze', value: formatQuantity(intake.zeOhm, 'resistance') },
    { name: 'Fault current', symbol: 'Ipf', value: formatQuantity(intake.ipfA, 'faultCurrent') },
    { name: 'Main fuse', value: `BS 88-3, ${intake.mainFuseA} A` },
    { name: 'Supply neutral', value: `${intake.neutralMm2} mm²` },
    ...when(intake.service !== undefined, 'Water service', serviceWords(intake.service)),
    ...when(intake.standby !== undefined, 'Standby source', standbyWords(intake.standby)),
    { name: 'Building', value: PREMISES_NAME[premises] },
    { name: 'An overvoltage means', value: CONSEQUENCE_NAME[consequence].toLowerCase() },
  ]
}

/** Everything that is given about one circuit, in the order in which it is needed. */
export const circuitFacts = (circuit: PublicCircuit): Fact[] => [
  { name: 'Use', value: useWords(circuit) },
  ...loadFacts(circuit.load),
  ...runFacts(circuit),
  ...cableFacts(circuit),
  ...placeFacts(circuit),
  ...deviceFacts(circuit),
]

const serviceWords = (service: WaterService | undefined): string =>
  service === 'metal' ? 'metal in the ground, bonded' : 'plastic'

const standbyWords = (standby: Standby | undefined): string =>
  standby
    ? `${STANDBY_NAME[standby.source]}, ${formatQuantity(standby.powerW, 'power')}, behind a change-over`
    : ''

/** One fact, where it holds. */
const when = (isSo: boolean, name: string, value: string): Fact[] => (isSo ? [{ name, value }] : [])

const useWords = ({ use, topology, phases }: PublicCircuit): string =>
  [USE_NAME[use], ...(topology === 'ring' ? ['ring'] : []), ...(phases === 3 ? ['three phase'] : [])].join(
    ', ',
  )

const runFacts = ({
  points,
  isSpread,
  topology,
  lengthM,
  spurs,
  spurM,
  fusedSpurs,
}: PublicCircuit): Fact[] => [
  { name: 'Points', value: `${points}${isSpread && points > 1 ? ', spread evenly' : ''}` },
  {
    name: topology === 'ring' ? 'Length all the way round' : 'Length of run',
    symbol: 'L',
    value: formatQuantity(lengthM, 'length'),
  },
  ...when(spurs > 0, 'Unfused spurs', `${spurs}, the longest ${formatQuantity(spurM, 'length')}`),
  ...when(fusedSpurs > 0, 'Fused spurs', `${fusedSpurs}, 13 A each`),
]

function cableFacts({ cable, run, ambientC, grouping, insulationMm }: PublicCircuit): Fact[] {
  const isInGround = isBuried(cable.method)
  const arranged = isInGround ? 'touching' : GROUPING_NAME[grouping.arrangement]
  const bends = `${run.bends} ${run.bends === 1 ? 'bend' : 'bends'}`
  return [
    { name: 'Cable', value: CABLE_NAME[cable.kind] },
    { name: 'Method', value: METHOD_NAME[cable.method] },
    ...when(isDrawnIn(cable.kind), 'Between draw points', `${run.betweenBoxesM} m, ${bends}`),
    { name: isInGround ? 'Ground' : 'Ambient', value: `${ambientC} °C` },
    {
      name: 'Grouped circuits',
      value: grouping.circuits === 1 ? '1, alone' : `${grouping.circuits}, ${arranged}`,
    },
    ...when(
      insulationMm > 0,
      'In thermal insulation',
      insulationMm >= 500 ? 'half a metre or more' : `${insulationMm} mm`,
    ),
  ]
}

const placeFacts = ({ location, concealed, ip, dc }: PublicCircuit): Fact[] => [
  { name: 'Location', value: `${LOCATION_NAME[location]}${concealed ? ', in a wall < 50 mm deep' : ''}` },
  ...when(ip !== undefined, 'Degree of protection', `${ip} at least`),
  ...when(dc !== 'none', 'Direct current from the load', DC_NAME[dc].toLowerCase()),
]

/** A point of the maker's sheet: `32 A: 160 A in 0.02 s, 4000 A²s`. */
const pointWords = ({ ratingA, currentA, timeS, energyA2s }: MakerPoint): string =>
  `${ratingA} A: at ${currentA} A ${[
    ...(timeS === null ? [] : [`${timeS} s`]),
    ...(energyA2s === null ? [] : [`${energyA2s} A²s`]),
  ].join(', ')}`

function deviceFacts({ device: { family, curve }, maker, existing, residualA }: PublicCircuit): Fact[] {
  const type = curve ? ` type ${curve}` : ''
  const rcd = residualA ? `${residualA * 1e3} mA RCD` : 'no RCD'
  return [
    { name: 'Device', value: `${DEVICES[family].standard}${type}` },
    ...when(maker !== undefined, 'Maker’s data', (maker ?? []).map(pointWords).join('; ')),
    ...(existing
      ? [
          {
            name: 'There already',
            value: `${existing.ratingA} A device, ${existing.lineMm2} mm² cable, ${rcd}`,
          },
        ]
      : []),
  ]
}

function loadFacts(load: PublicCircuit['load']): Fact[] {
  switch (load.basis) {
    case 'power':
      return [
        { name: 'Load', symbol: 'P', value: amountOf(load) },
        ...(load.powerFactor === 1
          ? []
          : [{ name: 'Power factor', symbol: 'cos φ', value: String(load.powerFactor) }]),
      ]
    case 'current':
      return [{ name: 'Load current', symbol: 'I', value: amountOf(load) }]
    case 'lamps':
      return [{ name: 'Lamps', value: `${amountOf(load)}${load.isDischarge ? ', discharge' : ''}` }]
    case 'cooker':
      return [
        {
          name: 'Household cooker',
          symbol: 'P',
          value: `${amountOf(load)}${load.hasSocket ? ', with socket' : ''}`,
        },
      ]
    case 'motor':
      return [
        { name: 'Motor, shaft power', symbol: 'P', value: amountOf(load) },
        { name: 'Power factor', symbol: 'cos φ', value: String(load.powerFactor) },
        { name: 'Efficiency', symbol: 'η', value: String(load.efficiency) },
        { name: 'Starting current', value: `${load.startMultiple} × Ib` },
      ]
    case 'board':
      return [{ name: 'Load', value: 'the demand of its board' }]
  }
}

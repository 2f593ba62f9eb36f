import { amountOf } from '#core/exercise/form/to-form'
import type { PublicCircuit, PublicInstallation } from '#core/exercise/assignment'
import { isBuried, isDrawnIn } from '#core/regulations/cables/sizes'
import { DEVICES } from '#core/regulations/devices'
import { formatQuantity } from '#core/units/format'
import {
  CABLE_NAME,
  CONSEQUENCE_NAME,
  DC_NAME,
  GROUPING_NAME,
  LOCATION_NAME,
  METHOD_NAME,
  PREMISES_NAME,
  USE_NAME,
} from './names'

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
    { name: 'Building', value: PREMISES_NAME[premises] },
    { name: 'An overvoltage means', value: CONSEQUENCE_NAME[consequence].toLowerCase() },
  ]
}

/** Everything that is given about one circuit, in the order in which it is needed. */
export function circuitFacts(circuit: PublicCircuit): Fact[] {
  const { load, grouping, device, cable } = circuit
  const facts: (Fact | false)[] = [
    {
      name: 'Use',
      value: `${USE_NAME[circuit.use]}${circuit.topology === 'ring' ? ', ring' : ''}${circuit.phases === 3 ? ', three phase' : ''}`,
    },
    ...loadFacts(load),
    {
      name: 'Points',
      value: `${circuit.points}${circuit.isSpread && circuit.points > 1 ? ', spread evenly' : ''}`,
    },
    {
      name: circuit.topology === 'ring' ? 'Length all the way round' : 'Length of run',
      symbol: 'L',
      value: formatQuantity(circuit.lengthM, 'length'),
    },
    circuit.spurs > 0 && {
      name: 'Unfused spurs',
      value: `${circuit.spurs}, the longest ${formatQuantity(circuit.spurM, 'length')}`,
    },
    circuit.fusedSpurs > 0 && { name: 'Fused spurs', value: `${circuit.fusedSpurs}, 13 A each` },
    { name: 'Cable', value: CABLE_NAME[cable.kind] },
    { name: 'Method', value: METHOD_NAME[cable.method] },
    isDrawnIn(cable.kind) && {
      name: 'Between draw points',
      value: `${circuit.run.betweenBoxesM} m, ${circuit.run.bends} ${circuit.run.bends === 1 ? 'bend' : 'bends'}`,
    },
    { name: isBuried(cable.method) ? 'Ground' : 'Ambient', value: `${circuit.ambientC} °C` },
    {
      name: 'Grouped circuits',
      value:
        grouping.circuits === 1
          ? '1, alone'
          : `${grouping.circuits}, ${isBuried(cable.method) ? 'touching' : GROUPING_NAME[grouping.arrangement]}`,
    },
    circuit.insulationMm > 0 && {
      name: 'In thermal insulation',
      value: circuit.insulationMm >= 500 ? 'half a metre or more' : `${circuit.insulationMm} mm`,
    },
    {
      name: 'Location',
      value: `${LOCATION_NAME[circuit.location]}${circuit.concealed ? ', in a wall < 50 mm deep' : ''}`,
    },
    circuit.dc !== 'none' && {
      name: 'Direct current from the load',
      value: DC_NAME[circuit.dc].toLowerCase(),
    },
    {
      name: 'Device',
      value: `${DEVICES[device.family].standard}${device.curve ? ` type ${device.curve}` : ''}`,
    },
    circuit.existing !== null && {
      name: 'There already',
      value: `${circuit.existing.ratingA} A device, ${circuit.existing.lineMm2} mm² cable, ${circuit.residualA ? `${circuit.residualA * 1e3} mA RCD` : 'no RCD'}`,
    },
  ]
  return facts.filter((fact) => fact !== false)
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

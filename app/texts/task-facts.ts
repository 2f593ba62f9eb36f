import type { PublicTask } from '#core/exercise/task'
import { DEVICE_STANDARD } from '#core/regulations/breakers'
import { formatQuantity } from '#core/units/format'

/** One line of a task sheet. */
export interface Fact {
  readonly name: string
  readonly symbol?: string
  readonly value: string
}

export const CABLE_NAME = { 'flat-twin-earth': 'Flat twin and earth', 'singles-in-conduit': 'Singles in conduit' } as const
export const USE_NAME = { sockets: 'Socket-outlets', lighting: 'Lighting', fixed: 'Fixed appliance' } as const
export const PREMISES_NAME = { dwelling: 'Dwelling', commercial: 'Commercial', industrial: 'Industrial' } as const
export const LOCATION_NAME = { general: 'Indoors', bathroom: 'Bathroom', outdoors: 'Outdoors' } as const
export const METHOD_NAME = {
  A: 'A, in an insulated wall', B: 'B, enclosed on a wall', C: 'C, clipped direct', 100: '100, above ceiling, thin insulation',
  101: '101, above ceiling, thick insulation', 102: '102, in a stud wall, touching', 103: '103, in a stud wall, surrounded',
} as const
export const ARRANGEMENT_NAME = { bunched: 'bunched or enclosed', 'single-layer': 'single layer on a wall' } as const
export const FAMILY_NAME = { breaker: 'Breaker', rcbo: 'RCBO' } as const

/** Everything the task gives, in the order in which it is needed. */
export function taskFacts(task: PublicTask): Fact[] {
  const { load, supply, grouping, device } = task
  return [
    { name: 'Use', value: `${USE_NAME[task.use]}, ${PREMISES_NAME[task.premises].toLowerCase()}` },
    ...(load.basis === 'power'
      ? [{ name: 'Load', symbol: 'P', value: formatQuantity(load.powerW, 'power') }, { name: 'Power factor', symbol: 'cos φ', value: String(load.powerFactor) }]
      : [{ name: 'Load current', symbol: 'I', value: formatQuantity(load.currentA, 'current') }]),
    { name: 'Length of run', symbol: 'L', value: formatQuantity(task.lengthM, 'length') },
    { name: 'Cable', value: CABLE_NAME[task.cable.kind] },
    { name: 'Method', value: METHOD_NAME[task.cable.method] },
    { name: 'Place', value: `${LOCATION_NAME[task.location]}${task.concealed ? ', in a wall < 50 mm deep' : ''}` },
    { name: 'Ambient', value: `${task.ambientC} °C` },
    { name: 'Circuits together', value: grouping.circuits === 1 ? '1, alone' : `${grouping.circuits}, ${ARRANGEMENT_NAME[grouping.arrangement]}` },
    { name: 'Supply', value: `${supply.arrangement}, 230 V` },
    { name: 'External loop', symbol: 'Ze', value: formatQuantity(supply.zeOhm, 'resistance') },
    { name: 'Fault current', symbol: 'Ipf', value: formatQuantity(supply.ipfA, 'faultCurrent') },
    { name: 'Device', value: `${DEVICE_STANDARD[device.family]} type ${device.curve}` },
  ]
}

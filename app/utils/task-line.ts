import { amountOf } from '#core/exercise/form/to-form'
import type { PublicCircuit } from '#core/exercise/assignment'
import { formatQuantity } from '#core/units/format'
import { CABLE_NAME, FAMILY_NAME } from '#words/names'

/** A circuit on one line, for the head of a table. */
export function circuitLine(circuit: PublicCircuit): string {
  const { cable, device } = circuit
  const residual = circuit.residualA ? `, ${Math.round(circuit.residualA * 1e3)} mA` : ''
  return [
    amountOf(circuit.load) || 'demand of its board',
    `${formatQuantity(circuit.lengthM, 'length')}${circuit.topology === 'ring' ? ' ring' : ''}`,
    `${CABLE_NAME[cable.kind].toLowerCase()}, method ${cable.method}`,
    `${circuit.ambientC} °C`,
    `${circuit.grouping.circuits} together`,
    `${FAMILY_NAME[device.family]}${device.curve ? ` ${device.curve}` : ''}${residual}`,
  ].join(' · ')
}

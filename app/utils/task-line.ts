import type { Task } from '#core/exercise/task'
import { DEVICE_STANDARD } from '#core/regulations/breakers'
import { formatQuantity } from '#core/units/format'
import { CABLE_NAME } from '~/texts/task-facts'

/** A task on one line, for the head of a table. */
export function taskLine(task: Task): string {
  const { load, supply, cable, grouping, device } = task
  const amount = load.basis === 'power' ? `${formatQuantity(load.powerW, 'power')}${load.powerFactor < 1 ? `, cos φ ${load.powerFactor}` : ''}` : formatQuantity(load.currentA, 'current')
  const residual = task.residualA === null ? 'no residual device' : `${task.residualA * 1e3} mA`
  return [
    amount, formatQuantity(task.lengthM, 'length'), `${CABLE_NAME[cable.kind].toLowerCase()}, method ${cable.method}`, `${task.ambientC} °C`,
    `${grouping.circuits} together`, `${supply.arrangement}, Ze ${formatQuantity(supply.zeOhm, 'resistance')}`, `${DEVICE_STANDARD[device.family]} ${device.curve}, ${residual}`,
  ].join(' · ')
}

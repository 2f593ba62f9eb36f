import type { Load } from '../../installation/installation'
import { readBox, readNumber } from './read-box'
import { CIRCUIT_BOXES, type CircuitField } from './fields'
import type { NoteProblem } from './problem'

/** `8 × 18 W`, also written with x or *. */
const LAMPS = /^\s*(\d+)\s*[×x*]\s*(.+)$/i

/** Reads a load from its boxes; problems stand at the box that has them. */
export function readLoad(text: (field: CircuitField) => string, problem: NoteProblem<CircuitField>): Load {
  const number = (field: CircuitField): number => {
    const read = readBox(CIRCUIT_BOXES[field], text(field))
    if (read.problem !== undefined) problem(field, read.problem)
    return Number(read.value ?? Number.NaN)
  }
  const amount = (quantity: 'power' | 'current', range: 'powerW' | 'currentA'): number => {
    const read = readNumber(text('amount'), quantity, range)
    if (read.problem !== undefined) problem('amount', read.problem)
    return Number(read.value ?? Number.NaN)
  }
  switch (text('basis')) {
    case 'current':
      return { basis: 'current', currentA: amount('current', 'currentA'), powerFactor: number('powerFactor') }
    case 'motor':
      return {
        basis: 'motor',
        powerW: amount('power', 'powerW'),
        powerFactor: number('powerFactor'),
        efficiency: number('efficiency'),
        startMultiple: number('startMultiple'),
      }
    case 'cooker':
      return { basis: 'cooker', powerW: amount('power', 'powerW'), hasSocket: text('hasSocket') === 'yes' }
    case 'board':
      return { basis: 'board' }
    case 'lamps':
      return readLamps(text('amount'), text('discharge') === 'yes', problem)
    default:
      return { basis: 'power', powerW: amount('power', 'powerW'), powerFactor: number('powerFactor') }
  }
}

function readLamps(text: string, isDischarge: boolean, problem: NoteProblem<CircuitField>): Load {
  const match = LAMPS.exec(text)
  if (!match) {
    problem('amount', { code: 'lamps' })
    return { basis: 'lamps', count: 1, eachW: 1, isDischarge }
  }
  const count = readNumber(match[1]!, 'factor', 'count', true)
  const each = readNumber(match[2]!, 'power', 'lampW')
  if (count.problem ?? each.problem) problem('amount', (count.problem ?? each.problem)!)
  return { basis: 'lamps', count: Number(count.value), eachW: Number(each.value), isDischarge }
}

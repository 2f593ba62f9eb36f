import { CIRCUIT_BOXES, type CircuitField, type ExerciseForm } from './fields'
import { addCircuit } from './rows'

/** Heads of columns as people write them, for each box; compared without case, points and spaces. */
const HEADS: Readonly<Partial<Record<CircuitField, readonly string[]>>> = {
  name: ['circuit', 'description', 'name'],
  way: ['way', 'no', 'number'],
  line: ['line', 'phase'],
  use: ['use', 'kind'],
  phases: ['phases'],
  topology: ['ring', 'topology', 'shape'],
  basis: ['loadgivenas', 'basis'],
  amount: ['load', 'power', 'current', 'p', 'ib'],
  powerFactor: ['powerfactor', 'pf', 'cosφ', 'cosphi'],
  points: ['points', 'outlets'],
  length: ['length', 'run', 'l'],
  spur: ['spur'],
  cable: ['cable', 'wiring'],
  method: ['method', 'referencemethod'],
  ambient: ['ambient', 'temperature', 'temp'],
  grouped: ['grouped', 'together', 'circuitstogether'],
  family: ['device', 'protection'],
  curve: ['type', 'curve'],
  residual: ['rcd', 'residual', 'iδn'],
  location: ['place', 'location'],
  insulation: ['insulation'],
}

const plain = (text: string): string => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '')

export interface Pasted {
  readonly form: ExerciseForm
  readonly added: number
  /** Heads that belong to no box, as they were written. */
  readonly unknown: readonly string[]
}

/** Is this a table rather than a value: several cells with a head that we know? */
export const isTable = (text: string): boolean => text.includes('\t') && fieldsOf(text).some(Boolean)

function fieldsOf(text: string): (CircuitField | undefined)[] {
  return text
    .split(/\r?\n/, 1)[0]!
    .split('\t')
    .map((head) => {
      const heading = plain(head)
      return (Object.keys(CIRCUIT_BOXES) as CircuitField[]).find(
        (field) => plain(field) === heading || HEADS[field]?.includes(heading),
      )
    })
}

/**
 * Adds the rows of a table copied from a spreadsheet, its columns found by their heads in whatever order. Cells come in as
 * typed and are judged where they land. What the head does not say is filled as in a new circuit.
 */
export function pasteCircuits(form: ExerciseForm, text: string): Pasted {
  const [head, ...rows] = text.split(/\r?\n/).filter((row) => row.trim() !== '')
  const fields = fieldsOf(text)
  const unknown = head!.split('\t').filter((name, i) => !fields[i] && name.trim() !== '')
  let next = form
  for (const row of rows) {
    const cells = row.split('\t')
    const parts = Object.fromEntries(
      fields.flatMap((field, i) =>
        field && cells[i]?.trim() ? [[field, tidy(field, cells[i].trim())]] : [],
      ),
    )
    const added = addCircuit(next, { ...basisFrom(parts), ...parts })
    next = parts.way ? { ...added.form, [`${added.id}.way`]: parts.way } : added.form
  }
  return { form: next, added: rows.length, unknown }
}

/** Choices are found whatever their case, and `30 mA` is `30`. */
function tidy(field: CircuitField, cell: string): string {
  const box = CIRCUIT_BOXES[field]
  if (field === 'residual') return cell.replace(/\s*ma$/i, '')
  if (field === 'topology') return /^(ring|yes|r)$/i.test(cell) ? 'ring' : 'radial'
  if (box.is !== 'choice') return cell
  return box.choices.find((choice) => plain(choice) === plain(cell)) ?? cell
}

/** A load in amperes, or as lamps, says so itself. */
function basisFrom(parts: Partial<Record<CircuitField, string>>): Partial<Record<CircuitField, string>> {
  const { amount } = parts
  if (!amount || parts.basis) return {}
  if (/[×x*]/i.test(amount)) return { basis: 'lamps', use: 'lighting' }
  return /\d\s*a$/i.test(amount) ? { basis: 'current' } : {}
}

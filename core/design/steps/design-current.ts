import type { Load } from '../../installation/installation'
import type { Book } from '../../regulations/book/book'
import { cookerCurrentA, cookerRule, diversityCells } from '../../regulations/book/demand-rules'
import { ruleCell } from '../../regulations/book/rule-tables'
import { SOURCES, type Source } from '../../regulations/source'
import { U0_V, nominalV, type Phases } from '../../regulations/supply'
import { formatNumber } from '../../units/format'
import { stopped, worked, type Derivation } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

/** Ib = P ÷ (U0 × cos φ), over √3 × U for three phases, or by the kind of load, A. */
export const designCurrent: CircuitStep = {
  key: 'ib',
  ...STEP_KINDS.ib,
  kind: 'calculated',
  needs: [],
  cell: ({ load, book }) => cellsOf(load, book),
  derive: ({ load, phases, demandA, book }) => currentOf(load, book, phases, demandA),
}

/** Of the rules for lamps and household cookers. */
function cellsOf(load: Load, book: Book) {
  if (load.basis === 'lamps') return load.isDischarge ? [ruleCell('dischargeFactor')] : []
  if (load.basis !== 'cooker') return []
  const socket = load.hasSocket ? [ruleCell('cookerSocketA')] : []
  return [...diversityCells(book, 'dwelling', 'cooker'), ...socket]
}

function currentOf(load: Load, book: Book, phases: Phases, demandA: number | null): Derivation {
  switch (load.basis) {
    case 'current':
      return load.currentA > 0
        ? asGiven(load.currentA, 'Ib = load current', SOURCES.designCurrent)
        : stopped('load', { value: load.currentA })
    case 'power':
      return fromPower(load.powerW, [['cos φ', load.powerFactor]], phases)
    case 'motor': {
      const factors = [['cos φ', load.powerFactor] as const, ['η', load.efficiency] as const]
      return fromPower(load.powerW, factors, phases)
    }
    case 'lamps':
      return fromLamps(load, book)
    case 'cooker':
      return fromCooker(load, book)
    case 'board':
      return demandA === null
        ? stopped('upstream')
        : asGiven(demandA, 'Ib = demand of the board it feeds', SOURCES.demand)
  }
}

const asGiven = (ampere: number, formula: string, source: Source): Derivation =>
  worked(ampere, formula, `${formatNumber(ampere, 'current')} A`, source)

function fromLamps(
  { count, eachW, isDischarge }: Extract<Load, { basis: 'lamps' }>,
  { values }: Book,
): Derivation {
  const { dischargeFactor } = values.parameters
  const watts = count * eachW * (isDischarge ? dischargeFactor : 1)
  if (!(watts > 0)) return stopped('load', { value: watts })
  const factor = isDischarge ? ` × ${dischargeFactor}` : ''
  const working = `${count} × ${eachW}${factor} ÷ ${U0_V}`
  return worked(watts / U0_V, `Ib = lamps × W${factor} ÷ U0`, working, SOURCES.diversity)
}

function fromCooker({ powerW, hasSocket }: Extract<Load, { basis: 'cooker' }>, book: Book): Derivation {
  const { fullA, share, socketA } = cookerRule(book)
  const full = powerW / U0_V
  if (!(full > 0)) return stopped('load', { value: powerW })
  const [named, added] = hasSocket ? [` + ${socketA} A for the socket`, ` + ${socketA}`] : ['', '']
  const formula = `Ib = ${fullA} A + ${Math.round(share * 100)} % of the rest${named}`
  const working = `${fullA} + ${share} × (${powerW} ÷ ${U0_V} − ${fullA})${added}`
  return worked(cookerCurrentA(book, full, hasSocket), formula, working, SOURCES.diversity)
}

/** The share of the load that is not heat divides, and three phases carry P ÷ (√3 × U). */
function fromPower(
  powerW: number,
  factors: readonly (readonly [string, number])[],
  phases: Phases,
): Derivation {
  if (!(powerW > 0) || factors.some(([, value]) => !(value > 0))) return stopped('load', { value: powerW })
  const used = factors.filter(([, value]) => value !== 1)
  const ib =
    powerW /
    (nominalV(phases) *
      (phases === 3 ? Math.sqrt(3) : 1) *
      used.reduce((product, [, value]) => product * value, 1))
  const below = (names: readonly string[]) => (names.length > 1 ? `(${names.join(' × ')})` : names[0]!)
  return worked(
    ib,
    `Ib = P ÷ ${below([...(phases === 3 ? ['√3', 'U'] : ['U0']), ...used.map(([name]) => name)])}`,
    `${powerW} ÷ ${below([...(phases === 3 ? ['√3'] : []), String(nominalV(phases)), ...used.map(([, value]) => String(value))])}`,
    SOURCES.designCurrent,
  )
}

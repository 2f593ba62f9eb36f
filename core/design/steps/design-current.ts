import type { Load } from '../../installation/installation'
import { DISCHARGE_FACTOR, cookerCurrentA } from '../../regulations/diversity'
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
  derive: ({ load, phases, demandA }) => currentOf(load, phases, demandA),
}

function currentOf(load: Load, phases: Phases, demandA: number | null): Derivation {
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
      return fromLamps(load)
    case 'cooker':
      return fromCooker(load)
    case 'board':
      return demandA === null
        ? stopped('upstream')
        : asGiven(demandA, 'Ib = demand of the board it feeds', SOURCES.demand)
  }
}

const asGiven = (ampere: number, formula: string, source: Source): Derivation =>
  worked(ampere, formula, `${formatNumber(ampere, 'current')} A`, source)

function fromLamps({ count, eachW, isDischarge }: Extract<Load, { basis: 'lamps' }>): Derivation {
  const watts = count * eachW * (isDischarge ? DISCHARGE_FACTOR : 1)
  if (!(watts > 0)) return stopped('load', { value: watts })
  const factor = isDischarge ? ` × ${DISCHARGE_FACTOR}` : ''
  const working = `${count} × ${eachW}${factor} ÷ ${U0_V}`
  return worked(watts / U0_V, `Ib = lamps × W${factor} ÷ U0`, working, SOURCES.diversity)
}

function fromCooker({ powerW, hasSocket }: Extract<Load, { basis: 'cooker' }>): Derivation {
  const full = powerW / U0_V
  if (!(full > 0)) return stopped('load', { value: powerW })
  const [named, added] = hasSocket ? [' + 5 A for the socket', ' + 5'] : ['', '']
  const formula = `Ib = 10 A + 30 % of the rest${named}`
  const working = `10 + 0.3 × (${powerW} ÷ ${U0_V} − 10)${added}`
  return worked(cookerCurrentA(full, hasSocket), formula, working, SOURCES.diversity)
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

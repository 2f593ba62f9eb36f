import type { Load } from '../../installation/installation'
import { DISCHARGE_FACTOR, cookerCurrentA } from '../../regulations/diversity'
import { SOURCES } from '../../regulations/source'
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
      if (!(load.currentA > 0)) return stopped('load', { value: load.currentA })
      return worked(
        load.currentA,
        'Ib = load current',
        `${formatNumber(load.currentA, 'current')} A`,
        SOURCES.designCurrent,
      )
    case 'power':
      return fromPower(load.powerW, [['cos φ', load.powerFactor]], phases)
    case 'motor':
      return fromPower(
        load.powerW,
        [
          ['cos φ', load.powerFactor],
          ['η', load.efficiency],
        ],
        phases,
      )
    case 'lamps': {
      const watts = load.count * load.eachW * (load.isDischarge ? DISCHARGE_FACTOR : 1)
      if (!(watts > 0)) return stopped('load', { value: watts })
      const factor = load.isDischarge ? ` × ${DISCHARGE_FACTOR}` : ''
      return worked(
        watts / U0_V,
        `Ib = lamps × W${factor} ÷ U0`,
        `${load.count} × ${load.eachW}${factor} ÷ ${U0_V}`,
        SOURCES.diversity,
      )
    }
    case 'cooker': {
      const full = load.powerW / U0_V
      if (!(full > 0)) return stopped('load', { value: load.powerW })
      const socket = load.hasSocket ? ' + 5' : ''
      return worked(
        cookerCurrentA(full, load.hasSocket),
        `Ib = 10 A + 30 % of the rest${load.hasSocket ? ' + 5 A for the socket' : ''}`,
        `10 + 0.3 × (${load.powerW} ÷ ${U0_V} − 10)${socket}`,
        SOURCES.diversity,
      )
    }
    case 'board':
      if (demandA === null) return stopped('upstream')
      return worked(
        demandA,
        'Ib = demand of the board it feeds',
        `${formatNumber(demandA, 'current')} A`,
        SOURCES.demand,
      )
  }
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

import { SOURCES } from '../../regulations/source'
import { U0_V } from '../../regulations/supply'
import { formatNumber } from '../../units/format'
import { stopped, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

/**
 * Ipf at the board that a distribution circuit feeds, A, conductors cold: single phase there and back, three
 * phase one way.
 */
export const faultCurrentAtFarBoard: CircuitStep = {
  key: 'ipfEnd',
  ...STEP_KINDS.ipfEnd,
  kind: 'calculated',
  needs: ['csa'],
  appliesTo: ({ use }) => use === 'distribution',
  derive: ({ supply, lengthM, phases, book }, { csa }) => {
    const ohmPerM = book.values.copperOhmPerM[csa!]
    if (ohmPerM === undefined) return stopped('area', { answer: csa! })
    const ways = phases === 3 ? 1 : 2
    const ohm = U0_V / supply.ipfA + ways * ohmPerM * lengthM
    return worked(
      U0_V / ohm,
      `Ipf = U0 ÷ (U0 ÷ Ipf above + ${ways === 2 ? '2 × ' : ''}r1 × L)`,
      `${U0_V} ÷ (${U0_V} ÷ ${formatNumber(supply.ipfA, 'current')} + ${ways === 2 ? '2 × ' : ''}${(ohmPerM * 1e3).toFixed(2)} × ${lengthM} ÷ 1000)`,
      SOURCES.faultCurrent,
    )
  },
}

import { deadState } from '../../bay/behaviour/state'
import { freeEnd } from '../../bay/instruments/setup'
import { SOURCES } from '../../regulations/source'
import { plainly } from '../setup/prepared'
import type { TestKind } from './kind'
import { CONDUCTORS, OHMS, RESISTANCE, higherOrLower, measureContinuity } from './shared'

/** A main bonding conductor, one end off the main earthing terminal; the joints add about 0.05 Ω at most. */
export const bonding: TestKind<'bonding'> = {
  key: 'bonding',
  symbol: 'R bond',
  isDead: true,
  of: 'installation',
  shows: 'r1r2',
  isColumn: false,
  isBasic: false,
  isDiagnostic: false,
  entry: OHMS,
  conditions: ['isolated', 'leadsNulled'],
  relations: ['leads'],
  places: ({ rig }) => {
    const isBonded = (id: string) =>
      rig.wires.some(({ from, to }) => {
        const ends = [from, to]
        return ends.includes(`${id}.E`) && ends.some((ref) => ref.startsWith('met.'))
      })
    return rig.parts
      .filter(({ kind, id }) => kind === 'metalwork' && id !== 'electrode' && isBonded(id))
      .map(({ id }) => ({ point: id, isAsked: true }))
  },
  prepare: (rig, { point }) => {
    const to = `${point}.E`
    const bond = rig.wires.find((wire) => wire.from === to || wire.to === to)
    // Without it the leads go to where it should be, and find the ground between.
    if (!bond) return plainly(deadState(rig), 'met.1', to)
    const end = bond.from === to ? 'to' : 'from'
    const freed = [{ wire: bond.id, end }] as const
    return { state: deadState(rig), setup: { links: [], freed }, at: freeEnd(bond.id, end), to }
  },
  prediction: RESISTANCE,
  fit: { by: 'amount', relative: 0.08, absolute: 0.04 },
  expect: () => ({ source: SOURCES.bonding, working: 'bondingConductor', reasons: CONDUCTORS }),
  usualCause: higherOrLower,
  measure: measureContinuity,
}

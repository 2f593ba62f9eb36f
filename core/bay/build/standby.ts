import type { Intake, Standby } from '../../installation/installation'
import { U0_V } from '../../regulations/supply'
import type { Pole } from '../model/rig'
import type { Conductor, Draft } from './draft'
import { LINE_COLOURS } from './parts'

/**
 * How many times its rated current a source drives into a short circuit: a small generator by its
 * subtransient reactance, an inverter hardly more than it is rated for; common practice, no source.
 */
const FAULT_MULTIPLE: Readonly<Record<Standby['source'], number>> = {
  generator: 4,
  battery: 1.5,
  vehicle: 1.5,
}
const NAME: Readonly<Record<Standby['source'], string>> = {
  generator: 'Generator',
  battery: 'Battery inverter',
  vehicle: 'Vehicle supply',
}
/** Until an inverter has gone over, and until a generator has started, s; common practice, no source. */
const OVER_S: Readonly<Record<Standby['source'], number>> = { generator: 3, battery: 0.5, vehicle: 1 }

/** Of each line, so that a short circuit carries no more than such a source can drive, Ω. */
export const standbyLineOhm = ({ source, powerW }: Standby, phases: 1 | 3): number =>
  U0_V / (FAULT_MULTIPLE[source] * (powerW / phases / U0_V))

/** Standby source and change-over behind the meter; returns the part that feeds what is beyond. */
export function buildStandby(
  draft: Draft,
  { phases }: Pick<Intake, 'phases'>,
  standby: Standby,
  { tail, met }: { readonly tail: Pick<Conductor, 'areaMm2' | 'lengthM'>; readonly met: string },
): string {
  const lines: readonly Pole[] = phases === 1 ? ['L'] : ['L1', 'L2', 'L3']
  const atIntake = { board: null, circuit: null } as const
  const source = draft.part({
    kind: 'standby',
    id: 'standby',
    name: NAME[standby.source],
    ...atIntake,
    source: standby.source,
    phases,
    volt: U0_V,
    lineOhm: standbyLineOhm(standby, phases),
  })
  const changeover = draft.part({
    kind: 'changeover',
    id: 'changeover',
    name: 'Change-over',
    ...atIntake,
    poles: [...lines, 'N'],
    afterS: OVER_S[standby.source],
  })
  const poles = [...lines.map((pole, i) => [pole, LINE_COLOURS[i]!] as const), ['N', 'blue'] as const]
  for (const [pole, colour] of poles) {
    draft.wire(`meter.${pole} out`, `${changeover}.${pole} grid`, { ...tail, colour })
    draft.wire(`${source}.${pole}`, `${changeover}.${pole} standby`, { ...tail, colour })
  }
  draft.wire(`${source}.E`, draft.free(met), { ...tail, colour: 'green-and-yellow' })
  return changeover
}

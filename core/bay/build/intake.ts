import { serviceOf, type Installation } from '../../installation/installation'
import { SOURCE_EARTH_OHM, nominalVoltOf } from '../model/supply'
import { TAILS_MM2, tabulatedCpcMm2 } from '../../regulations/earthing'
import { U0_V } from '../../regulations/supply'
import type { Pole, TerminalRef } from '../model/rig'
import type { Copper } from './copper'
import type { Draft } from './draft'
import { LINE_COLOURS, barPart, metalwork } from './parts'
import { buildStandby } from './standby'

/** Where a board is fed from: the terminals that its tails leave, and its earth. */
export interface Feed {
  readonly lines: readonly (readonly [pole: Pole, from: TerminalRef])[]
  readonly neutral: TerminalRef
  readonly earth: TerminalRef | null
  readonly live: Copper
  readonly earthMm2: number
  readonly lengthM: number
  readonly run: string | null
}

/** No supply impedance is smaller, Ω. */
const LEAST_OHM = 1e-3
const TAILS_M = 1.2
/** A water pipe in the ground; common practice, no source. */
const PIPE_OHM = 20
/** A service of plastic keeps the pipe from the ground, Ω. */
const PLASTIC_PIPE_OHM = 1e6
/** Largest conductor that the bay's own terminals take, mm². */
const LARGEST_MM2 = 35

/**
 * How the given Ze and fault current lie in line, neutral and earth of the supply. Ze is line and earth
 * path together, of TN-C-S the combined conductor among them; of TT the electrode is all of the rest. Where
 * both cannot be, Ze decides: it is what is measured at the bay.
 */
function supplyShares({ arrangement, phases, zeOhm, ipfA }: Installation['intake']) {
  const loopOhm = U0_V / ipfA
  const eachOhm = phases === 1 ? loopOhm / 2 : loopOhm
  if (arrangement === 'TT') return { lineOhm: eachOhm, neutralOhm: eachOhm, earthOhm: 1 }
  const inLoop = arrangement === 'TN-C-S' ? 2 : 1
  const lineOhm = Math.max(LEAST_OHM, Math.min(eachOhm, (zeOhm - LEAST_OHM) / inLoop))
  const earthOhm = Math.max(LEAST_OHM, zeOhm - inLoop * lineOhm)
  return { lineOhm, neutralOhm: arrangement === 'TN-C-S' ? lineOhm : eachOhm, earthOhm }
}

/** Supply, meter, main earthing terminal, and a pipe that is bonded. */
export function buildIntake(draft: Draft, { intake }: Installation): Feed {
  const { arrangement, phases } = intake
  const shares = supplyShares(intake)
  const atIntake = { board: null, circuit: null } as const
  const volt = nominalVoltOf(arrangement)
  draft.part({
    id: 'supply',
    name: 'Supply',
    kind: 'supply',
    ...atIntake,
    arrangement,
    phases,
    volt,
    ...shares,
  })
  draft.part({ id: 'meter', name: 'Meter', kind: 'meter', ...atIntake, phases })
  const met = draft.part(
    barPart({ id: 'met', name: 'Main earthing terminal', board: null, serves: 'E', terminals: 4 }),
  )
  draft.part(metalwork('pipe', 'Water pipe', serviceOf(intake) === 'metal' ? PIPE_OHM : PLASTIC_PIPE_OHM))

  const areaMm2 = Math.min(LARGEST_MM2, TAILS_MM2.get(intake.mainFuseA) ?? 25)
  const earthMm2 = tabulatedCpcMm2(areaMm2)
  const poles: readonly Pole[] = phases === 1 ? ['L'] : ['L1', 'L2', 'L3']
  const tail = { areaMm2, lengthM: TAILS_M }
  poles.forEach((pole, i) =>
    draft.wire(`supply.${pole}`, `meter.${pole} in`, { ...tail, colour: LINE_COLOURS[i]! }),
  )
  draft.wire('supply.N', 'meter.N in', { ...tail, colour: 'blue' })
  const earth = { areaMm2: earthMm2, lengthM: TAILS_M, colour: 'green-and-yellow' } as const
  draft.wire(earthOf(draft, intake, shares.lineOhm), draft.free(met), earth)
  draft.wire(draft.free(met), 'pipe.E', { areaMm2: 10, lengthM: 4, colour: 'green-and-yellow' })
  const side = intake.standby ? buildStandby(draft, intake, intake.standby, { tail, met }) : 'meter'
  return {
    lines: poles.map((pole) => [pole, `${side}.${pole} out`]),
    neutral: `${side}.N out`,
    earth: draft.free(met),
    live: { areaMm2 },
    earthMm2,
    lengthM: TAILS_M,
    run: null,
  }
}

/** The supply's earth terminal; of TT an electrode of the installation's own. */
function earthOf(draft: Draft, intake: Installation['intake'], lineOhm: number): TerminalRef {
  if (intake.arrangement !== 'TT') return 'supply.E'
  const ohm = Math.max(LEAST_OHM, intake.zeOhm - lineOhm - SOURCE_EARTH_OHM)
  return `${draft.part(metalwork('electrode', 'Earth electrode', ohm))}.E`
}

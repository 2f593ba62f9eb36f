import type { Installation } from '../../installation/installation'
import { SOURCE_EARTH_OHM, nominalVoltOf } from '../model/supply'
import { TAILS_MM2, tabulatedCpcMm2 } from '../../regulations/earthing'
import { U0_V } from '../../regulations/supply'
import type { Colour, Pole, TerminalRef } from '../model/rig'
import type { Draft } from './draft'

/** Where a board is fed from: the terminals that its tails leave, and its earth. */
export interface Feed {
  readonly lines: readonly (readonly [pole: Pole, from: TerminalRef])[]
  readonly neutral: TerminalRef
  readonly earth: TerminalRef | null
  readonly areaMm2: number
  readonly earthMm2: number
  readonly lengthM: number
  readonly run: string | null
}

export const LINE_COLOURS: readonly Colour[] = ['brown', 'black', 'grey']
/** No supply impedance is smaller, Ω. */
const LEAST_OHM = 1e-3
const TAILS_M = 1.2
/** A water pipe in the ground; common practice, no source. */
const PIPE_OHM = 20
/** Where the earth is an electrode, a bonded pipe that reached the ground would decide Zs: it comes in as plastic unless a task says otherwise, Ω. */
const PLASTIC_PIPE_OHM = 1e6
/** Largest conductor that the bay's own terminals take, mm². */
const LARGEST_MM2 = 35

/**
 * How the given Ze and fault current lie in line, neutral and earth of the supply. Ze is line and earth path together, of
 * TN-C-S the combined conductor among them; of TT the electrode is all of the rest. Where both cannot be, Ze decides: it
 * is what is measured at the bay.
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
  draft.part({
    id: 'supply',
    name: 'Supply',
    kind: 'supply',
    board: null,
    circuit: null,
    arrangement,
    phases,
    volt: nominalVoltOf(arrangement),
    ...shares,
  })
  draft.part({ id: 'meter', name: 'Meter', kind: 'meter', board: null, circuit: null, phases })
  const met = draft.part({
    id: 'met',
    name: 'Main earthing terminal',
    kind: 'bar',
    serves: 'E',
    board: null,
    circuit: null,
    terminals: 4,
  })
  draft.part({
    id: 'pipe',
    name: 'Water pipe',
    kind: 'metalwork',
    board: null,
    circuit: null,
    toEarthOhm: arrangement === 'TT' ? PLASTIC_PIPE_OHM : PIPE_OHM,
  })

  const tailsMm2 = Math.min(LARGEST_MM2, TAILS_MM2.get(intake.mainFuseA) ?? 25)
  const earthMm2 = tabulatedCpcMm2(tailsMm2)
  const poles: readonly Pole[] = phases === 1 ? ['L'] : ['L1', 'L2', 'L3']
  poles.forEach((pole, i) =>
    draft.wire(`supply.${pole}`, `meter.${pole} in`, tailsMm2, TAILS_M, LINE_COLOURS[i]!),
  )
  draft.wire('supply.N', 'meter.N in', tailsMm2, TAILS_M, 'blue')
  if (arrangement === 'TT') {
    draft.part({
      id: 'electrode',
      name: 'Earth electrode',
      kind: 'metalwork',
      board: null,
      circuit: null,
      toEarthOhm: Math.max(LEAST_OHM, intake.zeOhm - shares.lineOhm - SOURCE_EARTH_OHM),
    })
    draft.wire('electrode.E', draft.free(met), earthMm2, TAILS_M, 'green-and-yellow')
  } else draft.wire('supply.E', draft.free(met), earthMm2, TAILS_M, 'green-and-yellow')
  draft.wire(draft.free(met), 'pipe.E', 10, 4, 'green-and-yellow')
  return {
    lines: poles.map((pole) => [pole, `meter.${pole} out`]),
    neutral: 'meter.N out',
    earth: draft.free(met),
    areaMm2: tailsMm2,
    earthMm2,
    lengthM: TAILS_M,
    run: null,
  }
}

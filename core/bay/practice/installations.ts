import { referenceDesign } from '../../design/reference'
import type { Board, Circuit, Installation, Intake } from '../../installation/installation'
import { buildRig } from '../build/build'
import type { Rig } from '../model/rig'

const INTAKE: Intake = {
  arrangement: 'TN-C-S',
  phases: 1,
  zeOhm: 0.28,
  ipfA: 1600,
  mainFuseA: 100,
  neutralMm2: 25,
}
const BOARD: Board = { id: 'b1', name: 'Practice board', phases: 1, ways: 6, fedBy: null, electrodeOhm: null }

/** A circuit of a practice bay; what is left out is a plain radial in flat cable behind a shared RCD. */
export function practiceCircuit(
  parts: Partial<Circuit> & Pick<Circuit, 'id' | 'name' | 'way' | 'use' | 'load'>,
): Circuit {
  return {
    board: 'b1',
    line: 'L1',
    phases: 1,
    topology: 'radial',
    points: 1,
    isSpread: true,
    lengthM: 14,
    spurM: 0,
    spurs: 0,
    fusedSpurs: 0,
    cable: { kind: 'flat-twin-earth', method: 'C' },
    run: { betweenBoxesM: 5, bends: 1 },
    ambientC: 30,
    grouping: { circuits: 1, arrangement: 'bunched' },
    insulationMm: 0,
    location: 'general',
    concealed: false,
    dc: 'none',
    device: { family: 'breaker', curve: 'B' },
    residualA: 0.03,
    existing: null,
    ...parts,
  }
}

export const practiceInstallation = (
  circuits: readonly Circuit[],
  { intake, board }: { intake?: Partial<Intake>; board?: Partial<Board> } = {},
): Installation => ({
  premises: 'industrial',
  consequence: 'none',
  intake: { ...INTAKE, ...intake },
  boards: [{ ...BOARD, ...board }],
  circuits,
})

/** The bay of such an installation; practice bays always have a design. */
export function practiceRig(name: string, installation: Installation): Rig {
  const rig = buildRig(
    installation,
    referenceDesign(installation, { edition: '18-A2', measuredZs: 'eighty-percent', warmDrop: 'tabulated' }),
    name,
  )
  if (!rig) throw new Error(`the practice bay ${name} has no design`)
  return rig
}

export const sockets = (parts: Partial<Circuit> = {}): Circuit =>
  practiceCircuit({
    id: 'c1',
    name: 'Workshop sockets',
    way: 1,
    use: 'sockets',
    load: { basis: 'current', currentA: 16, powerFactor: 1 },
    points: 2,
    ...parts,
  })
export const lights = (parts: Partial<Circuit> = {}): Circuit =>
  practiceCircuit({
    id: 'c2',
    name: 'Pit lighting',
    way: 2,
    use: 'lighting',
    load: { basis: 'lamps', count: 2, eachW: 100, isDischarge: false },
    points: 2,
    ...parts,
  })

/** A lathe on three lines, behind a breaker that lets it start. */
export const lathe = (parts: Partial<Circuit> = {}): Circuit =>
  practiceCircuit({
    id: 'c1',
    name: 'Wheel lathe',
    way: 1,
    use: 'motor',
    phases: 3,
    cable: { kind: 'multicore', method: 'C' },
    load: { basis: 'motor', powerW: 4000, powerFactor: 0.82, efficiency: 0.86, startMultiple: 6 },
    isSpread: false,
    device: { family: 'breaker', curve: 'C' },
    residualA: null,
    ...parts,
  })
/** What feeds a board with three lines. */
export const THREE_LINES: Partial<Intake> = { arrangement: 'TN-S', phases: 3, ipfA: 3000 }

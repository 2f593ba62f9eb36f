import fc from 'fast-check'
import { CIRCUIT_STEP_KEYS, BOARD_STEP_KEYS } from '#core/design/model/step-keys'
import { DEFAULT_POLICY } from '#core/policies/policy'
import type { Assignment } from '#core/exercise/assignment'
import { CIRCUIT_TEMPLATES, NEW_CIRCUIT } from '#core/exercise/form/rows'
import { readForm } from '#core/exercise/form/read-form'
import { prefixed, toForm } from '#core/exercise/form/to-form'
import type { Circuit } from '#core/installation/installation'
import { EDITIONS } from '#core/regulations/editions'
import { aBoard, anExercise, anInstallation } from './task'

/** A circuit from one of the builder's own templates. */
function fromTemplate(name: keyof typeof CIRCUIT_TEMPLATES): Circuit {
  const form: Record<string, string> = {
    ...toForm(anExercise()),
    ...prefixed('c1', { ...NEW_CIRCUIT, ...CIRCUIT_TEMPLATES[name] }),
    boards: 'b1',
    ...prefixed('b1', { name: 'B', phases: '3', ways: '24', fedBy: '', electrode: '' }),
    phases: '3',
  }
  const { installation } = readForm(
    {
      ...form,
      'c1.basis': form['c1.basis'] === 'board' ? 'current' : form['c1.basis']!,
      'c1.amount': form['c1.amount'] || '10 A',
      'c1.use': form['c1.use'] === 'distribution' ? 'fixed' : form['c1.use']!,
    },
    DEFAULT_POLICY,
  )
  return installation!.circuits[0]!
}
const FINALS = (Object.keys(CIRCUIT_TEMPLATES) as (keyof typeof CIRCUIT_TEMPLATES)[])
  .filter((name) => name !== 'Feed to a board')
  .map(fromTemplate)
const FEED: Circuit = { ...fromTemplate('Feed to a board'), use: 'distribution', load: { basis: 'board' } }

/**
 * Boards as a workshop sets them: a three-phase board with some of every kind of circuit, and a second board
 * behind a feed, TN or TT.
 */
export const boards: fc.Arbitrary<Assignment> = fc
  .record({
    picks: fc.array(fc.nat(FINALS.length - 1), { minLength: 1, maxLength: 5 }),
    behind: fc.array(fc.nat(FINALS.length - 1), { minLength: 1, maxLength: 3 }),
    stretch: fc.double({ min: 0.4, max: 1.5, noNaN: true }),
    electrodeOhm: fc.constantFrom(null, 60, 150),
    arrangement: fc.constantFrom('TN-S' as const, 'TN-C-S' as const),
    edition: fc.constantFrom(...EDITIONS),
    warmDrop: fc.constantFrom('tabulated' as const, 'corrected' as const),
    followShare: fc.constantFrom(1, 0.5, 0),
  })
  .map((r): Assignment => {
    const circuit = (pick: number, i: number, board: string): Circuit => ({
      ...FINALS[pick]!,
      id: `${board}c${i}`,
      name: `Circuit ${i}`,
      board,
      way: i + 1,
      line: (['L1', 'L2', 'L3'] as const)[i % 3]!,
      lengthM: Number((FINALS[pick]!.lengthM * r.stretch).toFixed(1)),
    })
    const circuits = [
      ...r.picks.map((pick, i) => circuit(pick, i, 'b1')),
      { ...FEED, id: 'f1', name: 'Feed', board: 'b1', way: 24, phases: 3 as const, lengthM: 20 * r.stretch },
      ...r.behind.map((pick, i) => circuit(pick, i, 'b2')),
    ]
    return {
      edition: r.edition,
      policy: { ...DEFAULT_POLICY, warmDrop: r.warmDrop, followShare: r.followShare },
      marks: {},
      critical: [],
      tests: null,
      asks: { circuits: circuits.map(({ id }) => id), steps: [...CIRCUIT_STEP_KEYS, ...BOARD_STEP_KEYS] },
      installation: anInstallation({
        intake: {
          arrangement: r.arrangement,
          phases: 3,
          zeOhm: 0.25,
          ipfA: 3200,
          mainFuseA: 100,
          neutralMm2: 25,
        },
        boards: [
          aBoard({ phases: 3, ways: 24 }),
          aBoard({
            id: 'b2',
            name: 'Second',
            phases: 3,
            ways: 12,
            fedBy: 'f1',
            electrodeOhm: r.electrodeOhm,
          }),
        ],
        circuits,
      }),
    }
  })

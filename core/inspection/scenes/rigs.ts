import {
  THREE_LINES,
  lathe,
  lights,
  practiceCircuit,
  practiceInstallation,
  practiceRig,
  sockets,
} from '../../bay/practice/installations'
import type { Circuit } from '../../installation/installation'
import type { Rig } from '../../bay/model/rig'

const RCBO = { device: { family: 'rcbo', curve: 'B' } } as const

/** Circuits as a small workshop has them, by way; the ring is the biggest. */
const circuits = (parts: Partial<Circuit>): Circuit[] => [
  sockets({
    ...parts,
    id: 'c1',
    way: 1,
    name: 'Bench sockets',
    topology: 'ring',
    points: 6,
    lengthM: 44,
    load: { basis: 'current', currentA: 26, powerFactor: 1 },
  }),
  lights({ ...parts, id: 'c2', way: 2, name: 'Pit lighting' }),
  sockets({ ...parts, id: 'c3', way: 3, name: 'Drying room' }),
  lights({ ...parts, id: 'c4', way: 4, name: 'Yard lamps', points: 1 }),
  sockets({ ...parts, id: 'c5', way: 6, name: 'Compressor' }),
]

const withWays = (ways: number, own: Partial<Circuit>): Rig =>
  practiceRig('Workshop board', practiceInstallation(circuits(own), { board: { ways } }))

const once = <T>(make: () => T): (() => T) => {
  let kept: T | undefined
  return () => (kept ??= make())
}

/** A battery on a way of its own: what stands between it and the grid is fed from both ends. */
const withBattery = (): Rig =>
  practiceRig(
    'Workshop board',
    practiceInstallation(
      [
        ...circuits(RCBO),
        practiceCircuit({
          ...RCBO,
          id: 'c6',
          name: 'Battery',
          way: 7,
          use: 'fixed',
          load: { basis: 'power', powerW: 3000, powerFactor: 1 },
          isSpread: false,
          infeed: 'battery',
        }),
      ],
      { board: { ways: 8 } },
    ),
  )

/** Boards to look at: two sections behind RCDs, and each circuit behind its own. */
export const SCENE_RIGS: readonly (() => Rig)[] = [
  once(() => withWays(8, {})),
  once(() => withWays(8, RCBO)),
  once(withBattery),
]

/** A board with three lines: a motor over all of them, the rest one line each. */
export const THREE_PHASE_RIG = once(() =>
  practiceRig(
    'Workshop board',
    practiceInstallation(
      [
        lathe(),
        lights({ id: 'c2', way: 2, line: 'L1', name: 'Pit lighting', residualA: null }),
        lights({ id: 'c3', way: 2, line: 'L2', name: 'Yard lamps', points: 1, residualA: null }),
        sockets({ ...RCBO, id: 'c4', way: 3, line: 'L2', name: 'Bench sockets' }),
        sockets({ ...RCBO, id: 'c5', way: 3, line: 'L3', name: 'Compressor' }),
      ],
      { intake: THREE_LINES, board: { phases: 3, ways: 3 } },
    ),
  ),
)

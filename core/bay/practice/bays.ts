import type { Rig } from '../model/rig'
import { batteryBoard, threeSwitches } from './hand-made'
import { lights, practiceCircuit, practiceInstallation, practiceRig, sockets } from './installations'

/** A bay to practise on, belonging to no exercise. */
export interface PracticeBay {
  readonly code: string
  readonly title: string
  readonly about: string
  readonly rig: () => Rig
}

const RCBO = { device: { family: 'rcbo', curve: 'B' } } as const
const lamp = (line: 'L1' | 'L2' | 'L3', way: number, eachW: number) =>
  lights({
    id: `c${way}`,
    name: `Lamps on ${line}`,
    way: 1,
    line,
    residualA: null,
    points: 1,
    load: { basis: 'lamps', count: 1, eachW, isDischarge: false },
  })

export const PRACTICE_BAYS: readonly PracticeBay[] = [
  {
    code: 'split',
    title: 'Split board: sockets and pit lighting',
    about: 'Two RCDs, each with a neutral bar of its own.',
    rig: () => practiceRig('Split board', practiceInstallation([sockets(), lights()])),
  },
  {
    code: 'heaters',
    title: 'Split board with heaters',
    about: 'Two socket circuits share one RCD, the lighting has the other.',
    rig: () =>
      practiceRig(
        'Split board with heaters',
        practiceInstallation([sockets(), lights(), sockets({ id: 'c3', name: 'Drying room', way: 3 })]),
      ),
  },
  {
    code: 'ring',
    title: 'Ring of six sockets and five lamps',
    about: 'Large enough to look for faults: halving pays.',
    rig: () =>
      practiceRig(
        'Ring and lamps',
        practiceInstallation([
          sockets({
            topology: 'ring',
            points: 6,
            lengthM: 44,
            load: { basis: 'current', currentA: 26, powerFactor: 1 },
          }),
          lights({
            points: 5,
            lengthM: 24,
            load: { basis: 'lamps', count: 5, eachW: 60, isDischarge: false },
          }),
        ]),
      ),
  },
  {
    code: 'own',
    title: 'Board of RCBOs',
    about: 'Every circuit has its own RCD.',
    rig: () =>
      practiceRig(
        'Board of RCBOs',
        practiceInstallation([
          sockets(RCBO),
          lights(RCBO),
          sockets({ id: 'c3', name: 'Drying room', way: 3, ...RCBO }),
        ]),
      ),
  },
  {
    code: 'plain',
    title: 'Two lighting circuits without RCD',
    about: 'An older board, to see what a borrowed neutral does where nothing trips.',
    rig: () =>
      practiceRig(
        'Two lighting circuits',
        practiceInstallation([
          lights({ id: 'c1', name: 'Pit lighting', way: 1, points: 1, residualA: null }),
          lights({ id: 'c2', name: 'Stair lighting', way: 2, points: 1, residualA: null }),
        ]),
      ),
  },
  {
    code: 'switches',
    title: 'One lamp from three switches',
    about: 'Two-way, intermediate, two-way.',
    rig: threeSwitches,
  },
  {
    code: 'three',
    title: 'Three-phase board with unequal lamps',
    about: 'One lamp on each line, and one neutral for all.',
    rig: () =>
      practiceRig(
        'Three-phase board',
        practiceInstallation([lamp('L1', 1, 500), lamp('L2', 2, 300), lamp('L3', 3, 60)], {
          intake: { arrangement: 'TN-S', phases: 3, ipfA: 3000 },
          board: { phases: 3 },
        }),
      ),
  },
  {
    code: 'motor',
    title: 'Three-phase motor',
    about: 'A wheel lathe behind its isolator.',
    rig: () =>
      practiceRig(
        'Three-phase motor',
        practiceInstallation(
          [
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
            }),
          ],
          { intake: { arrangement: 'TN-S', phases: 3, ipfA: 3000 }, board: { phases: 3 } },
        ),
      ),
  },
  {
    code: 'battery',
    title: 'Battery board, direct current',
    about: 'A two-pole breaker whose poles are marked +.',
    rig: batteryBoard,
  },
]

export const practiceBay = (code: string): PracticeBay | undefined =>
  PRACTICE_BAYS.find((bay) => bay.code === code)

import type { Rig } from '../model/rig'
import { benchBoard } from './bench-board'
import { batteryBoard, threeSwitches } from './hand-made'
import { withSharedNeutral } from './shared-neutral'
import { THREE_LINES, lathe, lights, practiceInstallation, practiceRig, sockets } from './installations'

/** A bay to practise on, belonging to no exercise; named in words/practice.ts. */
export interface PracticeBay {
  readonly code: string
  readonly rig: () => Rig
  /** It begins with an empty enclosure and a box of parts. */
  readonly isBare?: boolean
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

/** A lamp on each line of a three-phase board, behind single-pole breakers. */
const threeLamps = (): Rig =>
  practiceRig(
    'Three-phase board',
    practiceInstallation([lamp('L1', 1, 500), lamp('L2', 2, 300), lamp('L3', 3, 60)], {
      intake: THREE_LINES,
      board: { phases: 3 },
    }),
  )

const BAYS = [
  { code: 'split', rig: () => practiceRig('Split board', practiceInstallation([sockets(), lights()])) },
  {
    code: 'heaters',
    rig: () =>
      practiceRig(
        'Split board with heaters',
        practiceInstallation([sockets(), lights(), sockets({ id: 'c3', name: 'Drying room', way: 3 })]),
      ),
  },
  {
    code: 'ring',
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
    rig: () =>
      practiceRig(
        'Two lighting circuits',
        practiceInstallation([
          lights({ id: 'c1', name: 'Pit lighting', way: 1, points: 1, residualA: null }),
          lights({ id: 'c2', name: 'Stair lighting', way: 2, points: 1, residualA: null }),
        ]),
      ),
  },
  { code: 'switches', rig: threeSwitches },
  { code: 'three', rig: threeLamps },
  { code: 'shared', rig: () => withSharedNeutral(threeLamps()) },
  {
    code: 'motor',
    rig: () =>
      practiceRig(
        'Three-phase motor',
        practiceInstallation([lathe()], { intake: THREE_LINES, board: { phases: 3 } }),
      ),
  },
  { code: 'battery', rig: batteryBoard },
  { code: 'bench', rig: benchBoard, isBare: true },
] as const satisfies readonly PracticeBay[]

export type PracticeBayCode = (typeof BAYS)[number]['code']
export const PRACTICE_BAYS: readonly (PracticeBay & { readonly code: PracticeBayCode })[] = BAYS

export const practiceBay = (code: string): (typeof PRACTICE_BAYS)[number] | undefined =>
  PRACTICE_BAYS.find((bay) => bay.code === code)

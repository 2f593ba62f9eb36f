import { changePart } from '../../../bay/faults/edit'
import type { DevicePart } from '../../../bay/model/rig'
import type { Level } from '../../../policies/isolation'
import type { World } from '../world'
import { borrowed, threeSingles, twoInOneBox } from './altered-rigs'
import { lathe, olderBoard, pick, trueChart, workshop, worldOf, type Random } from './places'

/** A scenario: what its title says to everybody, and the world that it makes of a random source. */
export interface Scenario {
  readonly code: string
  readonly title: string
  readonly level: Level
  readonly make: (random: Random) => World
}

const SOCKET_JOB = 'A socket in the workshop has a cracked plate. Please replace it.'

export const SCENARIOS: readonly Scenario[] = [
  {
    code: 'bench',
    title: 'A cracked socket at the bench',
    level: 'first-weeks',
    make: () =>
      worldOf({
        rig: workshop(),
        point: 'c1p1',
        level: 'first-weeks',
        job: SOCKET_JOB,
        answers: answers({ where: 'The label says bench sockets; we had it tested last month.' }),
        secret: 'Everything was as written.',
      }),
  },
  {
    code: 'store',
    title: 'A socket in the store',
    level: 'first',
    make: () =>
      worldOf({
        rig: workshop(),
        point: 'c3p1',
        job: 'The socket in the store is loose. Please put it right.',
        chart: { b1w1: 'Sockets', b1w2: 'Lights', b1w3: 'Sockets' },
        answers: answers({
          where: 'When the kettle at the bench trips, it is the first one. So mine should be the other.',
        }),
        secret:
          'Two ways are called “Sockets”. Only the person who works there knew which is which; the dead test shows the rest.',
      }),
  },
  {
    code: 'bay-end',
    title: 'The socket at the end of the bay',
    level: 'first',
    make: () =>
      worldOf({
        rig: workshop(),
        point: 'c3p2',
        job: SOCKET_JOB,
        chart: { b1w1: 'Store sockets', b1w2: 'Pit lighting', b1w3: 'Bench sockets' },
        answers: answers({ else: 'My charger is on the same ones, I think. I unplugged it.' }),
        secret: 'The labels of ways 1 and 3 were swapped.',
      }),
  },
  {
    code: 'stores-desk',
    title: 'The socket at the stores desk',
    level: 'first',
    make: (random) => {
      const rig = workshop()
      const spare = pick(random, ['Stores desk', 'Stores desk and window'])
      return worldOf({
        rig,
        point: 'c3p1',
        job: 'The socket at my desk in the stores sparks. Please have a look.',
        chart: { ...trueChart(rig), b1w3: '', b1w2: spare },
        answers: answers({ where: 'It says so on the board.' }),
        secret:
          'The name stood at the wrong way: what is written there feeds the pit lighting, and the real one had no label.',
      })
    },
  },
  {
    code: 'joint-box',
    title: 'A joint box behind the bench',
    level: 'second',
    make: () =>
      worldOf({
        rig: twoInOneBox(workshop()),
        point: 'box',
        level: 'second',
        job: 'The lid of the joint box behind the bench is broken. Please make the joints anew.',
        answers: answers({ where: 'It belongs to the bench sockets.' }),
        secret: 'The line of the store sockets passes through the same box: dead outside, live at one joint.',
      }),
  },
  {
    code: 'lamp-check',
    title: 'A socket beside the wash basin',
    level: 'first',
    make: () =>
      worldOf({
        rig: workshop(),
        point: 'c1p2',
        job: SOCKET_JOB,
        surprises: [{ kind: 'battery' }],
        secret:
          'The battery of the indicator died between the first test and the dead test. Only the second proof shows it.',
      }),
  },
  {
    code: 'busy-shop',
    title: 'A socket on a busy morning',
    level: 'first',
    make: () =>
      worldOf({
        rig: workshop(),
        point: 'c1p1',
        job: SOCKET_JOB,
        surprises: [{ kind: 'reset' }],
        answers: answers({ else: 'Everybody is at work today. They will wonder if something goes off.' }),
        secret: 'Somebody switches on again whatever is off and not locked.',
      }),
  },
  {
    code: 'pit-lamp',
    title: 'The lamp in the pit',
    level: 'second',
    make: () => {
      const rig = borrowed(olderBoard())
      const on = worldOf({
        rig,
        point: 'c1p1',
        level: 'second',
        job: 'The lampholder in the pit is burnt. Please replace it.',
        surprises: [
          { kind: 'switchedOn', part: 'c2p0', says: 'Somebody goes up the stair and turns the light on.' },
        ],
        secret:
          'The stair lamp returns over the neutral of the pit lighting. Dead at first; the disconnected neutral is live as soon as the stair light is on.',
      })
      return { ...on, state: { ...on.state, thrown: { ...on.state.thrown, c2p0: false } } }
    },
  },
  {
    code: 'store-heater',
    title: 'A socket while the others work',
    level: 'second',
    make: () => {
      const world = worldOf({
        rig: workshop(),
        point: 'c1p1',
        level: 'second',
        job: 'The socket at the bench is worn out. The heater in the store must go on.',
        surprises: [{ kind: 'neutralTouchesEarth' }],
        answers: answers({ else: 'The heater in the store is on the same RCD. It must stay on.' }),
        secret:
          'Parted neutral and earth touch: load current of the others goes by earth, and the RCD trips for all of them.',
      })
      return { ...world, state: { ...world.state, inUse: { ...world.state.inUse, c3p1: true } } }
    },
  },
  {
    code: 'wheel-lathe',
    title: 'The isolator of the wheel lathe',
    level: 'second',
    make: () =>
      worldOf({
        rig: threeSingles(lathe()),
        point: 'c1p0',
        phases: 3,
        level: 'second',
        job: 'The isolating switch of the wheel lathe is stiff. Please replace it.',
        chart: { b1w1s1: 'Wheel lathe', b1w1s2: '', b1w1s3: '' },
        answers: answers({
          what: 'The rotary switch at the lathe.',
          where: 'The breaker called wheel lathe.',
        }),
        secret: 'The triple-pole breaker had been replaced by three singles: switching one leaves two lines.',
      }),
  },
  {
    code: 'whole-board',
    title: 'Work behind the main switch',
    level: 'second',
    make: () =>
      worldOf({
        rig: changePart<DevicePart>(workshop(), 'b1main', { solid: ['L'] }),
        point: 'c1p1',
        level: 'second',
        job: 'Everything may go off. Please isolate the whole board for the socket at the bench.',
        answers: answers({
          else: 'All of it may go off until noon.',
          where: 'Use the main switch, everybody knows.',
        }),
        secret: 'One pole of the main switch is welded: its lever is down and the line is still there.',
      }),
  },
  {
    code: 'charger-room',
    title: 'The charger room',
    level: 'second',
    make: () =>
      worldOf({
        rig: workshop(),
        point: 'c3p1',
        level: 'second',
        needsPermit: true,
        job: 'A socket in the charger room is loose. The fans must not stop.',
        answers: answers({
          permit: 'Yes. Nothing is switched in the charger room without a permit.',
          else: 'The fans hang on the bench sockets. They must stay on.',
          where: 'Third from the left, I was there when it was put in.',
        }),
        secret: 'A site with permits: the supply of the fans must stay on.',
      }),
  },
  {
    code: 'two-trades',
    title: 'A socket, and the fitter next to it',
    level: 'second',
    make: () =>
      worldOf({
        rig: workshop(),
        point: 'c3p1',
        level: 'second',
        job: 'The socket in the store is loose. The fitter works on the same circuit.',
        surprises: [{ kind: 'secondLock', device: 'b1w3' }],
        answers: answers({ else: 'The fitter has his own lock on it.' }),
        secret: 'A second padlock hung on the hasp: its owner was still at work.',
      }),
  },
]

function answers(parts: Partial<World['answers']>): World['answers'] {
  return {
    what: 'The one with the cracked plate. I marked it with tape.',
    where: 'I never touch that board. It should be written on it.',
    else: 'Nothing that I know of. Go ahead.',
    permit: 'No, we have no permits here. Just tell me.',
    ...parts,
  }
}

export const scenario = (code: string): Scenario | undefined => SCENARIOS.find((one) => one.code === code)

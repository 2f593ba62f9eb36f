import { changePart } from '../../../bay/faults/edit'
import type { DevicePart } from '../../../bay/model/rig'
import type { Level } from '../../../policies/isolation'
import type { World } from '../world'
import { backedUp, borrowed, threeSingles, twoInOneBox } from './altered-rigs'
import { lathe, olderBoard, pick, trueChart, workshop, worldOf, type Random } from './places'

/** The world that a scenario makes of a random source. What people say in it stands in words/scenarios.ts. */
export interface Scenario {
  readonly level: Level
  readonly make: (random: Random) => Omit<World, 'level'>
}

const at = (point: string, parts: Partial<World> = {}) => worldOf({ rig: workshop(), point, ...parts })

const SCENARIOS_BY_CODE = {
  bench: { level: 'first-weeks', make: () => at('c1p1') },
  store: {
    level: 'first',
    make: () => at('c3p1', { chart: { b1w1: 'Sockets', b1w2: 'Lights', b1w3: 'Sockets' } }),
  },
  'bay-end': {
    level: 'first',
    make: () => at('c3p2', { chart: { b1w1: 'Store sockets', b1w2: 'Pit lighting', b1w3: 'Bench sockets' } }),
  },
  'stores-desk': {
    level: 'first',
    make: (random) => {
      const elsewhere = pick(random, ['Stores desk', 'Stores desk and window'])
      return at('c3p1', { chart: { ...trueChart(workshop()), b1w3: '', b1w2: elsewhere } })
    },
  },
  'joint-box': { level: 'second', make: () => at('box', { rig: twoInOneBox(workshop()) }) },
  'lamp-check': { level: 'first', make: () => at('c1p2', { surprises: [{ kind: 'battery' }] }) },
  'busy-shop': { level: 'first', make: () => at('c1p1', { surprises: [{ kind: 'reset' }] }) },
  'pit-lamp': {
    level: 'second',
    make: () => {
      const dark = at('c1p1', {
        rig: borrowed(olderBoard()),
        surprises: [{ kind: 'switchedOn', part: 'c2p0' }],
      })
      return { ...dark, state: { ...dark.state, thrown: { ...dark.state.thrown, c2p0: false } } }
    },
  },
  'store-heater': {
    level: 'second',
    make: () => {
      const world = at('c1p1', { surprises: [{ kind: 'neutralTouchesEarth' }] })
      return { ...world, state: { ...world.state, inUse: { ...world.state.inUse, c3p1: true } } }
    },
  },
  'wheel-lathe': {
    level: 'second',
    make: () =>
      at('c1p0', {
        rig: threeSingles(lathe()),
        phases: 3,
        chart: { b1w1s1: 'Wheel lathe', b1w1s2: '', b1w1s3: '' },
      }),
  },
  'whole-board': {
    level: 'second',
    make: () => at('c1p1', { rig: changePart<DevicePart>(workshop(), 'b1main', { solid: ['L'] }) }),
  },
  'charger-room': { level: 'second', make: () => at('c3p1', { needsPermit: true }) },
  'two-trades': {
    level: 'second',
    make: () => at('c3p1', { surprises: [{ kind: 'secondLock', device: 'b1w3' }] }),
  },
  'backup-battery': { level: 'second', make: () => at('c3p1', { rig: backedUp(workshop()) }) },
  'two-hands': { level: 'second', make: () => at('c1p1', { workers: 2 }) },
} as const satisfies Record<string, Scenario>

export type ScenarioCode = keyof typeof SCENARIOS_BY_CODE
/** In the order in which they are offered. */
export const SCENARIO_CODES = Object.keys(SCENARIOS_BY_CODE) as readonly ScenarioCode[]

export const isScenario = (code: string): code is ScenarioCode => Object.hasOwn(SCENARIOS_BY_CODE, code)

export const levelOf = (code: ScenarioCode): Level => SCENARIOS_BY_CODE[code].level

export function makeWorld(code: ScenarioCode, random: Random): World {
  const { level, make }: Scenario = SCENARIOS_BY_CODE[code]
  return { ...make(random), level }
}

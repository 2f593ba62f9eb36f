import type { SocketVerdict } from '../../bay/instruments/voltage'
import type { BayState } from '../../bay/behaviour/state'
import type { Touched } from '../../bay/behaviour/touch'
import type { Rig } from '../../bay/model/rig'
import type { Act, Indicator, Place } from '../model/act'
import { saysScript, type Line } from './line'
import type { World } from './world'

/** What an indicator without pairs shows: as a socket tester, lit at something else, or a glow. */
export type Says = SocketVerdict | 'lit' | 'glows' | 'noGlow'

/** What a test showed: each pair with the highest lamp, V. */
export interface Shown {
  readonly indicator: Indicator
  readonly pairs: readonly { readonly name: string; readonly volt: number }[]
  /** Of a plug-in indicator or a non-contact detector, which have no pairs. */
  readonly says?: Says
}

export interface TrainerState {
  readonly world: World
  readonly rig: Rig
  readonly bay: BayState
  readonly place: Place
  readonly indicator: Indicator | null
  readonly isIndicatorWorking: boolean
  /** Own locks, by device. */
  readonly locks: readonly string[]
  /** The device on which somebody else's padlock hangs as soon as it is off; null where none does. */
  readonly othersLock: string | null
  /** Hasps, by device: several padlocks hang on one. */
  readonly hasps: readonly string[]
  readonly notices: readonly string[]
  readonly chartRead: boolean
  readonly isOpen: boolean
  readonly isParted: boolean
  readonly isTaped: boolean
  readonly hasPermit: boolean
  readonly hasSwitchedOff: boolean
  readonly acts: readonly Act[]
  readonly lines: readonly Line[]
  readonly shown: Shown | null
  /** Touches that mattered, with the act they belong to. */
  readonly touches: readonly { readonly act: number; readonly touched: Touched }[]
  readonly clockS: number
  readonly spent: readonly string[]
}

export function begin(world: World): TrainerState {
  const fitter = world.surprises.find((surprise) => surprise.kind === 'secondLock')?.device ?? null
  return {
    world,
    rig: world.rig,
    bay: world.state,
    place: 'customer',
    indicator: null,
    isIndicatorWorking: true,
    locks: [],
    othersLock: fitter,
    hasps: fitter === null ? [] : [fitter],
    notices: [],
    chartRead: false,
    isOpen: false,
    isParted: false,
    isTaped: false,
    hasPermit: false,
    hasSwitchedOff: false,
    acts: [],
    lines: [saysScript('job')],
    shown: null,
    touches: [],
    clockS: 0,
    spent: [],
  }
}

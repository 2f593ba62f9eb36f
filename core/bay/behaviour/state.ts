import type { Part, Rig } from '../model/rig'

type Marks = Readonly<Record<string, boolean>>

/** How everything stands that a hand can move; what is not named is open, unthrown, not in use. */
export interface BayState {
  /** The bay's own isolator, which feeds the supply's line and neutral. */
  readonly isSupplyOn: boolean
  /** Devices, by part. */
  readonly closed: Marks
  /** Switches: one-way on, two-way over to L2, intermediate crossed. */
  readonly thrown: Marks
  /** Lamps fitted, appliances switched on, things plugged in. */
  readonly inUse: Marks
  /** Motors that have run up. */
  readonly running: Marks
  /** RCDs whose test button is held. */
  readonly testing: Marks
}

const all = (parts: readonly Part[], is: (part: Part) => boolean): Marks =>
  Object.fromEntries(parts.filter(is).map(({ id }) => [id, true]))

/** Supply off, every device open, lamps fitted, nothing plugged in. */
export const deadState = (rig: Rig): BayState => ({
  isSupplyOn: false,
  closed: {},
  thrown: {},
  inUse: all(rig.parts, ({ kind }) => kind === 'lampholder' || kind === 'arrester'),
  running: {},
  testing: {},
})

/** Everything closed and switched on except what is plugged in. */
export const workingState = (rig: Rig): BayState => ({
  ...deadState(rig),
  isSupplyOn: true,
  closed: all(rig.parts, ({ kind }) => kind === 'device'),
  thrown: all(rig.parts, (part) => part.kind === 'switch' && part.action === 'one-way'),
})

/** Does any source feed the bay: its supply, or a standby source that runs? */
export const isEnergised = (parts: readonly Part[], { isSupplyOn, inUse }: BayState): boolean =>
  isSupplyOn || parts.some(({ kind, id }) => kind === 'standby' && (inUse[id] ?? false))

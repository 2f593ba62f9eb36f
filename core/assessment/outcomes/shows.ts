import { WHOLE_BOARD } from '../../exercise/exercise'
import type { Circuit, Installation } from '../../installation/installation'
import type { CableKind } from '../../regulations/cables/cable'
import type { DeviceFamily } from '../../regulations/devices'
import type { Premises } from '../../regulations/diversity'
import type { Use } from '../../regulations/supply'
import type { ContainmentRun } from '../../containment/containment-run'

export const SETTINGS = ['domestic', 'commercial', 'industrial', 'agricultural', 'public'] as const
export type Setting = (typeof SETTINGS)[number]

export const WIRING_SYSTEMS = [
  'conduit',
  'trunking',
  'tray',
  'basket',
  'ladder',
  'busbar',
  'clipped',
  'concealed',
  'buried',
] as const
export type WiringSystem = (typeof WIRING_SYSTEMS)[number]

export const CABLE_TYPES = [
  'flat-twin-earth',
  'singles',
  'multicore',
  'armoured',
  'mineral',
  'fire-resistant',
  'flexible',
  'data',
] as const
export type CableType = (typeof CABLE_TYPES)[number]

export const EQUIPMENT = [
  'consumer-unit',
  'distribution-board',
  'circuit-breaker',
  'rcbo',
  'rcd',
  'afdd',
  'fuse',
  'socket-outlet',
  'luminaire',
  'heater',
  'cooker',
  'shower',
  'immersion',
  'motor',
  'fixed',
] as const
export type Equipment = (typeof EQUIPMENT)[number]

/** What a piece of work was made of: what a unit's quotas count. */
export interface Shown {
  /** Null where the work stands in no premises, such as a bent conduit on a bench. */
  readonly setting: Setting | null
  readonly wiringSystems: readonly WiringSystem[]
  readonly cables: readonly CableType[]
  readonly equipment: readonly Equipment[]
}
export const SHOWN_NOTHING: Shown = { setting: null, wiringSystems: [], cables: [], equipment: [] }

/** Where people live is domestic; what they share with others is not their dwelling. */
const SETTING_OF: Readonly<Record<Premises, Setting>> = {
  dwelling: 'domestic',
  'shared-residence': 'commercial',
  'guest-house': 'commercial',
  commercial: 'commercial',
  industrial: 'industrial',
}

const CABLE_OF: Readonly<Record<CableKind, CableType>> = {
  'flat-twin-earth': 'flat-twin-earth',
  'singles-in-conduit': 'singles',
  'singles-in-trunking': 'singles',
  multicore: 'multicore',
  'armoured-70': 'armoured',
  'armoured-90': 'armoured',
  mineral: 'mineral',
  'fire-resistant': 'fire-resistant',
}

const USED: Readonly<Record<Use, Equipment | null>> = {
  sockets: 'socket-outlet',
  lighting: 'luminaire',
  heating: 'heater',
  'storage-heating': 'heater',
  cooker: 'cooker',
  shower: 'shower',
  immersion: 'immersion',
  motor: 'motor',
  fixed: 'fixed',
  distribution: 'distribution-board',
}

const DEVICE: Readonly<Record<DeviceFamily, Equipment>> = {
  breaker: 'circuit-breaker',
  rcbo: 'rcbo',
  afdd: 'afdd',
  'fuse-gg': 'fuse',
  'fuse-cartridge': 'fuse',
  'fuse-rewirable': 'fuse',
}

/** By the cable where it names its containment, else by how it lies. */
function systemOf({ cable: { kind, method } }: Circuit): WiringSystem {
  if (kind === 'singles-in-conduit' || method === 'B') return 'conduit'
  if (kind === 'singles-in-trunking') return 'trunking'
  if (method === 'C') return 'clipped'
  if (method === 'D') return 'buried'
  return method === 'E' ? 'tray' : 'concealed'
}

const sorted = <T extends string>(order: readonly T[], found: Iterable<T>): T[] => {
  const set = new Set(found)
  return order.filter((one) => set.has(one))
}

/**
 * What a task shows when it is decided: the circuits that are wired and tested at the bay, with their board. A design
 * alone installs nothing, and shows nothing of it.
 */
export function shownByTask({ premises, boards, circuits }: Installation, tests: string | null): Shown {
  if (tests === null) return SHOWN_NOTHING
  const wired = circuits.filter(({ id }) => tests === WHOLE_BOARD || id === tests)
  const usedBoards = boards.filter(({ id }) => wired.some(({ board }) => board === id))
  return {
    setting: SETTING_OF[premises],
    wiringSystems: sorted(WIRING_SYSTEMS, wired.map(systemOf)),
    cables: sorted(
      CABLE_TYPES,
      wired.map(({ cable }) => CABLE_OF[cable.kind]),
    ),
    equipment: sorted(EQUIPMENT, [
      ...usedBoards.map(({ phases }) =>
        premises === 'dwelling' && phases === 1
          ? ('consumer-unit' as const)
          : ('distribution-board' as const),
      ),
      ...wired.map(({ device }) => DEVICE[device.family]),
      ...wired.flatMap(({ residualA, device }) =>
        residualA !== null && device.family !== 'rcbo' && device.family !== 'afdd' ? (['rcd'] as const) : [],
      ),
      ...wired.flatMap(({ use }) => USED[use] ?? []),
    ]),
  }
}

/** What a containment run shows: its wiring system, and nothing of premises or cables. */
export const shownByRun = ({ made }: Pick<ContainmentRun, 'made'>): Shown => ({
  ...SHOWN_NOTHING,
  wiringSystems: [made],
})

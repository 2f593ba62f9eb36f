import type { CableKind } from '../../regulations/cables/cable'
import type { Curve, DeviceFamily } from '../../regulations/devices'

/** Cable of one kind and size for one circuit, m, with what is cut off at both ends. */
export interface CableNeed {
  readonly circuit: string
  readonly kind: CableKind
  readonly phases: 1 | 3
  readonly lineMm2: number
  readonly cpcMm2: number
  readonly lengthM: number
}

export interface DeviceNeed {
  readonly circuit: string
  readonly family: DeviceFamily
  readonly curve: Curve | null
  readonly ratingA: number
  readonly residualMA: number | null
  readonly residualType: string | null
  readonly capacityA: number
}

export interface PartNeed {
  readonly circuit: string
  readonly part:
    | 'socket'
    | 'lampholder'
    | 'switch'
    | 'cooker-unit'
    | 'pull-switch'
    | 'isolator'
    | 'motor-starter'
    | 'fused-unit'
    | 'gland'
    | 'conduit'
    | 'trunking'
    | 'box'
    | 'board'
    | 'busbar'
    | 'blank'
    | 'spd'
    | 'spd-breaker'
  readonly detail: string
  readonly count: number
}

/** What one apprentice needs laid out. */
export interface Materials {
  readonly cables: readonly CableNeed[]
  readonly devices: readonly DeviceNeed[]
  readonly parts: readonly PartNeed[]
}

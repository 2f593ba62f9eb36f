import type { DevicePart } from '../model/rig'
import type { TripCause } from './happenings'
import { CAUSES, type Threat } from './threats'

/**
 * From here on a latch has let go and the device opens, whatever the current does then: a share of its
 * opening time.
 */
const COMMITTED = 0.5
/** An hour stands for "does not open". */
const LONGEST_S = 7200
const LATCHING: ReadonlySet<TripCause> = new Set<TripCause>(['short', 'residual'])

/** How far a device has come towards opening, 0 to 1, and since when it carries the current. */
export interface Progress {
  readonly share: number
  readonly sinceS: number
  readonly ampere: number
  readonly poles: Readonly<Record<string, number>>
}

/** A device that will open, and when, if nothing changes. */
export interface Due {
  readonly atS: number
  readonly device: DevicePart
  readonly threat: Threat
}

/** Of every device and cause, how far it has come. */
export class TripProgress {
  readonly #known = new Map<string, Progress>()

  /**
   * What this device is due to open for under these threats, s from the start; what no longer threatens it is
   * forgotten unless its latch has let go.
   */
  meet(device: DevicePart, threats: readonly Threat[], nowS: number): Due[] {
    return CAUSES.flatMap((cause): Due[] => {
      const key = keyOf(device, cause)
      const threat = threats.find((candidate) => candidate.cause === cause)
      if (threat) return this.#grow(device, threat, nowS)
      const kept = this.#known.get(key)
      if (kept && kept.share >= COMMITTED && LATCHING.has(cause))
        return [{ atS: nowS, device, threat: { cause, opensS: 0, ampere: kept.ampere, poles: kept.poles } }]
      this.#known.delete(key)
      return []
    })
  }

  #grow(device: DevicePart, threat: Threat, nowS: number): Due[] {
    const key = keyOf(device, threat.cause)
    const { ampere, poles } = threat
    const known = this.#known.get(key) ?? { share: 0, sinceS: nowS, ampere, poles }
    this.#known.set(key, known.share >= COMMITTED ? known : { ...known, ampere, poles })
    return threat.opensS < LONGEST_S
      ? [{ atS: nowS + (1 - known.share) * threat.opensS, device, threat }]
      : []
  }

  /** So much time has passed for everything that is due. */
  pass(due: readonly Due[], seconds: number): void {
    for (const { device, threat } of due) {
      const key = keyOf(device, threat.cause)
      const known = this.#known.get(key)!
      const share = threat.opensS === 0 ? 1 : Math.min(1, known.share + seconds / threat.opensS)
      this.#known.set(key, { ...known, share })
    }
  }

  /** The device has opened: what led to it, and nothing threatens it any more. */
  take({ device, threat }: Due): Progress {
    const known = this.#known.get(keyOf(device, threat.cause))!
    for (const cause of CAUSES) this.#known.delete(keyOf(device, cause))
    return known
  }
}

const keyOf = ({ id }: DevicePart, cause: TripCause): string => `${id} ${cause}`

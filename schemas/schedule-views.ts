/* What the server hands to the screens of schedules, fault finding and paperwork. Types alone. */
import type { BayTest } from '#core/testing/kinds/kind'
import type { Finding } from '#core/findings/finding'
import type { Edition } from '#core/regulations/editions'
import type { ReadingMark } from '#core/testing/judge/judge'
import type { Readings, ReadingTimes } from '#core/testing/readings'
import type { Relation } from '#core/testing/relations/relation'
import type { Rig } from '#core/bay/model/rig'

export const INSTRUMENT_KINDS = [
  'multifunction',
  'continuity',
  'insulation',
  'loop',
  'residual',
  'indicator',
  'proving unit',
  'clamp',
  'rotation',
] as const

export interface InstrumentView {
  readonly id: number
  readonly name: string
  readonly serial: string
  readonly kind: string
  /** ISO dates. */
  readonly doneOn: string
  readonly dueOn: string
  /** Number of the certificate; empty where none was noted. */
  readonly certificate: string
  readonly notedBy: string
}

/** One change of one reading. */
export interface ReadingChange {
  readonly key: string
  readonly before: string
  readonly after: string
  /** Null where an instrument sent it. */
  readonly by: string | null
  /** By the server's clock. */
  readonly at: string
  /** The time that a file claims; empty where it claims none. */
  readonly claimedAt: string
  readonly via: 'typed' | 'file' | 'instrument'
}

/** A test of a schedule, with how it is made at this bay. */
export interface TestView {
  readonly key: string
  readonly kind: string
  readonly circuit: string | null
  /** The point as it is named at the bay. */
  readonly pointName: string | null
  readonly isAsked: boolean
  readonly isDead: boolean
  readonly setup: TestSetup
}

/** How a test is set up, in words. */
export interface TestSetup {
  readonly instrument: string
  readonly probes: string
  /** What is linked, taken out, closed, opened. */
  readonly ready: readonly string[]
  readonly caution: string | null
}

export interface CircuitHead {
  readonly id: string
  readonly name: string
  /** `Way 3 · B16`. */
  readonly device: string
  /** `2.5 / 1.5 mm²`. */
  readonly conductors: string
}

/** The schedule as an apprentice has it: no expected value, no limit. */
export interface BoardView {
  readonly circuits: readonly CircuitHead[]
  readonly tests: readonly TestView[]
  readonly instruments: readonly InstrumentView[]
  /** For an instrument's bridge on this machine. */
  readonly stream: { readonly port: number | null; readonly code: string }
}

/** The schedule as an assessor has it. */
export interface ScheduleView {
  readonly attempt: {
    readonly id: number
    readonly name: string
    readonly bay: number
    readonly code: string
    readonly title: string
  }
  readonly edition: Edition
  readonly circuits: readonly CircuitHead[]
  /** As it was meant; for the diagnosis. */
  readonly rig: Rig
  readonly tests: readonly BayTest[]
  readonly readings: Readings
  readonly times: ReadingTimes
  readonly history: readonly ReadingChange[]
  readonly marks: readonly ReadingMark[]
  readonly relations: readonly Relation[]
  readonly process: readonly Finding[]
  readonly questions: readonly Finding[]
}

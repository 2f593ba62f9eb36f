import type { Rig } from '../bay/model/rig'
import type { BoardDesign, CircuitDesign } from '../design/reference'
import type { Finding } from '../findings/finding'
import type { Intake } from '../installation/installation'
import type { StepKey } from '../design/model/step-keys'
import type { Edition } from '../regulations/editions'
import type { ExpectedReading } from '../testing/expected/expected'
import type { ScheduleTest } from '../testing/plan/schedule'
import type { Readings } from '../testing/readings'

/** One test of the job's schedule: what it should show, and what stands in its box. */
export interface JobTest extends ScheduleTest {
  readonly expected: ExpectedReading | undefined
  readonly typed: string
}

/** Something that went wrong in this person's own work. */
export type OwnError =
  | {
      readonly from: 'design'
      readonly scope: string
      readonly step: StepKey
      readonly typed: string
      readonly working: string
      readonly source: string
      readonly finding: Finding
    }
  | { readonly from: 'reading'; readonly reading: string; readonly typed: string; readonly finding: Finding }
  /** A rule of safe isolation that was broken or left open. */
  | { readonly from: 'isolation'; readonly rule: string }
  /** What a round of the inspection trainer, or an assessor, found and the person did not. */
  | { readonly from: 'inspection'; readonly what: string }

/** What a question may ask about: one person’s job as it is designed, built and measured. */
export interface JobMaterial {
  readonly edition: Edition
  readonly intake: Intake
  readonly circuits: readonly CircuitDesign[]
  readonly boards: readonly BoardDesign[]
  readonly tests: readonly JobTest[]
  readonly readings: Readings
  /** The bay as it is meant; null where nothing is built. */
  readonly rig: Rig | null
  readonly errors: readonly OwnError[]
}

import type { Consequence } from '../../installation/installation'
import type { Premises } from '../../regulations/diversity'
import type { Book } from '../../regulations/book/book'
import type { Edition } from '../../regulations/editions'
import type { Arrangement, Phases, Use } from '../../regulations/supply'
import type { DeviceAbove } from '../model/task'
import type { Line } from '../../installation/installation'
import type { Step } from '../model/step'

/** What one circuit brings to the demand of its board. */
export interface Contribution {
  readonly circuit: string
  readonly use: Use
  /** Current reckoned before diversity, A: In of a socket circuit, Ib of any other. */
  readonly currentA: number
  readonly phases: Phases
  readonly line: Line
  /** What second sources behind it can send to the board, A; 0 for none. */
  readonly infeedA: number
  /** Of a household cooker, whose current has its own diversity in it. */
  readonly householdCooker?: { readonly hasSocket: boolean }
}

/** One board with all that its design may depend on. */
export interface BoardTask {
  readonly edition: Edition
  readonly book: Book
  readonly premises: Premises
  readonly consequence: Consequence
  readonly arrangement: Arrangement
  readonly phases: Phases
  readonly isOrigin: boolean
  readonly mainFuseA: number
  readonly neutralMm2: number
  /** The main fuse at the origin, the distribution circuit's device elsewhere. */
  readonly above: DeviceAbove
  readonly contributions: readonly Contribution[]
}

export type BoardStep = Step<BoardTask>

import type { Seriousness } from '../../findings/seriousness'
import type { TerminalRef } from '../model/rig'

export const DIFFERENCE_CODES = [
  'missing',
  'unfinished',
  'extra',
  'otherTerminal',
  'otherNeutralBar',
  'neutralFromOther',
  'earthFromOther',
  'neutralOnEarthBar',
  'earthOnNeutralBar',
  'lineNeutralSwapped',
  'neutralEarthSwapped',
  'lineEarthSwapped',
  'otherWay',
  'otherLine',
  'bridge',
  'otherOrder',
  'thinner',
  'thicker',
  'colour',
  'outOfOrder',
  'deviceReversed',
  'blankMissing',
  'labelMissing',
  'labelOther',
  'thingChanged',
] as const
export type DifferenceCode = (typeof DIFFERENCE_CODES)[number]

export type ConductorRole = 'line' | 'neutral' | 'earth' | 'switched'

/** One way in which a bay is not what was asked for. */
export interface Difference {
  readonly code: DifferenceCode
  /** `critical` can hurt, `fault` is wrong, `note` is an observation about order. */
  readonly seriousness: Seriousness
  /** What to look at: the wire or part as built, and the terminals. */
  readonly wire: string | null
  readonly at: readonly TerminalRef[]
  readonly role: ConductorRole | null
  readonly params: Readonly<Record<string, string | number>>
}

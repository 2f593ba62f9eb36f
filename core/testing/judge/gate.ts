import { isAboutForm } from '../../findings/finding'
import { isDead } from '../kinds/kinds'
import type { ReadingMark } from './judge'

/**
 * What stands between these dead tests and a permission: boxes left empty, and readings that cannot be used
 * or are past a limit.
 */
export interface Gate {
  readonly missing: readonly string[]
  readonly beyond: readonly string[]
  /** Complete and within limits, so that an assessor may permit. */
  readonly open: boolean
}

/** The gate before live tests, from the marks of the dead ones. */
export function energiseGate(marks: readonly ReadingMark[]): Gate {
  const dead = marks.filter((mark) => isDead(mark.reading))
  const isUnusable = ({ findings }: ReadingMark) =>
    findings.some((finding) => finding.seriousness === 'critical' || isAboutForm(finding))
  const missing = dead.filter(({ verdict }) => verdict === 'missing').map(({ reading }) => reading)
  const beyond = dead
    .filter((mark) => mark.verdict !== 'missing' && isUnusable(mark))
    .map(({ reading }) => reading)
  return { missing, beyond, open: missing.length === 0 && beyond.length === 0 }
}

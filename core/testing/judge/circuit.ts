import type { CircuitDesign } from '../../design/reference'
import type { Finding } from '../../findings/finding'
import { sourceLine } from '../../regulations/source'
import { expectedReadings, type ExpectedReading } from '../expected/circuit'
import { parseReading, type ParsedReading } from '../parse/parse-reading'
import { isDead, readingKind, type ReadingKey, type Readings } from '../readings'
import { insulationOutOfFamily, sumOfLoop, tooExact } from './rules/across'
import { band } from './rules/band'
import { form } from './rules/form'
import { limit } from './rules/limit'
import type { OtherBay, ReadingContext, ReadingRule } from './rules/rule'

const RULES: readonly ReadingRule[] = [form, limit, band, sumOfLoop, insulationOutOfFamily, tooExact]

export interface ReadingMark {
  readonly reading: ReadingKey
  readonly verdict: 'right' | 'wrong' | 'missing'
  readonly typed: string
  /** SI, for the gauge; undefined for ticks and empty boxes. */
  readonly value?: number
  /** True when the instrument ran off its range above `value`. */
  readonly over: boolean
  readonly expected: ExpectedReading
  readonly source: string
  readonly findings: readonly Finding[]
  readonly mark: number
  readonly outOf: number
}

/** Judges the readings of a worked circuit against this variant's band, the limit, and each other. */
export function judgeReadings(
  design: CircuitDesign,
  readings: Readings,
  others: readonly OtherBay[] = [],
): ReadingMark[] {
  const { task } = design
  const all: Partial<Record<ReadingKey, ParsedReading>> = {}
  const expectations = expectedReadings(design)
  for (const { key } of expectations) all[key] = parseReading(readings[key] ?? '', readingKind(key))
  return expectations.map((expected) => {
    const reading = all[expected.key]!
    const findings = findingsOf({ key: expected.key, reading, expected, all, expectations, task, others })
    const isWrong = findings.some((finding) => finding.seriousness !== 'note')
    const verdict = reading.form === 'empty' ? 'missing' : isWrong ? 'wrong' : 'right'
    return {
      reading: expected.key,
      verdict,
      typed: readings[expected.key] ?? '',
      value: 'value' in reading ? reading.value : undefined,
      over: reading.form === 'over',
      expected,
      source: sourceLine(expected.source, task.edition),
      findings,
      mark: verdict === 'right' ? 1 : 0,
      outOf: 1,
    }
  })
}

/** Runs the rules in order. A reading of the wrong form, or past its limit, is not discussed any further. */
function findingsOf(context: ReadingContext): Finding[] {
  const findings: Finding[] = []
  for (const rule of RULES) {
    const finding = rule(context)
    if (!finding) continue
    findings.push(finding)
    if (rule === form || rule === limit) break
  }
  return findings
}

/** What stands between these dead tests and a permission: boxes left empty, and readings past a limit. */
export interface Gate {
  readonly missing: readonly ReadingKey[]
  readonly beyond: readonly ReadingKey[]
  /** Complete and within limits, so that an assessor may permit. */
  readonly open: boolean
}

/** The gate before live tests, from the marks of the dead ones. */
export function energiseGate(marks: readonly ReadingMark[]): Gate {
  const dead = marks.filter((mark) => isDead(mark.reading))
  const isUnusable = (mark: ReadingMark) =>
    mark.findings.some(
      ({ seriousness, code }) =>
        seriousness === 'critical' ||
        (seriousness === 'fault' && (code.startsWith('unreadable') || code.startsWith('form'))),
    )
  const missing = dead.filter((mark) => mark.verdict === 'missing').map((mark) => mark.reading)
  const beyond = dead
    .filter((mark) => mark.verdict !== 'missing' && isUnusable(mark))
    .map((mark) => mark.reading)
  return { missing, beyond, open: missing.length === 0 && beyond.length === 0 }
}

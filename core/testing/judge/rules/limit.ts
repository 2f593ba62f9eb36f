import { sourceLine } from '../../../regulations/source'
import { critical } from '../../../findings/finding'
import { numberOf, type ReadingRule } from './rule'

/** A reading beyond its limit, or a polarity that is not right: nothing is energised on it. */
export const limit: ReadingRule = ({ key, reading, expected, task }) => {
  const regulation = sourceLine(expected.source, task.edition)
  if (key === 'polarity' && reading.form === 'cross') return critical('limit.polarity', {}, regulation)
  const value = numberOf(reading)
  if (value === undefined || !expected.limit) return undefined
  const isBeyond =
    expected.limit.kind === 'maximum' ? value > expected.limit.value : value < expected.limit.value
  return isBeyond
    ? critical(
        'limit.passed',
        { key, value, limit: expected.limit.value, kind: expected.limit.kind },
        regulation,
      )
    : undefined
}

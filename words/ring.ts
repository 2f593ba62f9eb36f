import type { RingPattern } from '#core/testing/relations/ring-pattern'

/** What a pattern round a ring says, from the readings alone; sockets counted from 1. */
export function ringPatternWords(pattern: RingPattern, step: 2 | 3): string {
  switch (pattern.is) {
    case 'unknown':
      return 'Four readings, and both conductors end to end, show the shape.'
    case 'level':
      return 'Level at a quarter of both ends.'
    case 'offset':
      return (
        `Level at ${pattern.share.toFixed(1)} of a quarter of both ends: look at the two end ` +
        'to end readings again.'
      )
    case 'legsJoined':
      return (
        `Low beside the board, highest half way round: line and ${step === 2 ? 'neutral' : 'cpc'} ` +
        'of the same leg were joined.'
      )
    case 'hump':
      return pattern.first === pattern.last
        ? `Socket-outlet ${pattern.first + 1} stands out: a spur, or something by-passes it.`
        : `Socket-outlets ${pattern.first + 1} to ${pattern.last + 1} stand out: something by-passes that stretch.`
    case 'uneven':
      return 'Uneven: measure the highest and the lowest again.'
  }
}

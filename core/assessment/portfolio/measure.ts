import { spacingMm } from '../../containment/supports'
import type { AccountFields } from './account'

export const MEASURES = ['clipSpacing', 'saddleSpacing', 'zoneOffset', 'level', 'length', 'size'] as const
export type MeasureKind = (typeof MEASURES)[number]

/** Something that was measured on the job, typed as data. */
export interface Measure {
  readonly token: string
  readonly kind: MeasureKind
  /** mm; of a level, mm of rise over `overM`; of a length, m; of a size, mm². */
  readonly value: number
  /** Of a cable or a tube, mm across; of a level, the length in m that it was read over. */
  readonly across: number
  readonly isVertical: boolean
}

export interface MeasureVerdict {
  /** Null where the figure is data, and nothing to judge. */
  readonly isWithin: boolean | null
  /** Most allowed, in the unit of the value; null where nothing is. */
  readonly limit: number | null
  readonly source: string
}

/**
 * Most between clips of a cable, mm, by its overall diameter up to: horizontal, vertical; OSG Table D1, from
 * memory.
 */
const CLIPS: readonly (readonly [uptoMm: number, horizontal: number, vertical: number])[] = [
  [9, 250, 400],
  [15, 300, 400],
  [20, 350, 450],
  [40, 400, 550],
]
/** A cable zone reaches so far from a ceiling or corner, mm; BS 7671 522.6.202 (i). */
const ZONE_MM = 150
/** Out of level or plumb, mm on each metre; common practice, no source. */
const LEVEL_MM_PER_M = 2

const data = (source: string): MeasureVerdict => ({ isWithin: null, limit: null, source })
const within = (value: number, limit: number, source: string): MeasureVerdict => ({
  isWithin: value <= limit,
  limit,
  source,
})

/** Judges what was measured where a limit is known; the reader decides what it is worth. */
export function judgeMeasure({ kind, value, across, isVertical }: Measure): MeasureVerdict {
  switch (kind) {
    case 'clipSpacing': {
      const row = CLIPS.find(([upto]) => across <= upto)
      if (!row) return data('On-Site Guide Table D1 ends at 40 mm')
      return within(value, row[isVertical ? 2 : 1], 'On-Site Guide Table D1, from memory')
    }
    case 'saddleSpacing':
      return across > 40
        ? data('On-Site Guide Table D3 ends at 40 mm')
        : within(
            value,
            spacingMm({ made: 'conduit', material: 'steel', sizeMm: across }, isVertical),
            'On-Site Guide Table D3, from memory',
          )
    case 'zoneOffset':
      return within(value, ZONE_MM, 'BS 7671 522.6.202')
    case 'level':
      return across > 0
        ? within(value / across, LEVEL_MM_PER_M, 'common practice: 2 mm on each metre')
        : data('the length it was read over is missing')
    default:
      return data('')
  }
}

const MEASURE = 'measure.'
/** The measurements of an account; what cannot be read is none. */
export const measuresOf = (fields: AccountFields): Measure[] =>
  Object.entries(fields).flatMap(([name, text]) => {
    if (!name.startsWith(MEASURE) || text === '') return []
    const [kind, value, across = '0', direction = ''] = text.split(' ')
    const known = MEASURES.find((one) => one === kind)
    const [size, wide] = [Number(value), Number(across)]
    if (!known || !(size >= 0) || !(wide >= 0)) return []
    return [
      {
        token: name.slice(MEASURE.length),
        kind: known,
        value: size,
        across: wide,
        isVertical: direction === 'vertical',
      },
    ]
  })

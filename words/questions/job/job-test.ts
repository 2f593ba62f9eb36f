import type { JobTest } from '#core/questions/material'
import { kindOf, quantityOf } from '#core/testing/kinds/kinds'
import { parseReading } from '#core/testing/parse/parse-reading'
import { QUANTITIES } from '#core/units/quantity'
import { readingText } from '../../testing'

export const GN3 = 'Guidance Note 3, from memory'
export const DEAD_AND_LIVE = ['dead', 'live'] as const

/** What a box holds as a figure, SI; undefined where it is empty, a tick or a range end. */
export function typedValue({ key, typed }: JobTest): number | undefined {
  const read = parseReading(typed, kindOf(key))
  return read.form === 'value' ? read.value : undefined
}
export const unitOf = ({ key }: JobTest) => QUANTITIES[quantityOf(key)]
export const shortOf = ({ key }: JobTest) => readingText(key).short
export const isInsulation = ({ kind }: JobTest) => kind.startsWith('ir')

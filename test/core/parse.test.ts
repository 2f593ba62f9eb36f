import fc from 'fast-check'
import { expect, test } from 'vitest'
import { formatQuantity } from '#core/units/format'
import { parseQuantity } from '#core/units/parse'
import { QUANTITIES, type QuantityKey } from '#core/units/quantity'
import { parseReading } from '#core/testing/parse/parse-reading'
import { kindOf } from '#core/testing/kinds/kinds'

test.each<[string, QuantityKey, number]>([
  ['1,2', 'resistance', 1.2],
  ['0.47 ohm', 'resistance', 0.47],
  ['470 mΩ', 'resistance', 0.47],
  ['7.4 mΩ/m', 'resistancePerMetre', 0.0074],
  ['7.4', 'resistancePerMetre', 0.0074],
  ['0.0074 Ω/m', 'resistancePerMetre', 0.0074],
  ['2kW', 'power', 2000],
  ['2 000 W', 'power', 2000],
  ['1,200.5 W', 'power', 1200.5],
  ['12.6A', 'current', 12.6],
  ['12.6 amps', 'current', 12.6],
  ['30', 'residualCurrent', 0.03],
  ['30mA', 'residualCurrent', 0.03],
  ['6', 'faultCurrent', 6000],
  ['6000 A', 'faultCurrent', 6000],
  ['18 mV/A/m', 'voltDropPerAmpMetre', 0.018],
  ['2.5 mm2', 'area', 2.5],
  ['.94', 'factor', 0.94],
  ['15 %', 'factor', 0.15],
  ['200 MΩ', 'insulation', 200e6],
  ['0.5 kΩ', 'insulation', 500],
  ['28 ms', 'time', 0.028],
])('“%s” as %s is %d in SI', (text, key, value) => {
  const parsed = parseQuantity(text, key)
  expect(parsed.ok && parsed.value).toBeCloseTo(value, 10)
})

test.each<[string, QuantityKey, string]>([
  ['', 'current', 'empty'],
  ['about ten', 'current', 'notANumber'],
  ['12 V', 'current', 'otherUnit'],
  ['-4', 'length', 'negative'],
  ['1.2.3', 'resistance', 'notANumber'],
])('“%s” as %s is refused as %s', (text, key, problem) => {
  expect(parseQuantity(text, key)).toEqual({ ok: false, problem })
})

test('whatever is shown can be typed back: format then parse keeps the value to the digits shown', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...(Object.keys(QUANTITIES) as QuantityKey[])),
      fc.integer({ min: 1, max: 99_999 }),
      (key, n) => {
        const value = n / 100 / QUANTITIES[key].scale
        const parsed = parseQuantity(formatQuantity(value, key), key)
        expect(parsed.ok && Math.abs(parsed.value / value - 1)).toBeLessThan(
          n < 100 ? 0.06 : 0.51 / Math.min(n / 100, 9),
        )
      },
    ),
  )
})

test('readings keep “>999” and ticks as what they are', () => {
  expect(parseReading('>999', kindOf('irLE'))).toEqual({ form: 'over', value: 999e6 })
  expect(parseReading('> 999 MΩ', kindOf('irLE'))).toEqual({ form: 'over', value: 999e6 })
  expect(parseReading('✓', kindOf('polarity'))).toEqual({ form: 'tick' })
  expect(parseReading('✗', kindOf('polarity'))).toEqual({ form: 'cross' })
  expect(parseReading('', kindOf('zs'))).toEqual({ form: 'empty' })
  expect(parseReading('0,84', kindOf('zs'))).toMatchObject({ form: 'value', value: 0.84, decimals: 2 })
})

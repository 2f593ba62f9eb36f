import fc from 'fast-check'
import { expect, test } from 'vitest'
import { keep, partsOf } from '~/utils/keep'

const flat = fc.dictionary(
  fc.constantFrom('title', 'c1.name', 'c1.length', 'c2.name', 'b1.ways'),
  fc.constantFrom('', '4', 'x'),
)

test('a record by its parts holds every box, and what did not change is the same object', () => {
  fc.assert(
    fc.property(flat, flat, (before, after) => {
      const old = partsOf(before)
      const next = partsOf(after, old)
      const joined = Object.fromEntries(
        Object.entries(next).flatMap(([name, part]) =>
          Object.entries(part).map(([field, text]) => [name ? `${name}.${field}` : field, text]),
        ),
      )
      expect(joined).toEqual(after)
      for (const name of Object.keys(next))
        expect(next[name] === old[name], name).toBe(
          JSON.stringify(Object.entries(next[name]!).sort()) ===
            JSON.stringify(Object.entries(old[name] ?? { none: true }).sort()),
        )
    }),
  )
})

test('the old record stays only where it says the same', () => {
  const old = { a: 1, b: 2 }
  expect(keep(old, { a: 1, b: 2 })).toBe(old)
  expect(keep<Record<string, number>>(old, { a: 1 })).not.toBe(old)
  expect(keep(undefined, old)).toBe(old)
})

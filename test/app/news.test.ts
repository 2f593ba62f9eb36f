/* News: a tab looks again at what others wrote, never at its own writing alone. */
import { expect, test } from 'vitest'
import { isNewsTo } from '../../app/utils/news'

const news = (...writers: string[]) => JSON.stringify({ count: 3, writers })

test.each([
  ['another tab wrote', news('other'), true],
  ['this tab alone wrote', news('mine'), false],
  ['this tab and another wrote within one moment', news('mine', 'other'), true],
  ['something that no tab wrote', news(), true],
  ['news of another form', 'changed', true],
])('%s', (_, text, isNews) => {
  expect(isNewsTo('mine', text)).toBe(isNews)
})

/* What the administrator watches: routes without what stands in them, times by route, and nothing of a person. */
import { describe, expect, it } from 'vitest'
import { routeOf } from '../../server/http/log'
import { countRequest, metricsView } from '../../server/http/metrics'

describe('a request in the log', () => {
  it.each([
    ['work/17', 'work/:id'],
    ['work/17/hand-in-design', 'work/:id/hand-in-design'],
    ['bays/practice-split/wired', 'bays/:key/wired'],
    [`photos/${'a1'.repeat(32)}`, 'photos/:key'],
    ['audit?by=Mira+Achterberg&from=2026-11-01', 'audit'],
    ['set-up', 'set-up'],
  ])('%s is %s', (path, route) => expect(routeOf(path)).toBe(route))
})

it('times stand by route with their median and their slowest hundredth; failures are counted', async () => {
  for (let ms = 1; ms <= 100; ms += 1) countRequest('PUT work/:id', ms, ms === 100 ? 500 : 200)
  const { routes, memoryBytes, pauseMs } = await metricsView()
  const route = routes.find((one) => one.route === 'PUT work/:id')!
  expect(route).toMatchObject({ count: 100, failed: 1 })
  expect(route.p50Ms).toBeGreaterThan(45)
  expect(route.p50Ms).toBeLessThan(56)
  expect(route.p99Ms).toBeGreaterThan(97)
  expect(memoryBytes).toBeGreaterThan(1e7)
  expect(Number.isFinite(pauseMs.p99)).toBe(true)
})

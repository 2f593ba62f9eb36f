import { monitorEventLoopDelay } from 'node:perf_hooks'
import { Counter, Registry, Summary } from 'prom-client'
import type { MetricsView } from '#schemas/trust-views'
import { openStreams } from './news'

const WINDOW_S = 600
const NS_PER_MS = 1e6
const registry = new Registry()
const times = new Summary({
  name: 'request_ms',
  help: 'Time to answer, by route, in the last ten minutes',
  labelNames: ['route'],
  percentiles: [0.5, 0.99],
  maxAgeSeconds: WINDOW_S,
  ageBuckets: 5,
  registers: [registry],
})
const failed = new Counter({
  name: 'request_failed',
  help: 'Answers of 500 and more, since the start',
  labelNames: ['route'],
  registers: [registry],
})
const delay = monitorEventLoopDelay({ resolution: 20 })
delay.enable()

/** Puts one answered request down. */
export function countRequest(route: string, ms: number, status: number): void {
  times.observe({ route }, ms)
  if (status >= 500) failed.inc({ route })
}

/** How the server is doing, for its administrator; nothing of it concerns a person. */
export async function metricsView(): Promise<MetricsView> {
  const [{ values }, { values: failures }] = await Promise.all([times.get(), failed.get()])
  const routes = new Map<string, { count: number; p50Ms: number; p99Ms: number; failed: number }>()
  for (const { labels, value, metricName } of values as SummaryValue[]) {
    const route = routes.get(labels.route) ?? { count: 0, p50Ms: 0, p99Ms: 0, failed: 0 }
    if (labels.quantile === 0.5) route.p50Ms = value
    if (labels.quantile === 0.99) route.p99Ms = value
    if (metricName === 'request_ms_count') route.count = value
    routes.set(labels.route, route)
  }
  for (const { labels, value } of failures) {
    const route = routes.get(String(labels.route))
    if (route) route.failed = value
  }
  const pauseMs = { p99: delay.percentile(99) / NS_PER_MS, most: delay.max / NS_PER_MS }
  return {
    upS: process.uptime(),
    memoryBytes: process.memoryUsage().rss,
    pauseMs,
    streams: openStreams(),
    routes: [...routes].map(([route, figures]) => ({ route, ...figures })).sort((a, b) => b.p99Ms - a.p99Ms),
  }
}

interface SummaryValue {
  readonly labels: { readonly route: string; readonly quantile?: number }
  readonly value: number
  readonly metricName?: string
}

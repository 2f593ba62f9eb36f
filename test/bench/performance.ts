/* npm run performance: cost against size, drawn into docs/performance.svg, with its figures in docs/performance.md. */
import { writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { scaleLog } from 'd3-scale'
import { line } from 'd3-shape'
import { networkOf } from '#core/bay/behaviour/network-of'
import { workingState } from '#core/bay/behaviour/state'
import { buildRig } from '#core/bay/build/build'
import type { Rig } from '#core/bay/model/rig'
import { answer } from '#core/bay/network/answers'
import { change, layNetwork } from '#core/bay/network/layers'
import { planFor } from '#core/bay/network/plan'
import { solve } from '#core/bay/network/solve'
import { markDesign } from '#core/assessment/marking/mark-design'
import type { Framework } from '#core/assessment/outcomes/framework'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import framework from '../../frameworks/workshop-unit.json'
import { fillCentre } from '../../demo/filled'
import { typedAnswers } from '../../demo/story'
import { openDatabase } from '../../server/db/open'
import { createRepos } from '../../server/repos'
import { showFloor } from '../../server/services/floor'
import { markingPile } from '../../server/services/marking'
import { aBoardOf } from '../support/board-of'
import { sideBySide } from '../support/side-by-side'
import { quantile, time } from './clock'
import { diagnosePlanted } from './diagnosis'

interface Point {
  readonly size: number
  readonly ms: number
}
interface Series {
  readonly name: string
  readonly points: readonly Point[]
}
interface Picture {
  readonly title: string
  readonly sizes: string
  readonly series: readonly Series[]
  /** What it may cost, ms, and where that comes from. */
  readonly limit: { readonly ms: number; readonly says: string } | null
  /** The line that no way of doing it can grow slower than, from the first point of the first series. */
  readonly bound?: { readonly power: number; readonly says: string }
}

const bayOf = (count: number): Rig => {
  const assignment = assignmentOf(aBoardOf(count))
  return buildRig(assignment.installation, designOf(assignment), 'bay')!
}

/** Bays side by side solved with a plan that is kept, and after one contact has moved. */
function solverPoints([circuits, bays]: readonly [number, number]): Record<'whole' | 'moved', Point> {
  const rig = bayOf(circuits)
  const network = sideBySide(networkOf(rig, workingState(rig)), bays)
  const plan = planFor(network.elements)
  const size = new Set(network.elements.flatMap(({ from, to }) => [from, to])).size
  const layer = layNetwork(network)
  const contact = network.elements.find(({ name }) => /^bay 1 b1w\d.*:L/.test(name))!
  const open = [{ ...contact, isOpen: true } as typeof contact]
  return {
    whole: { size, ms: time(() => solve(network, plan), 200) },
    moved: { size, ms: time(() => answer(change(layer, [], open), [], true)?.volt(contact.to), 200) },
  }
}

function diagnosisPoints(count: number): { readonly p50: Point; readonly p95: Point } {
  const times = diagnosePlanted(bayOf(count), Math.max(1, count)).map(({ ms }) => ms)
  return { p50: { size: count, ms: quantile(times, 0.5) }, p95: { size: count, ms: quantile(times, 0.95) } }
}

const hasSolution = (count: number): boolean => designOf(assignmentOf(aBoardOf(count))).ok

function markingPoint(count: number): Point {
  const assignment = assignmentOf(aBoardOf(count))
  const sheets = Array.from({ length: 30 }, (_, i) =>
    typedAnswers(assignment, { slips: { 'c1.ib': 9 + (i % 6) } }),
  )
  return { size: count, ms: time(() => sheets.map((answers) => markDesign(assignment, answers)), 15) }
}

function listPoints(people: number): { readonly floor: Point; readonly pile: Point } {
  const repos = createRepos(openDatabase(':memory:'))
  const now = new Date().toISOString()
  repos.centre.putFramework(framework as Framework)
  for (const [number, role] of [
    ['I-1', 'instructor'],
    ['S-1', 'assessor'],
  ] as const)
    repos.people.insert({ number, name: number, role, cohort: '' }, 'none', false, now)
  fillCentre(repos, { people, years: 1, each: 4, endsAt: now, passwordHash: 'none' })
  const actor = repos.people.byNumber('I-1')!
  return {
    floor: { size: people, ms: time(() => showFloor({ repos, now }, actor), 15) },
    pile: { size: people, ms: time(() => markingPile({ repos, now }, actor), 15) },
  }
}

const [WIDTH, HEIGHT, LEFT, TOP, GAP] = [400, 250, 58, 40, 30]
const COLOURS = ['#2b3a7a', '#b0452c']
const figure = (n: number): string => (n >= 10 ? n.toFixed(0) : n.toPrecision(2))
const safe = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;')

/** The name of the lower of two lines stands below it. */
const isBelow = (series: readonly Series[], i: number): boolean =>
  series.some(
    (other, k) =>
      k !== i &&
      other.points.at(-1)!.ms >= series[i]!.points.at(-1)!.ms &&
      (k < i || other.points.at(-1)!.ms > series[i]!.points.at(-1)!.ms),
  )

/** One picture at its place, both scales in decades: a straight line is a power of the size. */
function drawn({ title, sizes, series, limit, bound }: Picture, at: number): string {
  const points = series.flatMap((one) => one.points)
  const all = [...points.map(({ ms }) => ms), ...(limit ? [limit.ms] : [])]
  const x = scaleLog(
    [Math.min(...points.map(({ size }) => size)), Math.max(...points.map(({ size }) => size))],
    [LEFT, WIDTH - 16],
  )
  const y = scaleLog([Math.min(...all) / 1.6, Math.max(...all) * 1.6], [HEIGHT - 46, TOP])
  const path = line<Point>(
    ({ size }) => x(size),
    ({ ms }) => y(ms),
  )
  const first = series[0]!.points[0]!
  const bounded = series[0]!.points.map(({ size }) => ({
    size,
    ms: first.ms * (size / first.size) ** (bound?.power ?? 0),
  }))
  const below = `${sizes} · ms${bound ? ` · rising dashes: ${bound.says}` : ''}`
  const ticks = y.ticks(4).filter((_, i, list) => list.length < 8 || i % 3 === 0)
  const parts = [
    `<text x="0" y="16" class="title">${safe(title)}</text>`,
    ...ticks.map(
      (tick) =>
        `<line class="grid" x1="${LEFT}" x2="${WIDTH - 16}" y1="${y(tick)}" y2="${y(tick)}"/><text class="tick" x="${LEFT - 6}" y="${y(tick) + 4}" text-anchor="end">${figure(tick)}</text>`,
    ),
    ...[...new Set(points.map(({ size }) => size))].map(
      (size) => `<text class="tick" x="${x(size)}" y="${HEIGHT - 28}" text-anchor="middle">${size}</text>`,
    ),
    `<text class="tick" x="${(LEFT + WIDTH) / 2}" y="${HEIGHT - 10}" text-anchor="middle">${safe(below)}</text>`,
    ...(limit
      ? [
          `<line class="limit" x1="${LEFT}" x2="${WIDTH - 16}" y1="${y(limit.ms)}" y2="${y(limit.ms)}"/><text class="tick" x="${LEFT + 4}" y="${y(limit.ms) - 5}">${safe(limit.says)}</text>`,
        ]
      : []),
    ...(bound ? [`<path class="limit" d="${path(bounded)}" fill="none"/>`] : []),
    ...series.map(
      (one, i) =>
        `<path d="${path(one.points)}" fill="none" stroke="${COLOURS[i]}" stroke-width="2"/>` +
        one.points
          .map(({ size, ms }) => `<circle cx="${x(size)}" cy="${y(ms)}" r="3.5" fill="${COLOURS[i]}"/>`)
          .join('') +
        `<text class="name" x="${WIDTH - 18}" y="${nameAt(
          one.points.map(({ ms }) => y(ms)),
          isBelow(series, i),
        )}" text-anchor="end" fill="${COLOURS[i]}">${safe(one.name)}</text>`,
    ),
  ]
  const [column, row] = [at % 2, Math.floor(at / 2)]
  return `<g transform="translate(${column * (WIDTH + GAP)} ${row * (HEIGHT + GAP)})">${parts.join('')}</g>`
}

/** Where a name stands, clear of the end of its line and of what leads there. */
const nameAt = (ys: readonly number[], isBelowIt: boolean): number =>
  isBelowIt ? Math.max(...ys.slice(-2)) + 18 : Math.min(...ys.slice(-2)) - 8

/** By which power of its size a cost grows, from the first point to the last. */
function powerOf({ points }: Series): string {
  const [first, last] = [points[0]!, points.at(-1)!]
  return (Math.log(last.ms / first.ms) / Math.log(last.size / first.size)).toFixed(2)
}

// Once unseen, so that the first size is not the one by which the code is warmed up.
solverPoints([12, 1])
const solver = (
  [
    [4, 1],
    [8, 1],
    [16, 1],
    [24, 1],
    [24, 2],
    [24, 3],
  ] as const
).map(solverPoints)
const diagnosis = [2, 4, 6, 9, 12].map(diagnosisPoints)
const lists = [50, 100, 200, 400].map(listPoints)
const PICTURES: readonly Picture[] = [
  {
    title: 'A bay solved',
    sizes: 'nodes',
    limit: { ms: 0.3, says: 'wanted at 300 nodes' },
    bound: { power: 1, says: 'as many steps as nodes' },
    series: [
      { name: 'whole', points: solver.map(({ whole }) => whole) },
      { name: 'one contact moved', points: solver.map(({ moved }) => moved) },
    ],
  },
  {
    title: 'A planted fault found',
    sizes: 'circuits',
    limit: { ms: 200, says: 'wanted for 95 in 100' },
    series: [
      { name: 'half of all', points: diagnosis.map(({ p50 }) => p50) },
      { name: '95 in 100', points: diagnosis.map(({ p95 }) => p95) },
    ],
  },
  {
    title: 'Thirty designs marked',
    sizes: 'circuits',
    limit: { ms: 100, says: 'wanted at twelve' },
    series: [
      { name: 'thirty sheets', points: [2, 3, 4, 6, 8, 10, 12].filter(hasSolution).map(markingPoint) },
    ],
  },
  {
    title: 'Floor and pile',
    sizes: 'people at work',
    limit: { ms: 100, says: 'wanted at any size' },
    series: [
      { name: 'floor', points: lists.map(({ floor }) => floor) },
      { name: 'pile', points: lists.map(({ pile }) => pile) },
    ],
  },
]

const rows = Math.ceil(PICTURES.length / 2)
writeFileSync(
  'docs/performance.svg',
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="-16 -10 ${2 * WIDTH + GAP + 32} ${rows * (HEIGHT + GAP)}" font-family="sans-serif">
<style>.title{font-size:16px;font-weight:700;fill:#1d1d2b}.tick{font-size:11px;fill:#55556b}.name{font-size:12px;font-weight:600;paint-order:stroke;stroke:#fbf8f1;stroke-width:4px}.grid{stroke:#e2dccd}.limit{stroke:#55556b;stroke-dasharray:5 4}</style>
<rect x="-16" y="-10" width="100%" height="100%" fill="#fbf8f1"/>
${PICTURES.map(drawn).join('\n')}
</svg>
`,
)
const table = PICTURES.flatMap(({ title, sizes, series }) =>
  series.map(
    (one) =>
      `| ${title}, ${one.name} | ${one.points.map(({ size, ms }) => `${size}: ${figure(ms)}`).join(' · ')} | ${sizes} | ${powerOf(one)} |`,
  ),
)
const processor = cpus()[0]?.model.trim() ?? 'unknown'
writeFileSync(
  'docs/performance.md',
  `# Cost against size

Made by \`npm run performance\`; both scales in decades, so that a straight line is a power of the size. The dashed line is
what is wanted. One machine on one day; it says how things grow, not how fast another machine is.

Measured on ${new Date().toISOString().slice(0, 10)}, Node.js ${process.version}, ${cpus().length} × ${processor}.

![Cost against size](performance.svg)

| What | ms by size | Size in | Grows by the power |
| --- | --- | --- | --- |
${table.join('\n')}

What bounds each: a network of a bay is nearly a tree, and to take a tree apart costs as many steps as it has nodes (power
1); past 450 nodes these are bays side by side on one supply. Lamps that follow their voltage are solved in several
rounds, of which only the first takes the whole network apart. A change of one contact is felt along its way to the end
of the order alone. A cause of a diagnosis is read as far as it can still come first, and costs what it changes in the
bay. A design is marked step by step. Floor and pile are one look at an index and one line for each sheet; what a sheet
comes to is kept with its version.

On a filled centre (\`npm run fill\`: 600 apprentices, 100 exercises, 60 000 attempts) the screens are measured by
\`npm run bench\`; that no statement walks through a table that grows, and none is asked once a row, is a test
(\`test/api/growth.test.ts\`).
`,
)
console.log(table.join('\n'))

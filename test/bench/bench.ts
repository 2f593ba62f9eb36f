/* npm run bench: the core against its limits and against ngspice, screens in a slowed browser, a centre
   after five years. Separate from tests. */
import { execFileSync } from 'node:child_process'
import { existsSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { energiseInOrder } from '#core/bay/behaviour/energise'
import { networkOf } from '#core/bay/behaviour/network-of'
import { simulate } from '#core/bay/behaviour/simulate'
import { deadState, workingState } from '#core/bay/behaviour/state'
import { scheduleOf } from '#core/testing/plan/schedule'
import type { Network } from '#core/bay/network/network'
import { planFor } from '#core/bay/network/plan'
import { solve } from '#core/bay/network/solve'
import { settledNetwork, spiceListing } from '#core/bay/network/spice'
import { practiceBay } from '#core/bay/practice/bays'
import { buildRig } from '#core/bay/build/build'
import { assignmentOf, designOf, rulesOf } from '#core/exercise/assignment'
import { compareDesigns, type BookChosen } from '#core/design/compare-designs'
import { referenceDesign } from '#core/design/reference'
import { markDesign } from '#core/assessment/marking/mark-design'
import { makeVariants } from '#core/exercise/variants'
import { expectedReadings } from '#core/testing/expected/expected'
import { judgeReadings } from '#core/testing/judge/judge'
import { cutStock } from '#core/containment/cutting'
import { testBay } from '#core/testing/tester'
import { typedAnswers } from '../../demo/story'
import { ANALYSES, leanListing, timedListing } from '../support/lean-listing'
import { runSpice, spiceAnalysisMs } from '../support/spice'
import { anExercise } from '../support/task'
import { aBoardOf } from '../support/board-of'
import { sideBySide } from '../support/side-by-side'
import { clocked, quantile, time } from './clock'
import { arrangementTimes, consumerUnitMs } from './arrangement'
import { diagnosePlanted } from './diagnosis'
import { evidenceTimes } from './evidence'
import { benchFilled } from './filled'
import { planningTimes } from './planning'
import { questionTimes } from './questions'
import { missedLimits, report } from './report'
import { benchScreens } from './screens'
import { isPortFree, startServer } from '../../scripts/steps.mjs'

const LIMITS = {
  gapMatrixMs: 100,
  firstPlanMs: 1000,
  firstSessionMs: 2000,
  bestSessionMs: 20_000,
  dragMs: 16,
  pictureMs: 150,
  bestPlanMs: 10_000,
  generatorsMs: 20,
  askGroupMs: 50,
  whatIfMs: 300,
  findingsMs: 10,
  pairsMs: 1000,
  cuttingMs: 1000,
  floorMs: 1000,
  spiceTimes: 150,
  analysisTimes: 10,
  largeMarkingMs: 100,
  expectedMs: 60,
  variantsMs: 300,
  cuttingOver: 1,
  diagnoseP50Ms: 50,
  diagnoseP95Ms: 200,
  diagnoseMs: 1000,
  solveMs: 0.3,
  solvePower: 1.3,
  energiseMs: 20,
  goodBoardMs: 1000,
  bestBoardMs: 20_000,
  boardGap: 5,
  compareMs: 3000,
  designMs: 1,
  markingMs: 25,
}
const nodesOf = ({ elements }: Network): number =>
  new Set(elements.flatMap(({ from, to }) => [from, to])).size
const twelve = aBoardOf(12)
const six = assignmentOf(aBoardOf(6))
const sheets = Array.from({ length: 30 }, (_, i) => typedAnswers(six, { slips: { 'c1.ib': 9 + i } }))
if (!designOf(assignmentOf(twelve)).circuits.every(({ stopped }) => !stopped))
  throw new Error('the board of the bench has no solution')
report(
  'Reference design of twelve ways',
  time(() => referenceDesign(twelve.installation, rulesOf(twelve)), 100),
  'ms',
  LIMITS.designMs,
)
report(
  'Marking 30 submissions of six circuits',
  time(() => sheets.map((answers) => markDesign(six, answers)), 20),
  'ms',
  LIMITS.markingMs,
)
// Each apprentice with a variant of their own, never designed before: the worst of a pile.
report(
  '… each with an installation of its own, designed too',
  time(() => sheets.map((answers) => markDesign(structuredClone(six), answers)), 20),
  'ms',
)
const large30 = Array.from({ length: 30 }, (_, i) =>
  typedAnswers(assignmentOf(twelve), { slips: { 'c1.ib': 9 + i } }),
)
report(
  'Marking 30 submissions of twelve ways',
  time(() => large30.map((answers) => markDesign(assignmentOf(twelve), answers)), 10),
  'ms',
  LIMITS.largeMarkingMs,
)
report(
  'Variants of one circuit for a group of 20',
  time(() => makeVariants(anExercise(), 20), 20),
  'ms',
)
const variants = makeVariants(twelve, 30)
report(
  'Variants of twelve circuits for a group of 30',
  variants.ok ? time(() => makeVariants(twelve, 30), 5) : Infinity,
  'ms',
  LIMITS.variantsMs,
)

// A bay of 300 nodes and more, the same kinds of circuits on sixteen ways.
const wideTask = assignmentOf(aBoardOf(16))
const wideBay = buildRig(wideTask.installation, designOf(wideTask), 'bench')!
const wide = networkOf(wideBay, workingState(wideBay))
const widePlan = planFor(wide.elements)
report(
  `Network of ${nodesOf(wide)} nodes solved, plan kept`,
  time(() => solve(wide, widePlan)),
  'ms',
  LIMITS.solveMs,
)

// Three such bays on one supply: how the time grows with the nodes.
const workshop = sideBySide(wide, 3)
const workshopPlan = planFor(workshop.elements)
const wideMs = time(() => solve(wide, widePlan), 400)
const workshopMs = time(() => solve(workshop, workshopPlan), 400)
report(`Network of ${nodesOf(workshop)} nodes solved, plan kept`, workshopMs, 'ms')
report(
  '… grows by this power of the nodes',
  Math.log(workshopMs / wideMs) / Math.log(nodesOf(workshop) / nodesOf(wide)),
  '',
  LIMITS.solvePower,
)

// The bay of twelve ways, and a small one with ten devices: solved, energised.
const large = buildRig(twelve.installation, designOf(assignmentOf(twelve)), 'bench')!
const working = workingState(large)
const network = networkOf(large, working)
const plan = planFor(network.elements)
report(
  `Network of ${nodesOf(network)} nodes solved, plan kept`,
  time(() => solve(network, plan)),
  'ms',
)
report(
  '… built after a switch has moved',
  time(() => networkOf(large, working)),
  'ms',
)
// The same network, loads as they settle, several runs of each, against the leanest listing that prints what
// is compared.
const lean = leanListing(spiceListing(network, 'bench')!)
const settled = settledNetwork(network)
// Beside another process, both by the clock.
const solvedMs = time(() => solve(settled, plan), 400, clocked)
report('… with its loads as they settle', solvedMs, 'ms')
const spiceMs = time(() => runSpice(lean), 9, clocked)
report('The same in ngspice, whole process, leanest listing', spiceMs, 'ms')
report('… of its time that ours takes', (100 * solvedMs) / spiceMs, '%', 100 / LIMITS.spiceTimes)
const analysisMs = quantile(
  Array.from({ length: 9 }, () => spiceAnalysisMs(timedListing(lean), ANALYSES)),
  0.5,
)
report('The analysis alone, as ngspice counts it', analysisMs, 'ms')
report('… of its time that ours takes', (100 * solvedMs) / analysisMs, '%', 100 / LIMITS.analysisTimes)
const ten = practiceBay('heaters')!.rig()
const evidence = await evidenceTimes()
report('Gap matrix, 30 people, 60 criteria, five years', evidence.matrixMs, 'ms', LIMITS.gapMatrixMs)
report('What closes most, a first plan', evidence.firstPlanMs, 'ms', LIMITS.firstPlanMs)
report('What closes most, proved: 20 people, 30 exercises', evidence.bestPlanMs, 'ms', LIMITS.bestPlanMs)

const planning = await planningTimes()
report('Session of 20 at 16 bays, a first plan', planning.firstSessionMs, 'ms', LIMITS.firstSessionMs)
report(
  'The same, within 5 % of the bound',
  planning.isProved ? planning.bestSessionMs : Infinity,
  'ms',
  LIMITS.bestSessionMs,
)
report('Its waiting, best over first plan', planning.share, '×')
report('Conflicts of a session while it is dragged', planning.dragMs, 'ms', LIMITS.dragMs)
report('Picture of 30 people, five years', planning.pictureMs, 'ms', LIMITS.pictureMs)

const arranged = arrangementTimes()
report('36 circuits laid on 12 three-phase ways, a good board', arranged.goodMs, 'ms', LIMITS.goodBoardMs)
report('… the best found by a longer look', arranged.bestMs, 'ms', LIMITS.bestBoardMs)
report('… which stands above its bound', arranged.gap, '%', LIMITS.boardGap)
report('14 circuits that share two RCDs in 16 ways, proved', consumerUnitMs(), 'ms', LIMITS.goodBoardMs)
const bookOf = (edition: BookChosen['edition']): BookChosen => ({ edition, changes: [] })
const stored = Array.from({ length: 300 }, () => structuredClone(twelve.installation))
report(
  '300 stored designs of twelve circuits by two editions',
  time(
    () => stored.map((one) => compareDesigns(one, rulesOf(twelve), [bookOf('18-A2'), bookOf('18-A3')])),
    3,
  ),
  'ms',
  LIMITS.compareMs,
)

const questions = await questionTimes()
report('Questions about one job, every generator', questions.generatorsMs, 'ms', LIMITS.generatorsMs)
report('What to ask now, a group of 20', questions.groupMs, 'ms', LIMITS.askGroupMs)
report('What would happen if, at a six-circuit bay', questions.whatIfMs, 'ms', LIMITS.whatIfMs)

report(
  'Energising in order, ten seconds followed',
  time(() => simulate(ten, deadState(ten), energiseInOrder(ten), { untilS: 10 }), 50),
  'ms',
  LIMITS.energiseMs,
)
report(
  'Energising twelve ways in order, an hour followed',
  time(() => simulate(large, deadState(large), energiseInOrder(large), { untilS: 3600 }), 9),
  'ms',
  LIMITS.energiseMs,
)

// Every fault that can be planted, each with the whole sheet that it makes: of six circuits all, of twelve
// ways every third.
const sixBay = buildRig(six.installation, designOf(six), 'bench')!
for (const [name, rig, every] of [
  ['six circuits', sixBay, 1],
  ['twelve ways', large, 3],
] as const) {
  const planted = diagnosePlanted(rig, every)
  const times = planted.map(({ ms }) => ms)
  report(
    `Diagnosis of ${planted.length} planted faults, ${name}, p50`,
    quantile(times, 0.5),
    'ms',
    LIMITS.diagnoseP50Ms,
  )
  report('… p95', quantile(times, 0.95), 'ms', LIMITS.diagnoseP95Ms)
  report('… the slowest', Math.max(...times), 'ms', LIMITS.diagnoseMs)
  const named = planted.filter(({ rank }) => rank !== null).length
  report('… with the planted cause among those shown', (100 * named) / planted.length, '%')
}
const pairTimes = diagnosePlanted(sixBay, 9, true).map(({ ms }) => ms)
report('Two causes at once tried, six circuits, p95', quantile(pairTimes, 0.95), 'ms', LIMITS.pairsMs)

const tests = scheduleOf(large, { edition: '18-A2', rcdTests: 'all' })
const largeDesign = designOf(assignmentOf(twelve))
const judged = {
  schedule: tests,
  expected: expectedReadings(large, largeDesign, tests),
  design: largeDesign,
  edition: '18-A2',
  arrangement: 'TN-C-S',
} as const
// Each time of a bay that nobody has looked at.
const unseen = Array.from({ length: 18 }, () => structuredClone(large))
report(
  `Expected schedule of twelve ways, ${tests.length} readings`,
  time(() => expectedReadings(unseen.pop()!, largeDesign, tests), 9),
  'ms',
  LIMITS.expectedMs,
)
const taken = Object.fromEntries([...testBay(large, tests)].map(({ test, shown }) => [test.key, shown]))
report(
  `Findings of ${tests.length} readings, twelve ways`,
  time(() => judgeReadings(judged, taken)),
  'ms',
  LIMITS.findingsMs,
)

// Many short pieces, and pieces near a third and a half of a bar, where little fits beside them.
for (const [name, least, span] of [
  ['pieces of any length', 260, 1240],
  ['pieces near a third of a bar', 950, 110],
  ['pieces near a half', 1400, 200],
] as const) {
  const pieces = Array.from({ length: 192 }, (_, i) => ({
    name: `p${i}`,
    lengthMm: least + ((i * 7919) % span),
  }))
  const list = cutStock(pieces, 3000)
  report(
    `Cutting list of sixteen bays, ${name}`,
    time(() => cutStock(pieces, 3000), 3),
    'ms',
    LIMITS.cuttingMs,
  )
  report(
    '… bars over the least possible',
    (100 * (list.bars.length - list.leastBars)) / list.leastBars,
    '%',
    LIMITS.cuttingOver,
  )
}

if (!existsSync('.output/server/index.mjs')) {
  console.log('Screens: build first (npm run build).')
  process.exit(1)
}

/** From an act until the last of so many floor screens has the new floor, ms; the longest of some acts. */
async function floorTo(base: string, clients: number): Promise<number> {
  const signed = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ number: 'I-201', password: 'tram-depot-14' }),
  })
  const headers = {
    cookie: signed.headers
      .getSetCookie()
      .map((cookie) => cookie.split(';')[0])
      .join('; '),
    'content-type': 'application/json',
  }
  const closed = new AbortController()
  let waiting: (() => void)[] = []
  for (let i = 0; i < clients; i += 1) {
    const stream = await fetch(`${base}/api/news`, { headers, signal: closed.signal })
    const reader = stream.body!.getReader()
    let isFirst = true
    void (async () => {
      while (!(await reader.read()).done) {
        if (isFirst) isFirst = false
        else await (await fetch(`${base}/api/floor`, { headers })).json().then(() => waiting.pop()?.())
      }
    })().catch(() => undefined)
  }
  await new Promise((resolve) => setTimeout(resolve, 500))
  let longest = 0
  for (let act = 0; act < 5; act += 1) {
    const all = Promise.all(
      Array.from({ length: clients }, () => new Promise<void>((resolve) => waiting.push(resolve))),
    )
    const start = performance.now()
    await fetch(`${base}/api/floor/stop`, {
      method: 'POST',
      headers,
      body: JSON.stringify({ attemptId: null, reason: '' }),
    })
    await all
    longest = Math.max(longest, performance.now() - start)
    waiting = []
    await new Promise((resolve) => setTimeout(resolve, 400))
  }
  closed.abort()
  return longest
}

let port = 4700
while (!(await isPortFree(port))) port += 1
// The demo afresh, so that a figure never depends on what somebody did in it.
const data = mkdtempSync(join(tmpdir(), 'nakshi-bench-'))
execFileSync('npx', ['tsx', 'demo/load.ts'], { env: { ...process.env, NAKSHI_DATA: data } })
const server = await startServer(port, data, 'ignore')
const base = `http://localhost:${port}`
// Screens first: what follows stops every bay.
await benchScreens(base, process.env.CHROMIUM ?? '/usr/bin/chromium')
report('Floor to 32 screens after an act', await floorTo(base, 32), 'ms', LIMITS.floorMs)
server.kill()
await benchFilled()
process.exit(missedLimits() === 0 ? 0 : 1)

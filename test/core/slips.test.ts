/* Ways of going wrong in circuits of every kind, each recognised by the value that it leads to. The arithmetic stands beside it. */
import { describe, expect, test } from 'vitest'
import { followFrom } from '#core/design/follow'
import { stepWords } from '#core/design/model/step-kinds'
import { stepOf, type NodeKey } from '#core/design/model/step-keys'
import { askedNodes, rulesOf, type Assignment } from '#core/exercise/assignment'
import type { Task } from '#core/design/model/task'
import { markDesign } from '#core/assessment/marking/mark-design'
import { findingSentence } from '#words/findings/findings'
import { aCircuit, aTask, anInstallation, asksEverything, around } from '../support/task'

const PLAIN: Partial<Task> = {
  ambientC: 30,
  grouping: { circuits: 1, arrangement: 'bunched' },
  cable: { kind: 'flat-twin-earth', method: 'C' },
}
const RING = aTask({
  ...PLAIN,
  topology: 'ring',
  load: { basis: 'current', currentA: 26, powerFactor: 1 },
  points: 10,
  isSpread: true,
  lengthM: 54,
})
const CHARGER = aTask({
  ...PLAIN,
  use: 'fixed',
  phases: 3,
  load: { basis: 'power', powerW: 15_000, powerFactor: 0.92 },
  cable: { kind: 'singles-in-conduit', method: 'B' },
  lengthM: 24,
  device: { family: 'breaker', curve: 'C' },
  residualA: null,
})
const MOTOR = aTask({
  ...PLAIN,
  use: 'motor',
  load: { basis: 'motor', powerW: 1100, powerFactor: 0.8, efficiency: 0.78, startMultiple: 6 },
  device: { family: 'breaker', curve: 'C' },
  residualA: null,
})
const LOFT = aTask({
  ...PLAIN,
  use: 'fixed',
  load: { basis: 'power', powerW: 3000, powerFactor: 1 },
  insulationMm: 100,
  device: { family: 'fuse-rewirable', curve: null },
  residualA: null,
  supply: { arrangement: 'TN-S', zeOhm: 0.5, ipfA: 900 },
})
const FEED = aTask({
  ...PLAIN,
  use: 'fixed',
  load: { basis: 'current', currentA: 18, powerFactor: 1 },
  cable: { kind: 'armoured-90', method: 'D' },
  ambientC: 20,
  lengthM: 30,
  device: { family: 'fuse-gg', curve: null },
  residualA: null,
})

/** The sheet of one circuit, right but for one box. */
function markWith(task: Task, node: NodeKey, text: string, assignment: Assignment = asksEverything(task)) {
  const values = followFrom(assignment.installation, rulesOf(assignment), {})
  const answers = Object.fromEntries(
    askedNodes(assignment).map((askedNode) => [askedNode, stepWords(stepOf(askedNode), values[askedNode]!)]),
  )
  return markDesign(assignment, { ...answers, [node]: text }).find((mark) => mark.node === node)!
}

test.each<[string, Task, NodeKey, string, string]>([
  ['√3 left out', CHARGER, 'c1.ib', '40.8 A', 'slip.rootThreeForgotten'], //                 15000 ÷ (400 × 0.92)
  ['three phase worked with 230 V', CHARGER, 'c1.ib', '70.9', 'slip.phaseVoltage'], //       15000 ÷ (230 × 0.92)
  ['the single-phase column of drop', CHARGER, 'c1.voltDropPerAm', '11', 'slip.neighbour'],
  ['two loaded conductors for three', CHARGER, 'c1.it', '32', 'slip.neighbour'],
  ['efficiency left out', MOTOR, 'c1.ib', '5.98', 'slip.efficiencyForgotten'], //            1100 ÷ (230 × 0.8)
  ['power factor of a motor left out', MOTOR, 'c1.ib', '6.13', 'slip.powerFactorForgotten'], // 1100 ÷ (230 × 0.78)
  ['a ring dropped as a radial', RING, 'c1.voltDrop', '25.3 V', 'slip.ringAsRadial'], //     18 × 26 × 54 ÷ 1000
  ['end to end for R1 + R2', RING, 'c1.r1r2', '1.05', 'slip.ringAsRadial'], //               19.51 × 54 ÷ 1000
  ['a ring whose leg carries all', RING, 'c1.itMin', '32 A', 'slip.ringCarriesAll'],
  ['Ci left out', LOFT, 'c1.itMin', '20.7', 'slip.factorForgotten'], //                      15 ÷ 0.725
  ['Cf left out', LOFT, 'c1.itMin', '19.2', 'slip.factorForgotten'], //                      15 ÷ 0.78
  ['factors divided into Iz', LOFT, 'c1.iz', '34.6', 'slip.dividedFactors'], //              27 ÷ 0.78
  ['the row of 200 mm', LOFT, 'c1.ci', '0.63', 'slip.neighbour'],
  ['the 5 s table for 0.4 s', LOFT, 'c1.zsMax', '5.08', 'slip.neighbour'],
  ['no 0.9 for the ground', FEED, 'c1.cf', '1', 'slip.neighbour'],
  ['copper for the armour', FEED, 'c1.ohmPerM', '14.82', 'slip.neighbour'], //               2 × 7.41
  ['the square root left out', RING, 'c1.cpcMin', '104', 'slip.rootForgotten'], //           345² × 0.1 ÷ 115
])('%s', (_name, task, node, text, code) => {
  const mark = markWith(task, node, text)
  expect(mark.verdict).toBe('wrong')
  expect(
    mark.findings.map((finding) => finding.code),
    findingSentence(mark.findings[0]!),
  ).toContain(code)
})

describe('choices are judged by the rule, not by the row', () => {
  test.each<[string, Task, NodeKey, string, string]>([
    ['a ring on 20 A', RING, 'c1.in', '20', 'ratingBelowLoad'],
    ['a ring on 40 A', RING, 'c1.in', '40', 'ringRating'],
    [
      'a motor that trips its breaker at start',
      aTask({
        ...MOTOR,
        load: {
          ...(MOTOR.load as {
            basis: 'motor'
            powerW: number
            powerFactor: number
            efficiency: number
            startMultiple: number
          }),
          startMultiple: 9,
        },
      }),
      'c1.in',
      '10',
      'ratingTripsAtStart',
    ],
    ['type AC for sockets', RING, 'c1.residualType', 'AC', 'typeBlind'],
    ['a type without a device', CHARGER, 'c1.residualType', 'A', 'typeWithoutDevice'],
    ['a delayed device on a final circuit', RING, 'c1.residualDelay', 'delayed (S)', 'delayNotHere'],
    ['AFDD called required', RING, 'c1.afdd', 'required', 'afddWrong'],
    ['selective called not', FEED, 'c1.selective', 'no', 'selectivityWrong'],
    ['a conduit that is full', CHARGER, 'c1.containment', '16 mm', 'containmentFull'],
    ['a capacity that this fuse has not', LOFT, 'c1.breaking', '6 kA', 'notACapacity'],
  ])('%s', (_name, task, node, text, code) => {
    const mark = markWith(task, node, text)
    expect(mark.verdict).toBe('wrong')
    expect(mark.findings[0]!.code).toBe(code)
    expect(findingSentence(mark.findings[0]!)).toMatch(/^[A-Z0-9].*\.$/)
  })
  test('better than needed is right, and says so', () => {
    expect(markWith(RING, 'c1.residualType', 'F')).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'moreThanAsked' }],
    })
    expect(markWith(CHARGER, 'c1.containment', '32 mm')).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'soundNotEconomical' }],
    })
    expect(markWith(RING, 'c1.breaking', '10 kA')).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'moreThanAsked' }],
    })
  })
})

describe('the protective conductor by its premise', () => {
  // √(345² × 0.1 s) ÷ 115 = 0.95 mm² with the tenth of a second off the characteristic; the breaker lets less
  // through.
  test('worked with the time off the curve it is right, and says so', () => {
    expect(markWith(RING, 'c1.cpcMin', '0.95')).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'adiabaticByTime' }],
    })
  })
  test('worked from a time that was read wrong it is not right by that premise', () => {
    // √(345² × 0.01 s) ÷ 115 = 0.3 mm², from a hundredth of a second that no characteristic shows.
    const task = asksEverything(RING)
    const values = followFrom(task.installation, rulesOf(task), {})
    const answers = Object.fromEntries(
      askedNodes(task).map((node) => [node, stepWords(stepOf(node), values[node]!)]),
    )
    const marks = markDesign(task, { ...answers, 'c1.time': '0.01 s', 'c1.cpcMin': '0.3' })
    expect(marks.find(({ node }) => node === 'c1.cpcMin')!.verdict).toBe('wrong')
  })
  test('a smaller area than any premise gives is wrong', () => {
    expect(markWith(RING, 'c1.cpcMin', '0.2').verdict).toBe('wrong')
  })
})

describe('how an exercise is judged', () => {
  const assignment = asksEverything(RING)
  test('marks and critical steps of the exercise count in place of the usual ones', () => {
    const own = { ...assignment, marks: { zs: 5 }, critical: ['voltDrop' as const] }
    expect(markWith(RING, 'c1.zs', '0.67', own)).toMatchObject({ outOf: 5, mark: 5 })
    expect(markWith(RING, 'c1.voltDrop', '25.3', own).findings[0]).toMatchObject({
      code: 'slip.ringAsRadial',
      seriousness: 'critical',
    })
    expect(markWith(RING, 'c1.voltDrop', '25.3').findings[0]!.seriousness).toBe('fault')
  })
  test.each([
    [0.01, 'wrong'],
    [0.02, 'right'],
    [0.05, 'right'],
  ] as const)('rounding of %d: 3.21 V for 3.159 is %s', (rounding, verdict) => {
    expect(
      markWith(RING, 'c1.voltDrop', '3.21', { ...assignment, policy: { ...assignment.policy, rounding } })
        .verdict,
    ).toBe(verdict)
  })
  test.each([
    [1, 1],
    [0.5, 0.5],
    [0, 0],
  ])('a share of %d gives %d of a mark for following through', (followShare, mark) => {
    const answers = { 'c1.ib': '30 A', 'c1.voltDrop': '3.65 V' } // 18 × 30 × 54 ÷ 8000
    const marks = markDesign({ ...assignment, policy: { ...assignment.policy, followShare } }, answers)
    expect(marks.find(({ node }) => node === 'c1.voltDrop')).toMatchObject({ verdict: 'carried', mark })
  })
  test('a step that is not asked follows from what is', () => {
    const short: Assignment = { ...assignment, asks: { circuits: ['c1'], steps: ['ib', 'voltDropTotal'] } }
    const marks = markDesign(short, { 'c1.ib': '30 A', 'c1.voltDropTotal': '1.58 %' }) // 3.645 ÷ 230
    expect(marks.map(({ node, verdict }) => [node, verdict])).toEqual([
      ['c1.ib', 'wrong'],
      ['c1.voltDropTotal', 'carried'],
    ])
  })
  test('demand without diversity is recognised, and a demand beyond the main fuse is followed through', () => {
    const ring = (id: string, way: number) => aCircuit({ ...around(RING).circuits[0]!, id, way })
    const board: Assignment = {
      ...assignment,
      installation: anInstallation({ circuits: [ring('c1', 1), ring('c2', 2)] }),
      asks: { circuits: ['c1', 'c2'], steps: ['in', 'demand', 'mainSwitch'] },
    }
    const mark = (answers: Record<string, string>) =>
      Object.fromEntries(
        markDesign(board, { 'c1.in': '32', 'c2.in': '32', ...answers }).map((stepMark) => [
          stepMark.node,
          stepMark,
        ]),
      )
    expect(mark({ 'b1.demand': '64 A' })['b1.demand']!.findings[0]!.code).toBe('slip.withoutDiversity') // 32 + 32; 32 + 0.5 × 32 = 48
    expect(mark({ 'b1.demand': '48 A' })['b1.demand']!.verdict).toBe('right')
    expect(mark({ 'c1.in': '100', 'b1.demand': '116 A' })['b1.demand']!.verdict).toBe('carried') // 100 + 0.5 × 32
  })
})

/* Whole boards: what must hold for every installation that can be built, and the structure that cannot be. */
import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { followFrom } from '#core/design/follow'
import { limitUse, referenceDesign } from '#core/design/reference'
import { STEP_KINDS } from '#core/design/model/step-kinds'
import { scopeOf, stepOf, type NodeKey } from '#core/design/model/step-keys'
import { askedNodes, designOf, publicInstallation, rulesOf, type Assignment } from '#core/exercise/assignment'
import { structureProblems } from '#core/installation/check'
import { markDesign } from '#core/assessment/marking/mark-design'
import { propose } from '#core/assessment/marking/proposal'
import { constraintSentence } from '#words/constraints'
import { findingSentence } from '#words/findings/findings'
import { structureSentence } from '#words/structure'
import { boards } from '../support/boards'
import { RULES, aBoard, aCircuit, anInstallation, typed } from '../support/task'

/** Everything somebody writes who goes on correctly from these values, with all digits. */
function sheet(assignment: Assignment, given: Partial<Record<NodeKey, number>> = {}): Record<string, string> {
  const nodes = followFrom(assignment.installation, rulesOf(assignment), given)
  return Object.fromEntries(
    Object.entries(nodes).map(([node, value]) => [node, typed({ [stepOf(node)]: value })[stepOf(node)]!]),
  )
}

describe('for every board', () => {
  test('each part has a design within its limits, or names what prevents it in a sentence, while the rest goes on', () => {
    fc.assert(
      fc.property(boards, (assignment) => {
        const design = designOf(assignment)
        expect(structureProblems(assignment.installation)).toEqual([])
        expect(design.circuits).toHaveLength(assignment.installation.circuits.length)
        for (const part of [...design.circuits, ...design.boards]) {
          if (part.stopped) expect(constraintSentence(part.stopped.constraint)).toMatch(/^[A-Z].*\.$/)
          for (const step of part.steps) {
            expect(Number.isFinite(step.value), step.key).toBe(true)
            if (step.check && !part.stopped) expect(step.check.isKept, `${part.scope} ${step.key}`).toBe(true)
          }
        }
        for (const circuit of design.circuits.filter(({ stopped }) => !stopped))
          expect(Math.max(...Object.values(limitUse(circuit)))).toBeLessThanOrEqual(1 + 1e-9)
      }),
      { numRuns: 150 },
    )
  })

  test('the reference passes its own marking, and no later step is punished for a wrong load early on', () => {
    fc.assert(
      fc.property(
        boards,
        fc.double({ min: 1.06, max: 1.3, noNaN: true }),
        fc.nat(20),
        (assignment, factor, pick) => {
          const design = designOf(assignment)
          fc.pre(design.ok)
          for (const mark of markDesign(assignment, sheet(assignment)))
            expect(mark, mark.node).toMatchObject({ verdict: 'right', mark: mark.outOf, findings: [] })

          const slipped = design.circuits[pick % design.circuits.length]!
          const wrong: NodeKey = `${slipped.scope}.ib`
          const written = sheet(assignment, { [wrong]: Number((slipped.values.ib! * factor).toPrecision(5)) })
          fc.pre(askedNodes(assignment).every((node) => node in written))
          for (const mark of markDesign(assignment, written))
            if (mark.node !== wrong)
              expect(['right', 'carried'], `${mark.node} after ${wrong}`).toContain(mark.verdict)
        },
      ),
      { numRuns: 120 },
    )
  })

  test('following through never earns more than being right, and a share of less earns no more', () => {
    fc.assert(
      fc.property(boards, fc.double({ min: 1.1, max: 1.6, noNaN: true }), (assignment, factor) => {
        const design = designOf(assignment)
        fc.pre(design.ok)
        const first = design.circuits[0]!
        const written = sheet(assignment, { [`${first.scope}.ib`]: first.values.ib! * factor })
        const total = (followShare: number, answers: Record<string, string>) =>
          propose(
            {
              design: markDesign({ ...assignment, policy: { ...assignment.policy, followShare } }, answers),
              readings: [],
              work: [],
            },
            [],
            [],
          ).mark
        expect(total(1, written)).toBeLessThanOrEqual(total(1, sheet(assignment)))
        expect(total(0, written)).toBeLessThanOrEqual(total(0.5, written))
        expect(total(0.5, written)).toBeLessThanOrEqual(total(1, written))
      }),
      { numRuns: 60 },
    )
  })

  test('whatever is written, it is marked with sentences; order and strangers change nothing', () => {
    const text = fc.oneof(
      fc.constantFrom('', 'none', '1', '2.5 mm²', '6 kA', 'B', 'yes', '-3', '> 4', '12 mA'),
      fc.double({ min: 0.001, max: 999, noNaN: true }).map((n) => n.toPrecision(3)),
      fc.string({ maxLength: 8 }),
    )
    fc.assert(
      fc.property(boards, fc.array(text, { minLength: 8, maxLength: 8 }), (assignment, texts) => {
        fc.pre(designOf(assignment).ok)
        const nodes = askedNodes(assignment)
        const answers = Object.fromEntries(nodes.map((node, i) => [node, texts[i % texts.length]!]))
        const marks = markDesign(assignment, answers)
        for (const { findings, mark, outOf } of marks) {
          for (const finding of findings)
            expect(findingSentence(finding)).not.toMatch(/NaN|undefined|Infinity|\[object/)
          expect(mark).toBeLessThanOrEqual(outOf)
        }
        expect(
          markDesign(assignment, { 'zz.ib': '4', ...Object.fromEntries(Object.entries(answers).reverse()) }),
        ).toEqual(marks)
      }),
      { numRuns: 80 },
    )
  })

  test('the boxes of a sheet follow from what an apprentice may see, and tell nothing of the RCDs', () => {
    fc.assert(
      fc.property(boards, (assignment) => {
        const seen = publicInstallation(assignment.installation)
        expect(JSON.stringify(seen)).not.toContain('residualA')
        expect(askedNodes({ ...assignment, installation: seen })).toEqual(askedNodes(assignment))
      }),
      { numRuns: 60 },
    )
  })
})

test('a wrong cable to a second board is carried into the loop, drop and fault current of every circuit behind it', () => {
  const assignment: Assignment = {
    ...fc.sample(boards, { numRuns: 1, seed: 7 })[0]!,
    edition: '18-A2',
    installation: anInstallation({
      boards: [aBoard(), aBoard({ id: 'b2', name: 'Store', fedBy: 'f1' })],
      circuits: [
        aCircuit({
          id: 'f1',
          use: 'distribution',
          load: { basis: 'board' },
          lengthM: 20,
          cable: { kind: 'armoured-70', method: 'C' },
          ambientC: 30,
          grouping: { circuits: 1, arrangement: 'bunched' },
          device: { family: 'breaker', curve: 'C' },
          residualA: null,
        }),
        aCircuit({ id: 'c1', board: 'b2', ambientC: 30, grouping: { circuits: 1, arrangement: 'bunched' } }),
      ],
    }),
    asks: { circuits: ['f1', 'c1'], steps: ['csa', 'voltDropTotal', 'zs', 'ipfEnd', 'breaking'] },
    policy: {
      measuredZs: 'eighty-percent',
      warmDrop: 'tabulated',
      followShare: 1,
      rounding: 0.02,
      library: 'open',
    },
  }
  const reference = designOf(assignment).circuits[0]!.values.csa!
  const marks = new Map(
    markDesign(assignment, sheet(assignment, { 'f1.csa': reference === 10 ? 16 : 10 })).map((mark) => [
      mark.node,
      mark,
    ]),
  )
  expect(marks.get('f1.csa')!.findings[0]!.code).toMatch(/oneSizeUp|soundNotEconomical/)
  expect(
    ['f1.zs', 'f1.ipfEnd', 'c1.zs', 'c1.voltDropTotal'].map((node) => marks.get(node as NodeKey)!.verdict),
  ).toEqual(['carried', 'carried', 'carried', 'carried'])
  expect(marks.get('c1.csa')!.verdict).toBe('right')
})

describe('an alteration of what is there', () => {
  // A 32 A ring in 2.5 mm² from before RCDs were asked for: two points added on the ring, in an industrial store.
  const ring = (parts: Parameters<typeof aCircuit>[0] = {}) =>
    anInstallation({
      circuits: [
        aCircuit({
          topology: 'ring',
          load: { basis: 'current', currentA: 28, powerFactor: 1 },
          points: 10,
          isSpread: true,
          lengthM: 60,
          cable: { kind: 'flat-twin-earth', method: 'C' },
          ambientC: 30,
          grouping: { circuits: 1, arrangement: 'bunched' },
          device: { family: 'breaker', curve: 'B' },
          residualA: null,
          existing: { ratingA: 32, lineMm2: 2.5 },
          ...parts,
        }),
      ],
    })
  const work = (installation: ReturnType<typeof ring>) => referenceDesign(installation, RULES).circuits[0]!
  test('device and cable are found, not chosen; the RCD that is missing is part of the answer', () => {
    expect(work(ring()).values).toMatchObject({ in: 32, csa: 2.5, residual: 0.03 })
    expect(publicInstallation(ring()).circuits[0]).toMatchObject({
      residualA: null,
      existing: { ratingA: 32 },
    })
  })
  test('what the addition asks too much of is named, with the way out', () => {
    const sentence = (parts: Parameters<typeof aCircuit>[0]) =>
      constraintSentence(work(ring(parts)).stopped!.constraint)
    expect(sentence({ load: { basis: 'current', currentA: 35, powerFactor: 1 } })).toMatch(
      /device that is there is 32 A\. The addition needs a circuit of its own/,
    )
    expect(sentence({ insulationMm: 200 })).toMatch(
      /cable that is there, 2\.5 mm², is not enough any more \(current rating\)/,
    )
  })
})

describe('what does not fit together is named at its cell, with what mends it', () => {
  const two = (circuits: Parameters<typeof aCircuit>[0][], board = {}) =>
    anInstallation({
      boards: [aBoard(), aBoard({ id: 'b2', name: 'Hut', fedBy: 'c1', ...board })],
      circuits: circuits.map((parts) => aCircuit(parts)),
    })
  const FEED = { use: 'distribution', load: { basis: 'board' } } as const
  test.each<[string, ReturnType<typeof anInstallation>, string, RegExp]>([
    [
      'a circuit that feeds the board it stands on',
      two([{ ...FEED, board: 'b2' }]),
      'b2.fedBy',
      /is on this board/,
    ],
    [
      'boards that feed each other',
      anInstallation({
        boards: [aBoard(), aBoard({ id: 'b2', fedBy: 'c2' }), aBoard({ id: 'b3', fedBy: 'c3' })],
        circuits: [
          aCircuit(),
          aCircuit({ ...FEED, id: 'c2', board: 'b3' }),
          aCircuit({ ...FEED, id: 'c3', board: 'b2' }),
        ],
      }),
      'b2.fedBy',
      /circle/,
    ],
    ['a board with no supply', two([{ ...FEED }], { fedBy: 'c9' }), 'b2.fedBy', /no supply/],
    ['a board fed by a final circuit', two([{}]), 'b2.fedBy', /final circuit/],
    [
      'a feed that feeds nothing',
      anInstallation({ circuits: [aCircuit(FEED)] }),
      'c1.use',
      /no board is fed/,
    ],
    [
      'a three-phase load on one way',
      anInstallation({ circuits: [aCircuit({ phases: 3 })] }),
      'c1.phases',
      /needs a three-phase board/,
    ],
    [
      'two circuits on one way',
      anInstallation({ circuits: [aCircuit(), aCircuit({ id: 'c2' })] }),
      'c2.way',
      /taken by Sockets/,
    ],
    ['a way beyond the board', anInstallation({ circuits: [aCircuit({ way: 9 })] }), 'c1.way', /has 8 ways/],
    [
      'more spurs than points on the ring',
      anInstallation({ circuits: [aCircuit({ topology: 'ring', points: 5, spurs: 3, spurM: 2 })] }),
      'c1.spurs',
      /at most 2 here/,
    ],
    [
      'a ring of lights',
      anInstallation({ circuits: [aCircuit({ topology: 'ring', use: 'lighting' })] }),
      'c1.topology',
      /Only socket-outlets/,
    ],
    [
      'a fuse with a curve',
      anInstallation({ circuits: [aCircuit({ device: { family: 'fuse-gg', curve: 'B' } })] }),
      'c1.curve',
      /has no type/,
    ],
  ])('%s', (_name, installation, cell, words) => {
    const problem = structureProblems(installation).find(({ scope, field }) => `${scope}.${field}` === cell)
    expect(problem, JSON.stringify(structureProblems(installation))).toBeDefined()
    expect(structureSentence(problem!)).toMatch(words)
  })
  test('the last way of a board is a way of it', () => {
    expect(structureProblems(anInstallation({ circuits: [aCircuit({ way: 8 })] }))).toEqual([])
  })
})

test('a choice is typed by its words and read back as the same', () => {
  for (const [key, { choices }] of Object.entries(STEP_KINDS))
    for (const { value, text } of choices ?? [])
      expect(typed({ [key]: value })[key as 'ib'], scopeOf(`x.${key}`)).toBe(text)
})

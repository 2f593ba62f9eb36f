import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { CIRCUIT_CHAIN } from '#core/design/circuit-chain'
import { installationAdvice } from '#core/design/advice'
import { hotZsOhm, voltDropV } from '#core/design/limits/limits'
import { referenceDesign } from '#core/design/reference'
import { rulesOf } from '#core/exercise/assignment'
import { shippedBook, sizesIn } from '#core/regulations/book/book'
import { constraintSentence } from '#words/constraints'
import type { Circuit, Installation } from '#core/installation/installation'
import { RULES, aCircuit, aTask, anInstallation, worked } from '../support/task'
import { tasks } from '../support/arbitrary'
import { boards } from '../support/boards'

test('every step stands after the steps it needs', () => {
  CIRCUIT_CHAIN.forEach((step, i) =>
    expect(CIRCUIT_CHAIN.slice(0, i).map((s) => s.key)).toEqual(expect.arrayContaining([...step.needs])),
  )
})

const TEN_AMPERES = { ib: 10, in: 10, itMin: 10, ca: 1, cg: 1 }

describe('for every circuit', () => {
  test('a design either satisfies every limit or names the constraint in a sentence', () => {
    fc.assert(
      fc.property(tasks, (task) => {
        const design = worked(task)
        if (!design.ok) return void expect(constraintSentence(design.constraint)).toMatch(/\.$/)
        const { values } = design
        expect(values.ib).toBeLessThanOrEqual(values.in)
        expect(values.it * values.ca * values.cg).toBeGreaterThanOrEqual(values.in - 1e-9) // Iz ≥ In
        expect(values.voltDrop).toBeLessThanOrEqual(task.use === 'lighting' ? 6.9 : 11.5)
        expect(values.zs).toBeLessThanOrEqual(values.zsMax)
      }),
    )
  })

  test('more length never lowers the voltage drop nor Zs', () => {
    fc.assert(
      fc.property(tasks, fc.double({ min: 0.1, max: 40, noNaN: true }), (task, moreM) => {
        const longer = { ...task, lengthM: task.lengthM + moreM }
        for (const size of sizesIn(shippedBook(), task.cable.kind, task.cable.method, task.phases)) {
          expect(voltDropV(longer, size, TEN_AMPERES)).toBeGreaterThanOrEqual(
            voltDropV(task, size, TEN_AMPERES),
          )
          expect(hotZsOhm(longer, size)).toBeGreaterThanOrEqual(hotZsOhm(task, size))
        }
      }),
    )
  })

  test('a larger conductor never raises Zs or the drop, nor carries less', () => {
    fc.assert(
      fc.property(tasks, (task) => {
        const sizes = sizesIn(shippedBook(), task.cable.kind, task.cable.method, task.phases)
        for (let i = 1; i < sizes.length; i += 1) {
          expect(hotZsOhm(task, sizes[i]!)).toBeLessThanOrEqual(hotZsOhm(task, sizes[i - 1]!))
          expect(voltDropV(task, sizes[i]!, TEN_AMPERES)).toBeLessThanOrEqual(
            voltDropV(task, sizes[i - 1]!, TEN_AMPERES),
          )
          expect(sizes[i]!.ratingA).toBeGreaterThan(sizes[i - 1]!.ratingA)
        }
      }),
    )
  })

  test('a longer run never leads to a smaller conductor, unless a short run’s heavier fault heats the cpc', () => {
    fc.assert(
      fc.property(tasks, (task) => {
        const [near, far] = [worked(task), worked({ ...task, lengthM: task.lengthM * 1.5 })]
        if (near.ok && far.ok && near.governs !== 'adiabatic')
          expect(far.values.csa).toBeGreaterThanOrEqual(near.values.csa)
      }),
    )
  })
})

describe('a task without a solution names what prevents it', () => {
  test.each([
    ['rating', aTask({ load: { basis: 'power', powerW: 20_000, powerFactor: 1 } }), /largest device is 63 A/],
    [
      'capacity',
      aTask({
        load: { basis: 'power', powerW: 12_000, powerFactor: 1 },
        grouping: { circuits: 9, arrangement: 'bunched' },
        ambientC: 50,
      }),
      /Current rating prevents/,
    ],
    ['voltDrop', aTask({ lengthM: 420, cable: { kind: 'flat-twin-earth', method: 'C' } }), /at the most/],
    [
      'loop',
      aTask({ supply: { arrangement: 'TN-S', zeOhm: 3, ipfA: 900 } }),
      /Ze of 3\.00 Ω alone is above the limit of 2\.73 Ω/,
    ],
    ['residual', aTask({ residualA: null, device: { family: 'breaker', curve: 'B' } }), /411\.3\.3/],
    [
      'breaking',
      aTask({ supply: { arrangement: 'TN-S', zeOhm: 0.2, ipfA: 16_000 } }),
      /16 kA is above the 10 kA/,
    ],
    ['ambient', aTask({ ambientC: 33 }), /no row for 33 °C/],
    ['method', aTask({ cable: { kind: 'flat-twin-earth', method: 'B' } }), /no ratings for method B/],
  ])('%s', (code, task, words) => {
    const design = worked(task)
    expect(design.ok).toBe(false)
    if (design.ok) return
    expect(design.constraint.code).toBe(code)
    expect(constraintSentence(design.constraint)).toMatch(words)
  })
})

test('advice names what an experienced eye would stop at, and stays silent on a plain bay', () => {
  const PLAIN = {
    arrangement: 'TN-C-S',
    phases: 1,
    zeOhm: 0.28,
    ipfA: 820,
    mainFuseA: 100,
    neutralMm2: 25,
  } as const
  const codes = (
    intake: Partial<Installation['intake']>,
    circuit: Partial<Circuit> = { load: { basis: 'current', currentA: 19, powerFactor: 1 } },
  ) => {
    const installation = anInstallation({ intake: { ...PLAIN, ...intake }, circuits: [aCircuit(circuit)] })
    return installationAdvice(installation, referenceDesign(installation, RULES)).map(
      ({ finding }) => finding.code,
    )
  }
  expect(codes({})).toEqual([])
  expect(codes({ zeOhm: 0.5, ipfA: 460 })).toEqual(['advice.zeAboveDeclared'])
  expect(codes({ ipfA: 1900 })).toEqual(['advice.faultCurrent'])
  expect(codes({ arrangement: 'TT', zeOhm: 260, ipfA: 500 })).toEqual(['advice.electrodeUnstable'])
  expect(
    codes(
      { arrangement: 'TN-S', zeOhm: 0.6, ipfA: 900 },
      { load: { basis: 'current', currentA: 12, powerFactor: 1 } },
    ),
  ).toEqual(['advice.smallForSockets', 'advice.notSelective'])
  expect(
    codes(
      {},
      { load: { basis: 'current', currentA: 19, powerFactor: 1 }, run: { betweenBoxesM: 6, bends: 3 } },
    ),
  ).toEqual(['advice.drawPoints'])
})

describe('a design made beside an earlier one is the design made anew', () => {
  /** One thing changed, at any place of the installation. */
  const change = fc
    .record({
      what: fc.constantFrom('length', 'current', 'existing', 'gone', 'intake', 'electrode'),
      at: fc.nat(8),
      factor: fc.double({ min: 0.2, max: 4, noNaN: true }),
    })
    .map(({ what, at, factor }) => (installation: Installation): Installation => {
      const { circuits, intake, boards: all } = installation
      const other = (parts: Partial<Circuit>): Installation => ({
        ...installation,
        circuits: circuits.map((one, i) => (i === at % circuits.length ? { ...one, ...parts } : one)),
      })
      const { lengthM, load } = circuits[at % circuits.length]!
      switch (what) {
        case 'length':
          return other({ lengthM: lengthM * factor })
        case 'current':
          return load.basis === 'board'
            ? installation
            : other({ load: { basis: 'current', currentA: 10 * factor, powerFactor: 1 } })
        case 'existing':
          return other({ existing: { ratingA: 32, lineMm2: 2.5 } })
        case 'gone': {
          const gone = circuits.filter(({ id }) => id !== 'f1')[at % (circuits.length - 1)]
          return { ...installation, circuits: circuits.filter((one) => one !== gone) }
        }
        case 'intake':
          return { ...installation, intake: { ...intake, zeOhm: intake.zeOhm! * factor } }
        default:
          return { ...installation, boards: all.map((one) => ({ ...one, electrodeOhm: 60 * factor })) }
      }
    })

  test('however many changes follow each other', () => {
    fc.assert(
      fc.property(boards, fc.array(change, { minLength: 1, maxLength: 6 }), (assignment, changes) => {
        let { installation } = assignment
        let design = referenceDesign(installation, rulesOf(assignment))
        for (const apply of changes) {
          installation = apply(installation)
          design = referenceDesign(installation, rulesOf(assignment), design)
          expect(design).toEqual(referenceDesign(installation, rulesOf(assignment)))
        }
      }),
      { numRuns: 150 },
    )
  })

  test('and a circuit that nothing has touched is the same object', () => {
    const touched = aCircuit({ id: 'c2', way: 2 })
    const installation = anInstallation({ circuits: [aCircuit(), touched] })
    const before = referenceDesign(installation, RULES)
    const after = referenceDesign(
      { ...installation, circuits: [installation.circuits[0]!, { ...touched, lengthM: 31 }] },
      RULES,
      before,
    )
    expect(after.circuits[0]).toBe(before.circuits[0])
    expect(after.circuits[1]!.values.voltDrop).toBeGreaterThan(before.circuits[1]!.values.voltDrop!)
  })
})

/* A device's own points in a design, against logarithms by hand. The points are invented; no maker prints them. */
import { describe, expect, test } from 'vitest'
import { readMaker } from '#core/exercise/form/read-maker'
import { makerCurrentA, makerEnergyA2s, makerTimeS } from '#core/regulations/maker-data'
import type { StepKey } from '#core/design/model/step-keys'
import { aTask, designTask, markTask } from '../support/task'

const SHEET = [
  'rating; current; time; let-through',
  '16; 40; 20;',
  '16; 80; 0.02; 300',
  '16; 800; 0.005; 3000',
  '32; 200; 0.01; 9000',
].join('\n')
const { points } = readMaker(SHEET)

describe('between the points both axes are logarithmic', () => {
  test('a decade of current, a decade of energy: ten times in the middle is √10 each', () => {
    expect(makerEnergyA2s(points, 16, 80 * Math.sqrt(10))).toBeCloseTo(300 * Math.sqrt(10), 6)
    expect(makerTimeS(points, 16, 80 * Math.sqrt(10))).toBeCloseTo(Math.sqrt(0.02 * 0.005), 9)
  })
  test('the current that opens it in 0.4 s lies on the steep line from 40 to 80 A', () => {
    // ln(0.4 ÷ 20) ÷ ln(0.02 ÷ 20) = 0.5663; 40 × 2^0.5663
    expect(makerCurrentA(points, 16, 0.4)).toBeCloseTo(59.23, 2)
    expect(makerCurrentA(points, 16, 0.02)).toBe(80)
  })
  test('beyond its ends and for another rating the sheet says nothing', () => {
    expect(makerTimeS(points, 16, 39)).toBeUndefined()
    expect(makerEnergyA2s(points, 16, 801)).toBeUndefined()
    expect(makerEnergyA2s(points, 20, 100)).toBeUndefined()
    expect(makerCurrentA(points, 16, 0.001)).toBeUndefined()
  })
})

describe('read as it is pasted', () => {
  test.each([
    ['semicolons', '32; 345; 0.01; 9500'],
    ['tabs', '32\t345\t0.01\t9500'],
    ['commas and quotation marks', '"32","345","0.01","9500"'],
    ['units and a heading', 'In;I;t;I²t\n32 A; 0.345 kA; 10 ms; 9500 A2s'],
    ['a byte order mark and empty lines', '\uFEFFIn;I;t;I²t\n\n32;345;0.01;9500\r\n\n'],
  ])('%s', (_name, text) => {
    expect(readMaker(text).points).toEqual([{ ratingA: 32, currentA: 345, timeS: 0.01, energyA2s: 9500 }])
  })
  test.each([
    ['a current in words', '32; much; 0.01; 9500', { row: 1, column: 'current' }],
    ['nothing but a current', 'In;I;t;I²t\n32; 345;;', { row: 2, column: 'time' }],
    [
      'thousands or millions: a prefix is not guessed',
      '32; 345; 0.01; 9.5 kA²s',
      { row: 1, column: 'energy' },
    ],
    ['a second heading', '32; 345; 0.01; 9500\nIn; I; t', { row: 2, column: 'rating' }],
    ['below nothing', '32; -3; 0.01; 9500', { row: 1, column: 'current' }],
  ])('%s names row and column', (_name, text, place) => {
    expect(readMaker(text)).toEqual({ points: [], problem: { code: 'makerRow', ...place } })
  })
  test('a box that holds a heading alone is not taken for empty', () => {
    expect(readMaker('rating; current').problem).toBeDefined()
    expect(readMaker('  \n').problem).toBeUndefined()
  })
})

describe('in a design', () => {
  // 2900 ÷ 230 = 12.6 A, so 16 A; all at the far end.
  const task = aTask({ maker: points })
  const plain = aTask()
  const design = designTask(task)
  const { faultCurrent } = design.values
  const makers = makerEnergyA2s(points, 16, faultCurrent!)!
  const mark = (step: StepKey, text: string, own = task) =>
    markTask(own, { [step]: text }).find((candidate) => candidate.step === step)!
  test('its energy and time count, and the working says so', () => {
    expect(design.values.energy).toBeCloseTo(makers, 6)
    const step = (key: string) => design.steps.find((candidate) => candidate.key === key)!
    expect(step('energy').source.book).toBe('maker')
    expect(step('time').source.book).toBe('maker')
    expect(design.values.cpcMin).toBeCloseTo(Math.sqrt(makers) / 115, 9)
  })
  test('by the tenth of a second, by class, by the maker: all are right, and each says what it used', () => {
    const byTime = Math.sqrt(faultCurrent! ** 2 * 0.1) / 115
    expect(mark('cpcMin', byTime.toFixed(3))).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'adiabaticByTime' }],
    })
    expect(mark('cpcMin', (Math.sqrt(makers) / 115).toFixed(3)).verdict).toBe('right')
    // The class of B16 at this current, on a straight line from nothing to 15 000 A²s at 3 kA.
    const byClass = (15_000 * faultCurrent!) / 3000
    expect(mark('energy', byClass.toFixed(0))).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'adiabaticByLetThrough' }],
    })
    // Typed from a sheet that is not in the exercise: below the class, not next to nothing.
    expect(mark('energy', (byClass / 2).toFixed(0), plain)).toMatchObject({
      verdict: 'right',
      findings: [{ code: 'makersFigure' }],
    })
    expect(mark('energy', (byClass / 50).toFixed(0), plain).verdict).toBe('wrong')
    expect(mark('energy', (byClass / 2).toFixed(0)).verdict).toBe('wrong')
  })
  test('the smallest cpc follows from the energy that was typed', () => {
    const marks = markTask(plain, { energy: '1200', cpcMin: '0.30' })
    // √1200 ÷ 115 = 0.301
    expect(marks.find(({ step }) => step === 'cpcMin')!.verdict).toBe('carried')
  })
  test('the loop that opens the maker’s device in time is right for it alone', () => {
    // 218.5 ÷ 59.23 = 3.69 Ω; by Table 41.3 B16 has 2.73.
    expect(mark('zsMax', '3.69')).toMatchObject({ verdict: 'right', findings: [{ code: 'loopByMaker' }] })
    expect(mark('zsMax', '3.69', plain).verdict).toBe('wrong')
  })
})

describe('Iz (433.1.1; 433.1.202 and .203 from memory)', () => {
  const rewirable = aTask({
    use: 'fixed',
    load: { basis: 'power', powerW: 3000, powerFactor: 1 },
    cable: { kind: 'flat-twin-earth', method: 'C' },
    ambientC: 35,
    grouping: { circuits: 1, arrangement: 'bunched' },
    lengthM: 10,
    device: { family: 'fuse-rewirable', curve: null },
    residualA: null,
  })
  test('0.725 belongs to the comparison: In ≤ 0.725 × Iz', () => {
    // 15 A: It ≥ 15 ÷ (0.94 × 0.725) = 22.0, so 2.5 mm² with 27 A; Iz = 27 × 0.94 = 25.4 ≥ 15 ÷ 0.725 = 20.7
    const iz = designTask(rewirable).steps.find(({ key }) => key === 'iz')!
    expect(iz.value).toBeCloseTo(25.38, 9)
    expect(iz.check).toMatchObject({ relation: '≥', isKept: true })
    expect(iz.check!.limit).toBeCloseTo(20.69, 2)
  })
  test('0.9 of a cable in the ground likewise', () => {
    const buried = aTask({
      use: 'fixed',
      load: { basis: 'current', currentA: 15, powerFactor: 1 },
      cable: { kind: 'armoured-90', method: 'D' },
      ambientC: 15,
      grouping: { circuits: 1, arrangement: 'bunched' },
      lengthM: 10,
      device: { family: 'breaker', curve: 'B' },
      residualA: null,
    })
    const { it, iz } = designTask(buried).values
    // Table 4B2: 1.04 at 15 °C.
    expect(iz).toBeCloseTo(it! * 1.04, 9)
  })
  test('worked with the 0.725 inside it comes to the same, and that is said', () => {
    // 27 × 0.94 × 0.725 = 18.4
    const mark = markTask(rewirable, { iz: '18.4' }).find(({ step }) => step === 'iz')!
    expect(mark).toMatchObject({ verdict: 'right', findings: [{ code: 'overloadFactorInside' }] })
  })
})

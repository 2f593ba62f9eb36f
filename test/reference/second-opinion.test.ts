/*
 * A second opinion: the same circuits worked by a plain spreadsheet-like routine with the tables typed in again from
 * memory of BS 7671:2018+A2:2022 (Tables 4D1A, 4D5, 4B1, 4C1, 41.3, 41.5) and the On-Site Guide (Table I1), sharing
 * nothing with the core. A misprint in either copy, or a slip in the logic of either, shows as a difference.
 */
import fc from 'fast-check'
import { expect, test } from 'vitest'
import type { Task } from '#core/design/model/task'
import { tasks } from '../support/arbitrary'
import { worked } from '../support/task'

// One line a size: csa, cpc of flat cable, mΩ/m of the size, mV/A/m, then ratings: flat C 100 101 102 103 A,
// conduit B A.
const SHEET = `
1    1    18.10  44   16 13 10.5 13 8    11.5  13.5 11
1.5  1    12.10  29   20 16 13   16 10   14.5  17.5 14.5
2.5  1.5   7.41  18   27 21 17   21 13.5 20    24   20
4    1.5   4.61  11   37 27 22   27 17.5 26    32   26
6    2.5   3.08   7.3 47 34 27   35 23.5 32    41   34
10   4     1.83   4.4 64 45 36   47 32   44    57   46
16   6     1.15   2.8 85 57 46   63 42.5 57    76   61`
  .trim()
  .split('\n')
  .map((line) => line.trim().split(/\s+/).map(Number))
const COLUMN: Record<string, number> = {
  'flat-twin-earth C': 4,
  'flat-twin-earth 100': 5,
  'flat-twin-earth 101': 6,
  'flat-twin-earth 102': 7,
  'flat-twin-earth 103': 8,
  'flat-twin-earth A': 9,
  'singles-in-conduit B': 10,
  'singles-in-conduit A': 11,
}
const OHM = new Map(SHEET.map((row) => [row[0]!, row[2]!]))
const CA: Record<number, number> = { 25: 1.03, 30: 1, 35: 0.94, 40: 0.87, 45: 0.79, 50: 0.71 }
const CG = { bunched: [1, 0.8, 0.7, 0.65, 0.6, 0.57], 'single-layer': [1, 0.85, 0.79, 0.75, 0.73, 0.72] }
const ZS_B: Record<number, number> = {
  6: 7.28,
  10: 4.37,
  16: 2.73,
  20: 2.19,
  25: 1.75,
  32: 1.37,
  40: 1.09,
  50: 0.87,
  63: 0.69,
}
const SHARE = { B: 1, C: 0.5, D: 0.25 }

interface Opinion {
  readonly rating: number
  readonly csa: number
  readonly drop: number
  readonly zs: number
}

/** The design by the spreadsheet, or nothing when no row will do. */
function secondOpinion(task: Task): Opinion | undefined {
  if (task.load.basis !== 'power') throw new Error('only loads in watts here')
  const current = task.load.powerW / (230 * task.load.powerFactor)
  const rating = Object.keys(ZS_B)
    .map(Number)
    .sort((a, b) => a - b)
    .find((candidate) => candidate >= current)
  if (rating === undefined) return undefined
  for (const row of SHEET) {
    const opinion = byRow(task, row, rating, current)
    if (opinion) return opinion
  }
  return undefined
}

function limitOf(task: Task, rating: number): number {
  if (task.supply.arrangement !== 'TT') return ZS_B[rating]! * SHARE[task.device.curve!]
  const needsThirty = (task.use === 'sockets' && rating <= 32) || task.concealed
  const wider = [300, 100, 30].find((mA) => Math.round(50_000 / mA) > task.supply.zeOhm) ?? 30
  return Math.round(50_000 / (needsThirty ? 30 : wider))
}

/** One row of the spreadsheet, where it will do. */
function byRow(
  task: Task,
  row: (typeof SHEET)[number],
  rating: number,
  current: number,
): Opinion | undefined {
  const [csa, flatCpc, ohm, drop] = row as [number, number, number, number]
  const needed = rating / CA[task.ambientC]! / CG[task.grouping.arrangement][task.grouping.circuits - 1]!
  if (csa === 1 && task.use !== 'lighting') return undefined
  if (row[COLUMN[`${task.cable.kind} ${task.cable.method}`]!]! < needed) return undefined
  const volts = (drop * current * task.lengthM) / 1000
  if (volts > (task.use === 'lighting' ? 6.9 : 11.5)) return undefined
  const cpc = task.cable.kind === 'flat-twin-earth' ? (OHM.get(flatCpc) ?? 0) : ohm
  const zs = task.supply.zeOhm + ((ohm + cpc) * task.lengthM * 1.2) / 1000
  const limit = limitOf(task, rating)
  // The printed limit ends at a hundredth; what lies within that of it is nobody's mistake.
  if (Math.abs(zs - limit) <= 0.011) throw new Ambiguous()
  if (zs > limit || neededCpc(task, rating, zs) > cpcArea(task, csa, flatCpc)) return undefined
  return { rating, csa, drop: volts, zs }
}
class Ambiguous extends Error {}

const cpcArea = (task: Task, csa: number, flatCpc: number) =>
  task.cable.kind === 'flat-twin-earth' ? flatCpc : csa

/**
 * Adiabatic: I²t for a tenth of a second, or class 3 let-through at 3 kA in proportion (BS EN 60898-1 Annex
 * ZA, from memory); k = 115.
 */
function neededCpc(task: Task, rating: number, zs: number): number {
  const amps = 230 / zs
  const trips = { B: 5, C: 10, D: 20 }[task.device.curve!] * rating
  if (amps < trips * 0.995) return 0
  if (amps > 3000) throw new Ambiguous()
  const band = [16, 32].filter((most) => rating > most).length
  const class3 =
    { B: [15, 18, 21.6], C: [17, 20, 24], D: [Infinity, Infinity, Infinity] }[task.device.curve!][band]! *
    1000
  return Math.sqrt(Math.min(amps * amps * 0.1, (class3 * amps) / 3000)) / 115
}

test('core and spreadsheet agree on device, conductor, voltage drop and loop of a thousand circuits', () => {
  let agreed = 0
  fc.assert(
    fc.property(tasks, (task) => {
      let opinion: Opinion | undefined
      try {
        opinion = secondOpinion(task)
      } catch (error) {
        if (error instanceof Ambiguous) return
        throw error
      }
      const design = worked(task)
      // The core goes on to 25 and 35 mm², where the spreadsheet ends.
      if (!opinion) return void expect(!design.ok || design.values.csa > 16, JSON.stringify(task)).toBe(true)
      // What the conduit takes is not the spreadsheet's business.
      if (!design.ok && design.at === 'containment') return
      if (!design.ok)
        return void expect(design.constraint.code, JSON.stringify(task)).toBe('solved by the spreadsheet')
      expect([design.values.in, design.values.csa], JSON.stringify(task)).toEqual([
        opinion.rating,
        opinion.csa,
      ])
      expect(design.values.voltDrop).toBeCloseTo(opinion.drop, 6)
      expect(design.values.zs).toBeCloseTo(opinion.zs, 6)
      agreed += 1
    }),
    { numRuns: 1000 },
  )
  expect(agreed, 'circuits with a solution').toBeGreaterThan(300)
})

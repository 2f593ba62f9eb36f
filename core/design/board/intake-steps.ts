import { bondingIn, bondingRow, tailsMm2 } from '../../regulations/book/book'
import type { Cell } from '../../regulations/book/change'
import { tabulatedCpcMm2 } from '../../regulations/earthing'
import { isFrom } from '../../regulations/editions'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { accepted, atLeast, refused, stopped, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { BoardStep, BoardTask } from './board-task'

/** Main switches on the shelf, A; BS EN 60947-3. */
const SWITCHES_A = [40, 63, 80, 100, 125]
const COPPER_MM2 = [4, 6, 10, 16, 25, 35]
const atOrigin = ({ isOrigin }: BoardTask): boolean => isOrigin

/**
 * Ie of the main switch: no less than the demand, nor than the device in front of it, which alone protects it
 * from overload.
 */
export const mainSwitch: BoardStep = {
  key: 'mainSwitch',
  ...STEP_KINDS.mainSwitch,
  kind: 'chosen',
  needs: ['demand'],
  derive: (task, { demand }) => {
    const carried = Math.max(demand!, task.above.ratingA)
    const rating = SWITCHES_A.find((candidate) => candidate >= carried)
    if (rating === undefined) return stopped('mainSwitch', { carried })
    return worked(
      rating,
      'Ie ≥ demand and ≥ the device in front',
      `${rating} ≥ ${formatNumber(demand!, 'current')} and ≥ ${task.above.ratingA}`,
      SOURCES.mainSwitch,
      atLeast(rating, carried),
    )
  },
  accept: (task, { demand }, answer) => {
    if (!SWITCHES_A.includes(answer)) return refused('notARating', { answer })
    return answer >= Math.max(demand!, task.above.ratingA)
      ? accepted('soundNotEconomical')
      : refused('switchTooSmall', { answer, demand: demand!, above: task.above.ratingA })
  },
}

/** Rated currents of busbars, A; BS EN 61439-3, from memory. */
const BUSBARS_A = [63, 80, 100, 125, 250]

/** What second sources can send onto the busbar, A. */
const infeedA = ({ contributions }: BoardTask): number =>
  contributions.reduce((sum, { infeedA: each }) => sum + each, 0)

/** InA of the busbar: no less than the main switch in front of it and what second sources add, A; BS 7671 551.7.2. */
export const busbarRating: BoardStep = {
  key: 'busbar',
  ...STEP_KINDS.busbar,
  kind: 'chosen',
  needs: ['mainSwitch'],
  derive: (task, { mainSwitch: switchA }) => {
    const added = infeedA(task)
    const carried = switchA! + added
    const rating = BUSBARS_A.find((candidate) => candidate >= carried)
    if (rating === undefined) return stopped('mainSwitch', { carried })
    return added === 0
      ? worked(
          rating,
          'InA ≥ main switch',
          `${rating} ≥ ${switchA}`,
          SOURCES.busbar,
          atLeast(rating, carried),
        )
      : worked(
          rating,
          'InA ≥ main switch + second sources',
          `${rating} ≥ ${switchA} + ${formatNumber(added, 'current')}`,
          SOURCES.busbarInfeed,
          atLeast(rating, carried),
        )
  },
  accept: (task, { mainSwitch: switchA }, answer) => {
    if (!BUSBARS_A.includes(answer)) return refused('notARating', { answer })
    const carried = switchA! + infeedA(task)
    return answer >= carried
      ? accepted('soundNotEconomical')
      : refused('busbarTooSmall', { answer, switchA: carried })
  },
}

/** Consumer's tails by the distributor's fuse, mm². */
export const tailsArea: BoardStep = {
  key: 'tails',
  ...STEP_KINDS.tails,
  kind: 'looked-up',
  needs: [],
  appliesTo: atOrigin,
  cell: ({ mainFuseA }) => ({ table: 'tails', row: String(mainFuseA), column: 'tails' }),
  derive: ({ book, mainFuseA }) =>
    worked(
      tailsMm2(book, mainFuseA),
      'tails by the main fuse',
      `${mainFuseA} A → ${tailsMm2(book, mainFuseA)} mm²`,
      SOURCES.tails,
    ),
}

/** Earthing conductor by the tails: Table 54.7 without calculation, mm². */
export const earthingConductor: BoardStep = {
  key: 'earthing',
  ...STEP_KINDS.earthing,
  kind: 'chosen',
  needs: ['tails'],
  appliesTo: atOrigin,
  derive: (_task, { tails }) =>
    worked(
      tabulatedCpcMm2(tails!),
      'S ≤ 16: S; to 35: 16; above: S ÷ 2',
      `${tails} mm² → ${tabulatedCpcMm2(tails!)} mm²`,
      SOURCES.earthing,
    ),
  accept: (_task, { tails }, answer) => larger(answer, tabulatedCpcMm2(tails!), 'earthingTooSmall'),
}

function bondingCell({ book, neutralMm2 }: BoardTask): Cell | undefined {
  const row = bondingRow(book, neutralMm2)
  return row && { table: 'bonding', row: String(row[0]), column: 'bonding' }
}

/** Main protective bonding conductor, mm²; with PME by the supply's neutral. */
export const bondingConductor: BoardStep = {
  key: 'bonding',
  ...STEP_KINDS.bonding,
  kind: 'chosen',
  needs: ['earthing'],
  appliesTo: atOrigin,
  cell: (task) => (task.arrangement === 'TN-C-S' ? bondingCell(task) : undefined),
  derive: ({ book, arrangement, neutralMm2 }, { earthing }) => {
    const area = bondingIn(book, arrangement, neutralMm2, earthing!)
    if (area === undefined) return stopped('bonding', { neutralMm2 })
    return arrangement === 'TN-C-S'
      ? worked(area, 'with PME by the neutral', `neutral ${neutralMm2} mm² → ${area} mm²`, SOURCES.bonding)
      : worked(
          area,
          'half the earthing conductor, 6 to 25 mm²',
          `${earthing} ÷ 2 → ${area} mm²`,
          SOURCES.bonding,
        )
  },
  accept: ({ book, arrangement, neutralMm2 }, { earthing }, answer) =>
    larger(answer, bondingIn(book, arrangement, neutralMm2, earthing!) ?? Infinity, 'bondingTooSmall'),
}

function larger(answer: number, least: number, why: 'earthingTooSmall' | 'bondingTooSmall') {
  if (!COPPER_MM2.includes(answer)) return refused('notASize', { answer })
  return answer >= least ? accepted('soundNotEconomical') : refused(why, { answer, least })
}

const NOT_ASKED = 0
const REQUIRED = 1
const UNLESS_RULED_OUT = 2

/** What the edition says of surge protection at the origin, and why. */
export function surgeRule({
  edition,
  consequence,
  premises,
}: Pick<BoardTask, 'edition' | 'consequence' | 'premises'>): {
  readonly value: number
  readonly why: string
} {
  if (!isFrom(edition, '18'))
    return { value: NOT_ASKED, why: 'by thunderstorm days in this edition; few enough here' }
  if (consequence !== 'none') return { value: REQUIRED, why: 'by the consequence of an overvoltage' }
  if (isFrom(edition, '18-A2'))
    return { value: UNLESS_RULED_OUT, why: 'in all other cases, unless the owner accepts the loss' }
  return premises === 'dwelling'
    ? { value: NOT_ASKED, why: 'a single dwelling whose value does not justify it' }
    : { value: UNLESS_RULED_OUT, why: 'unless a risk assessment rules it out' }
}

/** SPD at the origin: not asked for, required, or unless ruled out. */
export const surgeProtection: BoardStep = {
  key: 'spd',
  ...STEP_KINDS.spd,
  kind: 'chosen',
  needs: [],
  appliesTo: atOrigin,
  derive: (task) => {
    const { value, why } = surgeRule(task)
    return worked(value, 'SPD by edition and consequence', why, SOURCES.surge)
  },
  accept: (task) => refused('spdWrong', { why: surgeRule(task).why }),
}

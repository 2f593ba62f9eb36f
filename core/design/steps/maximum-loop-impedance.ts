import type { Task } from '../model/task'
import { breakerZsOhm, deviceZsOhm, fuseColumn, rcdZsOhm } from '../../regulations/book/book'
import { cellKey, type Cell } from '../../regulations/book/change'
import { ruleCell } from '../../regulations/book/rule-tables'
import { CURVES, DEVICES, MAGNETIC_BAND } from '../../regulations/devices'
import { RCD_RATINGS_A } from '../../regulations/rcd'
import { SOURCES } from '../../regulations/source'
import { U0_V } from '../../regulations/supply'
import { faultClearedByRcd, maximumZsOhm, timeLimitS } from '../limits/limits'
import { makerCurrentA } from '../../regulations/maker-data'
import { accepted, atMost, stopped, worked, type Neighbour, type StepValues } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

/** An answer from the maker's current is recognised within this share. */
const MAKER_SLACK = 0.01
const SHORT_TIME_S = 0.4
const LONG_TIME_S = 5

/** Where the limit stands: the device's row, the touch voltage behind an RCD in TT, or Cmin where it is worked out. */
function limitCell(task: Task, { in: rating, residual }: StepValues): Cell | undefined {
  if (faultClearedByRcd(task) && residual! > 0) return ruleCell('touchLimitV')
  const { family, curve } = task.device
  const { fuse } = DEVICES[family]
  if (fuse === null) {
    const isPrinted = task.book.values.breakers[curve!][rating!] !== undefined
    const isCminOwn =
      task.book.changed.size > 0 && !isPrinted && task.book.changed.has(cellKey(ruleCell('cMin')))
    return isCminOwn ? ruleCell('cMin') : { table: 'zs-breakers', row: String(rating), column: curve! }
  }
  const column = fuseColumn(timeLimitS(task, rating!))
  return column && { table: `zs-${fuse}`, row: String(rating), column }
}

/** Zs max: U0 × Cmin ÷ Ia for the overcurrent device in TN, 50 V ÷ IΔn in TT, Ω. */
export const maximumLoopImpedance: CircuitStep = {
  key: 'zsMax',
  ...STEP_KINDS.zsMax,
  kind: 'looked-up',
  needs: ['in', 'residual', 'zs'],
  cell: limitCell,
  derive: (task, values) => {
    const { in: rating, residual, zs } = values as Required<typeof values>
    const limit = maximumZsOhm(task, rating, residual)
    if (limit === 0)
      return stopped('rating', { ib: rating, largest: DEVICES[task.device.family].ratingsA.at(-1)! })
    // The limit is what is looked up; Zs must not exceed it.
    const check = atMost(zs, limit)
    if (faultClearedByRcd(task) && residual > 0)
      return worked(
        limit,
        `Zs ≤ ${task.book.values.parameters.touchLimitV} V ÷ IΔn`,
        `${task.book.values.parameters.touchLimitV} ÷ ${residual}`,
        SOURCES.residualLoopImpedance,
        check,
      )
    const { curve, family } = task.device
    if (curve !== null && task.book.values.breakers[curve][rating] !== undefined)
      return worked(
        limit,
        'Zs max from the table',
        `type ${curve}, ${rating} A → ${limit} Ω`,
        SOURCES.maximumLoopImpedance,
        check,
      )
    if (curve !== null)
      return worked(
        limit,
        'Zs ≤ U0 × Cmin ÷ Ia',
        `${U0_V} × ${task.book.values.parameters.cMin} ÷ (${MAGNETIC_BAND[curve][1]} × ${rating})`,
        SOURCES.maximumLoopImpedance,
        check,
      )
    const timeS = timeLimitS(task, rating)
    return worked(
      limit,
      `Zs for ${timeS} s`,
      `${DEVICES[family].standard}, ${rating} A → ${limit} Ω`,
      timeS === LONG_TIME_S ? SOURCES.slowFuseLoopImpedance : SOURCES.fuseLoopImpedance,
      check,
    )
  },
  // By the maker's own time/current points the device may open sooner than its standard asks.
  accept: (task, { in: rating }, answer) => {
    if (!task.maker || faultClearedByRcd(task)) return undefined
    const opensA = makerCurrentA(task.maker, rating!, timeLimitS(task, rating!))
    const isFromMaker =
      opensA !== undefined &&
      Math.abs((answer * opensA) / (U0_V * task.book.values.parameters.cMin) - 1) <= MAKER_SLACK
    return isFromMaker ? accepted('loopByMaker') : undefined
  },
  neighbours: (task, values) => [...deviceRows(task, values.in!), ...rcdRows(task, values.residual!)],
}

function deviceRows(task: Task, ratingA: number): Neighbour[] {
  const { device } = task
  const { ratingsA } = DEVICES[device.family]
  if (device.curve === null) {
    return [SHORT_TIME_S, LONG_TIME_S].flatMap((timeS) =>
      ratingsA.flatMap((rating) => {
        const value =
          rating === ratingA && timeS === timeLimitS(task, ratingA)
            ? undefined
            : deviceZsOhm(task.book, device, rating, timeS)
        return value === undefined
          ? []
          : [{ value, table: timeS === LONG_TIME_S ? 'Table 41.4' : 'Table 41.2', entry: `${rating} A` }]
      }),
    )
  }
  const byRating = ratingsA
    .filter((rating) => rating !== ratingA)
    .map((rating) => ({
      value: breakerZsOhm(task.book, device.curve!, rating),
      table: 'Table 41.3',
      entry: `${device.curve}${rating}`,
    }))
  const byCurve = CURVES.filter((curve) => curve !== device.curve || faultClearedByRcd(task)).map(
    (curve) => ({
      value: breakerZsOhm(task.book, curve, ratingA),
      table: 'Table 41.3',
      entry: `${curve}${ratingA}`,
    }),
  )
  return [...byRating, ...byCurve]
}

const rcdRows = ({ book }: Task, residualA: number): Neighbour[] =>
  RCD_RATINGS_A.filter((rating) => rating !== residualA).map((rating) => ({
    value: rcdZsOhm(book, rating),
    table: 'Table 41.5',
    entry: `${rating * 1e3} mA`,
  }))

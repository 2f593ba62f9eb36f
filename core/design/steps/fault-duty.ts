import type { Task } from '../model/task'
import { CABLES } from '../../regulations/cables/sizes'
import { DEVICES } from '../../regulations/devices'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { faultEnergy } from '../limits/fault-energy'
import { sizeFor, timeLimitS } from '../limits/limits'
import {
  accepted,
  atLeast,
  atMost,
  refused,
  stopped,
  worked,
  type AcceptanceNote,
  type StepValues,
} from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import { letThroughA2s, letThroughCell } from '../../regulations/book/let-through'
import { makerEnergyA2s, makerTimeS } from '../../regulations/maker-data'
import { INSTANTANEOUS_S } from '../../regulations/time-current'
import { fromRow } from './cable-rows'
import type { CircuitStep } from './step-context'

/** A time read off a curve on logarithmic paper, or by another maker's curve; common practice, no source. */
const CURVE_TOLERANCE = 0.3
/** An answer from another premise is recognised within this share. */
const PREMISE_SLACK = 0.02

/** t = the time in which this fault is cleared, s, by the device's time/current characteristic. */
export const disconnectionTime: CircuitStep = {
  key: 'time',
  ...STEP_KINDS.time,
  kind: 'calculated',
  needs: ['faultCurrent', 'in', 'residual'],
  tolerance: CURVE_TOLERANCE,
  derive: (task, values) => {
    const { faultCurrent, in: rating, residual } = values as Required<typeof values>
    const { timeS, isMakersTime } = faultEnergy(task, rating, residual, faultCurrent)
    const device =
      task.device.curve === null ? DEVICES[task.device.family].standard : `type ${task.device.curve}`
    return worked(
      timeS,
      isMakersTime ? 't at If, from the maker’s characteristic' : 't at If, from the characteristic',
      `${formatNumber(faultCurrent, 'current')} A through ${device} ${rating} A`,
      isMakersTime ? SOURCES.makerData : SOURCES.timeCurrent,
      atMost(timeS, timeLimitS(task, rating)),
    )
  },
}

const FORMULA_OF = {
  time: 'I²t = If² × t',
  class: 'I²t by energy limiting class',
  maker: 'I²t from the maker’s data',
} as const
const SOURCE_OF = { time: SOURCES.adiabatic, class: SOURCES.letThrough, maker: SOURCES.makerData } as const

/** I²t = what the device lets through before this fault is cleared, A²s. */
export const letThroughEnergy: CircuitStep = {
  key: 'energy',
  ...STEP_KINDS.energy,
  kind: 'calculated',
  needs: ['faultCurrent', 'in', 'residual'],
  cell: (task, values) => {
    const { faultCurrent, in: rating, residual } = values as Required<typeof values>
    const { curve } = task.device
    const isByClass = curve !== null && faultEnergy(task, rating, residual, faultCurrent).by === 'class'
    return isByClass ? letThroughCell(task.book, curve, rating, faultCurrent) : undefined
  },
  derive: (task, values) => {
    const { faultCurrent, in: rating, residual } = values as Required<typeof values>
    const { energyA2s, timeS, by } = faultEnergy(task, rating, residual, faultCurrent)
    const current = formatNumber(faultCurrent, 'current')
    const at = `at ${current} A`
    return worked(
      energyA2s,
      FORMULA_OF[by],
      by === 'time' ? `${current}² × ${formatNumber(timeS, 'duration')}` : at,
      SOURCE_OF[by],
    )
  },
  accept: (task, values, answer) => {
    const premise = premises(task, values).find(({ energyA2s }) => isNear(answer, energyA2s))
    if (premise) return accepted(premise.note)
    const range = makersRange(task, values)
    return range && answer >= range.least && answer <= range.most ? accepted('makersFigure') : undefined
  },
}

const isNear = (a: number, b: number): boolean => Math.abs(a / b - 1) <= PREMISE_SLACK

/**
 * The energies that a cpc may rightly be worked from, with what is said beside it: the maker's data, a time
 * read off the characteristic, the class of the breaker.
 */
function premises(
  task: Task,
  values: StepValues,
): readonly { readonly energyA2s: number; readonly note: AcceptanceNote }[] {
  const { faultCurrent: faultA, in: rating, residual, time } = values
  if (!faultA || rating === undefined || residual === undefined) return []
  const { timeS, energyA2s } = faultEnergy({ ...task, maker: undefined }, rating, residual, faultA)
  const makers = task.maker && makerEnergyA2s(task.maker, rating, faultA)
  const makersTime = task.maker && makerTimeS(task.maker, rating, faultA)
  const readOff = [timeS, ...(makersTime === undefined ? [] : [makersTime])]
  // Their own time counts as far as it is one that can be read off.
  const isRead = time !== undefined && readOff.some((known) => Math.abs(time / known - 1) <= CURVE_TOLERANCE)
  const times = isRead ? [...readOff, time] : readOff
  const { curve } = task.device
  const byClass = curve === null ? undefined : letThroughA2s(task.book, curve, rating, faultA)
  return [
    ...(makers === undefined ? [] : [{ energyA2s: makers, note: 'adiabaticByMaker' as const }]),
    ...times.map((seconds) => ({ energyA2s: faultA ** 2 * seconds, note: 'adiabaticByTime' as const })),
    // Below the magnetic range the class says nothing: less than the real heat is not accepted.
    ...(byClass !== undefined && byClass >= energyA2s
      ? [{ energyA2s: byClass, note: 'adiabaticByLetThrough' as const }]
      : []),
  ]
}

/** A maker's device lets less through than its class, and not next to nothing; common practice, no source. */
const LEAST_OF_CLASS = 0.1
/** Total I²t of fuses is printed for clearing times up to this, s; common practice, no source. */
const FUSE_PRINTED_S = 0.1

/**
 * Between what figures a maker's let-through lies that is not given with the exercise, A²s; undefined where
 * makers print none: a breaker below its magnetic range, a fault that an RCD clears.
 */
function makersRange(task: Task, values: StepValues): { least: number; most: number } | undefined {
  const { faultCurrent: faultA, in: rating, residual } = values
  if (task.maker || !faultA || rating === undefined || residual === undefined) return undefined
  const { timeS, energyA2s } = faultEnergy(task, rating, residual, faultA)
  const isPrinted = task.device.curve === null ? timeS < FUSE_PRINTED_S : timeS <= INSTANTANEOUS_S
  return isPrinted ? { least: energyA2s * LEAST_OF_CLASS, most: energyA2s } : undefined
}

/** S = √(I²t) ÷ k, mm²: the smallest cpc that this fault does not overheat. */
export const adiabaticArea: CircuitStep = {
  key: 'cpcMin',
  ...STEP_KINDS.cpcMin,
  kind: 'calculated',
  needs: ['energy', 'csa'],
  cell: ({ cable }) => ({ table: 'k', row: cable.kind, column: 'k' }),
  derive: (task, values) =>
    fromRow(task, values, (size) => {
      const { energy } = values as Required<typeof values>
      const area = Math.sqrt(energy) / size.k
      return worked(
        area,
        'S = √(I²t) ÷ k',
        `√(${formatNumber(energy, 'energy')} A²s) ÷ ${size.k}; ${CABLES[task.cable.kind].cpc.made} ` +
          `of ${size.cpcMm2} mm²`,
        SOURCES.adiabatic,
        atMost(area, size.cpcMm2),
      )
    }),
  // Which energy is put in is a choice of premise.
  accept: (task, values, answer) => {
    const size = sizeFor(task, values.csa!)
    const premise =
      size && premises(task, values).find(({ energyA2s }) => isNear(answer, Math.sqrt(energyA2s) / size.k))
    return premise && accepted(premise.note)
  },
}

/** Icn = the smallest rated short-circuit capacity not below the prospective fault current at the board, A. */
export const breakingCapacity: CircuitStep = {
  key: 'breaking',
  ...STEP_KINDS.breaking,
  kind: 'chosen',
  needs: [],
  derive: ({ supply, device }) => {
    const { capacitiesA } = DEVICES[device.family]
    const capacity = capacitiesA.find((candidate) => candidate >= supply.ipfA)
    if (capacity === undefined)
      return stopped('breaking', { ipfA: supply.ipfA, largestA: capacitiesA.at(-1)! })
    return worked(
      capacity,
      'Icn ≥ Ipf',
      `${formatNumber(capacity, 'faultCurrent')} kA ≥ ${formatNumber(supply.ipfA, 'faultCurrent')} kA`,
      SOURCES.breakingCapacity,
      atLeast(capacity, supply.ipfA),
    )
  },
  accept: ({ supply, device }, _values, answer) => {
    if (!DEVICES[device.family].capacitiesA.includes(answer)) return refused('notACapacity', { answer })
    if (answer < supply.ipfA) return refused('capacityTooSmall', { answer, ipfA: supply.ipfA })
    return accepted('moreThanAsked')
  },
}

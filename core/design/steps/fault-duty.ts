import { CABLES } from '../../regulations/cables/sizes'
import { DEVICES } from '../../regulations/devices'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { faultEnergy } from '../limits/fault-energy'
import { sizeFor, timeLimitS } from '../limits/limits'
import { accepted, atLeast, atMost, refused, stopped, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import { letThroughA2s } from '../../regulations/let-through'
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
    const { timeS } = faultEnergy(task, rating, residual, faultCurrent)
    const device =
      task.device.curve === null ? DEVICES[task.device.family].standard : `type ${task.device.curve}`
    return worked(
      timeS,
      't at If, from the characteristic',
      `${formatNumber(faultCurrent, 'current')} A through ${device} ${rating} A`,
      SOURCES.timeCurrent,
      atMost(timeS, timeLimitS(task, rating)),
    )
  },
}

/** S = √(I²t) ÷ k, mm²: the smallest cpc that this fault does not overheat. */
export const adiabaticArea: CircuitStep = {
  key: 'cpcMin',
  ...STEP_KINDS.cpcMin,
  kind: 'calculated',
  needs: ['faultCurrent', 'in', 'residual', 'csa'],
  derive: (task, values) =>
    fromRow(task, values, (size) => {
      const { faultCurrent, in: rating, residual } = values as Required<typeof values>
      const energy = faultEnergy(task, rating, residual, faultCurrent)
      const area = energy.areaMm2(size.k)
      const heat = energy.isLimited
        ? `${Math.round(energy.energyA2s)} A²s let through`
        : `${formatNumber(faultCurrent, 'current')}² × ${formatNumber(energy.timeS, 'duration')}`
      return worked(
        area,
        'S = √(I²t) ÷ k',
        `√(${heat}) ÷ ${size.k}; ${CABLES[task.cable.kind].cpc.made} of ${size.cpcMm2} mm²`,
        energy.isLimited ? SOURCES.letThrough : SOURCES.adiabatic,
        atMost(area, size.cpcMm2),
      )
    }),
  // Which energy is put in is a choice of premise: a time off the curve, or the class of the breaker.
  accept: (task, values, answer) => {
    const size = sizeFor(task, values.csa!)
    const { faultCurrent: faultA, in: rating, residual, time } = values
    if (!size || !faultA || rating === undefined || residual === undefined) return undefined
    const isWorkedFrom = (energyA2s: number) =>
      Math.abs((answer * size.k) / Math.sqrt(energyA2s) - 1) <= PREMISE_SLACK
    const { timeS, energyA2s } = faultEnergy(task, rating, residual, faultA)
    // Their own time counts as far as it is one that can be read off.
    const isRead = time !== undefined && Math.abs(time / timeS - 1) <= CURVE_TOLERANCE
    const times = isRead ? [timeS, time] : [timeS]
    if (times.some((seconds) => isWorkedFrom(faultA ** 2 * seconds))) return accepted('adiabaticByTime')
    const { curve } = task.device
    const letThrough = curve === null ? undefined : letThroughA2s(curve, rating, faultA)
    // Below the magnetic range the class says nothing: less than the real heat is not accepted.
    return letThrough !== undefined && letThrough >= energyA2s && isWorkedFrom(letThrough)
      ? accepted('adiabaticByLetThrough')
      : undefined
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

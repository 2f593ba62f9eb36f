import type { Task } from '../model/task'
import { DEVICES, MAGNETIC_BAND } from '../../regulations/devices'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { accepted, atLeast, refused, stopped, worked, type StepValues } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

/** Ratings that a ring is protected by; BS 7671 433.1.204. */
const RING_RATINGS_A = [30, 32]

/**
 * In = the smallest standard rating not below Ib that the starting current does not trip, A; of a ring 30 or
 * 32 A.
 */
export const deviceRating: CircuitStep = {
  key: 'in',
  ...STEP_KINDS.in,
  kind: 'chosen',
  needs: ['ib'],
  derive: (task, values) => {
    const { ib } = values
    if (task.existing) {
      const { ratingA } = task.existing
      if (ratingA < ib!) return stopped('existingRating', { ib: ib!, ratingA })
      return worked(
        ratingA,
        'In as it is there',
        `${ratingA} ≥ ${formatNumber(ib!, 'current')}`,
        SOURCES.deviceRating,
        atLeast(ratingA, ib!),
      )
    }
    const rating = suitable(task, values)[0]
    if (rating === undefined) return noRating(task, values)
    if (task.topology === 'ring')
      return worked(
        rating,
        'In of a ring',
        `${rating} A, whatever the load up to it`,
        SOURCES.ringRating,
        atLeast(rating, ib!),
      )
    const start =
      values.start === undefined ? '' : `; starts without tripping up to ${lowestTripA(task, rating)} A`
    return worked(
      rating,
      'In ≥ Ib, next standard rating',
      `${rating} ≥ ${formatNumber(ib!, 'current')}${start}`,
      SOURCES.deviceRating,
      atLeast(rating, ib!),
    )
  },
  accept: (task, values, answer) => {
    const { ib } = values
    const ratings = DEVICES[task.device.family].ratingsA
    if (!ratings.includes(answer)) return refused('notARating', { answer })
    if (answer < ib!) return refused('ratingBelowLoad', { answer, ib: ib! })
    const fitting = suitable(task, values)
    const place = fitting.indexOf(answer)
    if (place === -1)
      return task.topology === 'ring'
        ? refused('ringRating', { answer })
        : refused('ratingTripsAtStart', { answer, start: values.start!, low: lowestTripA(task, answer) })
    return place <= 1
      ? accepted(place === 1 ? 'oneSizeUp' : undefined)
      : refused('ratingTooLarge', { answer, ib: ib! })
  },
}

/** Below this a breaker's magnetic part stays quiet, A; a fuse rides through a start. */
const lowestTripA = ({ device }: Task, ratingA: number): number =>
  device.curve === null ? Infinity : MAGNETIC_BAND[device.curve][0] * ratingA

function suitable(task: Task, { ib, start }: StepValues): number[] {
  const fits = DEVICES[task.device.family].ratingsA.filter((rating) => rating >= ib!)
  if (task.topology === 'ring') return fits.filter((rating) => RING_RATINGS_A.includes(rating))
  return fits.filter((rating) => start === undefined || lowestTripA(task, rating) >= start)
}

function noRating(task: Task, { ib, start }: StepValues) {
  const largest = DEVICES[task.device.family].ratingsA.at(-1)!
  if (task.topology === 'ring') return stopped('ringRating', { ib: ib! })
  if (ib! > largest) return stopped('rating', { ib: ib!, largest })
  return stopped('start', { start: start!, curve: task.device.curve! })
}

import { openingBand } from '#core/bay/protection/band'
import { formatDuration } from '#core/units/format'
import type { Experiment } from './experiment'
import { bayOf, quiet } from '#core/bay/practice/trial'
import { formatCurrent } from '#core/units/format'
import { play } from './tell'
import { changePart } from '#core/bay/faults/edit'
import type { DevicePart, Socket } from '#core/bay/model/rig'

const words = (s: number): string => (s === Infinity ? 'never, perhaps' : formatDuration(s))

export const overload: Experiment = {
  code: 'overload',
  title: 'Overload on a small breaker',
  bay: 'split',
  about:
    'A heater is on a breaker that is too small for it. Just above the rating a breaker runs for a long time; how long?',
  question: 'Will it trip, and after how long?',
  settings: [
    { key: 'load', name: 'Heater', unit: 'W', min: 500, max: 9000, step: 100, usual: 2800 },
    {
      key: 'rating',
      name: 'Breaker, type B',
      unit: 'A',
      min: 6,
      max: 16,
      step: 1,
      usual: 6,
      choices: [6, 10, 16].map((value) => ({ value, name: `B${value}` })),
    },
  ],
  run: ({ load, rating }) => {
    const small = changePart<DevicePart>(bayOf('split'), 'b1w1', { ratingA: rating! })
    const rig = changePart<Socket>(small, 'c1p1', { load: { kind: 'resistive', watt: load! } })
    const { lines, happenings, scene } = play(
      rig,
      quiet(rig),
      [{ kind: 'use', part: 'c1p1', on: true }],
      7200,
    )
    const currentA = load! / 230
    const band = openingBand({ family: 'breaker', curve: 'B' }, rating!, currentA)
    const trip = happenings.find((happening) => happening.kind === 'tripped')
    return {
      lines,
      scenes: [scene],
      figures: [
        { name: 'Current', value: `${formatCurrent(currentA)} = ${(currentA / rating!).toFixed(2)} × In` },
        {
          name: 'A breaker of this kind opens after',
          value:
            band.earliestS === Infinity
              ? 'does not open'
              : `${words(band.earliestS)} at the earliest, ${band.latestS === Infinity ? 'or not at all' : `${words(band.latestS)} at the latest`}`,
        },
        { name: 'This one', value: trip ? `opened after ${formatDuration(trip.atS)}` : 'held for two hours' },
      ],
      because:
        'Its bimetal must warm up: the standard lets a breaker hold 1.13 In for ever and wants 1.45 In ended within the hour, 2.55 In within a minute. Only above 3 to 5 In (type B) does the magnet act at once.',
      curve: { device: { family: 'breaker', curve: 'B' }, ratingA: rating!, currentA },
    }
  },
}

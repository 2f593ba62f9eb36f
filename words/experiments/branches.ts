import { watchDevice } from '#core/bay/behaviour/watch'
import { changePart } from '#core/bay/faults/edit'
import type { DevicePart, Socket } from '#core/bay/model/rig'
import type { Experiment } from './experiment'
import { bayOf, quiet, solved } from '#core/bay/practice/trial'
import { formatCurrent } from '#core/units/format'
import { still } from './tell'

export const branches: Experiment = {
  code: 'branches',
  title: 'Every branch fine, the sum too much',
  bay: 'heaters',
  about:
    'Heaters are plugged in on both socket circuits. No breaker is overloaded. What does the RCD in front of them carry?',
  question: 'Which current flows in each way and in the device that both share? Does anything trip?',
  settings: [
    { key: 'load', name: 'Heaters on each circuit', unit: 'W', min: 1000, max: 7000, step: 250, usual: 4500 },
    {
      key: 'rating',
      name: 'RCD rated',
      unit: 'A',
      min: 25,
      max: 63,
      step: 1,
      usual: 25,
      choices: [25, 40, 63].map((value) => ({ value, name: `${value} A` })),
    },
  ],
  run: ({ load, rating }) => {
    const loaded = ['c1p1', 'c3p1'].reduce(
      (loaded, socket) => changePart<Socket>(loaded, socket, { load: { kind: 'resistive', watt: load! } }),
      bayOf('heaters'),
    )
    const rig = changePart<DevicePart>(loaded, 'b1rcdA', { ratingA: rating! })
    const state = { ...quiet(rig), inUse: { ...quiet(rig).inUse, c1p1: true, c3p1: true } }
    const result = solved(rig, state)
    const devices = rig.parts.filter((part): part is DevicePart => part.kind === 'device')
    const shared = watchDevice(
      devices.find(({ id }) => id === 'b1rcdA')!,
      result,
    ).ampere
    return {
      scenes: [still(rig, state)],
      lines: [],
      figures: devices.map((device) => ({
        name: `${device.name} (${device.ratingA} A)`,
        value: formatCurrent(watchDevice(device, result).ampere),
      })),
      because:
        shared > rating!
          ? `The shared device carries ${formatCurrent(shared)} and is rated ${rating} A. It has no overcurrent part, so nothing trips: it just gets hot. The sum in front of a device must be limited by the breakers behind it or the fuse before it.`
          : `The shared device carries ${formatCurrent(shared)}, within its ${rating} A. Try more load: nothing will warn you.`,
    }
  },
}

import { watchDevice } from '#core/bay/behaviour/watch'
import { changePart } from '#core/bay/faults/edit'
import type { DevicePart, Socket } from '#core/bay/model/rig'
import type { Experiment } from './experiment'
import { bayOf, faulty, quiet, solved } from '#core/bay/practice/trial'
import { formatCurrent } from '#core/units/format'
import { play } from './tell'

export const neutralEarth: Experiment = {
  code: 'neutral-earth',
  title: 'Neutral touches earth on a circuit that is off',
  bay: 'heaters',
  about:
    'The breaker of the workshop sockets is off. Somebody works there and lets neutral touch earth. A load runs on the other circuit behind the same RCD.',
  question: 'Does it trip although the circuit is off? What if the other load is small, or none?',
  settings: [
    { key: 'load', name: 'Load on the other circuit', unit: 'W', min: 0, max: 3000, step: 20, usual: 2000 },
  ],
  run: ({ load }) => {
    const sound = changePart<Socket>(bayOf('heaters'), 'c3p1', {
      load: { kind: 'resistive', watt: Math.max(1, load!) },
    })
    const rig = faulty(sound, ['shortNE', 'c1p1'])
    const state = { ...quiet(rig), closed: { ...quiet(rig).closed, b1w1: false } }
    const running = { ...state, inUse: { ...state.inUse, c3p1: load! > 0 } }
    const { lines, scene } = play(rig, state, load! > 0 ? [{ kind: 'use', part: 'c3p1', on: true }] : [])
    const seen = watchDevice(
      rig.parts.find((part): part is DevicePart => part.id === 'b1rcdA')!,
      solved(rig, running),
    )
    return {
      scenes: [scene],
      lines: lines.length > 0 ? lines : ['Nothing happens: without load current nothing divides.'],
      figures: [
        { name: 'Load current', value: formatCurrent(load! / 230) },
        { name: 'Missing in the RCD', value: formatCurrent(seen.residualA) },
        { name: 'It acts between', value: '15 and 30 mA' },
      ],
      because:
        'A single-pole breaker leaves the neutral connected. The load’s current comes to the neutral bar and divides between the neutral and the way through the touching earth. What goes by earth is missing in the device. That is why a neutral–earth fault is not found by switching breakers off one by one.',
    }
  },
}

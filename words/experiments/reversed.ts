import { changePart } from '#core/bay/faults/edit'
import type { DevicePart } from '#core/bay/model/rig'
import type { Experiment } from './experiment'
import { bayOf, faulty, quiet } from '#core/bay/practice/trial'
import { play } from './tell'

export const reversed: Experiment = {
  code: 'reversed',
  title: 'A breaker fed from the wrong end',
  bay: 'battery',
  about:
    'A breaker with marked terminals stands the wrong way round. The load works. Then comes a short circuit.',
  question: 'Does the breaker trip? Does the current stop?',
  settings: [
    {
      key: 'kind',
      name: 'Breaker',
      unit: '',
      min: 0,
      max: 1,
      step: 1,
      usual: 0,
      choices: [
        { value: 0, name: 'direct current, poles marked +' },
        { value: 1, name: 'alternating, marked line and load' },
      ],
    },
    {
      key: 'turned',
      name: 'Connected',
      unit: '',
      min: 0,
      max: 1,
      step: 1,
      usual: 1,
      choices: [
        { value: 0, name: 'as marked' },
        { value: 1, name: 'reversed' },
      ],
    },
  ],
  run: ({ kind, turned }) => {
    const base =
      kind === 0 ? bayOf('battery') : changePart<DevicePart>(bayOf('split'), 'b1w1', { marking: 'line-load' })
    const rig = turned ? faulty(base, ['deviceReversed', 'b1w1']) : base
    const [from, to] = kind === 0 ? (['c1p1.+', 'c1p1.−'] as const) : (['c1p1.L', 'c1p1.N'] as const)
    const { lines, happenings, scene } = play(rig, quiet(rig), [
      { kind: 'use', part: 'c1p1', on: true },
      { kind: 'fault', leak: { id: 'short', from, to, ohm: 0.01 } },
    ])
    const failed = happenings.some((happening) => happening.kind === 'failedToBreak')
    return {
      lines,
      scenes: [scene],
      figures: [
        { name: 'Trips', value: happenings.some((happening) => happening.kind === 'tripped') ? 'yes' : 'no' },
        { name: 'Current stops', value: failed ? 'no: the arc goes on' : 'yes' },
      ],
      because: failed
        ? 'Inside, a magnet or the shape of the chamber drives the arc into the splitter plates for one direction only. Reversed it is driven the wrong way: the contacts part and the arc stays. Supply goes to the terminals marked line; with direct current it enters at the + of each pole.'
        : 'Fed as marked, the arc is driven into the splitter plates and dies.',
    }
  },
}

import { bodyEffect, bodyOhm } from '#core/bay/network/body'
import type { Experiment } from './experiment'
import { bayOf, faulty, quiet, voltAt, wireAt } from '#core/bay/practice/trial'
import { formatCurrent } from '#core/units/format'
import { play, still, volts } from './tell'

export const borrowedNeutral: Experiment = {
  code: 'borrowed-neutral',
  title: 'A borrowed neutral',
  bay: 'plain',
  about:
    'The stair lamp returns over the neutral of the pit lighting. Somebody isolates the pit lighting at its breaker and opens its neutral at the lamp. The stair light is on.',
  question: 'What voltage is at the opened neutral of the isolated circuit?',
  settings: [
    {
      key: 'on',
      name: 'Stair light',
      unit: '',
      min: 0,
      max: 1,
      step: 1,
      usual: 1,
      choices: [
        { value: 1, name: 'on' },
        { value: 0, name: 'off' },
      ],
    },
  ],
  run: ({ on }) => {
    const borrowed = faulty(bayOf('plain'), ['borrowedNeutral', 'c2p1 c1p1'])
    const opened = faulty(borrowed, ['neutralOpen', wireAt(borrowed, 'b1n', 'c1p1')])
    const state = {
      ...quiet(opened),
      closed: { ...quiet(opened).closed, b1w1: false },
      thrown: { c2p0: on === 1 },
      inUse: { c2p1: true },
    }
    const volt = voltAt(opened, state, 'c1p1.N')
    const body = volt / (bodyOhm(volt) + 529)
    const before = play(
      borrowed,
      { ...quiet(borrowed), closed: { ...quiet(borrowed).closed, b1w1: false } },
      on ? [{ kind: 'throw', part: 'c2p0', on: true }] : [],
    )
    return {
      scenes: [{ ...before.scene, name: 'Isolated' }, still(opened, state, 'Neutral opened')],
      lines: [...before.lines, 'Pit lighting isolated at way 1, its neutral opened at the lamp.'],
      figures: [
        { name: 'Open neutral against earth', value: volts(volt) },
        {
          name: 'Through somebody who touches it',
          value:
            volt < 1
              ? 'nothing'
              : `${formatCurrent(body)} (${bodyEffect(body) === 'danger' ? 'dangerous to life' : bodyEffect(body)})`,
        },
      ],
      because: on
        ? 'The stair lamp feeds the open end: line voltage comes through it although the breaker of this circuit is off and locked. Proving dead at the point of work, each pole to earth and neutral too, is what finds it.'
        : 'With the stair light off nothing feeds the open end. It comes as soon as somebody on the stair presses the switch.',
    }
  },
}

import { bayOf, faulty, quiet, voltAt, wireAt } from '#core/bay/practice/trial'
import type { Experiment } from './experiment'
import { play, still, volts } from './tell'

const ON_OFF = [
  { value: 1, name: 'on' },
  { value: 0, name: 'off' },
]

export const sharedNeutral: Experiment = {
  code: 'shared-neutral',
  title: 'Three breakers, one neutral',
  bay: 'shared',
  about:
    'Three lamps on three single-pole breakers share one neutral. The breaker of the first ' +
    'is off and locked; somebody takes its neutral out of the bar.',
  question: 'What voltage is at the neutral that was taken out, while the others are on?',
  settings: [
    { key: 'second', name: 'Lamp on L2', unit: '', min: 0, max: 1, step: 1, usual: 1, choices: ON_OFF },
    { key: 'third', name: 'Lamp on L3', unit: '', min: 0, max: 1, step: 1, usual: 0, choices: ON_OFF },
  ],
  run: ({ second, third }) => {
    const bay = bayOf('shared')
    const opened = faulty(bay, ['neutralOpen', wireAt(bay, 'b1n', 'c1p1')])
    const lamps = { c1p0: false, c2p0: second === 1, c3p0: third === 1 }
    const isolated = (rig: typeof bay) => ({
      ...quiet(rig),
      closed: { ...quiet(rig).closed, b1w1: false },
      thrown: lamps,
    })
    const volt = voltAt(opened, isolated(opened), 'c1p1.N')
    const isFed = second === 1 || third === 1
    return {
      scenes: [
        still(bay, isolated(bay), 'Neutral in its bar'),
        still(opened, isolated(opened), 'Neutral taken out'),
      ],
      lines: [
        ...play(bay, isolated(bay), []).lines,
        'Way 1 is off and locked. The neutral is taken out of its bar.',
      ],
      figures: [
        { name: 'Neutral against earth, in its bar', value: volts(voltAt(bay, isolated(bay), 'c1p1.N')) },
        { name: 'Neutral against earth, taken out', value: volts(volt) },
        ...(second === 1 && third === 1
          ? [
              { name: 'Lamp on L2', value: volts(voltAt(opened, isolated(opened), 'c2p1.L', 'c2p1.N')) },
              { name: 'Lamp on L3', value: volts(voltAt(opened, isolated(opened), 'c3p1.L', 'c3p1.N')) },
            ]
          : []),
      ],
      because: isFed
        ? 'The other lamps return over this neutral: out of its bar it stands at a line’s voltage ' +
          'although its own breaker is off and locked. With two lines on, the lamps lie in series ' +
          'between them. One neutral belongs to one circuit, or to a device that opens all its ' +
          'lines together.'
        : 'Nothing is on that returns over it. It comes as soon as somebody turns on a lamp of another line.',
    }
  },
}

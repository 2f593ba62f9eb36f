import { readRotation } from '#core/bay/instruments/voltage'
import { prepare } from '#core/bay/instruments/setup'
import type { Experiment } from './experiment'
import { bayOf, faulty, quiet } from '#core/bay/practice/trial'
import { play } from './tell'

const TURNS = { 'L1-L2-L3': 'as marked', 'L1-L3-L2': 'backwards', missing: 'not', none: 'not' } as const
const LINES = ['c1p1.L1', 'c1p1.L2', 'c1p1.L3'] as const

export const rotation: Experiment = {
  code: 'rotation',
  title: 'Two lines interchanged at a motor',
  bay: 'motor',
  about: 'Two of the three lines of the wheel lathe are interchanged at the board.',
  question: 'Does it start, which way does it turn, and what does the rotation indicator show?',
  settings: [
    {
      key: 'turned',
      name: 'Lines',
      unit: '',
      min: 0,
      max: 1,
      step: 1,
      usual: 1,
      choices: [
        { value: 0, name: 'in order' },
        { value: 1, name: 'L1 and L2 interchanged' },
      ],
    },
  ],
  run: ({ turned }) => {
    const rig = turned ? faulty(bayOf('motor'), ['linesInterchanged', 'b1w1']) : bayOf('motor')
    const { lines, state, scene } = play(rig, quiet(rig), [{ kind: 'use', part: 'c1p1', on: true }])
    const shown = readRotation(prepare(rig, state), LINES)
    return {
      lines,
      scenes: [scene],
      figures: [
        { name: 'Rotation indicator', value: shown },
        { name: 'The lathe turns', value: shown ? TURNS[shown] : 'not' },
      ],
      because:
        'Every current and every reading of a dead test is the same either way. Only the order of the lines has changed, and with it the direction of the field.',
    }
  },
}

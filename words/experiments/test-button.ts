import { deadState } from '#core/bay/behaviour/state'
import { energiseInOrder } from '#core/bay/behaviour/energise'
import { simulate } from '#core/bay/behaviour/simulate'
import type { Experiment } from './experiment'
import { bayOf, faulty, quiet, wireAt } from '#core/bay/practice/trial'
import { play } from './tell'

export const testButton: Experiment = {
  code: 'test-button',
  title: 'What the test button tests',
  bay: 'split',
  about:
    'The button of RCD A is pressed: on the sound board, with the supply’s earth taken off, and with the supply off.',
  question: 'Does it trip in each case? What has been proved?',
  settings: [
    {
      key: 'case',
      name: 'Board',
      unit: '',
      min: 0,
      max: 2,
      step: 1,
      usual: 1,
      choices: [
        { value: 0, name: 'sound' },
        { value: 1, name: 'earthing conductor off' },
        { value: 2, name: 'supply off' },
      ],
    },
  ],
  run: ({ case: which }) => {
    const sound = bayOf('split')
    const rig = which === 1 ? faulty(sound, ['mainEarthOpen', wireAt(sound, 'supply.E', 'met')]) : sound
    const dead = simulate(rig, deadState(rig), energiseInOrder(rig)).state
    const { lines, happenings, scene } = play(
      rig,
      which === 2 ? { ...dead, isSupplyOn: false } : quiet(rig),
      [{ kind: 'test', part: 'b1rcdA' }],
    )
    const trips = happenings.some(({ kind }) => kind === 'tripped')
    return {
      lines,
      scenes: [scene],
      figures: [{ name: 'Trips', value: trips ? 'yes' : 'no' }],
      because:
        which === 2
          ? 'The button lets a little current past one pole: without a supply there is none.'
          : 'The button lets a current flow from behind one pole to before the other, inside the device. It proves that the mechanism opens. It says nothing about the earth: it trips just the same with the earthing conductor off.',
    }
  },
}

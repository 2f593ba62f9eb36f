import type { Experiment } from './experiment'
import { bayOf, faulty, quiet, wireAt } from '#core/bay/practice/trial'
import { play } from './tell'

export const otherBar: Experiment = {
  code: 'other-bar',
  title: 'Neutral on the other device’s bar',
  bay: 'split',
  about:
    'The neutral of the pit lighting went to bar A in place of bar B. Continuity, insulation and polarity are in order. The board is energised, a heater runs on the sockets.',
  question: 'What happens when the pit light is switched on, and why?',
  settings: [],
  run: () => {
    const sound = bayOf('split')
    const rig = faulty(sound, ['neutralOnOtherBar', `${wireAt(sound, 'b1nB', 'c2p1')} b1nA`])
    const { lines, scene } = play(rig, quiet(rig), [
      { kind: 'use', part: 'c1p1', on: true },
      { kind: 'throw', part: 'c2p0', on: true },
    ])
    return {
      lines,
      scenes: [scene],
      figures: [],
      because:
        'The lamp’s current leaves through device B and comes back through device A. B misses it, A has it too much. Each sees the same difference at the same moment, so both let go. Until the light is switched on there is nothing to see, and no dead test of one circuit shows it.',
    }
  },
}

import { bodyEffect, bodyOhm } from '#core/bay/network/body'
import type { Experiment } from './experiment'
import { bayOf, faulty, quiet, voltAt } from '#core/bay/practice/trial'
import { formatCurrent } from '#core/units/format'
import { play, still, volts } from './tell'

export const polarity: Experiment = {
  code: 'polarity',
  title: 'Reversed polarity',
  bay: 'plain',
  about:
    'Line and neutral of the stair lighting are interchanged at the board. The lamp works. Its switch is turned off and the lamp is removed.',
  question:
    'What voltage is at the centre contact of the lampholder with the switch off, sound and reversed?',
  settings: [],
  run: () => {
    const sound = bayOf('plain')
    const turned = faulty(sound, ['polarityAtBoard', 'c2'])
    const off = { ...quiet(turned), inUse: {} }
    // A holder's contacts against the earth that somebody on a ladder leans on.
    const at = (rig: typeof sound) => Math.max(voltAt(rig, off, 'c2p1.L'), voltAt(rig, off, 'c2p1.N'))
    const lamp = play(turned, quiet(turned), [
      { kind: 'throw', part: 'c2p0', on: true },
      { kind: 'throw', part: 'c2p0', on: false },
    ])
    const body = at(turned) / bodyOhm(at(turned))
    return {
      lines: lamp.lines,
      scenes: [{ ...lamp.scene, name: 'Reversed' }, still(turned, off, 'Lamp removed')],
      figures: [
        { name: 'Holder against earth, sound', value: volts(at(sound)) },
        { name: 'Holder to earth, reversed', value: volts(at(turned)) },
        {
          name: 'Through somebody who touches it',
          value: `${formatCurrent(body)} (${bodyEffect(body) === 'danger' ? 'dangerous to life' : bodyEffect(body)})`,
        },
      ],
      because:
        'A load does not mind which way the current goes. The switch and the breaker now break the neutral, and line stays at the lamp. That is why polarity is tested with each switch operated, and not by whether the lamp lights.',
    }
  },
}

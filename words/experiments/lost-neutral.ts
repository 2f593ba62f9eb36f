import { changePart } from '#core/bay/faults/edit'
import type { Lampholder } from '#core/bay/model/rig'
import type { Experiment } from './experiment'
import { bayOf, faulty, quiet, voltAt, wireAt } from '#core/bay/practice/trial'
import { play, still, volts } from './tell'

const LINES = ['L1', 'L2', 'L3'] as const

export const lostNeutral: Experiment = {
  code: 'lost-neutral',
  title: 'The neutral of three phases is lost',
  bay: 'three',
  about: 'One lamp burns on each line. The supply’s neutral comes loose at the meter.',
  question: 'Which voltage does each lamp get then?',
  settings: LINES.map((line, i) => ({
    key: line,
    name: `Lamp on ${line}`,
    unit: 'W',
    min: 20,
    max: 1000,
    step: 20,
    usual: [500, 300, 60][i]!,
  })),
  run: (watt) => {
    const sound = LINES.reduce(
      (rig, line, i) =>
        changePart<Lampholder>(rig, `c${i + 1}p1`, { load: { kind: 'filament', watt: watt[line]! } }),
      bayOf('three'),
    )
    const lost = faulty(sound, ['supplyNeutralLost', wireAt(sound, 'supply.N', 'meter.N in')])
    const on = (rig: typeof sound) => ({ ...quiet(rig), thrown: { c1p0: true, c2p0: true, c3p0: true } })
    const after = play(lost, on(lost), [])
    return {
      lines: after.lines,
      scenes: [still(sound, on(sound), 'Sound'), { ...after.scene, name: 'Neutral lost' }],
      figures: LINES.map((line, i) => ({
        name: `Lamp on ${line}, ${watt[line]} W`,
        value: `${volts(voltAt(sound, on(sound), `c${i + 1}p1.L`, `c${i + 1}p1.N`))} before, ${volts(voltAt(lost, on(lost), `c${i + 1}p1.L`, `c${i + 1}p1.N`))} after`,
      })),
      because:
        'Without a neutral the lamps stand in series between the lines. The star point moves towards the line with the largest load; the lightly loaded one rises towards 400 V. Nothing trips: no current is too large, and none is missing.',
    }
  },
}

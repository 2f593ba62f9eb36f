import type { Experiment } from './experiment'
import { bayOf, quiet } from '#core/bay/practice/trial'
import { play } from './tell'

const fault = (ohm: number) =>
  ({ kind: 'fault', leak: { id: 'kettle', from: 'c1p1.L', to: 'c1p1.E', ohm } }) as const

export const blastRadius: Experiment = {
  code: 'blast-radius',
  title: 'One fault: how much goes dark?',
  bay: 'own',
  about:
    'A wax kettle on the workshop sockets leaks to earth. One board has two shared RCDs, the other an RCBO on each way. Heaters and lights are on everywhere.',
  question: 'What goes off on each board?',
  settings: [
    { key: 'ohm', name: 'Leak to earth through', unit: 'Ω', min: 500, max: 50_000, step: 500, usual: 2000 },
  ],
  run: ({ ohm }) => {
    const dark = (code: string) => {
      const rig = bayOf(code)
      const state = { ...quiet(rig), thrown: { c2p0: true }, inUse: { ...quiet(rig).inUse, c3p1: true } }
      const { happenings, lines, scene } = play(rig, state, [fault(ohm!)])
      const off = happenings.flatMap((happening) =>
        happening.kind === 'tripped'
          ? rig.parts.filter(({ id }) => id === happening.part).map(({ name }) => name)
          : [],
      )
      const without = happenings.flatMap((happening) =>
        happening.kind === 'dark'
          ? rig.parts.filter(({ id }) => id === happening.part).map(({ name }) => name)
          : [],
      )
      return {
        lines,
        scene,
        words:
          off.length === 0
            ? 'nothing trips'
            : `${off.join(', ')} opens; ${without.length === 0 ? 'only its own circuit is off' : `${without.join(', ')} off too`}`,
      }
    }
    const [shared, own] = [dark('heaters'), dark('own')]
    return {
      scenes: [
        { ...shared.scene, name: 'Two shared devices' },
        { ...own.scene, name: 'A device for each circuit' },
      ],
      lines: ['Shared devices:', ...shared.lines, 'Combined devices:', ...own.lines],
      figures: [
        { name: 'Leak', value: `${((230 / ohm!) * 1e3).toFixed(0)} mA` },
        { name: 'Two shared devices', value: shared.words },
        { name: 'A device for each circuit', value: own.words },
      ],
      because:
        'A shared RCD takes every circuit of its section with it, and their standing leakages add up towards its limit. An RCBO takes its own circuit alone.',
    }
  },
}

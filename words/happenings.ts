import type { Happening, TripCause } from '#core/bay/behaviour/happenings'
import { formatCurrent, formatDuration } from '#core/units/format'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'

const CAUSES: Readonly<Record<TripCause, (a: string, t: string, poles: string) => string>> = {
  residual: (a, t, poles) => `${a} did not come back through it (${poles}); it opened after ${t}`,
  overload: (a, t) => `it carried ${a} for ${t}`,
  short: (a, t) => `a short circuit of ${a}; it opened after ${t}`,
  arc: (a, t) => `an arc of ${a}; it opened after ${t}`,
  plugFuse: (a, t) => `its fuse melted: ${a} for ${t}`,
  fuse: (a, t) => `it melted: ${a} for ${t}`,
}

/** What happened, as a sentence. */
export function happeningSentence(one: Happening, parts: PartIndex): string {
  const name = (id: string) => parts.get(id)?.name ?? id
  const isOneWay = (id: string) => {
    const part = parts.get(id)
    return part?.kind === 'switch' && part.action === 'one-way'
  }
  switch (one.kind) {
    case 'done': {
      const { action } = one
      switch (action.kind) {
        case 'supply':
          return `Supply ${action.on ? 'on' : 'off'}.`
        case 'close':
          return `${name(action.part)} switched ${action.on ? 'on' : 'off'}.`
        case 'throw':
          return `${name(action.part)} turned ${isOneWay(action.part) ? (action.on ? 'on' : 'off') : 'over'}.`
        case 'use':
          return `${parts.get(action.part)?.kind === 'socket' ? `Heater ${action.on ? 'plugged in at' : 'unplugged from'} ${name(action.part)}` : `${name(action.part)} ${action.on ? 'fitted or switched on' : 'taken out or switched off'}`}.`
        case 'test':
          return `Test button of ${name(action.part)} held.`
        case 'fault':
          return `${terminalWords(parts, action.leak.from)} touches ${terminalWords(parts, action.leak.to)} through ${action.leak.ohm < 1 ? 'next to nothing' : `${action.leak.ohm} Ω`}.`
      }
      return ''
    }
    case 'tripped':
      return `${name(one.part)} opens: ${CAUSES[one.cause](
        formatCurrent(one.ampere),
        formatDuration(one.afterS),
        Object.entries(one.poles)
          .map(([pole, a]) => `${pole} ${formatCurrent(a)}`)
          .join(', '),
      )}.`
    case 'failedToBreak':
      return `${name(one.part)} is fed from the wrong end: its contacts part and the arc goes on at ${formatCurrent(one.ampere)}.`
    case 'lit':
      return `${name(one.part)} works, at ${one.volt.toFixed(0)} V.`
    case 'dark':
      return `${name(one.part)} is off.`
    case 'overvoltage':
      return `${name(one.part)} gets ${one.volt.toFixed(0)} V: too much for it.`
    case 'ranUp':
      return `${name(one.part)} has run up.`
    case 'settled':
      return 'Nothing more happens.'
    case 'unsolved':
      return `This cannot be computed (${one.reason} at ${one.name}).`
  }
}

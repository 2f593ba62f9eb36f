import type { Action, Happening, TripCause } from '#core/bay/behaviour/happenings'
import { formatCurrent, formatDuration } from '#core/units/format'
import type { Part } from '#core/bay/model/rig'
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
export function happeningSentence(happening: Happening, parts: PartIndex): string {
  switch (happening.kind) {
    case 'done':
      return actionSentence(happening.action, parts)
    case 'settled':
      return 'Nothing more happens.'
    case 'unsolved':
      return `This cannot be computed (${happening.reason} at ${happening.name}).`
    default:
      return `${parts.get(happening.part)?.name ?? happening.part} ${followsWords(happening)}.`
  }
}

/** What a part does or suffers. */
function followsWords(entry: Extract<Happening, { part: string }>): string {
  switch (entry.kind) {
    case 'tripped':
      return `opens: ${tripCause(entry)}`
    case 'failedToBreak':
      return `is fed from the wrong end: its contacts part and the arc goes on at ${formatCurrent(entry.ampere)}`
    case 'lit':
      return `works, at ${entry.volt.toFixed(0)} V`
    case 'dark':
      return 'is off'
    case 'overvoltage':
      return `gets ${entry.volt.toFixed(0)} V: too much for it`
    case 'ranUp':
      return 'has run up'
    case 'wentOver':
      return entry.toStandby ? 'goes over to the standby source' : 'goes back to the grid'
  }
}

function tripCause({ cause, ampere, afterS, poles }: Extract<Happening, { kind: 'tripped' }>): string {
  const each = Object.entries(poles).map(([pole, a]) => `${pole} ${formatCurrent(a)}`)
  return CAUSES[cause](formatCurrent(ampere), formatDuration(afterS), each.join(', '))
}

const onOff = (isOn: boolean): string => (isOn ? 'on' : 'off')

function actionSentence(action: Action, parts: PartIndex): string {
  if (action.kind === 'supply') return `Supply ${onOff(action.on)}.`
  if (action.kind === 'fault') {
    const { from, to, ohm } = action.leak
    const through = ohm < 1 ? 'next to nothing' : `${ohm} Ω`
    return `${terminalWords(parts, from)} touches ${terminalWords(parts, to)} through ${through}.`
  }
  const part = parts.get(action.part)
  const name = part?.name ?? action.part
  switch (action.kind) {
    case 'close':
      return `${name} switched ${onOff(action.on)}.`
    case 'throw':
      return thrownSentence(name, part, action.on)
    case 'use':
      return usedSentence(name, part, action.on)
    case 'test':
      return `Test button of ${name} held.`
  }
}

function thrownSentence(name: string, part: Part | undefined, isOn: boolean): string {
  if (part?.kind === 'changeover') return `${name} put to the ${isOn ? 'standby source' : 'grid'}.`
  const isOneWay = part?.kind === 'switch' && part.action === 'one-way'
  return `${name} turned ${isOneWay ? onOff(isOn) : 'over'}.`
}

function usedSentence(name: string, part: Part | undefined, isOn: boolean): string {
  switch (part?.kind) {
    case 'standby':
      return `${name} ${isOn ? 'started' : 'stopped'}.`
    case 'socket':
      return `Heater ${isOn ? 'plugged in at' : 'unplugged from'} ${name}.`
    default:
      return `${name} ${isOn ? 'fitted or switched on' : 'taken out or switched off'}.`
  }
}

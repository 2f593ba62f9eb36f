import type { CallKind, DeskKind, WalkKind } from '#core/floor/needs'

/** What an apprentice asks for, and how it stands on an assessor’s list. */
export const CALL_TEXT: Readonly<Record<CallKind, { readonly asks: string; readonly says: string }>> = {
  isolation: { asks: 'Watch my safe isolation', says: 'Safe isolation ready to observe' },
  terminations: { asks: 'Terminations ready, covers off', says: 'Terminations ready to look at' },
  inspection: { asks: 'Inspection ready', says: 'Inspection to go over' },
  signature: { asks: 'Record ready to sign', says: 'Record to sign' },
  help: { asks: 'I am stuck', says: 'Asks for help' },
}

export const NEED_TEXT: Readonly<Record<Exclude<WalkKind, CallKind>, string>> = {
  live: 'Live',
  energise: 'Asks to energise',
  permit: 'Permit to work past its time',
  repeat: 'Repeat due',
  question: 'Nothing asked at this job yet',
}
export const needText = (kind: WalkKind): string =>
  kind in CALL_TEXT ? CALL_TEXT[kind as CallKind].says : NEED_TEXT[kind as keyof typeof NEED_TEXT]

export const DESK_TEXT: Readonly<Record<DeskKind, readonly [one: string, many: string]>> = {
  marking: ['sheet to mark', 'sheets to mark'],
  claims: ['account with claims to decide', 'accounts with claims to decide'],
  surveys: ['survey to mark', 'surveys to mark'],
  secondMarking: ['decision for a second look', 'decisions for a second look'],
  appeals: ['appeal to answer', 'appeals to answer'],
}

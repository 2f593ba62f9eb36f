import { handInAccount, saveAccount, startAccount } from '../../server/services/accounts'
import { decide, release } from '../../server/services/marking'
import { ownRecord } from '../../server/services/records'
import { aSetExercise, bringTo, type Centre } from './centre'

export const WORDS = 'I fixed the trunking with screws every 900 mm, from drawing 7, because the wall shakes.'
const TEXT = JSON.stringify({
  type: 'doc',
  content: [{ type: 'paragraph', content: [{ type: 'text', text: WORDS }] }],
})
export const claim = (criterion: string, kind = 'written', quote = WORDS): string =>
  JSON.stringify({ criterion, kind, quote })
/** An account of work elsewhere with one claim. */
export const ACCOUNT = {
  title: 'Trunking of the lamp store',
  job: 'Depot, lamp store',
  day: '2026-11-02',
  setting: 'industrial',
  wiring: 'trunking',
  text: TEXT,
  'claim.aaaa-1': claim('W3'),
}

/** Written and saved by the first apprentice; at version 2. */
export function anAccount(centre: Centre, fields: Readonly<Record<string, string>> = ACCOUNT): number {
  const { id } = startAccount(centre.context, centre.apprentice)
  saveAccount(centre.context, centre.apprentice, id, { version: 1, fields })
  return id
}
export function handedIn(centre: Centre, fields?: Readonly<Record<string, string>>): number {
  const id = anAccount(centre, fields)
  handInAccount(centre.context, centre.apprentice, id, 2)
  return id
}

/** What the first apprentice still lacks of a unit. */
export const missing = (centre: Centre, unit: string) =>
  ownRecord(centre.context, centre.apprentice).units.find(({ gap }) => gap.unit.code === unit)!.gap

/** The usual exercise of the first apprentice, decided by the assessor. */
export function aDecision(
  centre: Centre,
  stage: 'decided' | 'released' = 'decided',
): { readonly attemptId: number; readonly decisionId: number } {
  const { attemptId } = aSetExercise(centre)
  bringTo(centre, attemptId, 'handedIn')
  decide(centre.context, centre.assessor, attemptId, { version: 0 })
  if (stage === 'released') release(centre.context, centre.assessor, attemptId)
  return { attemptId, decisionId: centre.repos.decisions.latest(attemptId)!.id }
}

import type { AccountFields } from '#core/assessment/portfolio/account'
import type { Repos } from '../server/repos'
import type { Person } from '../server/repos/people'
import { decideClaim, handInAccount, saveAccount, startAccount } from '../server/services/accounts'
import { seeBehaviour } from '../server/services/behaviours'
import type { Context } from '../server/services/context'

const TOLD = [
  'I put up the trunking for the lamp store from drawing 7, page 2: 50 × 50 steel, 6.4 m along the north wall.',
  'I held it with brackets and M6 screws every 900 mm, because the On-Site Guide gives 1.25 m for ' +
    'this size at most and the wall shakes when a tram goes by. I levelled it with a laser line.',
  'I pulled in singles, 2.5 mm².',
]
const paragraphs = (lines: readonly string[]): string =>
  JSON.stringify({
    type: 'doc',
    content: lines.map((text) => ({ type: 'paragraph', content: [{ type: 'text', text }] })),
  })
const claim = (criterion: string, quote: string): string =>
  JSON.stringify({ criterion, kind: 'written', quote })

const LAMP_STORE: AccountFields = {
  title: 'Trunking of the lamp store',
  job: 'Depot, lamp store',
  setting: 'industrial',
  wiring: 'trunking',
  cables: 'singles',
  equipment: 'luminaire',
  text: paragraphs(TOLD),
  'claim.lamp-store-1': claim('W2', TOLD[1]!),
  'claim.lamp-store-2': claim('Q2', TOLD[2]!),
  'measure.lamp-store-1': 'level 3 6.4',
}

/** Work elsewhere that was told, one claim accepted and one refused; behaviours that were seen. */
export function playEvidence(repos: Repos, at: (minutesAgo: number) => Context): void {
  const who = (number: string): Person => repos.people.byNumber(number)!
  const [writer, assessor] = [who('T-401'), who('S-301')]
  const { id } = startAccount(at(2900), writer)
  const day = at(7000).now.slice(0, 10)
  saveAccount(at(2880), writer, id, { version: 1, fields: { ...LAMP_STORE, day } })
  handInAccount(at(2870), writer, id, 2)
  const [handIn] = repos.accounts.handIns(id)
  const decide = (token: string, met: boolean, reason: string) =>
    decideClaim(at(80), assessor, id, { handInId: handIn!.id, claim: token, met, reason })
  decide('lamp-store-1', true, '')
  decide('lamp-store-2', false, 'Type, length and the reason for this cable are missing.')
  for (const [number, behaviour, note] of [
    ['T-401', 'B1', 'bay 1'],
    ['T-401', 'B3', 'bay 1'],
    ['T-406', 'B5', 'said at once that a terminal had stripped'],
  ] as const)
    seeBehaviour(at(70), assessor, who(number).id, { behaviour, note, attemptId: null })
}

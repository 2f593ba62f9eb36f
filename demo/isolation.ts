/* Safe isolation in the demo: one kept, one with a critical breach and its repeat, one in hand, padlocks and a permit. */
import { actField } from '#core/isolation/observation'
import type { Act, ActKind } from '#core/isolation/model/act'
import type { Repos } from '../server/repos'
import type { Context } from '../server/services/context'
import { decideObservation, saveObservation, startObservation } from '../server/services/observations'
import { issuePermit, putLock } from '../server/services/register'
import { DEMO_PIN } from './story'

type Tap = ActKind | (Partial<Act> & { readonly kind: ActKind })
const BEFORE: readonly Tap[] = [
  'ask',
  'inform',
  { kind: 'identify', place: 'board' },
  { kind: 'take', indicator: 'two-pole' },
  { kind: 'prove', proof: 'known-source', shows: true },
  { kind: 'checkLive', shows: true, place: 'point' },
]
const SECURED: readonly Tap[] = [
  { kind: 'switchOff', place: 'board' },
  { kind: 'lock', place: 'board' },
  'keepKey',
  { kind: 'notice', place: 'board' },
  'warnNeutral',
]
const DEAD: readonly Tap[] = [
  { kind: 'testDead', shows: false, pairs: 3, atPoint: true, place: 'point' },
  { kind: 'prove', proof: 'known-source', shows: true },
]
const REST: readonly Tap[] = [
  'open',
  { kind: 'testTerminals', shows: false, pairs: 3 },
  'cover',
  'clearTools',
  'informAgain',
  'removeNotice',
  'removeOwnLock',
  'switchOn',
  'checkFunction',
]
const STEP_S = 24

const tapped = (start: string, taps: readonly Tap[]): Record<string, string> =>
  Object.fromEntries(
    taps.map((tap, i) =>
      actField(
        typeof tap === 'string' ? { kind: tap } : tap,
        new Date(Date.parse(start) + i * STEP_S * 1000).toISOString(),
      ),
    ),
  )

/** `at` gives the context so many minutes before the end of the demo's day. */
export async function playIsolation(repos: Repos, at: (minutesAgo: number) => Context): Promise<void> {
  const who = (number: string) => repos.people.byNumber(number)!
  const assessor = who('S-301')
  const observe = (
    minutesAgo: number,
    number: string,
    bay: number,
    circuit: string,
    taps: readonly Tap[],
  ) => {
    const context = at(minutesAgo)
    const head = {
      'head.bay': String(bay),
      'head.circuit': circuit,
      'head.level': 'first',
      'head.phases': '1',
      'head.permit': 'no',
      'head.serial': `VI-${10 + bay}`,
      'head.proofDate': '2026-09-03',
    }
    const { id } = startObservation(context, assessor, { apprenticeId: who(number).id, fields: head })
    const fields = { ...head, ...tapped(context.now, taps) }
    saveObservation(context, assessor, id, { version: 1, fields })
    return {
      id,
      decide: (met: boolean, feedback: string) =>
        decideObservation(at(minutesAgo - 8), assessor, id, {
          version: 2,
          met,
          feedback,
          reason: '',
          signedName: who(number).name,
          pin: DEMO_PIN,
          repeatOn: null,
        }),
    }
  }
  await observe(80, 'T-401', 1, 'Pit sockets', [...BEFORE, ...SECURED, ...DEAD, ...REST]).decide(
    true,
    'Calm and complete; the notice hung before you turned round.',
  )
  await observe(60, 'T-405', 5, 'Bench sockets', [
    ...BEFORE,
    ...SECURED.filter((tap) => typeof tap === 'string' || tap.kind !== 'lock'),
    ...DEAD,
    'open',
  ]).decide(false, 'Fit the lock-off device and your own padlock first. Everything else was there.')
  observe(6, 'T-402', 2, 'Pit sockets', [...BEFORE, ...SECURED.slice(0, 3)])
  putLock(at(5), assessor, {
    personId: who('T-402').id,
    bay: 2,
    device: 'Way 1',
    padlock: '14',
    reason: 'Replacing a socket',
  })
  const [from, until] = [at(30).now, new Date(Date.parse(at(30).now) + 2 * 3_600_000).toISOString()]
  await issuePermit(at(30), assessor, {
    holderId: who('T-402').id,
    bay: 2,
    scope: 'Socket in the charger room. The fans on way 2 must stay on.',
    fromAt: from,
    untilAt: until,
    siteName: 'Oona Brack',
    pin: DEMO_PIN,
  })
}

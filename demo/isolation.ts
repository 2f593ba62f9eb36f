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

interface Observed {
  readonly minutesAgo: number
  readonly number: string
  readonly bay: number
  readonly circuit: string
  readonly taps: readonly Tap[]
}

/** The demo's centre, and the context so many minutes before the end of its day. */
interface Stage {
  readonly repos: Repos
  readonly at: (minutesAgo: number) => Context
}

const who = ({ repos }: Stage, number: string) => repos.people.byNumber(number)!
const ASSESSOR = 'S-301'

/** An observation as it was tapped; returns its id. */
function observe(stage: Stage, { minutesAgo, number, bay, circuit, taps }: Observed): number {
  const context = stage.at(minutesAgo)
  const assessor = who(stage, ASSESSOR)
  const head = {
    'head.bay': String(bay),
    'head.circuit': circuit,
    'head.level': 'first',
    'head.phases': '1',
    'head.permit': 'no',
    'head.serial': `VI-${10 + bay}`,
    'head.proofDate': '2026-09-03',
  }
  const { id } = startObservation(context, assessor, { apprenticeId: who(stage, number).id, fields: head })
  saveObservation(context, assessor, id, { version: 1, fields: { ...head, ...tapped(context.now, taps) } })
  return id
}

interface Said {
  readonly met: boolean
  readonly feedback: string
}

/** The same, decided some minutes later and signed by the apprentice. */
const observeAndDecide = (stage: Stage, observed: Observed, { met, feedback }: Said) =>
  decideObservation(stage.at(observed.minutesAgo - 8), who(stage, ASSESSOR), observe(stage, observed), {
    version: 2,
    met,
    feedback,
    reason: '',
    signedName: who(stage, observed.number).name,
    pin: DEMO_PIN,
    repeatOn: null,
  })

const WITHOUT_LOCK = SECURED.filter((tap) => typeof tap === 'string' || tap.kind !== 'lock')

/**
 * Observations, a padlock and a permit of the demo's day. `at` gives the context so many minutes before its
 * end.
 */
export async function playIsolation(repos: Repos, at: Stage['at']): Promise<void> {
  const stage = { repos, at }
  await observeAndDecide(
    stage,
    {
      minutesAgo: 80,
      number: 'T-401',
      bay: 1,
      circuit: 'Pit sockets',
      taps: [...BEFORE, ...SECURED, ...DEAD, ...REST],
    },
    { met: true, feedback: 'Calm and complete; the notice hung before you turned round.' },
  )
  await observeAndDecide(
    stage,
    {
      minutesAgo: 60,
      number: 'T-405',
      bay: 5,
      circuit: 'Bench sockets',
      taps: [...BEFORE, ...WITHOUT_LOCK, ...DEAD, 'open'],
    },
    {
      met: false,
      feedback: 'Fit the lock-off device and your own padlock first. Everything else was there.',
    },
  )
  observe(stage, {
    minutesAgo: 6,
    number: 'T-402',
    bay: 2,
    circuit: 'Pit sockets',
    taps: [...BEFORE, ...SECURED.slice(0, 3)],
  })
  await lockAndPermit(stage, who(stage, 'T-402').id)
}

async function lockAndPermit(stage: Stage, holderId: number): Promise<void> {
  const { at } = stage
  const assessor = who(stage, ASSESSOR)
  const lock = { personId: holderId, bay: 2, device: 'Way 1', padlock: '14', reason: 'Replacing a socket' }
  putLock(at(5), assessor, lock)
  const from = at(30).now
  await issuePermit(at(30), assessor, {
    holderId,
    bay: 2,
    scope: 'Socket in the charger room. The fans on way 2 must stay on.',
    fromAt: from,
    untilAt: new Date(Date.parse(from) + 2 * 3_600_000).toISOString(),
    siteName: 'Oona Brack',
    pin: DEMO_PIN,
  })
}

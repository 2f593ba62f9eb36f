/* Safe isolation on the server: rehearsals that give nothing away, observations that lose nothing, signatures,
   locks, permits, the record. */
import { beforeAll, beforeEach, describe, expect, test } from 'vitest'
import { actField } from '#core/isolation/observation'
import type { Act, ActKind } from '#core/isolation/model/act'
import { SCENARIO_CODES } from '#core/isolation/trainer/scenarios/scenarios'
import { endRun, isolationHome, moveRun, showRun, startRun } from '../../server/services/isolation-runs'
import {
  decideObservation,
  saveObservation,
  showObservation,
  startObservation,
} from '../../server/services/observations'
import { hashPassword } from '../../server/services/passwords'
import { groupRecord, ownRecord } from '../../server/services/records'
import {
  issuePermit,
  mayLeave,
  putLock,
  returnPermit,
  showRegister,
  takeLockOff,
} from '../../server/services/register'
import { choosePin } from '../../server/services/signatures'
import { setIsolationPolicy } from '../../server/services/centre'
import { aCentre, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

let centre: Centre
/** Made once: a hash takes a while on purpose. */
let hash = ''
beforeAll(async () => {
  hash = await hashPassword('2468')
})
beforeEach(() => {
  centre = aCentre()
  for (const person of centre.repos.people.all())
    centre.repos.locks.setPin(person.id, hash, centre.context.now)
})

describe('a rehearsal', () => {
  test('shows what can be seen and keeps the secret until it is over', async () => {
    const { context, apprentice, other } = centre
    for (const code of SCENARIO_CODES) {
      const { id } = startRun(context, apprentice, { scenario: code, mode: 'assessment' })
      const view = JSON.stringify(showRun(context, apprentice, id))
      expect(view).not.toMatch(/"secret":"|"surprises"|"closed"|"rig"/)
      expect(showRun(context, apprentice, id).devices).toEqual([])
      expect(showRun(context, apprentice, id).hint).toBeNull()
    }
    const { id } = startRun(context, apprentice, { scenario: 'bench', mode: 'guided' })
    expect(showRun(context, apprentice, id).hint!.next).toMatch(/Ask/)
    await expect(refusal(() => showRun(context, other, id))).resolves.toBe('notFound')
  })
  test('a permit is seen in hand until it is handed back; the indicator asked for is that of the stage', () => {
    const { context, apprentice } = centre
    const { id } = startRun(context, apprentice, { scenario: 'charger-room', mode: 'guided' })
    const go = (...moves: readonly string[]) =>
      moves.reduce(
        (view, move) => moveRun(context, apprentice, id, view.version, move),
        showRun(context, apprentice, id),
      )
    expect(showRun(context, apprentice, id).holdsPermit).toBe(false)
    expect(go('permit').holdsPermit).toBe(true)
    expect(go('ask else', 'inform').hint!.next).toBe('Take the approved voltage indicator (two-pole).')
    expect(go('take two-pole').hint!.name).toBe('Indicator looked over before use')
    expect(go('handBack').holdsPermit).toBe(false)
  })
  test('moves on one by one, refuses what cannot be done here, and is judged at the end', async () => {
    const { context, apprentice } = centre
    const { id } = startRun(context, apprentice, { scenario: 'bench', mode: 'free' })
    let view = showRun(context, apprentice, id)
    for (const move of ['inform', 'walk board', 'readChart', 'switch b1w1', 'walk point', 'open', 'work'])
      view = moveRun(context, apprentice, id, view.version, move)
    expect(await refusal(() => moveRun(context, apprentice, id, view.version, 'walk moon'))).toBe(
      'moveNotHere',
    )
    expect(await refusal(() => moveRun(context, apprentice, id, 1, 'cover'))).toBe('stale')
    const over = endRun(context, apprentice, id)
    expect(over.debrief!.verdict.critical.map(({ code }) => code)).toEqual(
      expect.arrayContaining(['locked', 'provedBefore', 'handsAfterDead']),
    )
    expect(over.debrief!.sequence).toHaveLength(5)
    expect(await refusal(() => moveRun(context, apprentice, id, over.version, 'cover'))).toBe('runOver')
    expect(isolationHome(context, apprentice).scenarios.find(({ code }) => code === 'bench')).toMatchObject({
      tries: 1,
      hasMet: false,
    })
  })
})

/** Fields as a tablet sends them: one act every ten seconds. */
function tapped(...acts: (ActKind | (Partial<Act> & { kind: ActKind }))[]): Record<string, string> {
  const usual: Partial<Record<ActKind, Partial<Act>>> = {
    take: { indicator: 'two-pole' },
    prove: { proof: 'known-source', shows: true },
    checkLive: { shows: true },
    testDead: { shows: false, atPoint: true, pairs: 3 },
    testTerminals: { shows: false, pairs: 3 },
  }
  return {
    'head.bay': '4',
    'head.circuit': 'Bench sockets',
    'head.level': 'first',
    'head.serial': 'VI-07',
    ...Object.fromEntries(
      acts.map((entry, i) => {
        const act = typeof entry === 'string' ? { kind: entry } : entry
        return actField(
          { ...usual[act.kind], ...act },
          `2026-11-12T14:${String(Math.floor(i / 6)).padStart(2, '0')}:${String((i % 6) * 10).padStart(2, '0')}.000Z`,
        )
      }),
    ),
  }
}
const RIGHT: ActKind[] = [
  'ask',
  'inform',
  'identify',
  'take',
  'prove',
  'checkLive',
  'switchOff',
  'lock',
  'keepKey',
  'notice',
  'warnNeutral',
  'testDead',
  'prove',
]
const decision = (parts: object = {}) => ({
  version: 2,
  met: true,
  feedback: 'Calm and complete.',
  reason: '',
  signedName: 'apprentice T-1',
  pin: '2468',
  repeatOn: null,
  ...parts,
})
function observe(fields: Record<string, string>): number {
  const { id } = startObservation(centre.context, centre.assessor, {
    apprenticeId: centre.apprentice.id,
    fields: { 'head.bay': '4' },
  })
  saveObservation(centre.context, centre.assessor, id, { version: 1, fields })
  return id
}
const isolation = () =>
  ownRecord(centre.context, centre.apprentice)
    .units.find(({ gap }) => gap.unit.code === 'I')!
    .coverage.map(({ criterion, met, occasions }) => [criterion.code, met, occasions.length])

describe('an observation', () => {
  test('reaches the record by criterion, once with both names', async () => {
    const id = observe(tapped(...RIGHT))
    expect(
      await refusal(() =>
        decideObservation(centre.context, centre.assessor, id, decision({ signedName: 'Somebody Else' })),
      ),
    ).toBe('pinWrong')
    expect(
      await refusal(() => decideObservation(centre.context, centre.assessor, id, decision({ pin: '0000' }))),
    ).toBe('pinWrong')
    const view = await decideObservation(centre.context, centre.assessor, id, decision())
    expect(view.decision).toMatchObject({
      met: true,
      by: centre.assessor.name,
      evidence: { apprenticeSigned: 'apprentice T-1' },
    })
    expect(isolation()).toEqual([
      ['I1', 1, 1],
      ['I2', 1, 1],
      ['I3', 1, 1],
      ['I4', 0, 0],
    ])
    expect(
      groupRecord(centre.context, centre.assessor, 'Thursday').people[0]!.coverage.find(
        ({ criterion }) => criterion.code === 'I3',
      )!.met,
    ).toBe(1)
    expect(
      await refusal(() => saveObservation(centre.context, centre.assessor, id, { version: 3, fields: {} })),
    ).toBe('observationDecided')
    expect(() => centre.db.exec('UPDATE observation_decision SET met = 0')).toThrow(/append-only/)
  })
  test('a critical breach outranks the assessor’s wish, and books a repeat that a later success settles', async () => {
    const id = observe(tapped(...RIGHT.filter((kind) => kind !== 'lock')))
    expect(await refusal(() => decideObservation(centre.context, centre.assessor, id, decision()))).toBe(
      'criticalStands',
    )
    await decideObservation(
      centre.context,
      centre.assessor,
      id,
      decision({ met: false, repeatOn: '2026-11-26' }),
    )
    expect(isolation().every(([, met]) => met === 0)).toBe(true)
    expect(showRegister(centre.context, centre.assessor).repeats).toMatchObject([
      {
        name: centre.apprentice.name,
        plannedFor: '2026-11-26',
        bay: 4,
        reason: 'Not kept: locked off before testing',
      },
    ])
    await decideObservation(centre.context, centre.assessor, observe(tapped(...RIGHT)), decision())
    expect(showRegister(centre.context, centre.assessor).repeats).toEqual([])
  })
  test('what was tapped cannot vanish, only be taken back; deciding otherwise wants a reason', async () => {
    const fields = tapped(...RIGHT, { kind: 'leaveKey' })
    const id = observe(fields)
    const last = Object.keys(fields)
      .filter((name) => name.startsWith('act.'))
      .at(-1)!
    const { [last]: _gone, ...rest } = fields
    saveObservation(centre.context, centre.assessor, id, { version: 2, fields: rest })
    expect(showObservation(centre.context, centre.assessor, id).fields[last]).toBe(fields[last])
    saveObservation(centre.context, centre.assessor, id, {
      version: 3,
      fields: { ...fields, [last.replace('act.', 'undo.')]: centre.context.now },
    })
    expect(
      await refusal(() =>
        decideObservation(centre.context, centre.assessor, id, decision({ version: 4, met: false })),
      ),
    ).toBe('otherwiseReason')
    await decideObservation(
      centre.context,
      centre.assessor,
      id,
      decision({ version: 4, met: false, reason: 'Needed prompting twice.' }),
    )
    expect(
      await refusal(() =>
        startObservation(centre.context, centre.assessor, {
          apprenticeId: centre.apprentice.id,
          fields: { 'act.20261112140000000': '{"kind":"dance"}' },
        }),
      ),
    ).toBe('bodyNotRight')
  })
  test('keeps the policy that held when it began', () => {
    const { id } = startObservation(centre.context, centre.assessor, {
      apprenticeId: centre.apprentice.id,
      fields: {},
    })
    setIsolationPolicy(centre.context, centre.administrator, {
      ...centre.repos.centre.isolation(),
      proof: 'proving-unit',
    })
    expect(showObservation(centre.context, centre.assessor, id).policy.proof).toBe('either')
    expect(centre.repos.centre.isolation().proof).toBe('proving-unit')
  })
})

describe('locks and permits', () => {
  const lock = () =>
    putLock(centre.context, centre.assessor, {
      personId: centre.apprentice.id,
      bay: 4,
      device: 'Way 1',
      padlock: '14',
      reason: 'Replacing a socket',
    })
  test('a lock that is on keeps the session open, the permit out and the isolation undecided', async () => {
    const permit = await issuePermit(centre.context, centre.assessor, {
      holderId: centre.apprentice.id,
      bay: 4,
      scope: 'Socket in the charger room',
      fromAt: '2026-11-12T14:00',
      untilAt: '2026-11-12T16:00',
      siteName: 'Jo Site',
      pin: '2468',
    })
    const { id } = lock()
    expect(await refusal(() => mayLeave(centre.context, centre.apprentice))).toBe('locksOn')
    expect(await refusal(() => mayLeave(centre.context, centre.other))).toBe('none')
    expect(await refusal(() => returnPermit(centre.context, centre.assessor, permit.id, '2468'))).toBe(
      'locksOn',
    )
    const restored = observe(
      tapped(...RIGHT, 'cover', 'informAgain', 'removeNotice', 'removeOwnLock', 'switchOn', 'checkFunction'),
    )
    expect(
      await refusal(() => decideObservation(centre.context, centre.assessor, restored, decision())),
    ).toBe('locksOn')
    takeLockOff(centre.context, centre.assessor, id)
    expect(await refusal(() => mayLeave(centre.context, centre.apprentice))).toBe('none')
    expect((await returnPermit(centre.context, centre.assessor, permit.id, '2468')).returnedBy).toBe(
      centre.assessor.name,
    )
    expect(() => centre.db.exec('UPDATE bay_lock SET off_at = NULL')).toThrow(/closed once/)
    expect(() => centre.db.exec(`UPDATE permit SET scope = 'anything'`)).toThrow(/handed back once/)
  })
  test('a permit needs its times in order and a PIN; a PIN needs the password', async () => {
    const body = {
      holderId: centre.apprentice.id,
      bay: 4,
      scope: 'x',
      fromAt: '2026-11-12T16:00',
      untilAt: '2026-11-12T14:00',
      siteName: 'Jo',
      pin: '2468',
    }
    expect(await refusal(() => issuePermit(centre.context, centre.assessor, body))).toBe('permitTimes')
    expect(
      await refusal(() =>
        issuePermit(centre.context, centre.assessor, { ...body, untilAt: '2026-11-12T17:00', pin: '1111' }),
      ),
    ).toBe('pinWrong')
    expect(await refusal(() => choosePin(centre.context, centre.apprentice, 'not it', '7305'))).toBe(
      'signInWrong',
    )
  })
})

/* What is decided and signed is what stood on the screen: changed meanwhile, it is shown again and nothing is written. */
import { beforeEach, describe, expect, it } from 'vitest'
import { DEFAULT_TRUST } from '#core/policies/trust'
import { setPolicy, setTrust, showCentre } from '../../server/services/centre'
import { showRequest } from '../../server/services/floor'
import { saveInspection, showInspection } from '../../server/services/inspections'
import { decide, showMarking } from '../../server/services/marking'
import { decidePermission } from '../../server/services/permission'
import { askPermission } from '../../server/services/hand-in'
import { saveWork } from '../../server/services/work-save'
import type { MarkingView } from '#schemas/marking-views'
import { aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

let centre: Centre
let id: number
beforeEach(() => {
  centre = aCentre()
  id = aSetExercise(centre).attemptId
})
const attempt = () => centre.repos.attempts.byId(id)!

describe('a decision on somebody’s work', () => {
  const inspect = () => {
    const { version, items } = showInspection(centre.context, centre.instructor, id)
    saveInspection(centre.context, centre.instructor, id, {
      version,
      fields: Object.fromEntries(items.map(({ key }) => [`see.${key}`, 'danger'])),
    })
  }
  it('is not signed on an inspection that somebody changed after it stood on the screen', () => {
    bringTo(centre, id, 'handedIn')
    const { draft, seen } = showMarking(centre.context, centre.assessor, id)
    inspect()
    const before = centre.repos.decisions.latest(id)
    let theirs: MarkingView | undefined
    try {
      decide(centre.context, centre.assessor, id, { version: draft.version, seen })
    } catch (error) {
      expect(error).toMatchObject({ code: 'changedSince' })
      theirs = (error as { extra: { theirs: MarkingView } }).extra.theirs
    }
    // What has changed comes with the refusal, and can be decided on when it has been looked at.
    expect(theirs!.marked.work.length).toBeGreaterThan(0)
    expect(centre.repos.decisions.latest(id)).toEqual(before)
    decide(centre.context, centre.assessor, id, { version: theirs!.draft.version, seen: theirs!.seen })
    expect(centre.repos.decisions.latest(id)!.evidence.marked.work).toEqual(theirs!.marked.work)
  })
  it('the same content is the same hash, whoever looks and whenever', () => {
    bringTo(centre, id, 'handedIn')
    const seen = () => showMarking(centre.context, centre.assessor, id).seen
    expect(seen()).toBe(
      showMarking({ ...centre.context, now: '2026-12-01T00:00:00.000Z' }, centre.instructor, id).seen,
    )
  })
})

describe('permission to energise', () => {
  const requestSeen = () => showRequest(centre.context, centre.assessor, id).seen
  it('is given on the dead tests that stood on the screen, not on others that came since', async () => {
    bringTo(centre, id, 'permission')
    const old = requestSeen()
    // Refused, measured again, asked again: the sheet on the other screen is the old one.
    decidePermission(centre.context, centre.assessor, id, {
      granted: false,
      reason: 'Measure R1 + R2 again.',
    })
    const { version, readings } = attempt()
    const key = Object.keys(readings).find((name) => name.includes('r1r2'))!
    const again = `${(Number.parseFloat(readings[key]!) * 1.005).toFixed(3)} Ω`
    saveWork(centre.context, centre.apprentice, id, {
      version,
      answers: attempt().answers,
      readings: { ...readings, [key]: again },
    })
    askPermission(centre.context, centre.apprentice, id, attempt().version)
    const permit = (seen: string) => () =>
      decidePermission(centre.context, centre.assessor, id, { granted: true, reason: '', seen })
    expect(await refusal(permit(old))).toBe('changedSince')
    expect(attempt().stage).toBe('permission')
    expect(await refusal(permit(requestSeen()))).toBe('none')
    expect(attempt().stage).toBe('live')
  })
  it('a refusal needs no look: it is on the safe side', () => {
    bringTo(centre, id, 'permission')
    decidePermission(centre.context, centre.assessor, id, {
      granted: false,
      reason: 'Come to me.',
      seen: '0'.repeat(32),
    })
    expect(attempt().stage).not.toBe('permission')
  })
})

describe('a choice of the centre', () => {
  it('made by another administrator meanwhile is shown, and neither written over', async () => {
    const { context, administrator } = centre
    const { seen, policies } = showCentre(context, administrator)
    setTrust(context, administrator, { ...DEFAULT_TRUST, proofMinutes: 5 }, seen)
    const late = () => setPolicy(context, administrator, { ...policies, rounding: 0.05 }, seen)
    expect(await refusal(late)).toBe('changedSince')
    expect(showCentre(context, administrator)).toMatchObject({ policies, trust: { proofMinutes: 5 } })
    setPolicy(
      context,
      administrator,
      { ...policies, rounding: 0.05 },
      showCentre(context, administrator).seen,
    )
    expect(showCentre(context, administrator).policies.rounding).toBe(0.05)
  })
})

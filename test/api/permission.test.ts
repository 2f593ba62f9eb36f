/* Permission to energise over time: with a remark, withdrawn at once for one bay or all, run out after its minutes, never entered without. */
import { beforeEach, describe, expect, test } from 'vitest'
import { PERMISSION_MINUTES, permissionUntil } from '#core/exercise/attempt/permission'
import { showFloor } from '../../server/services/floor'
import { handInReadings } from '../../server/services/hand-in'
import { saveWork } from '../../server/services/work-save'
import { showWork } from '../../server/services/work'
import { withdrawPermission } from '../../server/services/permission'
import { NOW, aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

let centre: Centre
let id: number
beforeEach(() => {
  centre = aCentre()
  id = aSetExercise(centre).attemptId
  bringTo(centre, id, 'live')
})
const later = (minutes: number) => ({
  repos: centre.repos,
  now: new Date(Date.parse(NOW) + minutes * 60_000).toISOString(),
})
const typed = () => {
  const { version, answers, readings } = centre.repos.attempts.byId(id)!
  return { version, answers, readings: { ...readings, 'c1.zs@c1p4': '0.61' } }
}

describe('STOP', () => {
  test('takes one bay’s permission back; nothing live is entered until somebody permits again, and nothing is lost', async () => {
    saveWork(centre.context, centre.apprentice, id, typed())
    expect(withdrawPermission(centre.context, centre.assessor, id, '')).toEqual({ stopped: 1 })
    const view = showWork(centre.context, centre.apprentice, id)
    expect(view.stage).toBe('dead')
    expect(view.readings['c1.zs@c1p4']).toBe('0.61')
    expect(view.events.at(-1)).toMatchObject({
      act: 'withdraw',
      by: centre.assessor.name,
      note: expect.stringMatching(/Stand back/),
    })
    expect(
      await refusal(() =>
        saveWork(centre.context, centre.apprentice, id, {
          ...typed(),
          readings: { ...typed().readings, 'c1.zs@c1p4': '0.7' },
        }),
      ),
    ).toBe('liveLocked')
    expect(await refusal(() => handInReadings(centre.context, centre.apprentice, id, view.version))).toBe(
      'wrongStage',
    )
  })
  test('finds what is live by an index, however many attempts there ever were', () => {
    const plan = centre.db.prepare("EXPLAIN QUERY PLAN SELECT * FROM attempt WHERE stage = 'live'").all() as {
      detail: string
    }[]
    expect(plan.map(({ detail }) => detail).join()).toContain('USING INDEX attempt_stage')
  })
  test('takes all of them back at once, and only from those who may', async () => {
    expect(await refusal(() => withdrawPermission(centre.context, centre.apprentice, null, ''))).toBe(
      'notAllowed',
    )
    expect(withdrawPermission(centre.context, centre.instructor, null, 'Fire alarm')).toEqual({ stopped: 1 })
    expect(withdrawPermission(centre.context, centre.instructor, null, '')).toEqual({ stopped: 0 })
    expect(centre.db.prepare("SELECT count(*) AS n FROM audit WHERE action = 'stoppedAll'").get()).toEqual({
      n: 2,
    })
  })
})

describe('a permission', () => {
  test('holds for its minutes and then runs out by itself, wherever it is looked at', async () => {
    expect(
      showFloor(later(PERMISSION_MINUTES - 1), centre.assessor).patches.find((patch) => patch.id === id),
    ).toMatchObject({ stage: 'live', liveUntil: later(PERMISSION_MINUTES).now })
    expect(await refusal(() => saveWork(later(PERMISSION_MINUTES + 1), centre.apprentice, id, typed()))).toBe(
      'liveLocked',
    )
    expect(
      showFloor(later(PERMISSION_MINUTES + 1), centre.assessor).patches.find((patch) => patch.id === id),
    ).toMatchObject({ stage: 'dead', liveUntil: null })
    expect(showWork(later(PERMISSION_MINUTES + 2), centre.apprentice, id).events.at(-1)?.act).toBe('expire')
  })
  test('is none after a refusal, a STOP or its end', async () => {
    const at = NOW
    expect(permissionUntil([{ act: 'permit', at }])).toBe(later(PERMISSION_MINUTES).now)
    for (const act of ['refuse', 'withdraw', 'expire'])
      expect(
        permissionUntil([
          { act: 'permit', at },
          { act, at },
        ]),
      ).toBeNull()
    expect(permissionUntil([])).toBeNull()
  })
})

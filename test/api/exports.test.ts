/* What leaves the centre as a file: to whom, of whom, and that it comes back as it went. */
import { beforeEach, describe, expect, it } from 'vitest'
import threeUnits from '../../frameworks/three-units.json'
import { readCsv } from '#schemas/csv'
import type { Framework } from '#core/assessment/outcomes/framework'
import { exportAudit } from '../../server/services/audit'
import { frameworkInForce } from '../../server/services/evidence'
import { exportFramework, readFramework } from '../../server/services/frameworks'
import { decide, release } from '../../server/services/marking'
import { groupStatements } from '../../server/services/outputs'
import { NOW, aCentre, aSetExercise, bringTo, type Centre } from '../support/centre'
import { refusal } from '../support/refusal'

const HOME = 'https://college.example'
let centre: Centre
beforeEach(() => (centre = aCentre()))

describe('a framework', () => {
  it.each(['json', 'csv'] as const)('goes out as %s and comes back the same', (as) => {
    const { context, repos, administrator } = centre
    for (const framework of [frameworkInForce(context), threeUnits as Framework]) {
      repos.centre.putFramework(framework)
      const { name, content } = exportFramework(context, administrator, as)
      expect(name).toBe(`${framework.code}.${as}`)
      const back = readFramework(administrator, as === 'csv' ? { csv: content } : { json: content })
      expect(back).toEqual(frameworkInForce(context))
    }
  })
  it('may be seen by who sees the centre; only an administrator reads one in', async () => {
    const { context, instructor, apprentice } = centre
    const { content } = exportFramework(context, instructor, 'json')
    expect(await refusal(() => exportFramework(context, apprentice, 'json'))).toBe('notAllowed')
    expect(await refusal(() => readFramework(apprentice, { json: content }))).toBe('notAllowed')
  })
})

describe('the audit', () => {
  const lines = (query = {}) =>
    readCsv(exportAudit(centre.context, centre.administrator, query)).rows.map(({ cells }) => cells)
  it('goes out line by line, in words, to an administrator alone', async () => {
    const { context, repos, administrator, instructor } = centre
    repos.audit.add(NOW, administrator.id, 'passwordReset', 'person 6')
    repos.audit.add(NOW, null, 'signInRefused', 'unknown number')
    const [latest, before] = lines()
    expect(latest).toMatchObject({ at: NOW, by: '', about: 'unknown number' })
    expect(before).toMatchObject({ by: administrator.name, about: 'person 6' })
    expect(before!.act).not.toBe('passwordReset')
    expect(await refusal(() => exportAudit(context, instructor, {}))).toBe('notAllowed')
  })
  it('a subject that would be a formula in a spreadsheet stays text', () => {
    centre.repos.audit.add(NOW, null, 'signInRefused', '=HYPERLINK("http://evil")')
    expect(exportAudit(centre.context, centre.administrator, {})).not.toMatch(/(^|[,\n])"?=HYPERLINK/)
  })
  it('is narrowed to one kind of act as the screen is', () => {
    const { repos, administrator } = centre
    repos.audit.add(NOW, administrator.id, 'passwordReset', 'person 6')
    repos.audit.add(NOW, administrator.id, 'pinChosen', 'person 1')
    expect(lines({ action: 'passwordReset' }).map(({ about }) => about)).toEqual(['person 6'])
  })
})

describe('the statements of a group', () => {
  it('are of its people and of what was given back to them, by number and never by another group', async () => {
    const { context, apprentice, assessor } = centre
    const { attemptId } = aSetExercise(centre)
    bringTo(centre, attemptId, 'handedIn')
    expect(statements()).toEqual([])
    decide(context, assessor, attemptId, { version: 0 })
    release(context, assessor, attemptId)
    const given = statements()
    expect(given.length).toBeGreaterThan(0)
    expect(new Set(given.map(({ actor }) => actor.account.name))).toEqual(new Set([apprentice.number]))
    expect(new Set(given.map(({ actor }) => actor.account.homePage))).toEqual(new Set([HOME]))
  })
  it('are given to who may export results', async () => {
    const { context, apprentice, technician } = centre
    for (const actor of [apprentice, technician])
      expect(await refusal(() => groupStatements(context, actor, 'Thursday', HOME))).toBe('notAllowed')
  })
  function statements() {
    const { content } = groupStatements(centre.context, centre.instructor, 'Thursday', HOME)
    return JSON.parse(String(content)) as { readonly actor: { readonly account: Record<string, string> } }[]
  }
})

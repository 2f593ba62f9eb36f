/* What waits on a device: several tabs, tabs that are closed, earlier versions, and sending it from another page. */
import 'fake-indexeddb/auto'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ApiProblem } from '../../app/utils/api-problem'
import { deliver } from '../../app/utils/deliver'
import { deviceEntries, devicePlace, forget, joined } from '../../app/utils/device-copy'
import { TAB } from '../../app/utils/tab'
import { ABOUT, emptyDevice, idle, keepAs, keepBare, keptFor } from '../support/device'

beforeEach(emptyDevice)
const place = (key: string) => devicePlace(key, ABOUT)
/** These tabs are open, as the browser's locks tell. */
function openTabs(...tabs: string[]) {
  const query = async () => ({ held: tabs.map((tab) => ({ name: `nakshi-tab/${tab}` })) })
  vi.stubGlobal('navigator', { locks: { query } })
}

describe('a document on a device', () => {
  beforeEach(() => openTabs(TAB))

  it('open in two tabs: the one that has sent its text does not delete the other’s', async () => {
    await keepAs('other', 'work/7/12', { base: {}, mine: { zs: '0.8' } })
    const here = place('work/7/12')
    here.keep({ base: {}, mine: { ib: '12.6' }, version: 1 })
    await here.forget()
    await idle()
    expect((await keptFor('work/7/12'))!.mine).toEqual({ zs: '0.8' })
  })

  it('what a closed tab left is laid back; what an open one is about to send is its own', async () => {
    openTabs(TAB, 'open')
    await keepAs('closed', 'sheet', { base: { ib: '' }, mine: { ib: '12.6' } })
    await keepAs('open', 'sheet', { base: { ib: '' }, mine: { ib: '13.0' } })
    expect((await place('sheet').read())!.mine).toEqual({ ib: '12.6' })
  })

  it('left by two closed tabs, each box is as it was typed last, with what the server had there', async () => {
    await keepAs(
      'one',
      'sheet',
      { base: { ib: '', zs: '' }, mine: { ib: '12.6', zs: '0.7' } },
      '2026-11-12T14:00Z',
    )
    await keepAs(
      'two',
      'sheet',
      { base: { ib: '', zs: '0.1' }, mine: { ib: '', zs: '0.8' } },
      '2026-11-12T14:05Z',
    )
    expect(await place('sheet').read()).toMatchObject({
      base: { ib: '', zs: '0.1' },
      mine: { ib: '12.6', zs: '0.8' },
    })
  })

  it('what an earlier version kept is read after the update, and gone once it is sent', async () => {
    await keepBare('work/7/12', { base: { ib: '' }, mine: { ib: '12.6' } })
    const here = place('work/7/12')
    expect((await here.read())!.mine).toEqual({ ib: '12.6' })
    await here.forget()
    expect(await deviceEntries()).toEqual([])
  })

  it('typed on while it was sent from another page, it is not forgotten', async () => {
    await keepAs('closed', 'sheet', { base: {}, mine: { ib: '12' } }, '2026-11-12T14:00Z')
    const [read] = await deviceEntries()
    await keepAs('closed', 'sheet', { base: {}, mine: { ib: '12.6' } }, '2026-11-12T14:01Z')
    await forget('sheet', read!.copies)
    expect((await keptFor('sheet'))!.mine).toEqual({ ib: '12.6' })
  })
})

describe('sent from another page', () => {
  const copy = { base: { ib: '12' }, mine: { ib: '12.6' }, version: 4 }
  const sheet = { path: 'runs/3', shape: 'sheet' } as const
  const stale = (fields: object, version: number) =>
    new ApiProblem(409, 'stale', 'stale', [], { theirs: { fields, version, savedAt: null } })

  it('goes with the version that it was typed on', async () => {
    const call = vi.fn(async () => null)
    expect(await deliver(copy, sheet, call)).toEqual({ is: 'sent' })
    expect(call).toHaveBeenCalledWith('PUT', 'runs/3', { version: 4, fields: { ib: '12.6' } })
  })

  it('another box changed meanwhile is put together; the same one waits for a person', async () => {
    const call = vi
      .fn()
      .mockRejectedValueOnce(stale({ ib: '12', zs: '0.8' }, 6))
      .mockResolvedValueOnce(null)
    expect(await deliver(copy, sheet, call)).toEqual({ is: 'sent' })
    expect(call).toHaveBeenLastCalledWith('PUT', 'runs/3', { version: 6, fields: { ib: '12.6', zs: '0.8' } })
    const other = vi.fn().mockRejectedValueOnce(stale({ ib: '13' }, 6))
    expect(await deliver(copy, sheet, other)).toEqual({ is: 'conflict' })
    expect(other).toHaveBeenCalledTimes(1)
  })

  it.each([
    ['no network', new ApiProblem(0, 'offline', ''), { is: 'offline' }],
    ['a server in trouble', new ApiProblem(503, 'diskFull', ''), { is: 'offline' }],
    ['nobody signed in', new ApiProblem(401, 'signInNeeded', ''), { is: 'offline' }],
    ['another person signed in', new ApiProblem(401, 'otherPerson', ''), { is: 'offline' }],
    ['a locked page', new ApiProblem(423, 'sessionLocked', ''), { is: 'offline' }],
    ['too many at once', new ApiProblem(429, 'tooManyTries', ''), { is: 'offline' }],
    ['a locked part', new ApiProblem(409, 'locked', 'Locked.'), { is: 'refused', message: 'Locked.' }],
  ])('%s keeps it on the device', async (_, problem, outcome) => {
    expect(await deliver(copy, sheet, vi.fn().mockRejectedValue(problem))).toEqual(outcome)
  })

  it('boxes that STOP has locked are held back; the others go', async () => {
    const locked = { answers: [], readings: ['c1.zs@c1p4'] }
    const call = vi
      .fn()
      .mockRejectedValueOnce(new ApiProblem(409, 'liveLocked', 'Live readings stay locked.', [], { locked }))
      .mockResolvedValueOnce(null)
    const typed = {
      base: { 'reading.c1.zs@c1p4': '', 'reading.c1.irNE': '640' },
      mine: { 'reading.c1.zs@c1p4': '0.86', 'reading.c1.irNE': '600' },
      version: 4,
    }
    const outcome = await deliver(typed, { path: 'work/3', shape: 'work' }, call)
    expect(outcome).toEqual({ is: 'held', message: 'Live readings stay locked.' })
    expect(call).toHaveBeenLastCalledWith('PUT', 'work/3', {
      version: 4,
      answers: {},
      readings: { 'c1.zs@c1p4': '', 'c1.irNE': '600' },
    })
  })

  it('feedback takes the changed marks along as they stand at the server', async () => {
    const overrides = [{ item: 'c1.ib', verdict: 'right', reason: 'rounded' }]
    const call = vi.fn(async (method: string) =>
      method === 'GET' ? { draft: { feedback: 'Old', overrides, version: 9 } } : null,
    )
    const typed = { base: { feedback: 'Old' }, mine: { feedback: 'New' }, version: 8 }
    expect(await deliver(typed, { path: 'marking/5', shape: 'feedback' }, call)).toEqual({ is: 'sent' })
    expect(call).toHaveBeenLastCalledWith('PUT', 'marking/5', { version: 9, overrides, feedback: 'New' })
  })

  it('feedback that somebody else has changed too is not written over', async () => {
    const call = vi.fn(async () => ({ draft: { feedback: 'Theirs', overrides: [], version: 9 } }))
    const typed = { base: { feedback: 'Old' }, mine: { feedback: 'New' }, version: 8 }
    const outcome = await deliver(typed, { path: 'marking/5', shape: 'feedback' }, call)
    expect(outcome).toEqual({ is: 'conflict' })
    expect(call).toHaveBeenCalledTimes(1)
  })

  it('of nothing there is nothing to send', () => expect(joined({})).toBeUndefined())
})

/* What is typed into an exercise is kept until it is saved or thrown away. */
import { effectScope, nextTick, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { DevicePlace } from '../../app/utils/device-copy'

const { useKeptForm } = await import('../../app/composables/useKeptForm')

let scope: EffectScope
beforeEach(() => {
  vi.useFakeTimers()
  scope = effectScope()
})
afterEach(() => {
  scope.stop()
  vi.useRealTimers()
})
/** What was typed has been drawn, and the task after that is over. */
const kept = async () => {
  await nextTick()
  vi.runAllTimers()
}
const inScope = <T>(make: () => T): T => scope.run(make)!

/** One place on a device. */
function aPlace() {
  type Copy = Parameters<DevicePlace['keep']>[0]
  const place = { copy: undefined as Copy | undefined }
  const device: DevicePlace = {
    read: async () => place.copy,
    keep: (copy) => void (place.copy = structuredClone(copy)),
    forget: async () => void (place.copy = undefined),
    open: () => () => {},
  }
  return { place, device }
}

describe('an exercise being written', () => {
  const SAVED = { code: 'T-01', title: 'Store', minutes: '90' }

  it('keeps on the device what is typed and not saved, and forgets it once it is', async () => {
    const { place, device } = aPlace()
    const form = inScope(() => useKeptForm(device, () => true))
    form.adopt(SAVED)
    form.step({ ...SAVED, title: 'Lamp store' }, 'title')
    await kept()
    expect(place.copy).toMatchObject({ base: SAVED, mine: { title: 'Lamp store' } })
    form.adopt({ ...SAVED, title: 'Lamp store' })
    await kept()
    expect(place.copy).toBeUndefined()
  })

  it('lays it over what the server has by now: other boxes are theirs, the same box is asked about', async () => {
    const { device } = aPlace()
    device.keep({ base: SAVED, mine: { ...SAVED, title: 'Lamp store', minutes: '100' }, version: 0 })
    const form = inScope(() => useKeptForm(device, () => true))
    form.adopt({ code: 'T-09', title: 'Stores', minutes: '90' })
    await form.layBack()
    expect(form.form.value).toMatchObject({ code: 'T-09', minutes: '100' })
    expect(form.conflicts.value.map(({ field }) => field)).toEqual(['title'])
    expect(form.isBack.value).toBe(true)
  })

  it('typed in the moment in which its page is left, it is on the device all the same', async () => {
    const { place, device } = aPlace()
    const form = inScope(() => useKeptForm(device, () => true))
    form.adopt(SAVED)
    form.step({ ...SAVED, title: 'Lamp store' }, 'title')
    await nextTick()
    scope.stop()
    expect(place.copy).toMatchObject({ mine: { title: 'Lamp store' } })
  })

  it('takes back a box at a time, however many letters it had', () => {
    const form = inScope(() => useKeptForm(aPlace().device, () => true))
    form.adopt(SAVED)
    for (const title of ['L', 'La', 'Lamp']) form.step({ ...form.form.value, title }, 'title')
    form.step({ ...form.form.value, minutes: '120' }, 'minutes')
    form.undo()
    expect(form.form.value).toMatchObject({ title: 'Lamp', minutes: '90' })
    form.undo()
    expect(form.form.value).toMatchObject({ title: 'Store' })
    expect(form.isChanged.value).toBe(false)
  })
})

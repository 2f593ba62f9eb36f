/* What is done with a whole bay: never while it is live, also when it goes live before the answer has come. */
import { computed, ref } from 'vue'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { practiceBay } from '#core/bay/practice/bays'
import { bareRig, wiringFields } from '#core/bay/model/wiring'
import type { BayView } from '#schemas/bay-views'

const warned: string[] = []
const saved: [text: string, name: string, type: string][] = []
vi.mock('~/utils/warn', () => ({ warn: (said: string) => void warned.push(said) }))
vi.mock('~/utils/save-file', () => ({
  saveFile: (...file: [string, string, string]) => void saved.push(file),
}))
const call = vi.fn()
const shown = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
const HEATERS = practiceBay('heaters')!.rig()
const fields: Record<string, string> = {}
const view = ref<BayView | null>({ bare: bareRig(HEATERS), routes: [], isBare: false } as unknown as BayView)
const autosave = {
  fields,
  flush: vi.fn(async () => 1),
  write: (name: string, text: string) => void (fields[name] = text),
}
vi.mock('~/composables/useKeptDocument', () => ({
  useKeptDocument: () => ({ view, problem: ref(null), autosave, load: vi.fn() }),
}))
const { useBayFiles } = await import('~/composables/useBayFiles')
const { useBayWiring } = await import('~/composables/useBayWiring')

const isLive = ref(false)
const listing = vi.fn<() => Promise<string | null>>()
const turn = vi.fn()
const act = () =>
  useBayFiles({
    key: 'practice-heaters',
    wiring: useBayWiring('practice-heaters'),
    run: { listing, asTried: computed(() => HEATERS) },
    touch: { turn, isLive },
  } as unknown as Parameters<typeof useBayFiles>[0])

beforeEach(() => {
  for (const name of Object.keys(fields)) delete fields[name]
  warned.length = saved.length = 0
  isLive.value = false
  for (const mock of [call, shown, turn, listing]) mock.mockReset()
})

describe('taken ready wired', () => {
  const WIRED = wiringFields(HEATERS)
  it('what stood there makes room for all of its conductors, and what was typed is saved first', async () => {
    fields['wire.own'] = 'b1nA.2|c1p1.N|2.5|blue'
    call.mockResolvedValue({ fields: WIRED })
    await act()('wired')
    expect(autosave.flush).toHaveBeenCalled()
    expect(fields).toEqual({ 'wire.own': '', ...WIRED })
  })
  it('changes nothing when the supply has come on before the answer did; that is said', async () => {
    call.mockImplementation(async () => {
      isLive.value = true
      return { fields: WIRED }
    })
    await act()('wired')
    expect(fields).toEqual({})
    expect(warned).toEqual(['The bay is live. Switch every supply off first.'])
  })
  it('without the server stays as it is, and says why', async () => {
    call.mockRejectedValue(new Error('offline'))
    await act()('wired')
    expect(fields).toEqual({})
    expect(shown).toHaveBeenCalledOnce()
  })
})

it.each(['wired', 'strip', 'bare', 'mounted'] as const)('a live bay is not changed: %s', async (what) => {
  isLive.value = true
  fields['wire.own'] = 'b1nA.2|c1p1.N|2.5|blue'
  await act()(what)
  expect(fields).toEqual({ 'wire.own': 'b1nA.2|c1p1.N|2.5|blue' })
  expect(call).not.toHaveBeenCalled()
  expect(warned).toHaveLength(1)
})
it('stripped, all that was put in is out; begun bare, the hand is at mounting', async () => {
  fields['wire.own'] = 'b1nA.2|c1p1.N|2.5|blue'
  await act()('strip')
  expect(fields['wire.own']).toBe('')
  await act()('bare')
  expect(turn).toHaveBeenLastCalledWith('mount')
  await act()('mounted')
  expect(turn).toHaveBeenLastCalledWith('connect')
})

describe('saved as a file', () => {
  it('is the bay as it is tried, live or not', async () => {
    isLive.value = true
    await act()('rig')
    const [[text, name]] = saved as [[string, string, string]]
    expect(name).toBe('practice-heaters.rig.json')
    expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(HEATERS)))
  })
  it('its network is what the solver would be given; a bay that cannot be computed has none', async () => {
    listing.mockResolvedValueOnce('* heaters')
    await act()('listing')
    expect(saved).toEqual([['* heaters', 'practice-heaters.cir', 'text/plain']])
    listing.mockResolvedValueOnce(null)
    await act()('listing')
    expect(saved).toHaveLength(1)
    expect(warned[0]).toMatch(/no network to save/)
  })
})

/* A bay under the hand, with the model behind it: connected, energised, touched, measured, and taken back. */
import { effectScope, nextTick, reactive, ref, shallowRef, type EffectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { practiceBay } from '#core/bay/practice/bays'
import { bareRig, routesOf, wiringFields } from '#core/bay/model/wiring'
import type { BayView } from '#schemas/bay-views'
import { workAtBay, type BayJob } from '~/utils/bay-work'
import { plain } from '~/composables/useWorker'

const warned: string[] = []
vi.mock('~/utils/warn', () => ({ warn: (said: string) => void warned.push(said) }))
const call = vi.fn()
const shown = vi.fn()
vi.mock('~/composables/useApi', () => ({ useApi: () => ({ call }), showProblem: shown }))
vi.mock('~/stores/session', () => ({ useSession: () => ({ person: { id: 7 } }) }))
// The worker does the same in a thread of its own.
vi.mock('~/composables/useBayWorker', () => ({
  useBayWorker: () => ({ work: async (job: BayJob) => workAtBay(structuredClone(plain(job))) }),
}))
const fields = reactive<Record<string, string>>({})
const autosave = {
  fields,
  state: ref('saved'),
  message: ref(''),
  flush: vi.fn(async () => 1),
  write: (name: string, text: string) => void (fields[name] = text),
}
const view = shallowRef<BayView | null>(null)
vi.mock('~/composables/useKeptDocument', () => ({
  useKeptDocument: () => ({ view, problem: ref(null), autosave, load: vi.fn() }),
}))
const { useBayWiring } = await import('~/composables/useBayWiring')
const { useBayRun } = await import('~/composables/useBayRun')
const { useBayTouch } = await import('~/composables/useBayTouch')

const HEATERS = practiceBay('heaters')!.rig()
const WIRED = wiringFields(HEATERS)
let scope: EffectScope

/** The bay of the heaters, with these conductors in it. */
function aBay(connected: Readonly<Record<string, string>> = WIRED) {
  Object.assign(fields, connected)
  view.value = {
    ...{ key: 'practice-heaters', title: '', about: '', fields: {}, version: 1, savedAt: null },
    ...{ bare: bareRig(HEATERS), routes: routesOf(HEATERS) },
    ...{ canBeWired: true, isBare: false, canBeBare: true },
  }
  return scope.run(() => {
    const wiring = useBayWiring('practice-heaters')
    const run = useBayRun(() => wiring.rig.value)
    return { wiring, run, touch: useBayTouch(wiring, run) }
  })!
}
const idle = () => vi.waitFor(() => new Promise((done) => setTimeout(done)))

beforeEach(() => {
  for (const name of Object.keys(fields)) delete fields[name]
  warned.length = 0
  autosave.state.value = 'saved'
  autosave.message.value = ''
  call.mockReset()
  shown.mockReset()
  scope = effectScope()
})
afterEach(() => scope.stop())

describe('a conductor', () => {
  it('goes from the first terminal touched to the second, of the size and colour chosen, and is picked then', async () => {
    const { wiring, touch } = aBay({})
    touch.colour.value = 'blue'
    touch.area.value = 2.5
    touch.onTerminal('b1nA.2')
    expect(touch.marks.value).toEqual(new Map([['b1nA.2', 'start']]))
    touch.onTerminal('c1p1.N')
    expect(Object.values(fields)).toEqual(['b1nA.2|c1p1.N|2.5|blue'])
    const [made] = wiring.made.value
    expect(made).toMatchObject({ from: 'b1nA.2', to: 'c1p1.N', areaMm2: 2.5, colour: 'blue' })
    await idle()
    expect([...touch.pickedWires.value]).toEqual([made!.id])
    expect(touch.marks.value.size).toBe(0)
  })
  it('from a terminal to itself lets the terminal go; nothing is connected', () => {
    const { touch } = aBay({})
    touch.onTerminal('b1nA.2')
    touch.onTerminal('b1nA.2')
    expect(touch.start.value).toBeNull()
    expect(fields).toEqual({})
  })
  it('does not go into a terminal that is full; which one, and how many it takes, is said', () => {
    const { wiring, touch } = aBay()
    const full = wiring.parts.value.get('b1w1')!
    for (let i = 0; i < 6 && warned.length === 0; i += 1) {
      touch.onTerminal('b1w1.L out')
      touch.onTerminal('c1p1.L')
    }
    expect(warned[0]).toBe(`${full.name} · L out takes 3 conductors and has 3. Move one to a free terminal.`)
    // The first end stays in the hand: another place may be chosen for the second.
    expect(touch.start.value).toBe('b1w1.L out')
  })
  it('is altered, taken out, and comes back step by step', () => {
    const { wiring } = aBay()
    const before = { ...fields }
    wiring.alter('x14', { areaMm2: 4 })
    wiring.takeOut(['x15', 'x16'])
    expect(fields['wire.x14']).toBe('b1w1.L out|c1p1.L|4|brown')
    expect(wiring.rig.value!.wires.some(({ id }) => id === 'x15' || id === 'x16')).toBe(false)
    wiring.undo()
    expect(fields['wire.x16']).toBe(before['wire.x16'])
    expect(fields['wire.x14']).toBe('b1w1.L out|c1p1.L|4|brown')
    wiring.undo()
    expect(fields).toEqual(before)
    expect(wiring.canUndo.value).toBe(false)
    wiring.undo()
    expect(fields).toEqual(before)
  })
  it('changed to what it is already is no step to take back', () => {
    const { wiring } = aBay()
    wiring.alter('x14', { areaMm2: 1.5 })
    expect(wiring.canUndo.value).toBe(false)
  })
  it('is not moved at a live board', async () => {
    const { run, touch } = aBay()
    await run.energise()
    touch.turn('connect')
    touch.onTerminal('b1nA.2')
    expect(touch.start.value).toBeNull()
    expect(warned).toEqual([expect.stringContaining('Switch every supply off')])
  })
  it('is found again at a board that was stripped and undone', () => {
    const { wiring } = aBay()
    const before = { ...fields }
    wiring.strip()
    expect(wiring.made.value).toEqual([])
    wiring.undo()
    expect(fields).toEqual(before)
  })
})

describe('the check', () => {
  it('looks at what has been saved, and is gone with the next change', async () => {
    const { wiring } = aBay()
    call.mockResolvedValue({ problems: [], differences: [] })
    await wiring.check()
    expect(autosave.flush).toHaveBeenCalled()
    expect(wiring.checked.value).toEqual({ problems: [], differences: [] })
    wiring.takeOut(['x15'])
    expect(wiring.checked.value).toBeNull()
  })
  it('of what has been moved before it came is not shown: it is of another wiring', async () => {
    const { wiring } = aBay()
    call.mockImplementation(async () => {
      wiring.takeOut(['x15'])
      return { problems: [], differences: [] }
    })
    await wiring.check()
    expect(wiring.checked.value).toBeNull()
    expect(warned).toEqual(['Something was moved while it was checked. Check again.'])
  })
  it('is not made of what could not be saved; that is said', async () => {
    const { wiring } = aBay()
    autosave.state.value = 'offline'
    autosave.message.value = 'The server cannot be reached.'
    await wiring.check()
    expect(call).not.toHaveBeenCalled()
    expect(shown.mock.calls[0]![0]).toMatchObject({ message: 'The server cannot be reached.' })
    expect(wiring.isBusy.value).toBe(false)
  })
})

describe('energised', () => {
  it('in order, the sockets are live and the lamps work; reset, everything is off', async () => {
    const { run } = aBay()
    await run.energise()
    expect(run.live.value.has('c1p2.L')).toBe(true)
    expect(run.live.value.has('c1p2.N')).toBe(false)
    expect(run.lines.value.length).toBeGreaterThan(3)
    run.reset()
    expect(run.live.value.size).toBe(0)
    expect(run.lines.value).toEqual([])
    expect(run.state.value!.isSupplyOn).toBe(false)
  })
  it('a tap on a switch turns it over, and back with the next, however quickly they come', async () => {
    const { run, touch, wiring } = aBay()
    await run.energise()
    touch.turn('operate')
    const lamp = () => run.working.value.has('c2p1')
    const isLit = lamp()
    touch.onPart('c2p0')
    touch.onPart('c2p0')
    touch.onPart('c2p0')
    await idle()
    await run.wait(0)
    expect(lamp()).toBe(!isLit)
    expect(wiring.rig.value!.parts.some(({ id }) => id === 'c2p1')).toBe(true)
  })
  it('line to earth touched trips its RCD; separated and closed again it stays on', async () => {
    const { run, touch } = aBay()
    await run.energise()
    touch.turn('operate')
    touch.touching.value = true
    touch.onTerminal('c1p1.L')
    expect(touch.marks.value).toEqual(new Map([['c1p1.L', '·']]))
    touch.onTerminal('c1p1.E')
    await idle()
    await run.wait(0)
    expect(touch.touching.value).toBe(false)
    expect([...run.tripped.value].length).toBeGreaterThan(0)
    expect(run.live.value.has('c1p1.L')).toBe(false)
    run.untouch()
    for (const part of run.tripped.value) await run.act({ kind: 'close', part, on: true } as never)
    expect(run.live.value.has('c1p1.L')).toBe(true)
  })
  it('a load that is set is carried from then on', async () => {
    const { run } = aBay()
    run.setLoad('c1p2', 2300)
    await run.energise()
    await run.act({ kind: 'use', part: 'c1p2', on: true } as never)
    const carried = Math.max(...[...run.flow.value.values()].map(Math.abs))
    // 2 300 W at 230 V are 10 A.
    expect(carried).toBeGreaterThan(9)
  })
})

describe('measured', () => {
  it('between line and earth of a dead circuit with its far end open, a continuity tester shows no path', async () => {
    const { touch } = aBay()
    touch.turn('measure')
    touch.onTerminal('b1w1.L out')
    touch.onTerminal('b1e.2')
    await vi.waitFor(() => expect(touch.taken.value).not.toBeNull())
    expect(touch.taken.value!.display).toMatchObject({
      is: 'reading',
      reading: { quantity: 'resistance', isOver: true },
    })
  })
  it('and linked at the far end R1 + R2, which is copper there and back', async () => {
    const { touch, wiring } = aBay()
    touch.turn('measure')
    touch.set({ linking: true })
    touch.onTerminal('c1p2.L')
    touch.onTerminal('c1p2.E')
    touch.onTerminal('b1w1.L out')
    touch.onTerminal('b1e.2')
    await vi.waitFor(() => expect(touch.taken.value).not.toBeNull())
    const { reading } = touch.taken.value!.display as { reading: { value: number } }
    // 1.5 mm² has 12.1 mΩ a metre, 1 mm² 18.1: BS EN 60228, from memory of its table of class 1 and 2 conductors.
    const metres = wiring.rig
      .value!.wires.filter(({ from, to, colour }) => colour === 'brown' && /c1p|b1w1/.test(from + to))
      .filter(({ to }) => to.startsWith('c1p'))
      .reduce((sum, { lengthM }) => sum + lengthM, 0)
    const copper = (metres * (12.1 + 18.1)) / 1000
    expect(reading.value).toBeCloseTo(copper, 1)
    expect(copper).toBeGreaterThan(0.2)
  })
  it('an insulation tester on a circuit with its lamps in shows them, not the insulation', async () => {
    const { touch } = aBay()
    touch.turn('measure')
    touch.set({ instrument: 'insulation', volt: 500 })
    touch.onTerminal('c2p1.L')
    touch.onTerminal('c2p1.N')
    await vi.waitFor(() => expect(touch.taken.value).not.toBeNull())
    const { reading } = touch.taken.value!.display as { reading: { value: number; isOver?: boolean } }
    // Below 1 MΩ, where nothing is wrong with the wiring: common practice, no source.
    expect(reading.value).toBeLessThan(1e6)
  })
  it('turned to another tool, what was begun is let go', async () => {
    const { touch } = aBay()
    touch.turn('connect')
    touch.onTerminal('b1nA.2')
    touch.turn('trace')
    expect(touch.start.value).toBeNull()
    await nextTick()
    expect(touch.marks.value.size).toBe(0)
  })
  it('traced, the path of a part is lifted out of the rest', () => {
    const { touch } = aBay()
    touch.turn('trace')
    touch.onPart('c1p2')
    expect(touch.traced.value.map(({ pole }) => pole)).toContain('L')
    expect(touch.lifted.value!.has('b1w1')).toBe(true)
    expect(touch.lifted.value!.has('c2p1')).toBe(false)
  })
})

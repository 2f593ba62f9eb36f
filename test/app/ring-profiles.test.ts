/* The picture round a ring, from what was typed alone: no expected value reaches it.
   A quarter of both ends: Guidance Note 3,
   from memory. */
import { describe, expect, it } from 'vitest'
import { reactive } from 'vue'
import { useRingProfiles } from '../../app/composables/useRingProfiles'
import { ringPatternWords } from '#words/ring'

const SOCKETS = ['c1p1', 'c1p2', 'c1p3', 'c1p4', 'c1p5', 'c1p6']
const tests = [
  ...['r1', 'rn', 'r2'].map((kind) => ({ key: `c1.${kind}`, kind, circuit: 'c1' })),
  ...['ringLN', 'ringLE'].flatMap((kind) =>
    SOCKETS.map((point) => ({ key: `c1.${kind}@${point}`, kind, circuit: 'c1' })),
  ),
  { key: 'c2.r1r2@c2p1', kind: 'r1r2', circuit: 'c2' },
]
const circuits = [
  { id: 'c1', name: 'Bench sockets' },
  { id: 'c2', name: 'Pit lighting' },
]
function sheet(typed: Record<string, string>) {
  const fields = reactive<Record<string, string>>({ ...typed })
  const profiles = useRingProfiles(() => ({ tests, circuits, read: (key) => fields[key] ?? '' }))
  return { fields, profiles }
}
const step2 = (ohms: readonly string[]) =>
  Object.fromEntries(SOCKETS.map((point, i) => [`c1.ringLN@${point}`, ohms[i] ?? '']))

describe('round the ring', () => {
  it('shows nothing before anything was read round it, and nothing of a radial circuit', () => {
    expect(sheet({ 'c1.r1': '0.44', 'c1.rn': '0.44', 'c2.r1r2@c2p1': '0.3' }).profiles.value).toEqual([])
  })
  it('follows the typing: shape and quarter appear as soon as both ends stand there', () => {
    const { fields, profiles } = sheet(step2(['0.22', '0.22', '0.23', '0.22', '0.22', '0.22']))
    expect(profiles.value[0]!.steps).toEqual([
      expect.objectContaining({ step: 2, quarter: undefined, pattern: { is: 'level' } }),
    ])
    Object.assign(fields, { 'c1.r1': '0.44', 'c1.rn': '0.44' })
    expect(profiles.value[0]!.steps[0]!.quarter).toBeCloseTo(0.22)
  })
  it('a bridge stands out where the readings rise, in words counted from 1', () => {
    const { profiles } = sheet({
      'c1.r1': '0.26',
      'c1.rn': '0.26',
      ...step2(['0.13', '0.13', '0.19', '0.22', '0.19', '0.13']),
    })
    const { pattern } = profiles.value[0]!.steps[0]!
    expect(pattern).toEqual({ is: 'hump', first: 2, last: 4 })
    expect(ringPatternWords(pattern, 2)).toMatch(/3 to 5/)
  })
  it('text that is no reading, and a range that was passed, are left out of the shape', () => {
    const { profiles } = sheet({
      'c1.r1': '>1999',
      'c1.rn': '0.44',
      ...step2(['abc', '0.22', '>1999', '0.22', 'LIM', '0.22']),
    })
    const [step] = profiles.value[0]!.steps
    expect(step!.readings).toEqual([undefined, 0.22, undefined, 0.22, undefined, 0.22])
    expect(step!).toMatchObject({ quarter: undefined, pattern: { is: 'unknown' } })
  })
})

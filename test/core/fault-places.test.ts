/* A fault is chosen on the drawing: what stands where somebody points. */
import { describe, expect, it } from 'vitest'
import { isAtPlace, type Pointed } from '#core/bay/faults/at-place'
import { possibleFaults } from '#core/bay/faults/catalogue'
import { AIMS, faultsFor } from '#core/testing/fault-finding/aims'
import { placeWords } from '#words/faults'
import { PRACTICE_BAYS, practiceBay } from '#core/bay/practice/bays'

const rig = practiceBay('ring')!.rig()
const at = (pointed: Pointed) =>
  possibleFaults(rig)
    .filter(({ place }) => isAtPlace(rig, place.at, pointed))
    .map(({ kind, place }) => `${kind.code} ${place.key}`)
const line = rig.wires.find(({ from, to }) => from === 'b1w1.L out' || to === 'b1w1.L out')!

describe('pointing at', () => {
  it('a conductor: its break, its terminations, and what is wrong with its whole run', () => {
    const codes = at({ is: 'wire', id: line.id })
    expect(codes).toContain(`lineOpen ${line.id}`)
    expect(codes).toContain(`loose ${line.id} from`)
    expect(codes).toContain(`longer ${line.run}`)
    expect(codes.filter((code) => code.startsWith('shortLE'))).toEqual([])
  })
  it('a terminal: what is at the conductors that end there, not at its neighbours', () => {
    const codes = at({ is: 'terminal', id: 'b1w1.L out' })
    expect(codes).toContain(`lineOpen ${line.id}`)
    expect(codes.filter((code) => code.startsWith('neutralOpen'))).toEqual([])
  })
  it('a socket: cables that touch there and conductors that end there', () => {
    const codes = at({ is: 'part', id: 'c1p1' })
    expect(codes).toContain('shortLE c1p1')
    expect(codes).toContain('polarityAtPoint c1p1')
    expect(codes.some((code) => code.startsWith('neutralOpen'))).toBe(true)
    expect(codes).not.toContain('shortLE c1p2')
    // A joint at the other end of the same conductor is not here.
    const next = rig.wires.find(({ from, to }) => from === 'c1p1.L' && to === 'c1p2.L')!
    expect(codes).toContain(`loose ${next.id} from`)
    expect(codes).not.toContain(`loose ${next.id} to`)
  })
  it('a way: what is in its circuit as a whole', () => {
    expect(at({ is: 'part', id: 'b1w1' })).toContain('ringFedAtOneEnd c1')
    expect(at({ is: 'part', id: 'b1w2' })).not.toContain('ringFedAtOneEnd c1')
  })
})

it.each(PRACTICE_BAYS.map(({ code }) => code))(
  '%s: every fault that can be planted is found by pointing somewhere',
  (code) => {
    const bay = practiceBay(code)!.rig()
    const places: Pointed[] = [
      ...bay.parts.map(({ id }) => ({ is: 'part' as const, id })),
      ...bay.wires.map(({ id }) => ({ is: 'wire' as const, id })),
    ]
    // A label and a blank are the board's own: they are seen, never measured, and stand in no aim.
    const lost = possibleFaults(bay)
      .filter(({ kind }) => kind.code !== 'blankMissing' && kind.code !== 'labelMissing')
      .filter(({ place }) => !places.some((pointed) => isAtPlace(bay, place.at, pointed)))
    expect(lost.map(({ kind, place }) => `${kind.code} ${place.key}`)).toEqual([])
  },
)

it.each(PRACTICE_BAYS.map(({ code }) => code))(
  '%s: no two faults that can be planted are told in the same words',
  (code) => {
    const bay = practiceBay(code)!.rig()
    const at = new Map(possibleFaults(bay).map(({ kind, place }) => [`${kind.code} ${place.key}`, place.at]))
    const told = AIMS.flatMap((aim) => faultsFor(bay, aim)).map(
      ({ code: fault, place }) => `${fault}: ${placeWords(bay, at.get(`${fault} ${place}`)!)}`,
    )
    expect(told.filter((words, i) => told.indexOf(words) !== i)).toEqual([])
  },
)

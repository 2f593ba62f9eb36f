import { computed, ref, type Ref } from 'vue'
import { FROM_BARE, boxesOf, canBeBare } from '#core/bay/mount/box'
import { fits, mountOn } from '#core/bay/mount/mounted'
import { modulesOf, type OnRail } from '#core/bay/model/rail'
import { unproved } from '#core/bay/mount/proof'
import type { WiringFields } from '#core/bay/model/wiring'
import type { BayState } from '#core/bay/behaviour/state'
import type { BayView } from '#schemas/bay-views'
import { warn } from '../utils/warn'

/** What a hand holds from the box: a device by its part, or a blank. */
type Picked = { readonly is: 'device'; readonly id: string } | { readonly is: 'blank' }

/** A change of these leaves no proof of a pole standing. */
const LOSES_PROOFS = /^(wire|mount|comb|rail|from)\./

/** A board that is mounted from a box of parts: what is in the box, what stands where, what is still to be proved. */
export function useMounting(view: Readonly<Ref<BayView | null>>, fields: WiringFields) {
  const isBare = computed(
    () =>
      view.value !== null &&
      (view.value.isBare || (fields[FROM_BARE] === 'yes' && canBeBare(view.value.bare))),
  )
  const boxes = computed(() => (isBare.value ? boxesOf(view.value!.bare) : []))
  const mounted = computed(() => (isBare.value ? mountOn(view.value!.bare, fields) : null))
  const base = computed(() => mounted.value?.rig ?? view.value?.bare ?? null)
  const rails = computed(() =>
    mounted.value ? { boxes: boxes.value, mounting: mounted.value.mounting } : undefined,
  )
  const toProve = computed(() => (mounted.value ? unproved(mounted.value.rig, fields) : []))
  /** No supply is put on before each pole has been proved; says so where it is refused. */
  function refusesSupply({ isSupplyOn }: Pick<BayState, 'isSupplyOn'>): boolean {
    const count = toProve.value.length
    if (isSupplyOn || count === 0) return false
    warn(`Prove the poles first: ${count} ${count === 1 ? 'reading is' : 'readings are'} missing.`)
    return true
  }
  const picked = ref<Picked | null>(null)

  const places = computed(() => mounted.value?.mounting.places ?? new Map<string, number>())
  const boxOf = (part: OnRail) => boxes.value.find(({ devices }) => devices.includes(part))!
  const deviceOf = (id: string): OnRail | undefined =>
    boxes.value.flatMap(({ devices }) => devices).find((part) => part.id === id)

  /** What a touch on a place of the rail changes; a sentence where the part in the hand cannot stand there. */
  function touchPlace(board: string, place: number): Readonly<Record<string, string>> | string {
    const box = boxes.value.find((candidate) => candidate.board.id === board)
    const held = picked.value
    if (!box || !held) return 'Pick a part from the box first.'
    if (held.is === 'blank') {
      const name = `cover.${board}.${place}`
      return { [name]: (fields[name] ?? '') === '' ? 'fitted' : '' }
    }
    const part = deviceOf(held.id)
    if (!part || boxOf(part).board.id !== board) return 'This part belongs to another board.'
    if (!mounted.value!.mounting.rails.has(board)) return 'Fit the rail first: devices clip onto it.'
    if (!fits(box, places.value, part, place))
      return `${part.name} takes ${modulesOf(part)} modules: there is no room for it at ${place}.`
    const under = Array.from({ length: modulesOf(part) }, (_, i) => [`cover.${board}.${place + i}`, ''])
    return { ...Object.fromEntries(under), [`mount.${part.id}`]: String(place) }
  }

  /** A part back in the box, with every conductor at it. */
  function takeOff(part: string): Record<string, string> {
    const held = Object.entries(fields).filter(
      ([name, text]) =>
        name.startsWith('wire.') && text.split('|', 2).some((ref) => ref.startsWith(`${part}.`)),
    )
    return Object.fromEntries([[`mount.${part}`, ''], ...held.map(([name]) => [name, ''])])
  }

  /** Proofs that no longer hold once these fields change. */
  const proofsLost = (changed: Readonly<Record<string, string>>): Record<string, string> =>
    isBare.value && Object.keys(changed).some((name) => LOSES_PROOFS.test(name))
      ? Object.fromEntries(
          Object.keys(fields)
            .filter((name) => name.startsWith('proof.') && fields[name] !== '')
            .map((name) => [name, '']),
        )
      : {}

  return {
    ...{ isBare, boxes, base, rails, places, picked },
    ...{ toProve, refusesSupply, touchPlace, takeOff, proofsLost },
  }
}

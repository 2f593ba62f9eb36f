import type { Rig } from '../model/rig'

/** Of one list what went and what came. */
export interface Moved<T> {
  readonly gone: readonly T[]
  readonly come: readonly T[]
}

/** In what one bay differs from another. */
export interface BayChange {
  readonly parts: Moved<Rig['parts'][number]>
  readonly busbars: Moved<Rig['busbars'][number]>
  readonly runs: Moved<Rig['runs'][number]>
  readonly wires: Moved<Rig['wires'][number]>
  readonly leaks: Moved<Rig['leaks'][number]>
}

export const bayChange = (before: Rig, after: Rig): BayChange => ({
  parts: moved(before.parts, after.parts),
  busbars: moved(before.busbars, after.busbars),
  runs: moved(before.runs, after.runs),
  wires: moved(before.wires, after.wires),
  leaks: moved(before.leaks, after.leaks),
})

/** The same object, or one with the same in it. */
function isSame(a: object, b: object): boolean {
  if (a === b) return true
  const [one, other] = [a as Record<string, unknown>, b as Record<string, unknown>]
  const keys = Object.keys(one)
  return keys.length === Object.keys(other).length && keys.every((key) => isSameValue(one[key], other[key]))
}
const isSameValue = (a: unknown, b: unknown): boolean =>
  a === b || (typeof a === 'object' && JSON.stringify(a) === JSON.stringify(b))

/** Lists that a small change has made keep their order: what is the same in front and behind is passed over. */
function moved<T extends { readonly id: string }>(before: readonly T[], after: readonly T[]): Moved<T> {
  if (before === after) return { gone: [], come: [] }
  let first = 0
  while (first < before.length && first < after.length && isSame(before[first]!, after[first]!)) first += 1
  let [a, b] = [before.length, after.length]
  while (a > first && b > first && isSame(before[a - 1]!, after[b - 1]!)) [a, b] = [a - 1, b - 1]
  const [old, fresh] = [before.slice(first, a), after.slice(first, b)]
  const [byIdOld, byIdNew] = [byId(old), byId(fresh)]
  const differs = (one: T, other: T | undefined) => other === undefined || !isSame(one, other)
  return {
    gone: old.filter((one) => differs(one, byIdNew.get(one.id))),
    come: fresh.filter((one) => differs(one, byIdOld.get(one.id))),
  }
}
const byId = <T extends { readonly id: string }>(list: readonly T[]): ReadonlyMap<string, T> =>
  new Map(list.map((one) => [one.id, one]))

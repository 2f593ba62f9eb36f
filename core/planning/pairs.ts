/** Who works with whom: everybody alone, the pairs that were there last, or others than last time. */
export const PAIRINGS = ['alone', 'keep', 'mix'] as const
export type Pairing = (typeof PAIRINGS)[number]
export type Pair = readonly number[]

const isPair = (pair: Pair): boolean => pair.length === 2

/**
 * Groups of one or two for a session. `keep` takes pairs of last time whose both members are here and pairs the rest in
 * their order; `mix` pairs nobody with whom they were last time where that can be avoided.
 */
export function pairsOf(people: readonly number[], pairing: Pairing, last: readonly Pair[]): Pair[] {
  if (pairing === 'alone') return people.map((person) => [person])
  const here = new Set(people)
  const known = last.filter((pair) => isPair(pair) && pair.every((person) => here.has(person)))
  if (pairing === 'keep') {
    const taken = new Set(known.flat())
    return [...known, ...inTwos(people.filter((person) => !taken.has(person)))]
  }
  const was = new Set(known.flatMap(([a, b]) => [`${a} ${b}`, `${b} ${a}`]))
  return mixed(people, (a, b) => was.has(`${a} ${b}`))
}

function inTwos(people: readonly number[]): Pair[] {
  return Array.from({ length: Math.ceil(people.length / 2) }, (_, i) => people.slice(2 * i, 2 * i + 2))
}

/** Each with the first who was not their partner; whoever is left over swaps with a pair where that helps. */
function mixed(people: readonly number[], wasTogether: (a: number, b: number) => boolean): Pair[] {
  const left = [...people]
  const pairs: Pair[] = []
  while (left.length > 1) {
    const one = left.shift()!
    const at = left.findIndex((other) => !wasTogether(one, other))
    const [other] = left.splice(Math.max(0, at), 1)
    pairs.push([one, other!])
  }
  const bad = pairs.findIndex(([a, b]) => wasTogether(a!, b!))
  if (bad >= 0) {
    const [a, b] = pairs[bad]!
    const swap = pairs.findIndex(([c, d], i) => i !== bad && !wasTogether(a!, c!) && !wasTogether(b!, d!))
    if (swap >= 0) {
      const [c, d] = pairs[swap]!
      pairs[bad] = [a!, c!]
      pairs[swap] = [b!, d!]
    }
  }
  return left.length > 0 ? [...pairs, left] : pairs
}

import { partIdOf, type PartIndex } from '../model/terminals'
import type { Edge } from './edges'

/** A conductor that was meant and one that is there, where one is the other at another place. */
export type Paired =
  | {
      readonly kind: 'moved'
      readonly want: Edge
      readonly is: Edge
      readonly from: string
      readonly to: string
      readonly kept: string
    }
  | { readonly kind: 'missing'; readonly want: Edge }
  | { readonly kind: 'extra'; readonly is: Edge }

export type Moved = Extract<Paired, { kind: 'moved' }>

/** Finds for each missing conductor the left-over one of the same kind that shares an end with it. */
export function pairUp(missing: readonly Edge[], left: readonly Edge[], parts: PartIndex): Paired[] {
  const [waiting, free] = [[...missing], [...left]]
  const moved: Moved[] = []
  for (let best = closest(waiting, free, parts); best; best = closest(waiting, free, parts)) {
    waiting.splice(waiting.indexOf(best.want), 1)
    free.splice(free.indexOf(best.is), 1)
    moved.push(movedFrom(best))
  }
  return [
    ...moved,
    ...waiting.map((want) => ({ kind: 'missing', want }) as const),
    ...free.map((is) => ({ kind: 'extra', is }) as const),
  ]
}

interface Pair {
  readonly want: Edge
  readonly is: Edge
}

function closest(waiting: readonly Edge[], free: readonly Edge[], parts: PartIndex): Pair | undefined {
  let best: (Pair & { readonly score: number }) | undefined
  for (const want of waiting)
    for (const is of free) {
      const score = closeness({ want, is }, parts)
      if (score >= 0 && score > (best?.score ?? -1)) best = { want, is, score }
    }
  return best
}

/** The end that both have. */
function sharedEnd({ want, is }: Pair): string | undefined {
  return [want.a, want.b].find((end) => is.a === end || is.b === end)
}

/**
 * The same part or a bar is likelier to be where a conductor was meant to go than some other place; below 0
 * they share no end.
 */
function closeness({ want, is }: Pair, parts: PartIndex): number {
  const kept = sharedEnd({ want, is })
  if (kept === undefined) return -1
  const [other, now] = [want, is].map((edge) => farEnd(edge, kept)) as [string, string]
  return (
    (is.wire.colour === want.wire.colour ? 4 : 0) +
    (partIdOf(`${other}.`) === partIdOf(`${now}.`) ? 2 : 0) +
    (parts.get(now)?.kind === parts.get(other)?.kind ? 1 : 0)
  )
}

const farEnd = ({ a, b }: Edge, kept: string): string => (a === kept ? b : a)

function movedFrom({ want, is }: Pair): Moved {
  const kept = sharedEnd({ want, is })!
  return { kind: 'moved', want, is, kept, from: farEnd(want, kept), to: farEnd(is, kept) }
}

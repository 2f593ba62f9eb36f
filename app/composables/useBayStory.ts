import type { Happening } from '#core/bay/behaviour/happenings'
import type { PartIndex } from '#core/bay/model/terminals'
import { formatDuration } from '#core/units/format'
import { happeningSentence } from '#words/happenings'

/** A line of what happened: a hand's own act, or what followed from it. */
export interface RunLine {
  readonly key: number
  readonly text: string
  readonly time: string
  readonly kind: 'act' | 'trip' | 'harm' | 'follows'
}

const MOST_LINES = 200
const LINE_KIND: Readonly<Partial<Record<Happening['kind'], RunLine['kind']>>> = {
  done: 'act',
  tripped: 'trip',
  overvoltage: 'harm',
  failedToBreak: 'harm',
  unsolved: 'harm',
}

/** What happened at a bay, line by line, and which parts work or have tripped by now. */
export function useBayStory() {
  const lines = ref<readonly RunLine[]>([])
  const working = ref<ReadonlySet<string>>(new Set())
  const tripped = ref<ReadonlySet<string>>(new Set())
  let count = 0

  const add = (fresh: readonly Omit<RunLine, 'key'>[]): void => {
    const keyed = fresh.map((line) => ({ ...line, key: (count += 1) }))
    lines.value = [...lines.value, ...keyed].slice(-MOST_LINES)
  }
  const say = (text: string): void => add([{ text, time: '', kind: 'act' }])

  /** What worked before is told again as the first thing that is so; it is no news. */
  const isNews = (one: Happening): boolean =>
    one.kind !== 'settled' && !(one.kind === 'lit' && one.atS === 0 && working.value.has(one.part))

  function tell(happenings: readonly Happening[], parts: PartIndex): void {
    const news = happenings
      .filter(isNews)
      .map((action) => ({
        text: happeningSentence(action, parts),
        time: action.atS === 0 ? '' : formatDuration(action.atS),
        kind: LINE_KIND[action.kind] ?? 'follows',
      }))
    add(news.length > 0 ? news : [{ text: 'Nothing happens.', time: '', kind: 'follows' }])
    const [on, out] = [new Set(working.value), new Set(tripped.value)]
    for (const happening of happenings) {
      if (happening.kind === 'lit') on.add(happening.part)
      if (happening.kind === 'dark') on.delete(happening.part)
      if (happening.kind === 'tripped') out.add(happening.part)
      if (happening.kind === 'done' && happening.action.kind === 'close') out.delete(happening.action.part)
    }
    working.value = on
    tripped.value = out
  }

  function reset(): void {
    lines.value = []
    working.value = new Set()
    tripped.value = new Set()
  }
  return { lines, working, tripped, say, tell, reset }
}

import { computed, ref, watch, type Ref } from 'vue'
import { cellKey } from '#core/regulations/book/change'
import type { BookEntry } from '#core/regulations/book/check'
import type { Edition } from '#core/regulations/editions'
import type { BookView, WalkItem } from '#schemas/book-views'

/** What a walk asks of the server. */
export interface WalkCalls {
  readonly agree: (item: WalkItem, value: number) => Promise<unknown>
  /** A second person finds what was written down in the book. */
  readonly check: (id: number) => Promise<unknown>
  readonly enter: (entry: BookEntry) => Promise<unknown>
}

const NUMBER = /^-?\d+(?:[.,]\d+)?$/

/**
 * One value of the book at a time: nothing typed and Enter says that the book has the same; a number that differs is
 * written down as what the book says, with its place.
 */
export function useBookWalk(
  view: Readonly<Ref<BookView | null>>,
  edition: Readonly<Ref<Edition>>,
  calls: WalkCalls,
) {
  const typed = ref('')
  const place = ref('')
  const from = ref(new Date().toISOString().slice(0, 10))
  const wrong = ref('')
  const isBusy = ref(false)
  /** Where the hand is; null for the first that is open. */
  const at = ref<string | null>(null)

  const items = computed(() => view.value?.walk ?? [])
  const open = computed(() => items.value.filter(({ state }) => state === 'open'))
  const done = computed(() => items.value.length - open.value.length)
  const current = computed(
    () => items.value.find((item) => cellKey(item) === at.value) ?? open.value[0] ?? null,
  )
  const number = computed(() =>
    NUMBER.test(typed.value.trim()) ? Number(typed.value.trim().replace(',', '.')) : null,
  )
  /** The typed number is another one than stands here. */
  const differs = computed(() => number.value !== null && number.value !== current.value?.value)
  watch(current, () => (typed.value = ''))
  // A page is a page of its table.
  watch(
    () => current.value?.table,
    () => (place.value = ''),
  )
  watch(edition, () => (at.value = null))

  /** Goes to another value, one on or back from here. */
  function go(by: 1 | -1): void {
    const here = items.value.findIndex((item) => item === current.value)
    const next = items.value[(here + by + items.value.length) % items.value.length]
    if (next) at.value = cellKey(next)
  }

  /** What stands in the box is the book's word. False where it cannot be taken yet. */
  async function answer(): Promise<boolean> {
    const item = current.value
    if (!item || isBusy.value) return false
    wrong.value = problemOf()
    if (wrong.value) return false
    isBusy.value = true
    try {
      const { table, row, column } = item
      if (!differs.value) await confirm(item)
      else
        await calls.enter({
          edition: edition.value,
          table,
          row,
          column,
          value: number.value,
          from: from.value,
          place: place.value,
        })
      at.value = null
      typed.value = ''
      return true
    } finally {
      isBusy.value = false
    }
  }

  /** The book has what stands here: said of a shipped value, or by a second person of the centre's own. */
  async function confirm(item: WalkItem): Promise<void> {
    if (item.state === 'otherUnchecked') await calls.check(item.ownId!)
    else if (item.state !== 'other') await calls.agree(item, item.value!)
  }

  function problemOf(): string {
    if (typed.value.trim() !== '' && number.value === null)
      return 'Write the number as the book has it, without its unit.'
    if (!differs.value && current.value?.value === null)
      return 'This row was taken out. Write what the book says.'
    return differs.value && place.value.trim() === '' ? 'Give the source: table and page.' : ''
  }

  return { items, open, done, current, typed, place, from, wrong, isBusy, differs, go, answer, at }
}

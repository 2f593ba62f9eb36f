import { computed, reactive, ref } from 'vue'
import type { BookEntry } from '#core/regulations/book/check'
import type { BookTable } from '#core/regulations/book/table'
import type { Edition } from '#core/regulations/editions'

/** One box of a row: its column, and what stands there now. */
export interface RowBox {
  readonly column: string
  readonly present: number | undefined
}

const asNumber = (text: string): number | null => {
  const plain = text.trim().replace(',', '.')
  return plain !== '' && Number.isFinite(Number(plain)) ? Number(plain) : null
}

/** A whole row as the book has it; what is the same as here is not written down. A row without a key is a new one. */
export function useBookRow(
  table: BookTable,
  edition: Edition,
  { row, boxes }: { readonly row: string | null; readonly boxes: readonly RowBox[] },
) {
  const key = ref(row ?? '')
  const place = ref('')
  const from = ref(new Date().toISOString().slice(0, 10))
  const typed = reactive<Record<string, string>>(
    Object.fromEntries(
      boxes.map(({ column, present }) => [column, present === undefined ? '' : String(present)]),
    ),
  )
  /** Boxes whose text is no number; an empty one stays a gap where there was one. */
  const wrong = computed(() =>
    boxes.filter(({ column, present }) => {
      const text = typed[column] ?? ''
      return asNumber(text) === null && (text.trim() !== '' || present !== undefined)
    }),
  )
  const entries = computed<BookEntry[]>(() =>
    boxes.flatMap(({ column, present }) => {
      const value = asNumber(typed[column] ?? '')
      return value === null || value === present
        ? []
        : [
            {
              edition,
              table: table.id,
              row: key.value.trim(),
              column,
              value,
              from: from.value,
              place: place.value,
            },
          ]
    }),
  )
  /** What keeps it from being sent; empty where it can be. */
  const problem = computed(() => {
    if (wrong.value.length > 0) return 'Every box has a number, as the book prints it.'
    if (key.value.trim() === '') return 'Enter which row it is.'
    if (entries.value.length === 0) return 'No value differs from the present ones.'
    return place.value.trim() === '' ? 'Give the source: table and page.' : ''
  })
  return { key, place, from, typed, wrong, entries, problem }
}

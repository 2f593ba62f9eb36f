<script setup lang="ts">
import { bookOf, printedValue } from '#core/regulations/book/book'
import { bookTable } from '#core/regulations/book/tables'
import { EDITION_NAME, type Edition } from '#core/regulations/editions'
import type { BookView } from '#schemas/book-views'
import { tableWords } from '#words/library/book-words'

/** One row of a table as the book on the desk has it; a new one where no row is named. */
const props = defineProps<{ table: string; row: string | null; edition: Edition }>()
const emit = defineEmits<{ close: []; saved: [] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const inForce = useBookInForce()
const table = bookTable(props.table)!
const words = tableWords(props.table)
const book = bookOf(props.edition, inForce.data.value?.changes)
const boxes = table.columns.map((column) => ({
  column,
  present: props.row === null ? undefined : printedValue(book, { table: table.id, row: props.row, column }),
}))
const { key, place, from, typed, entries, problem } = useBookRow(table, props.edition, {
  row: props.row,
  boxes,
})
const isTried = ref(false)
const save = () => {
  isTried.value = true
  if (problem.value) return
  return act(async () => {
    await call<BookView>('POST', 'book/values', { entries: entries.value })
    await inForce.refresh()
    ElMessage({ type: 'success', message: 'Entered. Ask a second person to check it against the book.' })
    emit('saved')
  })
}
</script>

<template>
  <el-dialog
    :model-value="true"
    :title="`${words.title}${row === null ? ': a further row' : `: ${words.row(row)}`}`"
    width="640px"
    @close="emit('close')"
  >
    <form class="stack" data-testid="book-row" @submit.prevent="save">
      <p class="soft">
        {{ EDITION_NAME[edition] }}. Enter the row as your copy prints it{{
          words.unit ? `, in ${words.unit}` : ''
        }}; values that are the same stay as they are.
      </p>
      <FormBox v-if="row === null" :name="words.corner"
        ><el-input v-model="key" name="row-key" inputmode="decimal"
      /></FormBox>
      <div class="boxes">
        <FormBox v-for="{ column } in boxes" :key="column" :name="words.column(column)"
          ><el-input v-model="typed[column]" :name="`row-${column}`" inputmode="decimal"
        /></FormBox>
      </div>
      <BookSource v-model:place="place" v-model:from="from" name="row-place" example="Table 4D5, page 412" />
      <p v-if="isTried && problem" class="wrong" role="alert">{{ problem }}</p>
      <div class="row">
        <el-button native-type="submit" type="primary" :loading="isBusy">Enter the row</el-button>
        <el-button @click="emit('close')">Cancel</el-button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.boxes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(130px, 1fr));
  gap: 10px 14px;
}
.wrong {
  color: var(--madder-text);
}
</style>

<script setup lang="ts">
import { CLAUSES } from '#core/regulations/book/change'
import { EDITION_NAME, type Edition } from '#core/regulations/editions'
import { bookOf, printedValue } from '#core/regulations/book/book'
import type { BookValue, BookView } from '#schemas/book-views'
import { dayText } from '#words/day'
import { cellWords, valueWords } from '#words/library/book-words'

/** Values that the centre entered: source, since when, by whom, and who checked them. */
const { view, edition } = defineProps<{ view: BookView; edition: Edition }>()
const emit = defineEmits<{ view: [view: BookView] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const own = useSession().person!.id
const today = new Date().toISOString().slice(0, 10)
const isClauseOpen = ref(false)
/** What the copy says beside what is shipped: a value with its unit, or a clause number. */
const saysOf = (value: BookValue) =>
  value.table === CLAUSES
    ? { says: value.clause ?? '', shipped: '' }
    : {
        says: valueWords(value.table, value.value),
        shipped: valueWords(value.table, printedValue(bookOf(value.edition), value)),
      }
const rows = computed(() =>
  view.values.map((value) => ({
    id: value.id,
    value,
    where: cellWords(value),
    edition: EDITION_NAME[value.edition],
    ...saysOf(value),
    since: `${value.from > today ? 'from' : 'since'} ${dayText(value.from)}`,
    enteredOn: dayText(value.enteredAt),
    checked: value.checkedBy === null ? '' : `${value.checkedBy}, ${dayText(value.checkedAt!)}`,
  })),
)
const check = ({ id }: BookValue) =>
  act(async () => emit('view', await call<BookView>('POST', `book/values/${id}/check`)))

/** Withdrawn at once, with an undo. */
const withdraw = (value: BookValue) =>
  act(async () => {
    emit('view', await call<BookView>('DELETE', `book/values/${value.id}`))
    const { edition: of, table, row, column, value: figure, from, place, clause } = value
    const entry = { edition: of, table, row, column, value: figure, from, place }
    const entries = [clause === undefined ? entry : { ...entry, clause }]
    ElMessage({
      type: 'info',
      message: h('span', [
        'Withdrawn. ',
        h(
          'button',
          {
            class: 'text-button',
            onClick: () =>
              act(async () => emit('view', await call<BookView>('POST', 'book/values', { entries }))),
          },
          'Undo',
        ),
      ]),
      duration: 8000,
      showClose: true,
    })
  })
const take = (file: File) =>
  act(async () => {
    const body = { name: file.name, content: await file.text() }
    emit('view', await call<BookView>('POST', 'book/file', body))
    ElMessage({ type: 'success', message: 'Imported. Each value needs a second person’s check.' })
  })
</script>

<template>
  <div class="stack">
    <div class="row">
      <el-button data-testid="book-clause-open" @click="isClauseOpen = true">Enter a clause number</el-button>
      <FileButton accept=".json,.csv" test-id="book-file" @file="take">Import a file</FileButton>
      <a class="el-button" href="/api/book/file?as=json" download>Export (JSON)</a>
      <a class="el-button" href="/api/book/file?as=csv" download>Export (CSV)</a>
      <span class="soft small"
        >A file is imported whole or not at all. Values from another centre are checked again here.</span
      >
    </div>
    <BookClause
      v-if="isClauseOpen"
      :edition="edition"
      @close="isClauseOpen = false"
      @view="emit('view', $event)"
    />
    <p v-if="view.values.length === 0" class="empty">
      No value differs from those shipped. Where your copy differs, enter it under “Check your book” or in the
      library.
    </p>
    <el-table v-else :data="rows" row-key="id" data-testid="book-values">
      <el-table-column label="Value" min-width="240">
        <template #default="{ row }">
          <b>{{ row.where }}</b>
          <span class="soft small edition">{{ row.edition }}</span>
        </template>
      </el-table-column>
      <el-table-column label="Book says" width="110" align="right">
        <template #default="{ row }"
          ><b class="mono">{{ row.says }}</b></template
        >
      </el-table-column>
      <el-table-column label="Shipped" width="100" align="right">
        <template #default="{ row }"
          ><span class="mono soft">{{ row.shipped }}</span></template
        >
      </el-table-column>
      <el-table-column label="Source, in force" min-width="190">
        <template #default="{ row }">
          {{ row.value.place }}
          <span class="soft small edition">{{ row.since }} {{ dayText(row.from) }}</span>
        </template>
      </el-table-column>
      <el-table-column label="Entered by" min-width="130">
        <template #default="{ row }"
          >{{ row.value.enteredBy }}<span class="soft small edition">{{ row.enteredOn }}</span></template
        >
      </el-table-column>
      <el-table-column label="Second check" min-width="180">
        <template #default="{ row }">
          <template v-if="row.checked">{{ row.checked }}</template>
          <span v-else-if="row.value.enteredById === own" class="tag waiting">needs a second person</span>
          <el-button v-else :loading="isBusy" data-testid="book-check" @click="check(row.value)"
            >Book says {{ row.says }}</el-button
          >
        </template>
      </el-table-column>
      <el-table-column width="140" align="right">
        <template #default="{ row }"
          ><el-button text :disabled="isBusy" @click="withdraw(row.value)">Withdraw</el-button></template
        >
      </el-table-column>
    </el-table>
  </div>
</template>

<style scoped>
.edition {
  display: block;
}
</style>

<script setup lang="ts">
import { EDITION_NAME } from '#core/regulations/editions'
import { bookOf, printedValue } from '#core/regulations/book/book'
import type { BookValue, BookView } from '#schemas/book-views'
import { dayText } from '#words/day'
import { cellWords, valueWords } from '#words/library/book-words'

/** What the centre wrote down: who, where it stands, since when, and who held it against the book. */
const { view } = defineProps<{ view: BookView }>()
const emit = defineEmits<{ view: [view: BookView] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const own = useSession().person!.id
const today = new Date().toISOString().slice(0, 10)
const rows = computed(() =>
  view.values.map((value) => ({
    id: value.id,
    value,
    where: cellWords(value),
    edition: EDITION_NAME[value.edition],
    says: valueWords(value.table, value.value),
    shipped: valueWords(value.table, printedValue(bookOf(value.edition), value)),
    since: `${value.from > today ? 'holds from' : 'since'} ${dayText(value.from)}`,
    enteredOn: dayText(value.enteredAt),
    checked: value.checkedBy === null ? '' : `${value.checkedBy}, ${dayText(value.checkedAt!)}`,
  })),
)
const check = ({ id }: BookValue) =>
  act(async () => emit('view', await call<BookView>('POST', `book/values/${id}/check`)))

/** Taken back at once, and written down again for whoever did not mean it. */
const withdraw = (value: BookValue) =>
  act(async () => {
    emit('view', await call<BookView>('DELETE', `book/values/${value.id}`))
    const { edition, table, row, column, value: figure, from, place } = value
    const entries = [{ edition, table, row, column, value: figure, from, place }]
    ElMessage({
      type: 'info',
      message: h('span', [
        'Taken back. ',
        h(
          'button',
          {
            class: 'text-button',
            onClick: () =>
              act(async () => emit('view', await call<BookView>('POST', 'book/values', { entries }))),
          },
          'Write it down again',
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
    ElMessage({ type: 'success', message: 'Taken in. Each value waits for a second person.' })
  })
</script>

<template>
  <div class="stack">
    <div class="row">
      <FileButton accept=".json,.csv" test-id="book-file" @file="take">Take in a file</FileButton>
      <a class="el-button" href="/api/book/file?as=json" download>As a file (JSON)</a>
      <a class="el-button" href="/api/book/file?as=csv" download>As a table (CSV)</a>
      <span class="soft small"
        >A file is taken in whole or not at all; what another centre checked is checked again here.</span
      >
    </div>
    <p v-if="view.values.length === 0" class="empty">
      The centre reads its book as it is shipped. Where your copy says otherwise, write it down in “Check your
      book” or in the library.
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
      <el-table-column label="Where, and since when" min-width="190">
        <template #default="{ row }">
          {{ row.value.place }}
          <span class="soft small edition">{{ row.since }} {{ dayText(row.from) }}</span>
        </template>
      </el-table-column>
      <el-table-column label="Written down" min-width="130">
        <template #default="{ row }"
          >{{ row.value.enteredBy }}<span class="soft small edition">{{ row.enteredOn }}</span></template
        >
      </el-table-column>
      <el-table-column label="Second person" min-width="190">
        <template #default="{ row }">
          <template v-if="row.checked">{{ row.checked }}</template>
          <span v-else-if="row.value.enteredById === own" class="tag waiting">ask a second person</span>
          <el-button v-else :loading="isBusy" data-testid="book-check" @click="check(row.value)"
            >Book says {{ row.says }}</el-button
          >
        </template>
      </el-table-column>
      <el-table-column width="110" align="right">
        <template #default="{ row }"
          ><el-button text :disabled="isBusy" @click="withdraw(row.value)">Take back</el-button></template
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

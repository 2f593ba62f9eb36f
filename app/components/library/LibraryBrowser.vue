<script setup lang="ts">
import { bookOf } from '#core/regulations/book/book'
import type { BookChange } from '#core/regulations/book/change'
import { bookTable } from '#core/regulations/book/tables'
import { EDITIONS, EDITION_NAME, PRESENT_EDITION, type Edition } from '#core/regulations/editions'
import { shortSource } from '#core/regulations/source'
import { libraryOf, searchLibrary } from '#words/library/search'
import type { Cell, LibraryEntry, LibraryTable } from '#words/library/entry'

/** Tables and rules to search and read; a number finds where it stands and how it comes about. */
const props = defineProps<{
  edition?: Edition
  compact?: boolean
  ask?: string
  /** The book of an exercise; left out: the one in force. */
  book?: readonly BookChange[]
}>()
const inForce = useBookInForce().data
const shownEdition = ref<Edition>(props.edition ?? PRESENT_EDITION)
const book = computed(() => bookOf(shownEdition.value, props.book ?? inForce.value?.changes))
/** The row that is being written down. */
const writing = ref<{ readonly table: string; readonly row: string | null } | null>(null)
const mayKeep = ['instructor', 'assessor', 'administrator'].includes(useSession().person?.role ?? '')
const question = ref(props.ask ?? '')
const found = computed(() => searchLibrary(question.value, book.value))
const shown = ref<string>('')
const entry = computed<LibraryEntry | undefined>(
  () =>
    libraryOf(book.value).find(({ id }) => id === shown.value) ??
    (props.compact ? undefined : (found.value.entries[0] ?? found.value.values[0]?.table)),
)
const differs = (one: LibraryEntry) => one.kind === 'rule' && new Set(Object.values(one.byEdition)).size > 1
const MOST_VALUES = 24
/** Where an entry stands, in a few words. */
function placeOf(one: LibraryEntry): string {
  if (one.kind === 'history') return 'since 1981, from memory'
  return one.kind === 'rule' ? one.place : shortSource(one.source)
}
const mayWrite = computed(() => mayKeep && !props.compact && !props.book)
const grows = computed(() => entry.value !== undefined && bookTable(entry.value.id)?.grows === true)
/** Values of the centre's own book in the table shown, in the order in which they stand. */
const notes = computed(() => (entry.value?.kind === 'table' ? ownOf(entry.value) : []))
const ownOf = ({ rows }: LibraryTable) =>
  rows.flatMap(({ cells }) => cells.flatMap(({ change }) => change ?? []))
const noteOf = (table: LibraryTable, { change }: Cell) => ownOf(table).indexOf(change!) + 1
</script>

<template>
  <div class="library" :class="{ compact }">
    <div class="finder">
      <el-input
        v-model="question"
        size="large"
        clearable
        name="library"
        placeholder="Where does 1.37 Ω come from?"
        aria-label="Search tables and rules"
      />
      <ul v-if="found.values.length" class="values" aria-label="Values found">
        <li v-for="hit in found.values.slice(0, MOST_VALUES)" :key="hit.table.id + hit.row + hit.column">
          <button type="button" @click="shown = hit.table.id">
            <b class="mono">{{ hit.cell.text }} {{ hit.table.unit }}</b> {{ hit.row }}, {{ hit.column }}
            <span class="soft">{{ hit.table.title }}, {{ shortSource(hit.table.source) }}</span>
            <span v-if="hit.cell.derivation" class="derived mono">= {{ hit.cell.derivation }}</span>
          </button>
        </li>
      </ul>
      <ul class="entries" aria-label="Tables and rules">
        <li v-for="match in found.entries" :key="match.id">
          <button type="button" :class="{ on: entry?.id === match.id }" @click="shown = match.id">
            <b>{{ match.title }}</b>
            <span class="soft place">{{ placeOf(match) }}</span>
            <span v-if="differs(match)" class="tag waiting">differs by edition</span>
          </button>
        </li>
      </ul>
      <p v-if="found.entries.length === 0 && found.values.length === 0" class="soft">
        Nothing by these words. Try a table number, a symbol or a value.
      </p>
    </div>
    <article v-if="entry" class="reading" tabindex="0" :aria-label="entry.title">
      <el-button v-if="compact" size="small" @click="shown = ''">Back to the list</el-button>
      <h2>{{ entry.title }}</h2>
      <template v-if="entry.kind === 'rule'">
        <p class="soft">BS 7671 {{ entry.place }}, from memory, in our own words.</p>
        <div class="editions">
          <section v-for="one in EDITIONS" :key="one" :class="{ here: one === edition }">
            <h3>
              {{ EDITION_NAME[one] }} <span v-if="one === edition" class="tag plain">this exercise</span>
            </h3>
            <p>{{ entry.byEdition[one] ?? 'Not in this edition.' }}</p>
          </section>
        </div>
        <p><b>Why:</b> <TermText :text="entry.why" /></p>
      </template>
      <HistoryList v-else-if="entry.kind === 'history'" :entry="entry" />
      <template v-else>
        <p class="soft">
          {{ shortSource(entry.source) }}{{ entry.source.fromMemory ? ', from memory' : '' }}, in the
          <el-select v-model="shownEdition" size="small" class="edition" aria-label="Edition of the table">
            <el-option
              v-for="one in EDITIONS"
              :key="one"
              :value="one"
              :label="EDITION_NAME[one]"
            /> </el-select
          >.
        </p>
        <div class="scroll">
          <table class="grid-table">
            <thead>
              <tr>
                <th>{{ entry.corner }}</th>
                <th v-for="column in entry.columns" :key="column" class="num">{{ column }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in entry.rows" :key="row.head">
                <td>
                  <button
                    v-if="mayWrite && row.cells[0]?.at"
                    type="button"
                    class="text-button"
                    :title="`Enter ${row.head} as your copy prints it`"
                    @click="writing = row.cells[0].at"
                  >
                    {{ row.head }}
                  </button>
                  <b v-else>{{ row.head }}</b>
                </td>
                <td
                  v-for="(cell, i) in row.cells"
                  :key="i"
                  class="num"
                  :class="{
                    hit: found.values.some((hit) => hit.cell === cell),
                    own: cell.change,
                    unchecked: cell.change && !cell.change.checked,
                  }"
                  :title="cell.derivation"
                >
                  {{ cell.text }}<sup v-if="cell.change">{{ noteOf(entry, cell) }}</sup>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <el-button v-if="mayWrite && grows" class="fit" @click="writing = { table: entry.id, row: null }"
          >A further row</el-button
        >
        <ol v-if="notes.length" class="notes small" data-testid="own-values">
          <li v-for="change in notes" :key="change.row + change.column">
            The centre’s book: {{ change.place
            }}{{ change.checked ? '' : '; not yet checked by a second person' }}.
          </li>
        </ol>
        <p v-if="entry.unit" class="small soft">Values in {{ entry.unit }}.</p>
        <p v-if="entry.note" class="small">{{ entry.note }}</p>
      </template>
      <p class="small soft">
        Written down from memory for training: read your own copy of the regulations before you rely on a
        value. Where they differ, the document is right.
        <NuxtLink v-if="mayKeep && !compact" :to="`/book?edition=${shownEdition}`">Check your book</NuxtLink>
      </p>
    </article>
    <BookRow
      v-if="writing"
      :key="writing.table + writing.row"
      :table="writing.table"
      :row="writing.row"
      :edition="shownEdition"
      @close="writing = null"
      @saved="writing = null"
    />
  </div>
</template>

<style scoped>
.place {
  display: block;
}
.library {
  display: grid;
  grid-template-columns: 400px 1fr;
  gap: 28px;
  align-items: start;
}
.compact {
  grid-template-columns: 1fr;
}
.compact:has(.reading) .finder {
  display: none;
}
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
.entries {
  max-height: calc(100vh - 260px);
  overflow: auto;
}
li button {
  all: unset;
  cursor: pointer;
  display: block;
  width: 100%;
  box-sizing: border-box;
  padding: 8px 10px;
  border-bottom: 1px solid var(--hem);
  line-height: 1.3;
  min-height: 40px;
}
li button:hover,
li button.on {
  background: var(--indigo-wash);
}
li button:focus-visible {
  outline: 2px solid var(--indigo);
  outline-offset: -2px;
}
.soft {
  font-size: 13.5px;
}
.derived {
  display: block;
  color: var(--leaf-text);
  font-size: 14px;
}
.values {
  border: 1.5px dashed var(--leaf);
}
.values li:last-child button {
  border-bottom: 0;
}
.reading {
  background: var(--panel);
  border: 1px solid var(--hem);
  padding: 18px 22px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.scroll {
  overflow-x: auto;
}
.grid-table {
  width: auto;
  min-width: 50%;
}
.grid-table td,
.grid-table th {
  padding: 4px 12px;
}
.hit {
  background: var(--turmeric-wash);
  font-weight: var(--heavy);
}
.fit {
  align-self: flex-start;
}
.own {
  font-weight: var(--heavy);
  border-bottom: 2px solid var(--leaf);
}
.own.unchecked {
  border-bottom: 2px dashed var(--turmeric);
}
.notes {
  margin: 0;
  padding-left: 18px;
}
.edition {
  width: 230px;
}
.editions {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px;
}
.editions section {
  border-top: 3px solid var(--hem-strong);
  padding-top: 8px;
  display: flex;
  flex-direction: column;
  gap: 4px;
}
.editions .here {
  border-top-color: var(--indigo);
}
@media (max-width: 900px) {
  .library {
    grid-template-columns: 1fr;
  }
}
</style>

<script setup lang="ts">
import { cellKey } from '#core/regulations/book/change'
import { bookTable } from '#core/regulations/book/tables'
import type { Edition } from '#core/regulations/editions'
import { shortSource } from '#core/regulations/source'
import type { BookView, WalkState } from '#schemas/book-views'
import { cellWords, tableWords, valueWords } from '#words/library/book-words'

/** Every value that the exercises look up, one at a time beside the open book; then the list is signed. */
const props = defineProps<{ view: BookView; edition: Edition }>()
const emit = defineEmits<{ view: [view: BookView] }>()
const { call } = useApi()
const box = useTemplateRef<{ focus: () => void }>('box')

const walk = useBookWalk(
  computed(() => props.view),
  computed(() => props.edition),
  {
    agree: async ({ table, row, column }, value) =>
      emit('view', await call('POST', 'book/agreed', { edition: props.edition, table, row, column, value })),
    check: async (id) => emit('view', await call('POST', `book/values/${id}/check`)),
    enter: async (entry) => emit('view', await call('POST', 'book/values', { entries: [entry] })),
  },
)
const { items, open, done, current, typed, place, from, wrong, isBusy, differs, go, answer, at } = walk
const take = async () => {
  try {
    await answer()
  } catch (error) {
    showProblem(error)
  }
  await nextTick()
  box.value?.focus()
}
const STATE: Readonly<Record<WalkState, string>> = {
  open: 'not checked yet',
  same: 'same in the book',
  other: 'entered and checked',
  otherUnchecked: 'entered, second check needed',
}
const isDone = computed(() => open.value.length === 0 && items.value.length > 0)
const waiting = computed(() => items.value.filter(({ state }) => state === 'otherUnchecked').length)

onMounted(() => box.value?.focus())
</script>

<template>
  <p v-if="items.length === 0" class="empty">
    No exercise of the centre is set to this edition, so no value of it is in use. Choose another edition.
  </p>
  <div v-else class="walk">
    <section class="card" aria-live="polite">
      <div class="row spread">
        <b>{{ done }} of {{ items.length }} checked against the book</b>
        <el-progress
          class="bar"
          :percentage="Math.round((100 * done) / items.length)"
          :show-text="false"
          aria-label="Values checked against the book"
        />
      </div>
      <template v-if="current">
        <p class="soft">
          {{ shortSource(bookTable(current.table)!.source) }}
          <span v-if="current.isDoubted" class="tag waiting">value in doubt</span>
        </p>
        <h2>{{ cellWords(current) }}</h2>
        <p class="value mono" data-testid="walk-value">{{ valueWords(current.table, current.value) }}</p>
        <p class="soft small">
          Used by {{ current.exercises.slice(0, 8).join(', ') || 'no exercise now'
          }}{{ current.exercises.length > 8 ? ` and ${current.exercises.length - 8} more` : '' }}.
          <template v-if="current.state !== 'open'">
            {{ STATE[current.state] }}, {{ current.by }}, {{ current.at?.slice(0, 10) }}.</template
          >
        </p>
        <form class="stack" @submit.prevent="take">
          <div class="row">
            <el-input
              ref="box"
              v-model="typed"
              class="typed"
              size="large"
              inputmode="decimal"
              name="book-value"
              :placeholder="`${current.value ?? ''} if the book says the same`"
              :aria-label="`What the book says, ${tableWords(current.table).unit || 'a number'}`"
            />
            <el-button
              native-type="submit"
              type="primary"
              size="large"
              :loading="isBusy"
              data-testid="walk-take"
              >{{ differs ? 'Enter the other value' : 'Book says the same' }}</el-button
            >
          </div>
          <BookSource
            v-if="differs"
            v-model:place="place"
            v-model:from="from"
            name="book-place"
            example="Table 4D5, page 412"
          />
        </form>
        <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
        <div class="row">
          <el-button @click="go(-1)">Back</el-button>
          <el-button data-testid="walk-skip" @click="go(1)">Later</el-button>
          <span class="soft small"
            >Enter: the book says the same. A number and Enter: what it says instead.</span
          >
        </div>
      </template>
      <p v-if="isDone" class="stitched sound">
        Every value in use has been checked against the book{{
          waiting ? `; ${waiting} still need a second person` : ''
        }}.
      </p>
      <BookSign v-if="isDone" :view="view" :edition="edition" @view="emit('view', $event)" />
    </section>
    <ol class="list" aria-label="Values in use">
      <li v-for="item in items" :key="cellKey(item)">
        <button
          type="button"
          :class="['line', item.state, { on: item === current }]"
          @click="at = cellKey(item)"
        >
          <span>{{ cellWords(item) }}</span><b class="mono">{{ valueWords(item.table, item.value) }}</b
          ><span v-if="item.state !== 'open'" class="state">{{ STATE[item.state] }}</span>
        </button>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.walk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 26px;
  align-items: start;
}
.card {
  background: var(--panel);
  border: 1px solid var(--hem);
  padding: 18px 22px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.bar {
  width: 200px;
}
.value {
  font-size: 40px;
  line-height: 1.1;
  font-weight: var(--heavy);
}
.typed {
  width: 240px;
}
.wrong {
  color: var(--madder-text);
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  max-height: calc(100vh - 250px);
  overflow: auto;
}
.line {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0 12px;
  padding: 7px 10px;
  border-bottom: 1px solid var(--hem);
  border-left: 4px solid transparent;
}
.line:hover,
.line.on {
  background: var(--indigo-wash);
}
.line:focus-visible {
  outline: 2px solid var(--indigo);
  outline-offset: -2px;
}
.line.same,
.line.other {
  border-left-color: var(--leaf);
}
.line.otherUnchecked {
  border-left-color: var(--turmeric);
}
.state {
  grid-column: 1 / -1;
  font-size: 13px;
  color: var(--soft);
}
@media (max-width: 900px) {
  .walk {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

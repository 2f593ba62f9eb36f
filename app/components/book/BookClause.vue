<script setup lang="ts">
import { CLAUSES } from '#core/regulations/book/change'
import { EDITION_NAME, type Edition } from '#core/regulations/editions'
import { SOURCES, type SourceKey } from '#core/regulations/source'
import type { BookView } from '#schemas/book-views'

/** Where a rule stands in the copy on the desk: clauses move from edition to edition. */
const { edition } = defineProps<{ edition: Edition }>()
const emit = defineEmits<{ close: []; view: [view: BookView] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const rules = Object.entries(SOURCES)
  .map(([key, { place }]) => ({ key: key as SourceKey, place }))
  .sort((a, b) => a.place.localeCompare(b.place, 'en', { numeric: true }))
const row = ref<SourceKey | ''>('')
const clause = ref('')
const place = ref('')
const from = ref(new Date().toISOString().slice(0, 10))
const isTried = ref(false)
const problem = computed(() => {
  if (row.value === '') return 'Choose the rule.'
  if (clause.value.trim() === '') return 'Enter the clause number as your copy has it.'
  return place.value.trim() === '' ? 'Give the source: document and page.' : ''
})
const save = () => {
  isTried.value = true
  if (problem.value) return
  return act(async () => {
    const entry = { edition, table: CLAUSES, row: row.value, column: 'place', value: null }
    const entries = [{ ...entry, clause: clause.value, from: from.value, place: place.value }]
    emit('view', await call<BookView>('POST', 'book/values', { entries }))
    ElMessage({ type: 'success', message: 'Entered. Ask a second person to check it against the book.' })
    emit('close')
  })
}
</script>

<template>
  <el-dialog :model-value="true" title="Clause number" width="560px" @close="emit('close')">
    <form class="stack" data-testid="book-clause" @submit.prevent="save">
      <p class="soft">
        {{ EDITION_NAME[edition] }}. Derivations, findings and prints name the clause you enter.
      </p>
      <FormBox name="Rule">
        <el-select
          v-model="row"
          filterable
          placeholder="Type a clause"
          aria-label="Rule"
          data-testid="clause-rule"
        >
          <el-option v-for="rule in rules" :key="rule.key" :value="rule.key" :label="rule.place" />
        </el-select>
      </FormBox>
      <FormBox name="Clause in your copy"
        ><el-input v-model="clause" name="clause-number" maxlength="120" placeholder="411.3.3.1"
      /></FormBox>
      <BookSource
        v-model:place="place"
        v-model:from="from"
        name="clause-place"
        example="Amendment 3, page 58"
      />
      <p v-if="isTried && problem" class="wrong" role="alert">{{ problem }}</p>
      <div class="row">
        <el-button native-type="submit" type="primary" :loading="isBusy">Enter the clause</el-button>
        <el-button @click="emit('close')">Cancel</el-button>
      </div>
    </form>
  </el-dialog>
</template>

<style scoped>
.wrong {
  color: var(--madder-text);
}
</style>

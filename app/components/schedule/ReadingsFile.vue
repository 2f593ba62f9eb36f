<script setup lang="ts">
import { readingText } from '#words/testing'
import type { ReadCsvReadings } from '#schemas/readings-csv'

/**
 * Brings readings in from a CSV file: shown first, with what is there already and what cannot be taken;
 * nothing is written before somebody says so.
 */
const props = defineProps<{ open: boolean; attempt: number; read: (key: string) => string }>()
const emit = defineEmits<{
  close: []
  take: [readings: readonly { key: string; text: string; at: string }[]]
}>()
const { call } = useApi()
const result = ref<ReadCsvReadings | null>(null)
const input = ref<HTMLInputElement>()
const PROBLEM = {
  noSuchTest: 'is no test that is open at this stage',
  noTime: 'is no time',
  noKey: 'the test is not named',
}
const REFUSAL = {
  notCsv: 'The file cannot be read as CSV: a quotation mark is open or a row has too many cells.',
  heading: 'The first row must name the columns test and reading; unit and time if you like, in any order.',
}

const rows = computed(() =>
  result.value?.ok ? result.value.readings.map((row) => ({ ...row, there: props.read(row.key).trim() })) : [],
)
const changed = computed(() => rows.value.filter(({ there, text }) => there !== '' && there !== text))
async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  result.value = await call<ReadCsvReadings>('POST', `work/${props.attempt}/readings-file`, {
    text: await file.text(),
  }).catch((error) => (showProblem(error), null))
  if (input.value) input.value.value = ''
}
function take(isAll: boolean) {
  emit(
    'take',
    rows.value.filter(({ there, text }) => isAll || there === '' || there === text),
  )
  result.value = null
}
</script>

<template>
  <el-dialog :model-value="open" title="Readings from a file" width="640px" @close="emit('close')">
    <div class="stack">
      <p class="soft">
        CSV with the columns <span class="mono">test</span> and <span class="mono">reading</span>;
        <span class="mono">unit</span> and <span class="mono">time</span> if you like, in any order.
      </p>
      <div class="row">
        <input
          ref="input"
          type="file"
          accept=".csv,text/csv"
          aria-label="CSV file"
          data-testid="readings-file"
          @change="choose"
        /><a :href="`/api/work/${attempt}/readings-form`" download="readings.csv">Save a form to fill in</a>
      </div>
      <p v-if="result && !result.ok" class="caution">{{ REFUSAL[result.problem] }}</p>
      <template v-else-if="result">
        <p>
          <b>{{ rows.length }}</b> readings can be taken<template v-if="changed.length"
            >; <b>{{ changed.length }}</b> of them would replace what stands there:</template
          >.
        </p>
        <ul v-if="changed.length">
          <li v-for="row in changed.slice(0, 8)" :key="row.key">
            {{ readingText(row.key).name }} <span class="mono">{{ row.key }}</span>: {{ row.there }} →
            {{ row.text }}
          </li>
        </ul>
        <div v-if="result.problems.length" class="caution">
          <p v-for="problem in result.problems.slice(0, 8)" :key="problem.line">
            Line {{ problem.line }}: “{{ problem.cell }}” {{ PROBLEM[problem.problem] }}.
          </p>
        </div>
        <div class="row">
          <el-button type="primary" :disabled="rows.length === 0" @click="take(true)"
            >Take {{ rows.length }}</el-button
          ><el-button v-if="changed.length" @click="take(false)">Only the empty boxes</el-button>
        </div>
      </template>
    </div>
  </el-dialog>
</template>

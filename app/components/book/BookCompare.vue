<script setup lang="ts">
import { EDITIONS, EDITION_NAME, type Edition } from '#core/regulations/editions'
import { stepWords } from '#core/design/model/step-kinds'
import { shortSource } from '#core/regulations/source'
import type { BooksCompared, ExerciseCompared } from '#schemas/book-views'
import { STEP_TEXT } from '#words/steps'
import { bookDifferences } from '#words/library/differences'

/** Two books side by side: what they say differently, and every design that comes out otherwise. */
const { edition } = defineProps<{ edition: Edition }>()
const comparing = useLongCall()
const inForce = useBookInForce().data

const OPTIONS = EDITIONS.flatMap((one) =>
  [false, true].map((own) => ({
    key: `${one}${own ? ' own' : ''}`,
    book: { edition: one, own },
    name: `${EDITION_NAME[one]}, ${own ? 'as the centre reads it' : 'as shipped'}`,
  })),
)
const first = ref(`${edition}`)
const second = ref(`${edition} own`)
const bookOfKey = (key: string) => OPTIONS.find((option) => option.key === key)!.book
const differences = computed(() =>
  bookDifferences(bookOfKey(first.value), bookOfKey(second.value), inForce.value?.changes ?? []),
)
const compared = shallowRef<BooksCompared | null>(null)
watch([first, second], () => (compared.value = null))
async function compare() {
  const body = { first: bookOfKey(first.value), second: bookOfKey(second.value) }
  try {
    compared.value = await comparing.run<BooksCompared>('POST', 'book/compare', body)
  } catch (error) {
    showProblem(error)
  }
}
/** Where the books differ, and what is chosen otherwise for it: not every figure in between. */
const told = ({ differences: steps }: ExerciseCompared) =>
  steps.filter(
    ({ isCause, step }) =>
      isCause || ['in', 'csa', 'residual', 'residualType', 'tails', 'bonding'].includes(step),
  )
const figure = (step: Parameters<typeof stepWords>[0], value: number | undefined) =>
  value === undefined ? 'not reached' : stepWords(step, value)
</script>

<template>
  <div class="stack">
    <div class="row">
      <el-select v-model="first" class="book" aria-label="First book" data-testid="book-first">
        <el-option v-for="option in OPTIONS" :key="option.key" :value="option.key" :label="option.name" />
      </el-select>
      <span class="soft">beside</span>
      <el-select v-model="second" class="book" aria-label="Second book" data-testid="book-second">
        <el-option v-for="option in OPTIONS" :key="option.key" :value="option.key" :label="option.name" />
      </el-select>
      <el-button
        type="primary"
        :loading="comparing.isRunning.value"
        data-testid="book-compare"
        @click="compare"
        >Which designs change?</el-button
      >
      <LongCall
        v-if="comparing.isRunning.value"
        said="Designs are being compared"
        :percent="comparing.percent.value"
        @cancel="comparing.cancel"
      />
    </div>
    <section v-if="compared" class="stack" data-testid="book-compared">
      <h2>
        {{
          compared.changed === 0
            ? `None of ${compared.designs} designs changes.`
            : `${compared.changed} of ${compared.designs} designs change.`
        }}
      </h2>
      <article v-for="exercise in compared.exercises" :key="exercise.id" class="exercise">
        <h3>
          <NuxtLink :to="`/exercises/${exercise.id}`">{{ exercise.code }} {{ exercise.title }}</NuxtLink>
          <span class="soft"> · {{ exercise.changed }} of {{ exercise.designs }} designs</span>
        </h3>
        <div class="scroll">
          <table class="grid-table">
            <thead>
              <tr>
                <th>Circuit or board</th>
                <th>Step</th>
                <th class="num">Before</th>
                <th class="num">Now</th>
                <th>Why</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="change in told(exercise)" :key="change.scope + change.step">
                <td>{{ change.name }}</td>
                <td>{{ STEP_TEXT[change.step].name }}</td>
                <td class="num mono">{{ figure(change.step, change.before) }}</td>
                <td class="num mono">
                  <b>{{ figure(change.step, change.after) }}</b>
                </td>
                <td class="small">
                  <template v-if="change.isCause"
                    >{{ change.working }}
                    <span v-if="change.source" class="soft why">{{
                      shortSource(change.source)
                    }}</span></template
                  >
                  <span v-else class="soft">follows from the above</span>
                </td>
              </tr>
            </tbody>
          </table>
        </div>
      </article>
    </section>
    <section class="stack">
      <h2>What the two books say differently</h2>
      <p v-if="differences.length === 0" class="empty">Nothing that is written down here.</p>
      <div v-else class="scroll">
        <table class="grid-table" data-testid="book-differences">
          <thead>
            <tr>
              <th>Where</th>
              <th>First</th>
              <th>Second</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="difference in differences" :key="difference.what">
              <td>
                <b>{{ difference.what }}</b><span class="soft small why">{{ difference.place }}</span>
              </td>
              <td>{{ difference.first }}</td>
              <td>{{ difference.second }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </section>
  </div>
</template>

<style scoped>
.book {
  width: 340px;
  max-width: 100%;
}
.exercise {
  border-top: 3px solid var(--hem-strong);
  padding-top: 8px;
}
.scroll {
  overflow-x: auto;
}
.why {
  display: block;
}
.grid-table td {
  padding: 5px 10px;
  vertical-align: top;
}
</style>

<script setup lang="ts">
import { BENCH_CODES, benchOf, isBenchCode, type BenchCode } from '#core/principles/benches'
import type { Knob } from '#core/principles/bench'
import { QUANTITIES } from '#core/units/quantity'
import { benchFigure, benchTextOf, predictionSays } from '#words/principles'

definePageMeta({
  layout: 'bay',
  roles: ['apprentice', 'instructor', 'assessor'],
  key: (route) => String(route.params.code),
})
const code = String(useRoute().params.code) as BenchCode
if (!isBenchCode(code))
  throw createError({ statusCode: 404, statusMessage: 'There is no such bench.', fatal: true })
const bench = benchOf(code)
const text = benchTextOf(code)
const { settings, typed, predicted, isOn, figures, verdict, set, predict, switchOn } = usePrinciple(bench)
const knobs = Object.entries<Knob>(bench.knobs)
const askedUnit = QUANTITIES[bench.figures[bench.asked]!].unit
const choiceWords = (choice: number, unit: string) => text.choices?.[choice] ?? `${choice} ${unit}`
const isUnread = computed(() => typed.value.trim() !== '' && !predicted.value.ok)
const at = BENCH_CODES.indexOf(code)
const next = BENCH_CODES[at + 1]
</script>

<template>
  <div class="page">
    <PracticeHead :title="text.title" :about="text.about" back="All of practice">
      <NuxtLink v-if="next" :to="`/practice/principles/${next}`"
        >Next: {{ benchTextOf(next).title }}</NuxtLink
      >
    </PracticeHead>
    <div class="halves">
      <section class="bench">
        <PrincipleDrawing
          :code="code"
          :settings="settings"
          :figures="figures"
          :is-on="isOn"
          :says="`${text.title}, ${isOn ? 'switched on' : 'switched off'}`"
        />
        <div v-for="[key, knob] in knobs" :key="key" class="knob">
          <span class="name">{{ text.knobs[key]!.name }}</span>
          <el-radio-group
            v-if="'choices' in knob"
            :model-value="settings[key]"
            :aria-label="text.knobs[key]!.name"
            @update:model-value="set(key, Number($event))"
            ><el-radio-button v-for="choice in knob.choices" :key="choice" :value="choice">{{
              choiceWords(choice, text.knobs[key]!.unit)
            }}</el-radio-button></el-radio-group
          >
          <template v-else>
            <el-slider
              :model-value="settings[key]"
              :min="knob.least"
              :max="knob.most"
              :step="knob.step"
              :show-tooltip="false"
              :aria-label="text.knobs[key]!.name"
              @update:model-value="set(key, Number($event))"
            />
            <b class="set">{{ settings[key] }} {{ text.knobs[key]!.unit }}</b>
          </template>
        </div>
      </section>
      <section class="stack">
        <form class="ask" @submit.prevent="switchOn">
          <label class="field"
            ><b>{{ text.ask }}</b
            ><el-input
              :model-value="typed"
              name="predicted"
              size="large"
              :aria-label="text.ask"
              :aria-invalid="isUnread"
              :placeholder="`a figure in ${askedUnit}`"
              @update:model-value="predict"
          /></label>
          <el-button native-type="submit" type="primary" size="large" :disabled="!predicted.ok"
            >Switch on</el-button
          >
        </form>
        <p v-if="isUnread" class="unread">Write a number, with its unit if it is not in {{ askedUnit }}.</p>
        <p v-else-if="!isOn" class="soft">Work it out first. Your figure switches the bench on.</p>
        <template v-if="isOn && verdict">
          <p class="verdict" :class="verdict.is === 'right' ? 'met' : 'waiting'" role="status">
            {{ predictionSays(verdict) }}
          </p>
          <table class="plain">
            <tbody>
              <tr v-for="(quantity, key) in bench.figures" :key="key" :class="{ asked: key === bench.asked }">
                <th scope="row">{{ text.figures[key] }}</th>
                <td>{{ benchFigure(figures[key]!, quantity) }}</td>
              </tr>
            </tbody>
          </table>
          <p class="law">{{ text.law }}</p>
          <p><TermText :text="text.why" /></p>
        </template>
        <p class="caution">
          Computed, not real. At a real bench this is supervised work under the rules of your centre.
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr);
  gap: 24px;
  align-items: start;
}
@media (max-width: 900px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
.bench {
  background: var(--cloth);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
  padding: 12px 16px 16px;
}
.knob {
  display: grid;
  grid-template-columns: 130px 1fr 86px;
  gap: 14px;
  align-items: center;
  min-height: 50px;
}
.knob :deep(.el-radio-group) {
  grid-column: 2 / -1;
}
.name {
  font-weight: var(--strong);
}
.set {
  font: var(--strong) 16px var(--mono);
  text-align: right;
}
.ask {
  display: flex;
  gap: 12px;
  align-items: flex-end;
  flex-wrap: wrap;
}
.ask .field {
  flex: 1;
  min-width: 220px;
}
.verdict {
  font-weight: var(--heavy);
  font-size: 18px;
  margin: 0;
  padding: 12px 14px;
  border-left: 6px solid var(--turmeric);
  background: var(--panel);
}
.verdict.met {
  border-color: var(--leaf);
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 8px 6px;
  border-bottom: 1px solid var(--hem);
}
td {
  font: var(--strong) 17px var(--mono);
  text-align: right;
}
tr.asked th {
  font-weight: var(--heavy);
}
.unread {
  color: var(--madder-text);
  margin: 0;
}
.law {
  font: var(--strong) 15px var(--mono);
  margin: 0;
}
@media (max-width: 560px) {
  .knob {
    grid-template-columns: 1fr auto;
  }
  .knob :deep(.el-slider),
  .knob :deep(.el-radio-group) {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>

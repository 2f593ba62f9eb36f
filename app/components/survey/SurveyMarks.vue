<script setup lang="ts">
import { itemOf, type ItemKey } from '#core/survey/sheet/checklist'
import type { SurveyMarks } from '#core/survey/site/mark'
import { ITEM_TEXT, OBJECTIVE_TEXT, VERDICT_TEXT, choiceText } from '#words/survey/items'
import { contradictionSays } from '#words/survey/says'

/** A survey against its site: what was found, and what was not. */
const { marks } = defineProps<{ marks: SurveyMarks }>()
const isAll = ref(false)
const facts = computed(() => marks.facts.filter(({ verdict }) => isAll.value || verdict !== 'found'))
const said = (key: ItemKey, text: string) =>
  itemOf(key).is === 'day' && /^\d{4}-\d\d-\d\d$/.test(text) ? date(text) : choiceText(text)
const TAG = { found: 'met', carried: 'carried', assumed: 'waiting', wrong: 'wrong', missed: 'wrong' } as const
const counted = computed(() =>
  (Object.keys(VERDICT_TEXT) as (keyof typeof VERDICT_TEXT)[]).filter((verdict) => marks.counts[verdict] > 0),
)
</script>

<template>
  <div class="stack" data-testid="survey-marks">
    <p class="row">
      <span v-for="verdict in counted" :key="verdict" class="tag" :class="TAG[verdict]"
        >{{ marks.counts[verdict] }} {{ VERDICT_TEXT[verdict] }}</span
      >
      <el-checkbox v-model="isAll" label="Also what was found" />
    </p>
    <table v-if="facts.length" class="grid-table">
      <thead>
        <tr>
          <th>Item</th>
          <th>Recorded</th>
          <th>On site</th>
          <th>Verdict</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="fact in facts" :key="fact.key">
          <td>{{ ITEM_TEXT[fact.key] }}</td>
          <td>{{ said(fact.key, fact.theirs) || '–' }}</td>
          <td>{{ said(fact.key, fact.right) }}</td>
          <td>
            <span class="tag" :class="TAG[fact.verdict]">{{ VERDICT_TEXT[fact.verdict] }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <table v-if="marks.routes.length" class="grid-table">
      <thead>
        <tr>
          <th>Route</th>
          <th class="num">Measured</th>
          <th class="num">On site</th>
          <th>Verdict</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="route in marks.routes" :key="route.name">
          <td>{{ route.name }}</td>
          <td class="num">{{ route.theirs === null ? '–' : `${route.theirs.toFixed(1)} m` }}</td>
          <td class="num">{{ route.right.toFixed(1) }} m</td>
          <td>
            <span class="tag" :class="TAG[route.verdict]">{{ VERDICT_TEXT[route.verdict] }}</span>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="marks.open.length">
      Objectives still open: {{ marks.open.map((one) => OBJECTIVE_TEXT[one]).join(' · ') }}
    </p>
    <ul v-if="marks.contradictions.length">
      <li v-for="(one, i) in marks.contradictions" :key="i">{{ contradictionSays(one) }}</li>
    </ul>
  </div>
</template>

<script setup lang="ts">
import { scaleLinear, scaleLog } from 'd3-scale'
import type { GroupMarks, GroupStep } from '#schemas/marking-views'
import { STEP_TEXT } from '#words/steps'

definePageMeta({ roles: ['instructor', 'assessor', 'verifier'] })
const id = useRoute().params.id
const wanted = ref('')
const { data, problem, refresh } = useServer<GroupMarks>(
  () => `marking/groups/${id}?cohort=${encodeURIComponent(wanted.value)}`,
)
const isAll = ref(false)
const picked = ref<string | null>(null)

const failing = (step: GroupStep) => step.verdicts.wrong + step.verdicts.missing
/** The steps most get wrong first; those that all have right only when asked for. */
const steps = computed(() =>
  [...(data.value?.steps ?? [])]
    .sort((a, b) => failing(b) - failing(a) || b.verdicts.carried - a.verdicts.carried)
    .filter((step) => isAll.value || failing(step) + step.verdicts.carried > 0),
)
const chosen = computed(() => steps.value.find(({ node }) => node === picked.value) ?? steps.value[0])

const BAR_WIDTH = 260
const VERDICTS = ['right', 'carried', 'wrong', 'missing'] as const
const WORDS = { right: 'right', carried: 'right for their figures', wrong: 'wrong', missing: 'empty' }
const bar = computed(() => scaleLinear([0, data.value?.sheets ?? 1], [0, BAR_WIDTH]))
const segments = (step: GroupStep) =>
  VERDICTS.map((verdict, i) => ({
    verdict,
    x: bar.value(VERDICTS.slice(0, i).reduce((sum, other) => sum + step.verdicts[other], 0)),
    width: bar.value(step.verdicts[verdict]),
    count: step.verdicts[verdict],
  }))

const PLOT = { width: 520, height: 190, left: 20, right: 20, axis: 150 }
const TICKS = [0.1, 0.2, 0.5, 1, 2, 5, 10]
/** Their value over the worked one, on a scale that keeps halves and doubles as far apart. */
const place = scaleLog([0.08, 12.5], [PLOT.left, PLOT.width - PLOT.right]).clamp(true)
const dots = computed(() => {
  const used = new Map<number, number>()
  return (chosen.value?.ratios ?? []).map((dot) => {
    const x = place(dot.ratio)
    const column = Math.round(x / 10)
    const level = used.get(column) ?? 0
    used.set(column, level + 1)
    return { ...dot, x, y: PLOT.axis - 10 - level * 13 }
  })
})
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>What the group gets wrong</h1>
        <p v-if="data" class="soft">
          {{ data.exercise.code }} {{ data.exercise.title }}, {{ data.sheets }}
          {{ data.sheets === 1 ? 'sheet' : 'sheets' }} handed in.
        </p>
      </div>
      <div class="row">
        <GroupPick v-if="data" :cohorts="data.cohorts" :cohort="data.cohort" @pick="wanted = $event" />
        <el-checkbox v-model="isAll" label="Every step" /><LinkButton to="/marking"
          >Back to the pile</LinkButton
        >
      </div>
    </div>
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 300px" />
    <div v-else-if="data.sheets === 0" class="empty"><h2>No sheet has been handed in yet</h2></div>
    <div v-else-if="steps.length === 0" class="empty">
      <h2>Everybody has every step right</h2>
      <p>Tick “Every step” to see the values anyway.</p>
    </div>
    <div v-else class="group">
      <table class="grid-table" aria-label="Steps, the most often wrong first">
        <thead>
          <tr>
            <th>Step</th>
            <th>
              <span class="key right" /> right <span class="key carried" /> right for their figures
              <span class="key wrong" /> wrong
            </th>
            <th class="num">Wrong</th>
          </tr>
        </thead>
        <tbody>
          <tr
            v-for="step in steps"
            :key="step.node"
            :class="{ on: chosen?.node === step.node }"
            tabindex="0"
            @click="picked = step.node"
            @keydown.enter="picked = step.node"
          >
            <td>
              <b>{{ STEP_TEXT[step.step].name }}</b><br /><span class="soft small">{{ step.scopeName }}</span>
            </td>
            <td>
              <svg
                :viewBox="`0 0 ${BAR_WIDTH} 16`"
                :width="BAR_WIDTH"
                height="16"
                role="img"
                :aria-label="
                  VERDICTS.map((verdict) => `${step.verdicts[verdict]} ${WORDS[verdict]}`).join(', ')
                "
              >
                <line
                  v-for="part in segments(step).filter((candidate) => candidate.count > 0)"
                  :key="part.verdict"
                  :class="part.verdict"
                  :x1="part.x + 4"
                  :x2="Math.max(part.x + 4.1, part.x + part.width - 4)"
                  y1="8"
                  y2="8"
                />
              </svg>
            </td>
            <td class="num">
              <b>{{ failing(step) }}</b> of {{ data.sheets }}
            </td>
          </tr>
        </tbody>
      </table>
      <aside v-if="chosen" class="chosen">
        <h2>{{ STEP_TEXT[chosen.step].name }}, {{ chosen.scopeName }}</h2>
        <template v-if="chosen.ratios.length">
          <svg
            :viewBox="`0 0 ${PLOT.width} ${PLOT.height}`"
            role="group"
            :aria-label="`Values of ${chosen.ratios.length} people over the worked value`"
          >
            <line
              class="axis"
              :x1="PLOT.left"
              :x2="PLOT.width - PLOT.right"
              :y1="PLOT.axis"
              :y2="PLOT.axis"
            />
            <line class="one" :x1="place(1)" :x2="place(1)" y1="14" :y2="PLOT.axis" />
            <g v-for="tick in TICKS" :key="tick">
              <line class="axis" :x1="place(tick)" :x2="place(tick)" :y1="PLOT.axis" :y2="PLOT.axis + 5" />
              <text :x="place(tick)" :y="PLOT.axis + 20">{{ tick === 1 ? 'worked' : `× ${tick}` }}</text>
            </g>
            <NuxtLink
              v-for="dot in dots"
              :key="dot.attempt"
              :to="`/marking/${dot.attempt}`"
              :aria-label="`${dot.name}: × ${Number(dot.ratio.toPrecision(3))}, ${WORDS[dot.verdict]}`"
            >
              <circle :class="dot.verdict" :cx="dot.x" :cy="dot.y" r="5.5">
                <title>
                  {{ dot.name }}: × {{ Number(dot.ratio.toPrecision(3)) }}, {{ WORDS[dot.verdict] }}
                </title>
              </circle>
            </NuxtLink>
          </svg>
          <p class="small soft">
            Each dot is one person’s value over the worked value of their own variant. Two dots in one place
            may be one mistake, or one sheet copied.
          </p>
        </template>
        <p v-else class="soft">A choice or a table value: see the reasons.</p>
        <template v-if="chosen.slips.length"
          ><h3>Why</h3>
          <ul>
            <li v-for="slip in chosen.slips" :key="slip.sentence">
              <b>{{ slip.count }} ×</b> {{ slip.sentence }}
            </li>
          </ul></template
        >
      </aside>
    </div>
  </div>
</template>

<style scoped>
.group {
  display: grid;
  grid-template-columns: minmax(560px, 1fr) minmax(400px, 540px);
  gap: 30px;
  align-items: start;
}
tr {
  cursor: pointer;
}
tr.on {
  background: var(--indigo-wash);
}
td {
  padding: 5px 8px !important;
  line-height: 1.25;
}
td svg line {
  stroke-width: 7;
  stroke-linecap: round;
}
line.right {
  stroke: var(--leaf);
}
line.carried {
  stroke: var(--turmeric);
  stroke-dasharray: 12 10;
}
line.wrong {
  stroke: var(--madder);
  stroke-dasharray: 0.1 11;
}
line.missing {
  stroke: var(--hem-strong);
  stroke-dasharray: 0.1 11;
}
.key {
  display: inline-block;
  width: 16px;
  height: 7px;
  border-radius: 4px;
  margin: 0 2px 0 8px;
  background: var(--leaf);
}
.key.carried {
  background: repeating-linear-gradient(90deg, var(--turmeric) 0 6px, transparent 6px 9px);
}
.key.wrong {
  background: radial-gradient(circle 3px, var(--madder) 95%, transparent) 0 0 / 8px 7px;
}
.chosen {
  background: var(--panel);
  border: 1px solid var(--hem);
  padding: 16px 20px;
  display: flex;
  flex-direction: column;
  gap: 8px;
  position: sticky;
  top: 16px;
}
.axis {
  stroke: var(--soft);
}
.one {
  stroke: var(--leaf);
  stroke-width: 2;
  stroke-dasharray: 5 4;
}
text {
  font: var(--mid) 12px var(--mono);
  text-anchor: middle;
  fill: var(--soft);
}
circle {
  fill: var(--leaf);
  stroke: var(--panel);
  stroke-width: 1.5;
}
circle.carried {
  fill: var(--turmeric);
}
circle.wrong {
  fill: var(--madder);
}
ul {
  margin: 0;
  padding-left: 4px;
  list-style: none;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
@media (max-width: 1100px) {
  .group {
    grid-template-columns: 1fr;
  }
}
</style>

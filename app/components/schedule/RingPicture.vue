<script setup lang="ts">
import { scaleLinear, scalePoint } from 'd3-scale'
import { line } from 'd3-shape'
import { formatQuantity } from '#core/units/format'
import { ringPatternWords } from '#words/ring'
import type { RingProfile, RingStep } from '~/composables/useRingProfiles'

/** Steps 2 and 3 along a ring: one dot for each socket-outlet, a quarter of both ends as a dashed line. */
const props = defineProps<{ profile: RingProfile }>()

const [WIDTH, HEIGHT, LEFT, BOTTOM, TOP] = [620, 190, 56, 34, 16]
const count = computed(() => Math.max(...props.profile.steps.map(({ readings }) => readings.length)))
const sockets = computed(() => Array.from({ length: count.value }, (_, i) => i + 1))
const x = computed(() => scalePoint<number>(sockets.value, [LEFT, WIDTH - 20]).padding(0.6))
const y = computed(() => {
  const ohms = props.profile.steps.flatMap(({ readings, quarter }) => [...readings, quarter])
  const top = Math.max(0.1, ...ohms.filter((ohm) => ohm !== undefined)) * 1.2
  return scaleLinear([0, top], [HEIGHT - BOTTOM, TOP])
})
const dots = ({ readings }: RingStep) =>
  readings.flatMap((ohm, i) => (ohm === undefined ? [] : [{ at: i + 1, ohm }]))
const isStanding = ({ pattern }: RingStep, at: number) =>
  pattern.is === 'hump' && at - 1 >= pattern.first && at - 1 <= pattern.last
const path = (step: RingStep) =>
  line<{ at: number; ohm: number }>(
    ({ at }) => x.value(at)!,
    ({ ohm }) => y.value(ohm),
  )(dots(step)) ?? ''
const isPlain = ({ pattern }: RingStep) => pattern.is === 'level' || pattern.is === 'unknown'
</script>

<template>
  <figure :data-testid="`ring-${profile.circuit}`">
    <figcaption>
      <h3>Round the ring: {{ profile.name }}</h3>
      <p
        v-for="step in profile.steps"
        :key="step.step"
        class="say"
        :class="{ odd: !isPlain(step) }"
        :data-testid="`ring-say-${step.step}`"
      >
        <b :class="`step${step.step}`"
          >Step {{ step.step }}, line–{{ step.step === 2 ? 'neutral' : 'cpc' }}</b
        >
        {{ ringPatternWords(step.pattern, step.step) }}
      </p>
    </figcaption>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      role="img"
      :aria-label="`Readings round the ring ${profile.name}`"
    >
      <g v-for="ohm in y.ticks(4)" :key="ohm">
        <line class="grid" :x1="LEFT" :x2="WIDTH - 8" :y1="y(ohm)" :y2="y(ohm)" />
        <text class="tick" :x="LEFT - 8" :y="y(ohm) + 4" text-anchor="end">
          {{ formatQuantity(ohm, 'resistance') }}
        </text>
      </g>
      <text v-for="at in sockets" :key="at" class="tick" :x="x(at)" :y="HEIGHT - 14" text-anchor="middle">
        {{ at }}
      </text>
      <text class="tick" :x="LEFT - 8" :y="HEIGHT - 14" text-anchor="end">outlet</text>
      <g v-for="step in profile.steps" :key="step.step" :class="`step${step.step}`">
        <line
          v-if="step.quarter !== undefined"
          class="quarter"
          :x1="LEFT"
          :x2="WIDTH - 8"
          :y1="y(step.quarter)"
          :y2="y(step.quarter)"
        />
        <path class="along" :d="path(step)" />
        <template v-for="{ at, ohm } in dots(step)" :key="at">
          <circle
            v-if="step.step === 2"
            :cx="x(at)"
            :cy="y(ohm)"
            r="5"
            :class="{ out: isStanding(step, at) }"
          />
          <rect
            v-else
            :x="x(at)! - 4.5"
            :y="y(ohm) - 4.5"
            width="9"
            height="9"
            :class="{ out: isStanding(step, at) }"
          />
        </template>
      </g>
    </svg>
    <p class="soft small">
      Dashed: a quarter of both ends. ● step 2, ■ step 3. Guidance Note 3 describes the method; read the
      current issue.
    </p>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  border: 1px solid var(--hem);
  background: var(--panel);
  border-radius: var(--ease);
  padding: 12px 16px;
  max-width: 760px;
}
svg {
  width: 100%;
  display: block;
}
.say b {
  margin-right: 6px;
}
.say.odd {
  font-weight: var(--strong);
}
.grid {
  stroke: var(--hem);
}
.tick {
  font: 12px var(--mono);
  fill: var(--soft);
}
.along {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.6;
  opacity: 0.55;
}
.quarter {
  stroke: currentColor;
  stroke-width: 1.6;
  stroke-dasharray: 5 4;
}
.step2 {
  color: var(--indigo-text);
}
.step3 {
  color: var(--leaf);
}
circle,
rect {
  fill: currentColor;
}
.out {
  fill: var(--madder);
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>

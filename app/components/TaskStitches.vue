<script setup lang="ts">
import { STAGES, type Stage } from '#core/exercise/attempt/stages'

/**
 * An attempt's way from design to decision as six stitches; the one in hand half sewn, a shut gate ringed in
 * madder.
 */
const props = defineProps<{ stage: Stage; share?: number }>()
const WORDS = ['design', 'dead tests', 'permission', 'live tests', 'marking', 'decision']
const at = computed(() => STAGES.indexOf(props.stage))
const label = computed(
  () =>
    `${Math.min(at.value, 6)} of ${WORDS.length} stages done${at.value < 6 ? `, now ${WORDS[at.value]}` : ''}`,
)
</script>

<template>
  <svg class="stitches" viewBox="0 0 176 12" role="img" :aria-label="label">
    <template v-for="(word, i) in WORDS" :key="word">
      <rect v-if="i < at" class="sewn" :x="i * 28 + 1" y="4" width="21" height="4.500" rx="2.200" />
      <template v-else>
        <circle
          class="hole"
          :class="{ shut: i === 2 && stage === 'permission' }"
          :cx="i * 28 + 4"
          cy="6"
          r="2"
        />
        <circle
          class="hole"
          :class="{ shut: i === 2 && stage === 'permission' }"
          :cx="i * 28 + 19"
          cy="6"
          r="2"
        />
        <rect
          v-if="i === at && stage === 'design' && share"
          class="sewn"
          :x="i * 28 + 1"
          y="4"
          :width="21 * share"
          height="4.500"
          rx="2.200"
        />
      </template>
    </template>
    <path v-if="stage === 'released'" class="sewn" d="M168 6q3.500 -6 7 0q-3.500 6 -7 0z" />
  </svg>
</template>

<style scoped>
.stitches {
  width: 100%;
  max-width: 176px;
  height: 12px;
  display: block;
}
.sewn {
  fill: var(--indigo);
}
.hole {
  fill: var(--hem-strong);
}
.hole.shut {
  fill: none;
  stroke: var(--madder);
  stroke-width: 1.3;
}
</style>

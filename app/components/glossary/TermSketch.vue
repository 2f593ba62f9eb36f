<script setup lang="ts">
import { SKETCHES, SPOT_OF_TERM } from '#words/glossary/drawn'

/** What a term looks like, where a drawing says more than its sentence; nothing for the others. */
const { term } = defineProps<{ term: string }>()
const sketch = computed(() => SKETCHES[term])
const place = computed(() => SPOT_OF_TERM[term])
</script>

<template>
  <svg v-if="sketch" viewBox="0 0 200 110" class="sketch" role="img" :aria-label="`Sketch of ${term}`">
    <path v-for="(stroke, i) in sketch" :key="i" :d="stroke.d" :class="stroke.ink" />
  </svg>
  <LazyDrawingShown v-else-if="place" class="sketch" :drawing="place[0]" :spot="place[1]" />
</template>

<style scoped>
.sketch {
  width: 200px;
  max-width: 100%;
  background: var(--raised);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
path {
  fill: none;
  stroke-width: 3;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.line {
  stroke: var(--conductor-l1);
}
.neutral {
  stroke: var(--conductor-n);
}
.earth {
  stroke: var(--leaf);
}
.metal {
  stroke: var(--soft);
  stroke-width: 6;
}
.thing {
  stroke: var(--indigo-text);
  stroke-width: 2;
}
</style>

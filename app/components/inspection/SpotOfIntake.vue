<script setup lang="ts">
import type { SpotView } from '#schemas/workmanship-views'

/** A thing at an intake as it is found. */
const props = defineProps<{ spot: SpotView }>()
const mid = computed(() => props.spot.x + props.spot.w / 2)
</script>

<template>
  <template v-if="spot.kind === 'earth'">
    <path
      v-if="spot.id.endsWith('-a')"
      :d="`M170 470H${spot.x + spot.w - (spot.look === 'loose' ? 26 : -6)}`"
      :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
    />
    <circle v-if="spot.id.endsWith('-a')" cx="170" cy="470" r="10" class="screw" />
    <path
      v-else-if="spot.id.endsWith('-b')"
      :d="`M210 400V${spot.y + 30}H${spot.x + spot.w - (spot.look === 'loose' ? 26 : -6)}`"
      :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
    />
    <template v-else>
      <path
        :d="`M${spot.x} 528V${spot.y + 30}H${spot.x + spot.w - (spot.look === 'loose' ? 26 : -6)}`"
        :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
      />
      <path :d="`M${spot.x - 8} 526h16M${spot.x - 5} 531h10`" class="busbar" />
    </template>
    <path v-if="spot.look === 'loose'" :d="`M${spot.x + spot.w - 26} ${spot.y + 20}l12 -14`" class="strand" />
  </template>
  <template v-else-if="spot.kind === 'cutout'">
    <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="case" />
    <circle
      :cx="spot.x + spot.w - 18"
      :cy="spot.y + 20"
      r="8"
      :class="spot.look === 'sealed' ? 'seal' : 'hole'"
    />
    <path v-if="spot.look === 'broken'" :d="`M${spot.x + spot.w - 26} ${spot.y + 30}l-8 14`" class="strand" />
  </template>
  <template v-else-if="spot.kind === 'meter'">
    <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="case" />
    <rect :x="spot.x + 22" :y="spot.y + 20" :width="spot.w - 44" height="34" class="paper" />
    <text :x="mid" :y="spot.y + 44" class="tiny" text-anchor="middle">04 371</text>
    <path
      v-if="spot.look === 'cracked'"
      :d="`M${spot.x + 12} ${spot.y + 120}l22 -30 14 10 26 -44`"
      class="crack"
    />
  </template>
  <template v-else-if="spot.kind === 'main'">
    <path v-if="spot.look === 'damaged'" :d="`M${mid - 10} ${spot.y + 32}h20`" class="wire copper" />
  </template>
  <template v-else-if="spot.kind === 'bond'">
    <template v-if="spot.look !== 'none'">
      <path
        :d="`M${spot.x} ${spot.y + 20}H${spot.x + spot.w}`"
        :class="['wire', 'green', { thin: spot.look === 'thin' }]"
      />
      <rect :x="spot.x + spot.w - 8" :y="spot.y + 8" width="16" height="26" class="clamp" />
    </template>
    <path :d="`M${spot.x + spot.w} ${spot.y - 16}v66`" class="pipe" />
  </template>
</template>

<script setup lang="ts">
import type { SpotView } from '#schemas/workmanship-views'

/** A thing on an opened board as it is found. */
const props = defineProps<{ spot: SpotView }>()
const mid = computed(() => props.spot.x + props.spot.w / 2)
</script>

<template>
  <template v-if="spot.kind === 'device'">
    <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="device" />
    <rect :x="spot.x + 18" :y="spot.y + 30" width="18" height="34" class="lever" />
    <circle :cx="mid" :cy="spot.y + 12" r="7" class="screw" />
    <path :d="`M${mid} ${spot.y + (spot.look === 'copper' ? -2 : 6)}V${spot.y - 60}`" class="wire brown" />
    <path v-if="spot.look === 'copper'" :d="`M${mid} ${spot.y + 4}V${spot.y - 12}`" class="wire copper" />
    <path v-if="spot.look === 'insulation'" :d="`M${mid} ${spot.y + 20}V${spot.y}`" class="wire brown" />
    <g v-if="spot.look === 'strands'">
      <path
        v-for="n in 3"
        :key="n"
        :d="`M${mid - 6 + n * 4} ${spot.y - 6}l${n * 4 - 8} -10`"
        class="strand"
      />
    </g>
  </template>
  <template v-else-if="spot.kind === 'way'">
    <rect
      :x="spot.x"
      :y="spot.y"
      :width="spot.w"
      :height="spot.h"
      :class="spot.look === 'gap' ? 'gap' : 'blank'"
    />
    <path
      v-if="spot.look === 'gap'"
      :d="`M${spot.x + 14} ${spot.y + 30}v16M${spot.x + 36} ${spot.y + 30}v16`"
      class="busbar"
    />
  </template>
  <template v-else-if="spot.kind === 'label'">
    <rect
      :x="spot.x"
      :y="spot.y"
      :width="spot.w"
      :height="spot.h"
      :class="spot.look === 'text' ? 'paper' : 'nothing'"
    />
    <path
      v-if="spot.look === 'text'"
      :d="`M${spot.x + 6} ${spot.y + 8}h${spot.w - 14}M${spot.x + 6} ${spot.y + 15}h${spot.w - 24}`"
      class="writing"
    />
  </template>
  <template v-else-if="spot.kind === 'top' || spot.kind === 'side'">
    <rect
      :x="spot.x"
      :y="spot.y"
      :width="spot.w"
      :height="spot.h"
      :class="spot.look === 'closed' ? 'plug' : 'hole'"
    />
  </template>
  <template v-else-if="spot.kind === 'entry'">
    <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="hole" />
    <rect
      v-if="spot.look === 'grommet'"
      :x="spot.x + 3"
      :y="spot.y + 3"
      :width="spot.w - 6"
      :height="spot.h - 6"
      class="grommet"
    />
  </template>
  <template v-else-if="spot.kind === 'neutral'">
    <path :d="`M${mid} ${spot.y + 30}V${spot.look === 'own' ? 330 : 318}`" class="wire blue" />
    <path v-if="spot.look === 'other'" :d="`M${mid} ${spot.y + 6}h44v-10`" class="wire blue" />
    <circle :cx="mid" :cy="spot.y + 28" :r="spot.look === 'own' ? 6 : 3" class="screw" />
  </template>
  <template v-else-if="spot.kind === 'earth'">
    <path
      :d="`M${mid} ${spot.y + (spot.look === 'loose' ? 12 : 30)}V${spot.y - 14}`"
      :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
    />
    <path
      v-if="spot.look !== 'bare'"
      :d="`M${mid} ${spot.y + (spot.look === 'loose' ? 12 : 30)}V${spot.y - 14}`"
      class="stripe"
    />
    <circle :cx="mid" :cy="spot.y + 28" r="6" class="screw" />
  </template>
  <template v-else-if="spot.kind === 'tails'">
    <path :d="`M${mid - 7} ${spot.y + 90}V284M${mid + 7} ${spot.y + 90}V284`" class="wire grey" />
    <rect
      v-if="spot.look === 'clamped'"
      :x="spot.x"
      :y="spot.y + 30"
      :width="spot.w"
      height="16"
      class="clamp"
    />
  </template>
  <template v-else-if="spot.kind === 'notice' || spot.kind === 'chart'">
    <rect
      :x="spot.x"
      :y="spot.y"
      :width="spot.w"
      :height="spot.h"
      :class="spot.look === 'there' ? 'paper' : 'nothing'"
    />
    <text v-if="spot.look === 'there'" :x="mid" :y="spot.y + 25" class="tiny" text-anchor="middle">
      {{ spot.kind === 'notice' ? 'press every 6 months' : 'circuits 1 … 6' }}
    </text>
  </template>
</template>

<script setup lang="ts">
import type { Shape } from '#core/inspection/draw'

defineProps<{ shape: Shape }>()
</script>

<template>
  <path v-if="shape.is === 'path'" :d="shape.d" :class="shape.skin" />
  <rect
    v-else-if="shape.is === 'rect'"
    :x="shape.x"
    :y="shape.y"
    :width="shape.w"
    :height="shape.h"
    :class="shape.skin"
  />
  <circle v-else-if="shape.is === 'circle'" :cx="shape.x" :cy="shape.y" :r="shape.r" :class="shape.skin" />
  <text v-else :x="shape.x" :y="shape.y" text-anchor="middle" :class="shape.skin">{{ shape.text }}</text>
</template>

<script setup lang="ts">
import type { Shape } from '#core/drawing/shape'

/** A drawn shape; a group holds more of them. */
defineProps<{ shape: Shape }>()
</script>

<template>
  <path
    v-if="shape.is === 'path'"
    :d="shape.d"
    :class="shape.skin"
    :style="shape.wide === undefined ? undefined : { strokeWidth: shape.wide }"
  />
  <rect
    v-else-if="shape.is === 'rect'"
    :x="shape.x"
    :y="shape.y"
    :width="shape.w"
    :height="shape.h"
    :rx="shape.r"
    :class="shape.skin"
  />
  <circle v-else-if="shape.is === 'circle'" :cx="shape.x" :cy="shape.y" :r="shape.r" :class="shape.skin" />
  <g v-else-if="shape.is === 'group'" :transform="`translate(${shape.x} ${shape.y}) rotate(${shape.turn})`">
    <SceneShape v-for="(one, i) in shape.shapes" :key="i" :shape="one" />
  </g>
  <text v-else :x="shape.x" :y="shape.y" :class="shape.skin">{{ shape.text }}</text>
</template>

<script setup lang="ts">
import type { BoardFace } from '#core/drawing/board-face'

/** A board as one stands before it, to be looked at. */
defineProps<{ face: BoardFace; name: string }>()
</script>

<template>
  <svg
    class="drawn face"
    :viewBox="`-3 -3 ${face.w + 6} ${face.h + 6}`"
    :style="{ maxWidth: `${face.w}px` }"
    role="img"
    :aria-label="`${name}, cover on`"
  >
    <DrawnShapes :shapes="face.ground" />
    <DrawnShapes v-for="device in face.devices" :key="device.id" :shapes="device.shapes" />
    <DrawnShapes :shapes="face.cover" />
  </svg>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.face {
  width: 100%;
  max-height: 190px;
  background: none;
  margin-bottom: 12px;
}
</style>

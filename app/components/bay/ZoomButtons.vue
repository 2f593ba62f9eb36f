<script setup lang="ts">
import { Maximize2, ZoomIn, ZoomOut } from '@lucide/vue'

/** Over the drawing: smaller, all of it, larger. */
const emit = defineEmits<{ by: [factor: number]; fit: [] }>()
const STEP = 1.25
</script>

<template>
  <div class="zoom">
    <button type="button" aria-label="Smaller" @click="emit('by', 1 / STEP)"><ZoomOut :size="20" /></button
    ><button type="button" aria-label="Fit" @click="emit('fit')"><Maximize2 :size="20" /></button
    ><button type="button" aria-label="Larger" @click="emit('by', STEP)"><ZoomIn :size="20" /></button>
  </div>
</template>

<style scoped>
.zoom {
  display: flex;
  position: absolute;
  right: 12px;
  bottom: 10px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--panel);
}
.zoom button {
  all: unset;
  cursor: pointer;
  width: 44px;
  height: 48px;
  display: grid;
  place-content: center;
  color: var(--indigo-text);
}
.zoom button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
</style>

<script setup lang="ts">
import { boardFace } from '#core/drawing/board-face'
import type { RunView } from '#schemas/isolation-views'
import { deviceSeen, stripName } from '~/texts/isolation'

/** The board as one stands before it: levers, names, the chart once it was read, padlocks and notices. */
const { devices, picked } = defineProps<{ devices: RunView['devices']; picked: string | null }>()
const emit = defineEmits<{ pick: [id: string] }>()
const REACH_Y = 44
const REACH_H = 196

const charted = computed(() =>
  devices.flatMap(({ name, says }) => (says === null ? [] : [`${stripName(name)}  ${says || 'no label'}`])),
)
const face = computed(() =>
  boardFace(
    devices.map(({ id, name, isOn, secured, look }) => ({
      ...look,
      id,
      isOn,
      secured,
      label: stripName(name),
    })),
    charted.value,
  ),
)
const byId = computed(() => new Map(devices.map((device) => [device.id, device])))
const chosen = computed(() => (picked === null ? undefined : byId.value.get(picked)))
</script>

<template>
  <div class="board">
    <div class="frame" tabindex="0" role="group" aria-label="The board">
      <svg class="drawn" :viewBox="`-3 -3 ${face.w + 6} ${face.h + 6}`" :style="{ width: `${face.w + 6}px` }">
        <DrawnShapes :shapes="face.ground" />
        <g v-for="placed in face.devices" :key="placed.id">
          <DrawnShapes :shapes="placed.shapes" />
        </g>
        <DrawnShapes :shapes="face.cover" />
        <DrawnShapes :shapes="face.hung" />
        <rect
          v-for="placed in face.devices"
          :key="`r${placed.id}`"
          class="reach"
          :class="{ picked: picked === placed.id }"
          role="button"
          tabindex="0"
          rx="4"
          :x="placed.x + 1"
          :y="REACH_Y"
          :width="placed.w - 2"
          :height="REACH_H"
          :aria-label="deviceSeen(byId.get(placed.id)!)"
          :aria-pressed="picked === placed.id"
          :data-device="placed.id"
          @click="emit('pick', placed.id)"
          @keydown.enter.prevent="emit('pick', placed.id)"
          @keydown.space.prevent="emit('pick', placed.id)"
        >
          <title>{{ deviceSeen(byId.get(placed.id)!) }}</title>
        </rect>
      </svg>
    </div>
    <p class="said" aria-live="polite" data-testid="device-seen">
      <template v-if="chosen"
        ><b>{{ chosen.name }}</b> {{ deviceSeen(chosen).slice(chosen.name.length) }}</template
      >
      <span v-else class="soft">Touch a device to act on it.</span>
    </p>
  </div>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
.frame {
  overflow-x: auto;
  border: 1px solid var(--hem);
  border-radius: var(--ease);
  background: var(--panel);
}
.frame:focus-visible {
  outline: 2.5px solid var(--indigo);
}
svg {
  margin: 6px auto;
}
.frame,
svg {
  background: var(--panel);
}
.reach {
  fill: transparent;
  stroke: transparent;
  stroke-width: 3;
  cursor: pointer;
  outline: none;
}
.reach:hover {
  stroke: #24356b;
  stroke-dasharray: 6 4;
}
.reach:focus-visible {
  stroke: #24356b;
}
.reach.picked {
  stroke: #d99a1c;
  stroke-width: 5;
}
.said {
  min-height: 26px;
  margin: 6px 2px 0;
}
</style>

<script setup lang="ts">
import type { RunView } from '#schemas/isolation-views'

/** The board as one stands before it: levers, what is written, padlocks and notices. */
defineProps<{ devices: RunView['devices']; picked: string | null }>()
const emit = defineEmits<{ pick: [id: string] }>()
</script>

<template>
  <div class="strip" role="group" aria-label="The board">
    <button
      v-for="device in devices"
      :key="device.id"
      type="button"
      class="device"
      :class="{ picked: picked === device.id, off: !device.isOn }"
      :aria-pressed="picked === device.id"
      :data-device="device.id"
      @click="emit('pick', device.id)"
    >
      <span class="lever" aria-hidden="true"><i /></span>
      <b>{{ device.name }}</b>
      <span class="says">{{ device.says === null ? '' : device.says || 'no label' }}</span>
      <span class="marks"
        ><span v-if="device.isLocked" class="tag plain">locked</span
        ><span v-if="device.hasNotice" class="tag waiting">notice</span
        ><span class="small">{{ device.isOn ? 'on' : 'off' }}</span></span
      >
    </button>
  </div>
</template>

<style scoped>
.strip {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  border: 2px solid var(--ink);
  border-radius: var(--ease);
  padding: 10px;
  background: var(--panel);
}
.device {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 106px;
  min-height: 112px;
  border: 1.5px solid var(--hem-strong);
  border-radius: 3px;
  padding: 8px;
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 2px 8px;
  background: var(--raised);
  align-content: start;
}
.device.picked {
  border-color: var(--indigo);
  background: var(--indigo-wash);
  box-shadow: inset 0 -4px 0 var(--indigo);
}
.device:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.lever {
  grid-row: 1 / 3;
  width: 20px;
  height: 34px;
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 2px;
  display: flex;
}
.lever i {
  width: 100%;
  height: 14px;
  background: var(--indigo);
  align-self: flex-start;
  border-radius: 1px;
}
.off .lever i {
  align-self: flex-end;
  background: var(--soft);
}
.device b {
  font-size: 14.5px;
  line-height: 1.15;
}
.says {
  grid-column: 1 / 3;
  font: var(--strong) 13px var(--mono);
  color: var(--indigo-text);
  min-height: 18px;
  line-height: 1.2;
}
.marks {
  grid-column: 1 / 3;
  display: flex;
  gap: 4px;
  flex-wrap: wrap;
  align-items: center;
}
</style>

<script setup lang="ts" generic="T extends string | number">
/** A few choices side by side, one of them in force. */
defineProps<{ label: string; choices: readonly T[]; chosen: T; nameOf?: (choice: T) => string }>()
const emit = defineEmits<{ choose: [choice: T] }>()
</script>

<template>
  <div class="seg" role="radiogroup" :aria-label="label">
    <button
      v-for="choice in choices"
      :key="choice"
      type="button"
      role="radio"
      :aria-checked="chosen === choice"
      :aria-label="nameOf?.(choice)"
      :title="nameOf?.(choice)"
      @click="emit('choose', choice)"
    >
      <slot :choice="choice">{{ nameOf?.(choice) ?? choice }}</slot>
    </button>
    <slot name="unit" />
  </div>
</template>

<style scoped>
.seg {
  display: flex;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  overflow: hidden;
  align-items: center;
}
.seg button {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  min-height: 48px;
  min-width: var(--choice-width, 44px);
  padding: 0 var(--choice-pad, 12px);
  text-align: center;
  font: var(--choice-font, 640 16px var(--font));
  color: var(--indigo-text);
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 6px;
  border-right: 1px solid var(--hem);
}
.seg button[aria-checked='true'] {
  background: var(--indigo);
  color: var(--on-indigo);
}
.seg button:focus-visible {
  outline: 2.5px solid var(--turmeric);
  outline-offset: -3px;
}
</style>

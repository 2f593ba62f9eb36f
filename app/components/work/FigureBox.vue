<script setup lang="ts">
/** A box for one figure with its unit, large enough for a gloved hand. A plain field: a sheet has dozens of them. */
defineProps<{ name: string; label: string; unit: string; locked: boolean; bad: boolean }>()
const typed = defineModel<string>({ required: true })
</script>

<template>
  <label class="figure" :class="{ locked }">
    <span class="inside">
      <input
        :value="typed"
        :disabled="locked"
        :aria-label="label"
        :aria-invalid="bad"
        :name="name"
        inputmode="text"
        autocomplete="off"
        spellcheck="false"
        maxlength="60"
        @input="typed = ($event.target as HTMLInputElement).value"
      />
      <span v-if="unit" class="unit">{{ unit }}</span>
    </span>
  </label>
</template>

<style scoped>
.figure {
  display: block;
  flex: 1;
  min-width: 0;
  height: 48px;
  padding: 0 14px;
  background: var(--raised);
  border: 1px solid var(--hem-strong);
  border-radius: var(--ease);
  cursor: text;
}
.figure:focus-within {
  outline: 2.5px solid var(--indigo);
  outline-offset: -1px;
}
.figure.locked {
  background: var(--panel);
  color: var(--soft);
  cursor: not-allowed;
}
/* Of a fixed size, so that a key lays out this box and not the page. */
.inside {
  display: flex;
  align-items: center;
  gap: 8px;
  height: 100%;
  contain: size layout;
}
input {
  all: unset;
  flex: 1;
  min-width: 0;
  height: 100%;
  font: var(--strong) 20px var(--mono);
}
.unit {
  color: var(--soft);
  font: var(--mid) 15px var(--mono);
}
</style>

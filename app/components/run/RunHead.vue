<script setup lang="ts">
import { MADE, SIZES, type ContainmentRun } from '#core/containment/containment-run'
import type { RunFields } from '#core/containment/form'

/** Over a run: its name, what it is made of, its size, and what the exercise asks of it. */
const props = defineProps<{
  fields: RunFields
  problems: Readonly<Record<string, string>>
  locked: boolean
}>()
const emit = defineEmits<{ write: [key: string, text: string] }>()
const text = (key: string, usual = '') => props.fields[key] ?? usual
const write = (key: string, event: Event) =>
  emit('write', key, (event.target as HTMLInputElement | HTMLSelectElement).value)
const sizes = computed(() => SIZES[text('made', 'conduit') as ContainmentRun['made']] ?? SIZES.conduit)
const size = computed(() => (sizes.value.find(({ code }) => code === text('size')) ?? sizes.value[1]!).code)
</script>

<template>
  <div class="head screen-only">
    <input
      class="name"
      :value="text('name')"
      :disabled="locked"
      name="name"
      aria-label="Name of the run"
      maxlength="80"
      @input="write('name', $event)"
    />
    <label
      >made of<select
        :value="text('material', 'pvc')"
        :disabled="locked"
        name="material"
        @change="write('material', $event)"
      >
        <option value="pvc">PVC</option>
        <option value="steel">steel</option>
      </select></label
    >
    <label
      >system<select
        :value="text('made', 'conduit')"
        :disabled="locked"
        name="made"
        @change="write('made', $event)"
      >
        <option v-for="system in MADE" :key="system" :value="system">{{ system }}</option>
      </select></label
    >
    <label
      >size<select :value="size" :disabled="locked" name="size" @change="write('size', $event)">
        <option v-for="stock in sizes" :key="stock.code" :value="stock.code">{{ stock.words }}</option>
      </select></label
    >
    <label
      v-for="[key, name, usual] in [
        ['bays', 'bays', '1'],
        ['tolerance', 'tolerance ± mm', '2'],
        ['pass', 'pass mark %', '80'],
        ['bends', 'most bends', '2'],
        ['span', 'warms by, K', '20'],
        ['areas', 'conductors mm²', ''],
      ] as const"
      :key="key"
      :class="{ bad: problems[key], wide: key === 'areas' }"
      :title="problems[key]"
      >{{ name
      }}<input
        :value="text(key, usual)"
        :disabled="locked"
        :name="key"
        :placeholder="key === 'areas' ? '6×2.5' : ''"
        @input="write(key, $event)"
    /></label>
    <span class="grow" /><slot />
  </div>
</template>

<style scoped>
.head {
  display: flex;
  gap: 8px;
  align-items: end;
  flex-wrap: wrap;
}
.head label {
  display: grid;
  font-size: 12.5px;
  color: var(--soft);
  width: 86px;
  white-space: nowrap;
}
.head label:has(select) {
  width: 90px;
}
.head label.wide {
  width: 118px;
}
.head input,
.head select {
  height: 36px;
  border: 1px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--raised);
  color: var(--ink);
  font: var(--strong) 14.5px var(--font);
  padding: 0 8px;
  width: 100%;
}
.head .name {
  width: 222px;
  font: var(--heavy) 19px var(--font);
  height: 42px;
}
.grow {
  flex: 1;
}
</style>

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
const sizes = computed(() => SIZES[text('made', 'conduit') as ContainmentRun['made']] ?? SIZES.conduit)
const size = computed(() => (sizes.value.find(({ code }) => code === text('size')) ?? sizes.value[1]!).code)
</script>

<template>
  <div class="head screen-only">
    <el-input
      class="name"
      :model-value="text('name')"
      :disabled="locked"
      name="name"
      aria-label="Name of the run"
      maxlength="80"
      @update:model-value="emit('write', 'name', $event)"
    />
    <label class="field"
      ><span>made of</span
      ><el-select
        :model-value="text('material', 'pvc')"
        :disabled="locked"
        name="material"
        aria-label="made of"
        @update:model-value="emit('write', 'material', $event)"
        ><el-option value="pvc" label="PVC" /><el-option value="steel" label="steel" /></el-select
    ></label>
    <label class="field"
      ><span>system</span
      ><el-select
        :model-value="text('made', 'conduit')"
        :disabled="locked"
        name="made"
        aria-label="system"
        @update:model-value="emit('write', 'made', $event)"
        ><el-option v-for="system in MADE" :key="system" :value="system" :label="system" /></el-select
    ></label>
    <label class="field"
      ><span>size</span
      ><el-select
        :model-value="size"
        :disabled="locked"
        name="size"
        aria-label="size"
        @update:model-value="emit('write', 'size', $event)"
        ><el-option
          v-for="stock in sizes"
          :key="stock.code"
          :value="stock.code"
          :label="stock.words" /></el-select
    ></label>
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
      class="field"
      :class="{ bad: problems[key], wide: key === 'areas' }"
      :title="problems[key]"
      ><span>{{ name }}</span
      ><el-input
        :model-value="text(key, usual)"
        :disabled="locked"
        :name="key"
        :placeholder="key === 'areas' ? '6×2.5' : ''"
        @update:model-value="emit('write', key, $event)"
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
.head .field {
  width: 92px;
  white-space: nowrap;
}
.head .field > span {
  font-size: 12.5px;
  color: var(--soft);
}
.head .field:has(.el-select) {
  width: 104px;
}
.head .wide {
  width: 124px;
}
.head .name {
  width: 222px;
  font: var(--heavy) 18px var(--font);
}
.grow {
  flex: 1;
}
</style>

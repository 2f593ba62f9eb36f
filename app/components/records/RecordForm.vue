<script setup lang="ts">
import { dayText } from '#words/day'
import type { NamedItem, NamedRecord } from '#words/test-record'
import type { CircuitHead } from '#schemas/schedule-views'

/** The parts of a record: what is known stands there, the rest is typed. */
const props = defineProps<{
  paper: NamedRecord
  circuits: readonly CircuitHead[]
  /** What stands in a box that somebody fills; nothing is typed into a record that is signed. */
  field?: (key: string) => string
  locked?: boolean
}>()
const typed = (key: string) => props.field?.(key) ?? ''
const emit = defineEmits<{ write: [key: string, text: string] }>()
const isLong = ({ key }: NamedItem) =>
  ['description', 'extent', 'existingComments', 'departures'].includes(key)
const isDay = (key: string) => key === 'date' || key === 'nextInspection'
/** As it stands: what nobody types, and everything once it is signed. */
const text = ({ key, value, why }: NamedItem) => {
  const circuit = key === 'circuit' ? props.circuits.find(({ id }) => id === value) : undefined
  const shown = isDay(key) ? dayText(value) : (circuit?.name ?? value)
  return [shown || 'not there yet', ...(why ? [`because: ${why}`] : [])].join(', ')
}
const isLeft = (text: string) => /^(n\/?a|lim)\b/i.test(text)
</script>

<template>
  <section v-for="(part, i) in paper.parts" :key="part.name" class="part">
    <h2>
      <span class="mono">{{ i + 1 }}</span> {{ part.name }}
    </h2>
    <div class="items">
      <div
        v-for="item in part.items"
        :key="item.key"
        class="item"
        :class="{ long: isLong(item) || item.key === 'declaration', open: item.value === '' }"
      >
        <label :for="item.key">{{ item.name }}</label>
        <b v-if="!item.isTyped || locked" class="known">{{ text(item) }}</b>
        <template v-else>
          <el-select
            v-if="item.choices"
            :id="item.key"
            class="screen-only"
            :model-value="typed(item.key)"
            :name="item.key"
            :data-testid="`record-${item.key}`"
            placeholder="…"
            @update:model-value="emit('write', item.key, $event)"
          >
            <el-option
              v-for="choice in item.choices"
              :key="choice"
              :value="choice"
              :label="
                item.key === 'circuit' ? (circuits.find(({ id }) => id === choice)?.name ?? choice) : choice
              "
            />
          </el-select>
          <span v-else-if="isDay(item.key)" class="screen-only">
            <DayPicker
              :id="item.key"
              :model-value="typed(item.key)"
              :label="item.name"
              :name="item.key"
              clearable
              @update:model-value="emit('write', item.key, $event)"
            />
          </span>
          <el-input
            v-else
            :id="item.key"
            class="screen-only"
            :model-value="typed(item.key)"
            :name="item.key"
            maxlength="400"
            @update:model-value="emit('write', item.key, $event)"
          />
          <b class="paper-only">{{ isDay(item.key) ? dayText(item.value) : item.value }}</b>
          <el-input
            v-if="isLeft(typed(item.key))"
            class="why"
            :model-value="typed(`why.${item.key}`)"
            :name="`why.${item.key}`"
            placeholder="because"
            :aria-label="`Reason for ${item.name}`"
            maxlength="400"
            @update:model-value="emit('write', `why.${item.key}`, $event)"
          />
        </template>
      </div>
    </div>
  </section>
</template>

<style scoped>
.part {
  border-top: 1.5px dashed var(--hem-strong);
  padding: 10px 0 14px;
  break-inside: avoid;
}
h2 {
  font-size: 18px;
  margin-bottom: 8px;
}
h2 .mono {
  color: var(--indigo-text);
  margin-right: 6px;
}
.items {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px 24px;
}
.item {
  display: grid;
  grid-template-columns: minmax(120px, 40%) 1fr;
  gap: 4px 10px;
  align-items: center;
  min-height: 38px;
  border-bottom: 1px solid var(--hem);
}
.long {
  grid-column: 1 / 3;
  grid-template-columns: minmax(120px, 19%) 1fr;
}
label {
  color: var(--soft);
  font-size: 14.5px;
  line-height: 1.2;
}
.known {
  font-weight: var(--strong);
  line-height: 1.25;
}
.open {
  --el-border-color: var(--turmeric);
}
.why {
  grid-column: 2;
}
.paper-only {
  display: none;
}
@media print {
  .paper-only {
    display: inline;
  }
  .item {
    min-height: 0;
    padding: 3px 0;
  }
  .why {
    --el-border-color: transparent;
  }
}
@media (max-width: 900px) {
  .items {
    grid-template-columns: 1fr;
  }
  .long {
    grid-column: 1;
  }
}
</style>

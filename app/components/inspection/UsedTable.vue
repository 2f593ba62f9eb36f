<script setup lang="ts">
import type { InspectionView } from '#schemas/workmanship-views'

type Planned = InspectionView['planned'][number]

/** What the stores laid out, what was used, and what goes back. */
const props = defineProps<{ planned: readonly Planned[]; minutes: number; field: (name: string) => string }>()
const emit = defineEmits<{ write: [name: string, text: string] }>()

/** As typed; undefined while the box is empty. */
const usedOf = (key: string): number | undefined => {
  const text = props.field(`used.${key}`)
  return text === '' ? undefined : Number(text.replace(',', '.'))
}
function returned({ key, planned, unit }: Planned): string {
  const used = usedOf(key)
  return used === undefined ? '–' : `${Math.round((planned - used) * 10) / 10} ${unit}`
}
</script>

<template>
  <table>
    <thead>
      <tr>
        <th>What</th>
        <th class="num">planned</th>
        <th class="num">used</th>
        <th class="num">back to stores</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="material in planned" :key="material.key">
        <th scope="row">{{ material.name }}</th>
        <td class="num mono">{{ material.planned }} {{ material.unit }}</td>
        <td class="num">
          <el-input
            :model-value="field(`used.${material.key}`)"
            :name="`used.${material.key}`"
            :aria-label="`Used: ${material.name}`"
            maxlength="8"
            @update:model-value="emit('write', `used.${material.key}`, $event)"
          />
        </td>
        <td class="num mono" :class="{ bad: (usedOf(material.key) ?? 0) > material.planned }">
          {{ returned(material) }}
        </td>
      </tr>
      <tr>
        <th scope="row">Time</th>
        <td class="num mono">{{ minutes }} min</td>
        <td class="num">
          <el-input
            :model-value="field('minutes.all')"
            name="minutes.all"
            aria-label="Minutes used"
            maxlength="6"
            @update:model-value="emit('write', 'minutes.all', $event)"
          />
        </td>
        <td />
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
  max-width: 760px;
}
th,
td {
  text-align: left;
  padding: 6px 12px 6px 0;
  border-bottom: 1px solid var(--hem);
}
.num {
  text-align: right;
}
table .el-input {
  width: 104px;
}
.bad {
  color: var(--madder-text);
}
</style>

<script setup lang="ts">
import { CABLE_TYPES, EQUIPMENT, SETTINGS, WIRING_SYSTEMS } from '#core/assessment/outcomes/shows'
import { SETTING_TEXT, memberText } from '#words/evidence/labels'
import type { Fields } from '~/utils/document-shapes'

/** Which job, when, where, and what it was made of: a decision counts exactly these. */
const { fields, isReadOnly = false } = defineProps<{
  fields: Fields
  domestic: string
  isReadOnly?: boolean
}>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
const LISTS = [
  { name: 'wiring', label: 'Wiring systems you installed', members: WIRING_SYSTEMS },
  { name: 'cables', label: 'Cable types', members: CABLE_TYPES },
  { name: 'equipment', label: 'Equipment', members: EQUIPMENT },
] as const
const listed = (name: string) => (fields[name] ?? '').split(' ').filter(Boolean)
</script>

<template>
  <div class="head">
    <label class="field wide"
      ><span>Title</span
      ><el-input
        :model-value="fields.title"
        name="title"
        :disabled="isReadOnly"
        placeholder="Lighting circuit of the paint shop"
        @update:model-value="emit('write', 'title', $event)"
    /></label>
    <label class="field"
      ><span>Job, the same name in every account of it</span
      ><el-input
        :model-value="fields.job"
        name="job"
        :disabled="isReadOnly"
        placeholder="Depot, paint shop"
        @update:model-value="emit('write', 'job', $event)"
    /></label>
    <label class="field"
      ><span>Day of the work</span
      ><DayPicker
        :model-value="fields.day ?? ''"
        @update:model-value="emit('write', 'day', $event)"
        label="Day of the work"
        name="day"
        :disabled="isReadOnly"
        clearable
    /></label>
    <label class="field"
      ><span>Premises</span
      ><el-select
        :model-value="fields.setting ?? ''"
        data-testid="setting"
        :disabled="isReadOnly"
        @update:model-value="emit('write', 'setting', $event)"
        ><el-option
          v-for="setting in SETTINGS"
          :key="setting"
          :value="setting"
          :label="SETTING_TEXT[setting]" /></el-select
    ></label>
    <label v-for="list in LISTS" :key="list.name" class="field"
      ><span>{{ list.label }}</span
      ><el-select
        :model-value="listed(list.name)"
        multiple
        :data-testid="list.name"
        :disabled="isReadOnly"
        @update:model-value="emit('write', list.name, $event.join(' '))"
        ><el-option
          v-for="member in list.members"
          :key="member"
          :value="member"
          :label="memberText(member)" /></el-select
    ></label>
    <p class="soft small wide">Domestic here means: {{ domestic }}</p>
  </div>
</template>

<style scoped>
.head {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 10px 16px;
}
.wide {
  grid-column: 1 / -1;
}
@media (max-width: 800px) {
  .head {
    grid-template-columns: 1fr;
  }
}
</style>

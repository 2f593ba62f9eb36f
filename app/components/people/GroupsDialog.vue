<script setup lang="ts">
import type { PersonView } from '#schemas/views'

/** Which groups somebody of the staff works with; it counts where the centre limits staff to their own. */
const { person } = defineProps<{ person: PersonView }>()
const emit = defineEmits<{ close: []; changed: [] }>()
const { call } = useApi()
const { data: all } = useCohorts()
const chosen = ref([...(person.groups ?? [])])
const { isBusy, act } = useAct()

const keep = () =>
  act(async () => {
    await call('PUT', `people/${person.id}/groups`, { cohorts: chosen.value })
    emit('changed')
  })
</script>

<template>
  <el-dialog :model-value="true" :title="`Groups of ${person.name}`" width="460px" @close="emit('close')">
    <p class="soft explain">It counts where the centre lets staff see their own groups alone.</p>
    <el-select
      v-model="chosen"
      multiple
      size="large"
      placeholder="No group yet"
      aria-label="Groups"
      data-testid="groups"
    >
      <el-option v-for="cohort in all ?? []" :key="cohort" :value="cohort" :label="cohort" />
    </el-select>
    <template #footer>
      <div class="row end">
        <el-button @click="emit('close')">Back</el-button>
        <el-button type="primary" :loading="isBusy" @click="keep">Keep</el-button>
      </div>
    </template>
  </el-dialog>
</template>

<style scoped>
.end {
  justify-content: flex-end;
}
.explain {
  margin-bottom: 12px;
}
</style>

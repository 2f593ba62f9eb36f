<script setup lang="ts">
import type { TrustPolicy } from '#core/policies/trust'
import type { RetentionItem } from '#schemas/trust-views'
import type { CentreView } from '#schemas/views'
import { STAFF_GROUPS, TRUST_NUMBERS } from '#words/trust'

/** How the centre guards what is signed, and how long it keeps what. */
const { call } = useApi()
const { data: centre, problem, refresh } = useServer<CentreView>(() => 'centre')
const { data: old, refresh: refreshOld } = useServer<RetentionItem[]>(() => 'keeping/retention')
const rules = ref<TrustPolicy | null>(null)
watch(centre, (view) => (rules.value = view ? { ...view.trust } : null))
const { isBusy, act } = useAct()

const KINDS = {
  practice: 'Practice',
  photographs: 'Photographs',
  leavers: 'Leavers who are still named',
} as const

const save = () =>
  act(async () => {
    await call('PUT', 'centre/trust', { seen: centre.value!.seen, value: rules.value })
    await Promise.all([refresh(), refreshOld()])
    ElMessage({ type: 'success', message: 'In force from now on.', showClose: true })
  })

async function remove({ kind, count }: RetentionItem) {
  const typed = await typedToBeSure(
    `${count} go for good. Make a backup first if you are in doubt. Type ${count} to go on.`,
    `Remove old ${KINDS[kind].toLowerCase()}?`,
    { yes: 'Remove', no: 'Back' },
  )
  if (typed === null) return
  try {
    old.value = await call('POST', 'keeping/retention', { kind, count: Number(typed) })
  } catch (error) {
    showProblem(error)
    await refreshOld()
  }
}
</script>

<template>
  <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
  <div v-else-if="!rules" class="skeleton" style="height: 200px" />
  <div v-else class="stack">
    <label v-for="{ key, name, why, most } in TRUST_NUMBERS" :key="key" class="rule">
      <el-input-number v-model="rules[key]" :min="0" :max="most" :aria-label="name" :data-testid="key" />
      <span
        ><b>{{ name }}</b> <span class="soft small">{{ why }}</span></span
      >
    </label>
    <el-radio-group v-model="rules.staffGroups" aria-label="Whose work staff see">
      <el-radio v-for="(name, value) in STAFF_GROUPS" :key="value" :value="value">{{ name }}</el-radio>
    </el-radio-group>
    <div><el-button type="primary" :loading="isBusy" @click="save">Put in force</el-button></div>
    <h2>Kept for longer than that</h2>
    <el-table :data="old ?? []" empty-text="Nothing yet.">
      <el-table-column label="What" min-width="200"
        ><template #default="{ row }">{{ KINDS[row.kind as keyof typeof KINDS] }}</template></el-table-column
      >
      <el-table-column label="Before" width="160"
        ><template #default="{ row }">{{
          row.before ? date(row.before) : 'kept for ever'
        }}</template></el-table-column
      >
      <el-table-column label="How many" width="120" align="right"
        ><template #default="{ row }"
          ><span class="mono">{{ row.count }}</span></template
        ></el-table-column
      >
      <el-table-column width="150"
        ><template #default="{ row }"
          ><el-button v-if="row.count > 0" size="small" @click="remove(row as RetentionItem)"
            >Remove…</el-button
          ></template
        ></el-table-column
      >
    </el-table>
  </div>
</template>

<style scoped>
.rule {
  display: flex;
  gap: 16px;
  align-items: center;
}
.rule > span {
  display: grid;
}
</style>

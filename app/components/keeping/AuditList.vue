<script setup lang="ts">
import type { AuditItem, AuditView } from '#schemas/trust-views'
import { auditWords, deviceWords } from '#words/audit'

/** Who did what, when and from where; newest first. */
const { call } = useApi()
const by = ref('')
const action = ref('')
const days = ref<[string, string] | null>(null)
const query = computed(() => {
  const [from = '', to = ''] = days.value ?? []
  const parts = Object.entries({ by: by.value.trim(), action: action.value, from, to: to && `${to}T24` })
  return new URLSearchParams(parts.filter(([, value]) => value !== '')).toString()
})
const { data, problem, refresh } = useServer<AuditView>(() => `audit?${query.value}`)
const older = ref<AuditItem[]>([])
const isMore = ref(false)
watch(data, (view) => {
  older.value = []
  isMore.value = view?.isMore ?? false
})
const lines = computed(() => [...(data.value?.lines ?? []), ...older.value])

async function showOlder() {
  const before = lines.value.at(-1)!.id
  try {
    const next = await call<AuditView>(
      'GET',
      `audit?${[query.value, `before=${before}`].filter(Boolean).join('&')}`,
    )
    older.value = [...older.value, ...next.lines]
    isMore.value = next.isMore
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div class="stack">
    <div class="row">
      <el-input v-model="by" placeholder="Name or number" clearable style="width: 220px" aria-label="Who" />
      <el-select v-model="action" placeholder="Every act" clearable style="width: 280px" aria-label="Act">
        <el-option v-for="code in data?.actions ?? []" :key="code" :value="code" :label="auditWords(code)" />
      </el-select>
      <el-date-picker
        v-model="days"
        type="daterange"
        format="DD/MM/YYYY"
        value-format="YYYY-MM-DD"
        start-placeholder="From"
        end-placeholder="To"
      />
      <a class="el-button" :href="`/api/out/audit?${query}`" download>CSV file</a>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 160px" />
    <el-table v-else :data="lines" row-key="id" max-height="520" empty-text="Nothing of this kind.">
      <el-table-column label="When" width="180"
        ><template #default="{ row }">{{ dayTime(row.at) }}</template></el-table-column
      >
      <el-table-column label="Who" min-width="170"
        ><template #default="{ row }"
          ><b>{{ row.by ?? 'nobody known' }}</b></template
        ></el-table-column
      >
      <el-table-column label="What" min-width="230"
        ><template #default="{ row }">{{ auditWords(row.action) }}</template></el-table-column
      >
      <el-table-column label="About" min-width="200"
        ><template #default="{ row }"
          ><span class="soft">{{ row.subject }}</span></template
        ></el-table-column
      >
      <el-table-column label="From" min-width="210"
        ><template #default="{ row }"
          ><span v-if="row.address" class="small"
            >{{ deviceWords(row.device) }} · <span class="mono">{{ row.address }}</span></span
          ></template
        ></el-table-column
      >
    </el-table>
    <el-button v-if="isMore" @click="showOlder">Show older</el-button>
  </div>
</template>

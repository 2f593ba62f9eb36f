<script setup lang="ts">
import type { SessionItem } from '#schemas/trust-views'
import { deviceWords } from '#words/audit'

/** Who is signed in where; a session can be ended from here. */
const { call } = useApi()
const { data, problem, refresh } = useServer<SessionItem[]>(() => 'sessions')

async function end(item: SessionItem) {
  try {
    await call('DELETE', `sessions/${item.id}`)
  } catch (error) {
    showProblem(error)
  }
  await refresh()
}
</script>

<template>
  <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
  <div v-else-if="!data" class="skeleton" style="height: 160px" />
  <el-table v-else :data="data" row-key="id" max-height="560" empty-text="Nobody is signed in.">
    <el-table-column label="Who" min-width="220"
      ><template #default="{ row }"
        ><b>{{ row.name }}</b> <span class="soft mono">{{ row.number }}</span></template
      ></el-table-column
    >
    <el-table-column prop="role" label="Role" width="130" />
    <el-table-column label="Device" min-width="180"
      ><template #default="{ row }">{{ deviceWords(row.device) }}</template></el-table-column
    >
    <el-table-column label="Address" width="150"
      ><template #default="{ row }"
        ><span class="mono">{{ row.address }}</span></template
      ></el-table-column
    >
    <el-table-column label="Since" width="170"
      ><template #default="{ row }">{{ dayTime(row.startedAt) }}</template></el-table-column
    >
    <el-table-column label="Last seen" width="170"
      ><template #default="{ row }">{{ dayTime(row.seenAt) }}</template></el-table-column
    >
    <el-table-column width="130"
      ><template #default="{ row }"
        ><el-button text size="small" :data-testid="`end-${row.number}`" @click="end(row as SessionItem)"
          >End it</el-button
        ></template
      ></el-table-column
    >
  </el-table>
</template>

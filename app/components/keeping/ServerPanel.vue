<script setup lang="ts">
import type { MetricsView } from '#schemas/trust-views'

/** How the server is doing: answers by route over the last ten minutes, memory, pauses. */
const { data, problem, refresh } = useServer<MetricsView>(() => 'keeping/metrics')
const ms = (value: number) => `${value < 10 ? value.toFixed(1) : Math.round(value)} ms`
const HOUR_S = 3600
</script>

<template>
  <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
  <div v-else-if="!data" class="skeleton" style="height: 200px" />
  <div v-else class="stack" data-testid="server">
    <div class="row figures">
      <span
        ><b class="mono">{{ Math.round(data.memoryBytes / 1e6) }} MB</b> memory</span
      >
      <span
        ><b class="mono">{{ ms(data.pauseMs.p99) }}</b> pause of the server, 99 of 100 shorter</span
      >
      <span
        ><b class="mono">{{ data.streams }}</b> screens listening</span
      >
      <span
        ><b class="mono">{{ (data.upS / HOUR_S).toFixed(1) }} h</b> running</span
      >
      <el-button size="small" @click="refresh">Look again</el-button>
    </div>
    <el-table :data="[...data.routes]" max-height="460" empty-text="Nothing was asked yet.">
      <el-table-column label="Request" min-width="260"
        ><template #default="{ row }"
          ><span class="mono">{{ row.route }}</span></template
        ></el-table-column
      >
      <el-table-column label="Answered" width="120" align="right" prop="count" />
      <el-table-column label="Half within" width="130" align="right"
        ><template #default="{ row }"
          ><span class="mono">{{ ms(row.p50Ms) }}</span></template
        ></el-table-column
      >
      <el-table-column label="99 of 100 within" width="160" align="right"
        ><template #default="{ row }"
          ><span class="mono">{{ ms(row.p99Ms) }}</span></template
        ></el-table-column
      >
      <el-table-column label="Failed" width="100" align="right" prop="failed" />
    </el-table>
  </div>
</template>

<style scoped>
.figures {
  gap: 28px;
}
</style>

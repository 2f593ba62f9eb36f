<script setup lang="ts">
import type { KeepingView } from '#schemas/trust-views'

/** How the data stands: the last copy, room on the disk, and a copy on the spot. */
const { call } = useApi()
const { data, problem, refresh } = useServer<KeepingView>(() => 'keeping')
const { isBusy, act } = useAct()

const megabytes = (bytes: number) =>
  bytes < 1e9 ? `${(bytes / 1e6).toFixed(bytes < 1e7 ? 1 : 0)} MB` : `${(bytes / 1e9).toFixed(1)} GB`
const isLate = computed(
  () =>
    !!data.value && data.value.dueH > 0 && (data.value.ageH === null || data.value.ageH > data.value.dueH),
)
function ageWords(hours: number | null): string {
  if (hours === null) return 'There is no backup yet'
  if (hours < 1) return 'Last backup within the hour'
  return hours < 48
    ? `Last backup ${Math.round(hours)} h ago`
    : `Last backup ${Math.round(hours / 24)} days ago`
}

const backUp = () =>
  act(async () => {
    data.value = await call<KeepingView>('POST', 'keeping/backup', {})
  })
</script>

<template>
  <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
  <div v-else-if="!data" class="skeleton" style="height: 160px" />
  <section v-else class="stack">
    <div class="stitched" :class="isLate ? 'stop' : 'met'" data-testid="backup-age">
      <b>{{ ageWords(data.ageH) }}</b>
      <p>
        {{ data.backups.length }} kept in <span class="mono">{{ data.folder }}</span>. A copy on the same disk
        does not survive that disk: name another place with <span class="mono">NAKSHI_BACKUPS</span>, and try
        a restore each term with <span class="mono">nakshi restore</span>.
      </p>
    </div>
    <div class="row">
      <el-button type="primary" :loading="isBusy" data-testid="back-up" @click="backUp"
        >Back up now</el-button
      >
      <span class="soft"
        >Database {{ megabytes(data.databaseBytes) }} · {{ megabytes(data.freeBytes) }} free on its disk</span
      >
    </div>
    <el-table :data="[...data.backups]" max-height="380" empty-text="No backup yet: make the first one now.">
      <el-table-column label="Made" min-width="220"
        ><template #default="{ row }">{{ dayTime(row.madeAt) }}</template></el-table-column
      >
      <el-table-column label="Size" width="140" align="right"
        ><template #default="{ row }"
          ><span class="mono">{{ megabytes(row.bytes) }}</span></template
        ></el-table-column
      >
    </el-table>
    <p class="soft small">
      Newest link of the audit: <span class="mono">{{ data.head.slice(0, 16) || 'none yet' }}</span>, of the
      seal of decisions and signatures:
      <span class="mono">{{ data.sealHead.slice(0, 16) || 'none yet' }}</span>
    </p>
  </section>
</template>

<script setup lang="ts">
import type { GroupRecord } from '#schemas/marking-views'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'verifier'] })
const maySeeAccounts = useSession().person!.role !== 'administrator'
const { data: cohorts } = useCohorts()
const picked = ref<string | null>(null)
const cohort = computed(() => picked.value ?? cohorts.value?.[0] ?? null)
const { data, problem, refresh } = useServer<GroupRecord>(() =>
  cohort.value ? `records?cohort=${encodeURIComponent(cohort.value)}` : null,
)
const chosen = ref<number | null>(null)
const shown = computed(() => data.value?.people.find(({ id }) => id === chosen.value))
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Records</h1>
        <p class="soft">
          A stitch for each occasion met, a knot where a criterion is complete, a loop where it is not yet.
          <NuxtLink to="/verification">Verification</NuxtLink> ·
          <NuxtLink v-if="maySeeAccounts" to="/accounts">Accounts of work elsewhere</NuxtLink>
        </p>
      </div>
      <el-select
        :model-value="cohort"
        style="width: 240px"
        aria-label="Group"
        data-testid="group"
        @update:model-value="picked = $event"
      >
        <el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name" />
      </el-select>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="cohorts?.length === 0" class="empty">
      <h2>No group yet</h2>
      <p>Import a roster under People.</p>
    </div>
    <div v-else-if="!data" class="stack">
      <div v-for="i in 8" :key="i" class="skeleton" style="height: 36px" />
    </div>
    <GroupMatrix
      v-else
      :record="data"
      :chosen="chosen"
      @choose="chosen = chosen === $event ? null : $event"
    />
    <section v-if="shown" class="stitched stack" data-testid="missing">
      <h2>What {{ shown.name }} still needs</h2>
      <div class="missing">
        <div v-for="unit in shown.units.filter(({ steps }) => steps > 0)" :key="unit.code">
          <h3>{{ data?.units.find(({ code }) => code === unit.code)?.title }}</h3>
          <p v-for="says in unit.says" :key="says">{{ says }}</p>
        </div>
      </div>
    </section>
    <ClosingPlan v-if="data && cohort" :cohort="cohort" />
    <section v-if="data && cohort" class="stack" aria-label="Files">
      <h2>Files</h2>
      <div class="row">
        <a
          v-for="unit in data.units"
          :key="unit.code"
          class="el-button"
          :href="`/api/out/unit?cohort=${encodeURIComponent(cohort)}&unit=${encodeURIComponent(unit.code)}`"
          download
          >Report of unit {{ unit.code }} (CSV)</a
        >
        <a class="el-button" :href="`/api/out/xapi?cohort=${encodeURIComponent(cohort)}`" download
          >xAPI statements</a
        >
        <a class="el-button" href="/api/out/oneroster" download>OneRoster package</a>
      </div>
    </section>
    <SealFoot />
  </div>
</template>

<style scoped>
.missing {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 12px 28px;
}
</style>

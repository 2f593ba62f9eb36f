<script setup lang="ts">
import type { StoresRun } from '#schemas/workmanship-views'

/** Tubes and fittings of the runs that are set out. */
const { data, problem, refresh } = useServer<StoresRun[]>(() => 'stores/runs')
</script>

<template>
  <section v-if="problem || (data?.length ?? 0) > 0" class="sheet" aria-label="Conduit">
    <h2>Conduit</h2>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-for="run in data ?? []" :key="run.id" class="run">
      <p class="row">
        <NuxtLink :to="`/runs/${run.id}`"
          ><b>{{ run.name }}</b></NuxtLink
        >
        <span class="soft">{{ run.bays }} {{ run.bays === 1 ? 'bay' : 'bays' }}</span>
      </p>
      <p>
        <b class="mono">{{ run.tubes }} ×</b> {{ run.what }} of {{ run.stockMm / 1000 }} m,
        {{ run.leftPercent }} % left over
      </p>
      <p class="soft">{{ run.bill.map(({ name, count }) => `${count} × ${name}`).join(', ') }}</p>
    </div>
  </section>
</template>

<style scoped>
.run {
  border-top: 1px solid var(--hem);
  padding: 8px 0;
}
</style>

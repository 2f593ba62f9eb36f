<script setup lang="ts">
import type { OwnRecordUnit } from '#schemas/marking-views'

definePageMeta({ layout: 'bay', roles: ['apprentice'] })
const { data, problem, refresh } = useServer<OwnRecordUnit[]>(() => 'record', { isKept: true })
const session = useSession()
const sewn = computed(
  () =>
    data.value?.flatMap((unit) => unit.coverage).reduce((sum, c) => sum + Math.min(c.met, c.wanted), 0) ?? 0,
)
const wanted = computed(
  () => data.value?.flatMap((unit) => unit.coverage).reduce((sum, c) => sum + c.wanted, 0) ?? 0,
)
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>My record</h1>
        <p class="soft">{{ session.person?.name }}, {{ session.person?.cohort }}</p>
      </div>
      <p v-if="data" class="score">
        <b>{{ sewn }}</b> of {{ wanted }} stitches
      </p>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack">
      <div v-for="i in 6" :key="i" class="skeleton" style="height: 54px" />
    </div>
    <template v-else>
      <p v-if="sewn === 0" class="stitched">
        Nothing is sewn yet. Each decision on a task adds a stitch to every criterion that you met.
      </p>
      <section v-for="unit in data" :key="unit.code">
        <h2>{{ unit.title }}</h2>
        <div
          v-for="item in unit.coverage"
          :key="item.criterion.code"
          class="criterion"
          :data-testid="`criterion-${item.criterion.code}`"
        >
          <b class="mono code">{{ item.criterion.code }}</b>
          <OccasionStitch :coverage="item" />
          <div>
            <p class="text">{{ item.criterion.text }}</p>
            <p class="small soft">{{ item.criterion.bs7671 }}</p>
          </div>
          <div class="occasions">
            <p v-for="occasion in item.occasions" :key="occasion.decidedAt" class="small">
              <span class="tag" :class="occasion.met ? 'met' : 'wrong'">{{
                occasion.met ? 'met' : 'not yet'
              }}</span>
              {{ occasion.exerciseTitle }}, {{ dayTime(occasion.decidedAt) }}, {{ occasion.decidedBy }}
            </p>
          </div>
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.score b {
  font: 720 34px/1 var(--mono);
}
section {
  margin-bottom: 12px;
}
h2 {
  padding-bottom: 5px;
  border-bottom: 1.5px solid var(--ink);
}
.criterion {
  display: grid;
  grid-template-columns: 40px 84px minmax(240px, 1fr) minmax(260px, 1.1fr);
  gap: 16px;
  align-items: center;
  padding: 9px 4px;
  border-bottom: 1px solid var(--hem);
  min-height: 56px;
}
.text {
  line-height: 1.3;
  font-weight: 560;
}
.code {
  color: var(--indigo-text);
}
.occasions {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
@media (max-width: 900px) {
  .criterion {
    grid-template-columns: 40px 84px 1fr;
  }
  .occasions {
    grid-column: 3;
  }
}
</style>

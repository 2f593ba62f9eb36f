<script setup lang="ts">
import { BENCH_CODES } from '#core/principles/benches'
import { BENCH_TEXT } from '#words/principles'
import type { FaultFindingHome } from '#schemas/fault-finding-views'
import type { IsolationHome } from '#schemas/isolation-views'
import type { LayoutHead } from '#schemas/layout-views'
import type { BayListItem, ExperimentHead, PredictionView } from '#schemas/bay-views'

definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })

const { data: bays, problem, refresh } = useServer<BayListItem[]>(() => 'bays')
const { data: predictions } = useServer<PredictionView[]>(() => 'predictions')
const { data: experiments } = useServer<ExperimentHead[]>(() => 'experiments')
const { data: hunts } = useServer<FaultFindingHome>(() => 'hunts')
const { data: layouts } = useServer<LayoutHead[]>(() => 'layouts')
const session = useSession()
const { data: isolation } = useServer<IsolationHome>(() => 'isolation')
const tries = (code: string) =>
  predictions.value?.filter((prediction) => prediction.experiment === code).length ?? 0
</script>

<template>
  <div class="page">
    <h1>Practice</h1>
    <p class="soft lead">
      Computed, not real: isolate, wire, break, energise. What you see is what such a bay would do.
    </p>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-for="repeat in isolation?.repeats ?? []" :key="repeat.id" class="stitched stop note">
      <b>A repeat of the safe isolation is booked for {{ date(repeat.plannedFor) }}, bay {{ repeat.bay }}.</b>
      {{ repeat.reason }}. Rehearse it here until it is dull.
    </div>
    <div v-for="lock in isolation?.locks ?? []" :key="lock.id" class="stitched waiting note">
      Your padlock <b>{{ lock.padlock }}</b> is on bay {{ lock.bay }}, {{ lock.device }}, since
      {{ clock(lock.onAt).slice(0, 5) }}.
    </div>
    <div class="halves">
      <section aria-labelledby="isolation">
        <h2 id="isolation">Safe isolation</h2>
        <ScenarioList v-if="isolation" :home="isolation" />
        <div v-else class="stack"><div v-for="i in 5" :key="i" class="skeleton" style="height: 60px" /></div>
      </section>
      <section v-if="session.person?.role === 'apprentice'" aria-labelledby="questions">
        <h2 id="questions">Questions</h2>
        <NuxtLink to="/practice/questions" class="list-entry" data-testid="rehearse"
          ><span class="what"
            ><b>Rehearse questions</b
            ><span class="soft small">As an assessor would ask them; what is weak comes again.</span></span
          ></NuxtLink
        >
        <NuxtLink to="/practice/questions?topic=myths" class="list-entry" data-testid="rehearse-myths"
          ><span class="what"
            ><b>Myths of the trade</b
            ><span class="soft small"
              >True, false, or it depends? What the regulations ask, and since when.</span
            ></span
          ></NuxtLink
        >
      </section>
      <section aria-labelledby="hunts">
        <h2 id="hunts">Inspection and fault finding</h2>
        <NuxtLink to="/practice/inspection" class="list-entry" data-testid="inspection-trainer"
          ><span class="what"
            ><b>Inspection trainer</b
            ><span class="soft small">Find what is not satisfactory, before any test.</span></span
          ></NuxtLink
        >
        <FaultFindingList v-if="hunts" :home="hunts" :may-set="session.person?.role !== 'apprentice'" />
        <div v-else class="stack"><div v-for="i in 5" :key="i" class="skeleton" style="height: 60px" /></div>
      </section>
      <section v-if="layouts?.length" aria-labelledby="layouts">
        <h2 id="layouts">Boards to lay out</h2>
        <NuxtLink
          v-for="layout in layouts"
          :key="layout.id"
          :to="`/practice/layouts/${layout.id}`"
          class="list-entry"
          :data-testid="`layout-${layout.id}`"
        >
          <span class="what"
            ><b>{{ layout.title }}</b
            ><span class="soft small">{{ layout.cohort }}, {{ dayTime(layout.setAt) }}</span></span
          >
          <span v-if="layout.percent !== null" class="tag" :class="layout.percent >= 95 ? 'met' : 'plain'"
            >{{ layout.percent }} %</span
          >
          <span v-else class="tag waiting">not tried</span>
        </NuxtLink>
      </section>
      <section aria-labelledby="bays">
        <h2 id="bays">Virtual bays</h2>
        <div v-if="!bays" class="stack">
          <div v-for="i in 5" :key="i" class="skeleton" style="height: 60px" />
        </div>
        <NuxtLink
          v-for="bay in bays ?? []"
          :key="bay.key"
          :to="`/practice/bays/${bay.key}`"
          class="list-entry"
          :data-testid="`bay-${bay.key}`"
        >
          <span class="what"
            ><b>{{ bay.title }}</b
            ><span class="soft small">{{ bay.about }}</span></span
          >
          <span class="tag" :class="bay.key.startsWith('task') ? 'waiting' : 'plain'">{{
            bay.made === null
              ? bay.key.startsWith('task')
                ? 'your task'
                : 'not begun'
              : `${bay.made} conductors`
          }}</span>
        </NuxtLink>
      </section>
      <section aria-labelledby="principles">
        <h2 id="principles">First principles</h2>
        <NuxtLink
          v-for="code in BENCH_CODES"
          :key="code"
          :to="`/practice/principles/${code}`"
          class="list-entry"
          :data-testid="`principle-${code}`"
        >
          <span class="what"
            ><b>{{ BENCH_TEXT[code].title }}</b
            ><span class="soft small">{{ BENCH_TEXT[code].ask }}</span></span
          >
        </NuxtLink>
      </section>
      <section aria-labelledby="experiments">
        <h2 id="experiments">Experiments</h2>
        <NuxtLink
          v-for="experiment in experiments ?? []"
          :key="experiment.code"
          :to="`/practice/experiments/${experiment.code}`"
          class="list-entry"
          :data-testid="`experiment-${experiment.code}`"
        >
          <span class="what"
            ><b>{{ experiment.title }}</b
            ><span class="soft small">{{ experiment.question }}</span></span
          >
          <span v-if="tries(experiment.code)" class="tag met"
            >tried {{ tries(experiment.code) === 1 ? 'once' : `${tries(experiment.code)} times` }}</span
          >
        </NuxtLink>
      </section>
    </div>
  </div>
</template>

<style scoped>
.lead {
  margin: 4px 0 18px;
  max-width: 70ch;
}
.halves {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(270px, 1fr));
  gap: 22px;
}
.note {
  margin-bottom: 12px;
}
h2 {
  margin-bottom: 8px;
}
@media (max-width: 860px) {
  .halves {
    grid-template-columns: 1fr;
  }
}
</style>

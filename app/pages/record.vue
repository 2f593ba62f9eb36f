<script setup lang="ts">
import type { AppealView, PersonRecord } from '#schemas/evidence-views'

/** What counts for me, what is missing, and what would close it; nothing of others. */
definePageMeta({ layout: 'bay', roles: ['apprentice'] })
const { data, problem, refresh } = useServer<PersonRecord>(() => 'record', { isKept: true })
const { data: appeals } = useServer<AppealView[]>(() => 'appeals')
const missing = computed(() => data.value?.units.reduce((sum, { gap }) => sum + gap.steps, 0) ?? 0)
const OUTCOME_TEXT = { open: 'open', upheld: 'upheld', notUpheld: 'not upheld' } as const
const nameOf = (code: string) => data.value?.behaviours.find((one) => one.code === code)?.text ?? code
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>My record</h1>
        <p v-if="data" class="soft">{{ data.person.name }}, {{ data.person.cohort }}</p>
      </div>
      <p v-if="data" class="score">
        <b>{{ missing }}</b> {{ missing === 1 ? 'thing' : 'things' }} missing
      </p>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack">
      <div v-for="i in 6" :key="i" class="skeleton" style="height: 54px" />
    </div>
    <template v-else>
      <p class="soft">
        Only what has been decided and given back to you counts here. Work elsewhere counts too:
        <NuxtLink to="/accounts">write an account of it</NuxtLink>.
      </p>
      <UnitRecord
        v-for="unit in data.units"
        :key="unit.gap.unit.code"
        :standing="unit"
        :behaviours="data.behaviours"
      />
      <section v-if="data.seen.length" class="stack">
        <h2>Behaviours that were seen</h2>
        <p v-for="seen in data.seen" :key="seen.id" class="small">
          {{ nameOf(seen.behaviour) }}: {{ date(seen.at) }}, {{ seen.by }}
          <span v-if="seen.note" class="soft">· {{ seen.note }}</span>
        </p>
      </section>
      <section v-if="appeals?.length" class="stack">
        <h2>My appeals</h2>
        <p v-for="appeal in appeals" :key="appeal.id" class="small">
          {{ appeal.exerciseTitle }}, {{ date(appeal.at) }}: {{ appeal.reason }}
          <span class="tag" :class="appeal.outcome === 'upheld' ? 'met' : 'plain'">{{
            OUTCOME_TEXT[appeal.outcome ?? 'open']
          }}</span>
          <span v-if="appeal.answer" class="soft">{{ appeal.answeredBy }}: {{ appeal.answer }}</span>
        </p>
      </section>
      <p class="soft small">Domestic here means: {{ data.domestic }}</p>
      <SealFoot />
    </template>
  </div>
</template>

<style scoped>
.score b {
  font: var(--heavy) 34px/1 var(--mono);
}
</style>

<script setup lang="ts">
import type { AskHead, AskList } from '#schemas/question-views'
import { STAGE_WORDS } from '~/texts/stages'

/** Who is at work, and whom to ask next: those who were asked least stand first. */
definePageMeta({ roles: ['instructor', 'assessor'] })
const wanted = useLastGroup()
const { data, problem, refresh } = useServer<AskList>(
  () => `asking?cohort=${encodeURIComponent(wanted.value)}`,
  { isKept: true },
)
const heads = computed(() => data.value?.heads)
const jobs = computed(() => {
  const groups = new Map<string, AskHead[]>()
  for (const head of heads.value ?? []) {
    const key = `${head.code}, ${head.title}`
    groups.set(key, [...(groups.get(key) ?? []), head])
  }
  return [...groups].map(([job, people]) => ({
    job,
    people: [...people].sort((a, b) => a.asked - b.asked || a.bay - b.bay),
  }))
})
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Questions</h1>
        <p class="soft">Go to a bay, ask, tap how it went. Those who were asked least stand first.</p>
      </div>
      <div class="row">
        <GroupPick v-if="data" :cohorts="data.cohorts" :cohort="data.cohort" @pick="wanted = $event" />
        <NuxtLink to="/questions" class="el-button">Question bank</NuxtLink>
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!heads" class="skeleton" style="height: 240px" />
    <div v-else-if="heads.length === 0" class="empty">
      <h2>Nobody is at work</h2>
      <p>Set an exercise for a group; its bays stand here then.</p>
    </div>
    <section v-for="{ job, people } in jobs" :key="job">
      <h2>{{ job }}</h2>
      <div class="bays">
        <NuxtLink
          v-for="head in people"
          :key="head.id"
          :to="`/ask/${head.id}`"
          class="bay-card"
          :data-testid="`ask-${head.code}-${head.bay}`"
        >
          <b class="number mono">{{ head.bay }}</b>
          <span class="who"
            ><b>{{ head.name }}</b
            ><span class="soft small">{{ STAGE_WORDS[head.stage].theirs }}</span
            ><span v-if="head.next" class="small next">{{ head.next }}</span></span
          >
          <span class="tag" :class="head.asked ? 'plain' : 'waiting'">{{
            head.asked ? `${head.asked} asked` : 'not asked yet'
          }}</span>
        </NuxtLink>
      </div>
    </section>
  </div>
</template>

<style scoped>
.bays {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(330px, 1fr));
  gap: 10px;
  margin-top: 8px;
}
.bay-card {
  display: grid;
  grid-template-columns: 44px 1fr auto;
  gap: 10px;
  align-items: center;
  padding: 12px;
  border: 1px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--raised);
  color: inherit;
  text-decoration: none;
}
.number {
  font-size: 26px;
  color: var(--indigo-text);
}
.who {
  display: grid;
}
.next {
  font-style: italic;
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  -webkit-box-orient: vertical;
}
</style>

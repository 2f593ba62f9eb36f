<script setup lang="ts">
import type { SessionItem } from '#schemas/planning-views'

/** Sessions: those to come, those that have been. */
definePageMeta({ roles: ['instructor', 'assessor', 'technician', 'administrator'] })
const { call } = useApi()
const { isBusy, act } = useAct()
const mayPlan = ['instructor', 'assessor'].includes(useSession().person!.role)
const { data, problem, refresh } = useServer<SessionItem[]>(() => 'planning')
const { data: cohorts } = useCohorts()
const cohort = ref('')
const now = today()
const groups = computed(() => {
  const all = data.value ?? []
  return [
    { head: 'Without a day yet', list: all.filter(({ day }) => day === '') },
    { head: 'To come', list: all.filter(({ day }) => day >= now) },
    { head: 'Past', list: all.filter(({ day }) => day !== '' && day < now).toReversed() },
  ].filter(({ list }) => list.length > 0)
})
const begin = () =>
  act(async () => {
    const { id } = await call<{ id: number }>('POST', 'planning', { cohort: cohort.value, tasks: [] })
    await navigateTo(`/plan/${id}`)
  })
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Sessions</h1>
        <p class="soft">Who is at which bay with what, so that nobody waits longer than need be.</p>
      </div>
      <div class="row">
        <LinkButton file="/api/dates/calendar">Calendar file</LinkButton>
        <template v-if="mayPlan">
          <el-select
            v-model="cohort"
            placeholder="Choose a group"
            aria-label="Group"
            data-testid="session-cohort"
            style="width: 190px"
            ><el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name"
          /></el-select>
          <el-button
            type="primary"
            :disabled="!cohort"
            :loading="isBusy"
            data-testid="new-session"
            @click="begin"
            >Plan a session</el-button
          >
        </template>
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 160px" />
    <div v-else-if="data.length === 0" class="empty">
      <h2>No session is planned</h2>
      <p>
        Choose a group: everybody comes with what they have in hand, and the plan is worked out from there.
      </p>
    </div>
    <section v-for="group in groups" :key="group.head" class="stack">
      <h2>{{ group.head }}</h2>
      <ul class="list">
        <li v-for="item in group.list" :key="item.id">
          <NuxtLink :to="`/plan/${item.id}`" class="row spread item">
            <span
              ><b>{{ item.day ? date(item.day) : 'no day' }}</b
              >, {{ item.from }} · {{ item.title }}</span
            >
            <span class="tag" :class="item.planned === item.tasks && item.tasks > 0 ? 'met' : 'waiting'"
              >{{ item.planned }} of {{ item.tasks }} planned</span
            >
          </NuxtLink>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.item {
  min-height: 48px;
  padding: 6px 4px;
  border-bottom: 1px solid var(--hem);
  text-decoration: none;
  color: var(--ink);
}
.item:hover {
  background: var(--panel);
}
</style>

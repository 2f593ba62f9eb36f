<script setup lang="ts">
import type { SiteItem, SurveyItem } from '#schemas/survey-views'

/** Surveys: one's own, those handed in, and the sites that there are. */
definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const { call } = useApi()
const { isBusy, act } = useAct()
const isStaff = useSession().person!.role !== 'apprentice'
const { data, problem, refresh } = useServer<SurveyItem[]>(() => 'surveys', { isKept: true })
const { data: sites, refresh: again } = useServer<SiteItem[]>(() => 'surveys/sites')
const { data: cohorts } = useCohorts()
const own = computed(() => data.value?.filter(({ isOwn }) => isOwn) ?? [])
const handedIn = computed(() => data.value?.filter(({ isOwn }) => !isOwn) ?? [])
const cohort = ref('')

const begin = (site: string | null) =>
  act(async () => {
    const { id } = await call<{ id: number }>('POST', 'surveys', { site })
    await navigateTo(`/surveys/${id}`)
  })
const set = (site: string) =>
  act(async () => {
    const { given } = await call<{ given: number }>('POST', 'surveys/set', { site, cohort: cohort.value })
    ElMessage({
      type: 'success',
      message: `${given} ${given === 1 ? 'apprentice has' : 'apprentices have'} the survey now.`,
      showClose: true,
    })
    await refresh()
  })
const takeIn = (file: File) =>
  act(async () => {
    await call('POST', 'surveys/sites', { json: await file.text() })
    await again()
  })
const standing = ({ handedInAt, met }: SurveyItem) => {
  if (handedInAt === null) return { text: 'not handed in', is: 'plain' }
  if (met === null) return { text: 'waits', is: 'waiting' }
  return met ? { text: 'met', is: 'met' } : { text: 'not yet', is: 'wrong' }
}
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Surveys</h1>
        <p class="soft">Survey first: what is there, what is wanted, how long each route is.</p>
      </div>
      <el-button size="large" :loading="isBusy" data-testid="real-place" @click="begin(null)"
        >Survey a real place</el-button
      >
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 160px" />
    <template v-else>
      <section
        v-for="[head, list] in [
          [isStaff ? 'Handed in' : '', handedIn],
          ['My surveys', own],
        ] as const"
        :key="head"
        class="stack"
      >
        <template v-if="list.length">
          <h2>{{ head }}</h2>
          <ul class="list">
            <li v-for="item in list" :key="item.id">
              <NuxtLink :to="`/surveys/${item.id}`" class="row spread item">
                <span
                  ><b>{{ item.title || 'A real place' }}</b>
                  <span v-if="!item.isOwn" class="soft"> {{ item.person }}, {{ item.cohort }}</span></span
                >
                <span class="row">
                  <span v-if="item.handedInAt" class="soft small">{{ dayTime(item.handedInAt) }}</span>
                  <span class="tag" :class="standing(item).is">{{ standing(item).text }}</span>
                </span>
              </NuxtLink>
            </li>
          </ul>
        </template>
      </section>
      <section class="stack">
        <div class="row spread">
          <h2>Sites to survey</h2>
          <div v-if="isStaff" class="row">
            <el-select
              v-model="cohort"
              placeholder="Choose a group"
              aria-label="Group"
              data-testid="survey-cohort"
              style="width: 200px"
              ><el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name"
            /></el-select>
            <FileButton accept=".json" @file="takeIn">Import a site…</FileButton>
          </div>
        </div>
        <div class="sites">
          <article v-for="site in sites ?? []" :key="site.code" class="stitched stack">
            <h3>{{ site.title }}</h3>
            <p>{{ site.story }}</p>
            <div class="row">
              <el-button
                type="primary"
                :loading="isBusy"
                :data-testid="`begin-${site.code}`"
                @click="begin(site.code)"
                >Survey it</el-button
              >
              <el-button
                v-if="isStaff"
                :disabled="!cohort"
                :loading="isBusy"
                :data-testid="`set-${site.code}`"
                @click="set(site.code)"
                >Set it for {{ cohort || 'a group' }}</el-button
              >
            </div>
          </article>
        </div>
      </section>
    </template>
  </div>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.item {
  min-height: 52px;
  padding: 6px 4px;
  border-bottom: 1px solid var(--hem);
  text-decoration: none;
  color: var(--ink);
}
.item:hover {
  background: var(--panel);
}
.sites {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(320px, 1fr));
  gap: 16px;
}
.sites article {
  justify-content: space-between;
}
</style>

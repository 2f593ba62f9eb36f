<script setup lang="ts">
import type { AccountItem } from '#schemas/evidence-views'

/** Accounts of work elsewhere: one's own, or those that were handed in. */
definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor', 'verifier'] })
const { call } = useApi()
const { isBusy, act } = useAct()
const isWriter = useSession().person!.role === 'apprentice'
const { data, problem, refresh } = useServer<AccountItem[]>(() => 'accounts', { isKept: true })
const begin = () =>
  act(async () => {
    const { id } = await call<{ id: number }>('POST', 'accounts', {})
    await navigateTo(`/accounts/${id}`)
  })
function standing({ handedInAt, waiting, refused }: AccountItem): {
  readonly text: string
  readonly is: string
} {
  if (handedInAt === null) return { text: 'not handed in', is: 'plain' }
  if (waiting > 0)
    return { text: waiting === 1 ? 'one claim waits' : `${waiting} claims wait`, is: 'waiting' }
  return refused > 0 ? { text: `${refused} refused`, is: 'wrong' } : { text: 'all accepted', is: 'met' }
}
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>{{ isWriter ? 'My accounts of work elsewhere' : 'Accounts of work elsewhere' }}</h1>
        <p class="soft">
          {{
            isWriter
              ? 'What you did on a job, in your own words. What is not said or shown is not assumed.'
              : 'Each claim is accepted or refused with a reason; the writer learns from it.'
          }}
        </p>
      </div>
      <el-button
        v-if="isWriter"
        type="primary"
        size="large"
        :loading="isBusy"
        data-testid="new-account"
        @click="begin"
        >Write an account</el-button
      >
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 160px" />
    <div v-else-if="data.length === 0" class="empty">
      <h2>{{ isWriter ? 'No account yet' : 'Nothing has been handed in' }}</h2>
      <p>
        {{
          isWriter
            ? 'Begin with a job that you remember well: what you installed, how, and why like that.'
            : 'When an apprentice hands an account in, it lands here.'
        }}
      </p>
    </div>
    <ul v-else class="list">
      <li v-for="item in data" :key="item.id">
        <NuxtLink :to="`/accounts/${item.id}`" class="row spread item">
          <span>
            <b>{{ item.title || 'Untitled' }}</b>
            <span class="soft">
              {{ item.job
              }}<template v-if="!isWriter"> · {{ item.person }}, {{ item.cohort }}</template></span
            >
          </span>
          <span class="row">
            <span class="soft small">{{ item.claims }} {{ item.claims === 1 ? 'claim' : 'claims' }}</span>
            <span v-if="item.handedInAt" class="soft small">{{ dayTime(item.handedInAt) }}</span>
            <span class="tag" :class="standing(item).is">{{ standing(item).text }}</span>
          </span>
        </NuxtLink>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.list {
  list-style: none;
  padding: 0;
  margin: 0;
}
.item {
  min-height: 56px;
  padding: 8px 4px;
  border-bottom: 1px solid var(--hem);
  text-decoration: none;
  color: var(--ink);
}
.item:hover {
  background: var(--panel);
}
</style>

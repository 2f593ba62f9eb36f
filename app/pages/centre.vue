<script setup lang="ts">
import { ISOLATION_CHOICES } from '#words/policies'
import type { IsolationPolicy } from '#core/policies/isolation'
import type { Policy } from '#core/policies/policy'
import { POLICY_TEXTS } from '#words/policies'
import { trustWords } from '#words/trust'

definePageMeta({ roles: ['administrator', 'instructor', 'assessor', 'verifier'] })
const session = useSession()
const { call } = useApi()
const { data, problem, refresh } = useCentre()
const mayChange = computed(() => session.person?.role === 'administrator')

const nameOf = (change: { key: string; value: string }): string => {
  const trust = trustWords(change.key.replace(/^trust\./, ''), change.value)
  if (trust) return trust
  const policy = [...POLICY_TEXTS, ...ISOLATION_CHOICES].find(
    ({ key }) => key === change.key.replace(/^isolation\./, ''),
  )
  return `${policy?.name ?? change.key}: ${policy?.options.find(({ value }) => String(value) === change.value)?.name ?? change.value}`
}

/** Puts a choice in force; what somebody else chose meanwhile is shown first. */
async function choose(path: string, value: Policy | IsolationPolicy) {
  try {
    await call('PUT', `centre/${path}`, { seen: data.value!.seen, value })
  } catch (error) {
    showProblem(error)
  }
  await refresh()
}
const setPolicy = (change: Partial<Policy>) => choose('policies', { ...data.value!.policies, ...change })
const setIsolation = (change: Partial<IsolationPolicy>) =>
  choose('isolation', { ...data.value!.isolation, ...change })
</script>

<template>
  <div class="page stack">
    <h1>Centre</h1>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 200px" />
    <template v-else>
      <section class="stack">
        <h2>Where schools differ</h2>
        <p class="soft">
          What is chosen here is written into an exercise when it is set, and holds for it from then on.
        </p>
        <PolicyChoices
          :choices="POLICY_TEXTS"
          :chosen="{ ...data.policies }"
          :disabled="!mayChange"
          @choose="(key, value) => setPolicy({ [key]: value })"
        />
        <p v-for="change in data.changes" :key="change.at + change.key" class="small soft">
          {{ dayTime(change.at) }}: {{ change.by }} chose “{{ nameOf(change) }}”.
        </p>
      </section>
      <section class="stack">
        <h2>Safe isolation</h2>
        <p class="soft">An observation keeps the choices that held when it began.</p>
        <PolicyChoices
          :choices="ISOLATION_CHOICES"
          :chosen="{ ...data.isolation }"
          :disabled="!mayChange"
          @choose="(key, value) => setIsolation({ [key]: value })"
        />
      </section>
      <section class="stack">
        <div class="row spread">
          <h2>Unit framework</h2>
          <NuxtLink class="el-button" to="/framework">{{
            mayChange ? 'Look at it and change it' : 'Look at it'
          }}</NuxtLink>
        </div>
        <div v-if="!data.framework" class="empty">
          <h2>No framework yet</h2>
          <p>Put one in force: exercises and records speak of its criteria.</p>
        </div>
        <table v-else class="grid-table">
          <thead>
            <tr>
              <th>{{ data.framework.title }}</th>
              <th>Criterion</th>
              <th>Rests on</th>
              <th class="num">Occasions</th>
            </tr>
          </thead>
          <tbody v-for="unit in data.framework.units" :key="unit.code">
            <tr v-for="(criterion, i) in unit.criteria" :key="criterion.code">
              <td>
                <b v-if="i === 0">{{ unit.title }}</b>
              </td>
              <td>
                <b class="mono">{{ criterion.code }}</b> {{ criterion.text }}
              </td>
              <td class="soft">{{ criterion.bs7671 }}</td>
              <td class="num">{{ criterion.occasions }}</td>
            </tr>
          </tbody>
        </table>
      </section>
    </template>
  </div>
</template>

<style scoped>
section {
  padding: 12px 0;
  border-top: 1px solid var(--hem);
}
</style>

<script setup lang="ts">
import type { Framework } from '#core/outcomes/framework'
import type { CentreView, Policies } from '#schemas/views'

definePageMeta({ roles: ['administrator', 'instructor', 'assessor'] })
const session = useSession()
const { call } = useApi()
const { data, problem, refresh } = useServer<CentreView>(() => 'centre')
const mayChange = computed(() => session.person?.role === 'administrator')
const file = ref<HTMLInputElement>()
const refusal = ref<ApiProblem | null>(null)

const ZS_POLICIES: readonly { value: Policies['measuredZs']; name: string; why: string }[] = [
  { value: 'eighty-percent', name: '80 % of the table value', why: 'The default: quick at the bay, and on the safe side for conductors at room temperature.' },
  { value: 'corrected', name: 'Own correction', why: 'Ze + (table value − Ze) ÷ 1.20: only the circuit’s own conductors warm up. Allows a little more where Ze is a large part.' },
]
const nameOf = (value: string) => ZS_POLICIES.find((policy) => policy.value === value)?.name ?? value

async function setPolicy(value: Policies['measuredZs']) {
  try {
    await call('PUT', 'centre/policies', { measuredZs: value })
  } catch (error) {
    showProblem(error)
  }
  await refresh()
}

async function loadFramework(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (!chosen) return
  refusal.value = null
  try {
    const document = JSON.parse((await chosen.text()).replace(/^\uFEFF/, '')) as Framework
    await call('PUT', 'centre/framework', document)
    await refresh()
  } catch (error) {
    refusal.value = error instanceof ApiProblem ? error : new ApiProblem(0, 'frameworkNotRight', 'The file is not readable as JSON. Nothing was changed.')
  } finally {
    input.value = ''
  }
}
</script>

<template>
  <div class="page stack">
    <h1>Centre</h1>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 200px" />
    <template v-else>
      <section class="stack">
        <h2>What a measured Zs is held against</h2>
        <p class="soft">Schools differ. The choice is written into an exercise when it is set, and holds for it from then on.</p>
        <div class="policies" role="radiogroup" aria-label="Measured Zs">
          <label v-for="policy in ZS_POLICIES" :key="policy.value" class="stitched policy" :class="{ on: data.policies.measuredZs === policy.value }">
            <input type="radio" name="measuredZs" :value="policy.value" :checked="data.policies.measuredZs === policy.value" :disabled="!mayChange" @change="setPolicy(policy.value)">
            <span><b>{{ policy.name }}</b><br><span class="soft small">{{ policy.why }}</span></span>
          </label>
        </div>
        <p v-for="change in data.changes" :key="change.at" class="small soft">{{ dayTime(change.at) }}: {{ change.by }} chose “{{ nameOf(change.value) }}”.</p>
      </section>
      <section class="stack">
        <div class="row spread">
          <h2>Unit framework</h2>
          <div v-if="mayChange">
            <input ref="file" type="file" accept=".json,application/json" class="visually-hidden" aria-label="Framework file" @change="loadFramework">
            <el-button @click="file?.click()">Load a framework file</el-button>
          </div>
        </div>
        <div v-if="refusal" class="stitched stop" role="alert"><b>{{ refusal.message }}</b><ul><li v-for="field in refusal.fields" :key="field.field"><span class="mono">{{ field.field }}</span> {{ field.message }}</li></ul></div>
        <div v-if="!data.framework" class="empty"><h2>No framework yet</h2><p>Load one: exercises and records speak of its criteria.</p></div>
        <table v-else class="grid-table">
          <thead><tr><th>{{ data.framework.title }}</th><th>Criterion</th><th>Rests on</th><th class="num">Occasions</th></tr></thead>
          <tbody v-for="unit in data.framework.units" :key="unit.code">
            <tr v-for="(criterion, i) in unit.criteria" :key="criterion.code"><td><b v-if="i === 0">{{ unit.title }}</b></td><td><b class="mono">{{ criterion.code }}</b> {{ criterion.text }}</td><td class="soft">{{ criterion.bs7671 }}</td><td class="num">{{ criterion.occasions }}</td></tr>
          </tbody>
        </table>
      </section>
    </template>
  </div>
</template>

<style scoped>
section { padding: 12px 0; border-top: 1px solid var(--hem); }
.policies { display: grid; grid-template-columns: repeat(auto-fit, minmax(320px, 1fr)); gap: 12px; }
.policy { display: flex; gap: 12px; cursor: pointer; align-items: flex-start; }
.policy.on { border-color: var(--indigo); border-style: solid; }
.policy input { width: 20px; height: 20px; accent-color: var(--indigo); }
</style>

<script setup lang="ts">
import type { FaultFindingHome } from '#schemas/fault-finding-views'

/** For whom, and in which bay. */
const { plant, bay, home } = defineProps<{
  plant: ReturnType<typeof usePlant>
  bay: string
  home: FaultFindingHome | null
}>()
const emit = defineEmits<{ set: [] }>()
const { chosen, choose } = plant
const { call } = useApi()
const { data: people } = usePeople()
const { isBusy, act } = useAct()
const apprentices = computed(() => (people.value ?? []).filter(({ role }) => role === 'apprentice'))
const cohorts = computed(() => [...new Set(apprentices.value.map(({ cohort }) => cohort))])
const who = ref<number[]>([])
const addGroup = (cohort: string) => {
  const added = apprentices.value.filter((apprentice) => apprentice.cohort === cohort).map(({ id }) => id)
  who.value = [...new Set([...who.value, ...added])]
}
const where = ref<'virtual' | 'bay'>('virtual')
const bayNumber = ref<number | null>(null)
const set = () =>
  act(async () => {
    const { set: count } = await call<{ set: number }>('POST', 'plants', {
      bay,
      faults: chosen.value.map(({ code, place }) => ({ code, place })),
      people: who.value,
      place: where.value,
      bayNumber: where.value === 'bay' ? bayNumber.value : null,
    })
    ElMessage({ type: 'success', message: `Set for ${count}. They find it under Practice.`, showClose: true })
    who.value = []
    emit('set')
    await choose([])
  })
</script>

<template>
  <section aria-label="Set it" class="stack">
    <h2>Set it</h2>
    <el-radio-group v-model="where" aria-label="Where"
      ><el-radio-button value="virtual">Virtual bay</el-radio-button
      ><el-radio-button value="bay">Real bay</el-radio-button></el-radio-group
    >
    <label v-if="where === 'bay'" class="field"
      ><span>Bay</span><el-input-number v-model="bayNumber" :min="1" :max="99" aria-label="Bay number"
    /></label>
    <p v-if="where === 'bay'" class="caution">
      Put it in with the bay isolated, and only what cannot hurt: no fault that makes metal live, unless the
      centre’s rules and supervision allow it.
    </p>
    <el-select
      v-model="who"
      multiple
      filterable
      collapse-tags
      :max-collapse-tags="2"
      placeholder="For whom"
      aria-label="For whom"
      style="width: 100%"
      data-testid="plant-who"
      ><el-option
        v-for="apprentice in apprentices"
        :key="apprentice.id"
        :value="apprentice.id"
        :label="`${apprentice.name}, ${apprentice.cohort}`"
    /></el-select>
    <div class="row">
      <el-button v-for="cohort in cohorts" :key="cohort" size="small" @click="addGroup(cohort)"
        >+ {{ cohort }}</el-button
      >
    </div>
    <el-button
      type="primary"
      :loading="isBusy"
      :disabled="chosen.length === 0 || who.length === 0"
      data-testid="plant"
      @click="set"
      >Set for {{ who.length || '…' }}</el-button
    >
    <h2>Set before</h2>
    <p v-if="(home?.set ?? []).length === 0" class="soft">Nothing yet.</p>
    <p v-for="search in home?.set ?? []" :key="search.id">
      <NuxtLink :to="`/practice/faults/${search.id}`">{{ search.name }}</NuxtLink>
      <span class="tag" :class="search.met ? 'met' : 'plain'">{{
        search.isDone ? (search.met ? 'found' : 'not yet') : 'open'
      }}</span>
    </p>
  </section>
</template>

<script setup lang="ts">
import type { FaultFindingHome } from '#schemas/fault-finding-views'

/** Faults to look for: those that were set, and practice by what one wants to learn. */
const props = defineProps<{ home: FaultFindingHome; maySet: boolean }>()
const { call } = useApi()
const bay = ref('ring')
async function start(aim: string) {
  try {
    const { id } = await call<{ id: number }>('POST', 'hunts', { bay: bay.value, aim })
    await navigateTo(`/practice/faults/${id}`)
  } catch (error) {
    showProblem(error)
  }
}
const aims = computed(() => {
  const here = props.home.bays.find(({ code }) => code === bay.value)?.aims ?? []
  return props.home.aims.filter(({ code }) => here.includes(code))
})
const open = computed(() => props.home.own.filter(({ isDone }) => !isDone))
const done = computed(() => props.home.own.filter(({ isDone }) => isDone).slice(0, 4))
</script>

<template>
  <NuxtLink v-if="maySet" to="/practice/plant" class="list-entry"
    ><span class="what"
      ><b>Plant a fault</b
      ><span class="soft small">See beforehand what it shows, then set it for a group.</span></span
    ></NuxtLink
  >
  <NuxtLink
    v-for="item in open"
    :key="item.id"
    :to="`/practice/faults/${item.id}`"
    class="list-entry"
    :data-testid="`hunt-${item.id}`"
    ><span class="what"
      ><b>{{ item.title }}</b
      ><span class="soft small"
        >{{ item.setBy ? `set by ${item.setBy}` : 'your practice'
        }}{{ item.bay ? `, bay ${item.bay}` : '' }}</span
      ></span
    ><span class="tag waiting">open</span></NuxtLink
  >
  <div class="pick">
    <el-select v-model="bay" aria-label="Bay"
      ><el-option v-for="place in home.bays" :key="place.code" :value="place.code" :label="place.title"
    /></el-select>
  </div>
  <button
    v-for="aim in aims"
    :key="aim.code"
    type="button"
    class="list-entry"
    :data-testid="`aim-${aim.code}`"
    @click="start(aim.code)"
  >
    <span class="what"
      ><b>{{ aim.name }}</b
      ><span class="soft small">A fault is picked at random.</span></span
    >
  </button>
  <NuxtLink v-for="search in done" :key="search.id" :to="`/practice/faults/${search.id}`" class="list-entry"
    ><span class="what"
      ><b>{{ search.title }}</b
      ><span class="soft small">{{ dayTime(search.madeAt) }}</span></span
    ><span class="tag" :class="search.met ? 'met' : 'plain'">{{
      search.met ? 'found' : 'not yet'
    }}</span></NuxtLink
  >
</template>

<style scoped>
.pick {
  padding: 8px 0;
}
</style>

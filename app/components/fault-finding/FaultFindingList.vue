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
const open = computed(() => props.home.own.filter(({ isDone }) => !isDone))
const done = computed(() => props.home.own.filter(({ isDone }) => isDone).slice(0, 4))
</script>

<template>
  <NuxtLink v-if="maySet" to="/practice/plant" class="entry"
    ><span class="what"
      ><b>Plant a fault</b
      ><span class="soft small">See beforehand what it shows, then set it for a group.</span></span
    ></NuxtLink
  >
  <NuxtLink
    v-for="one in open"
    :key="one.id"
    :to="`/practice/faults/${one.id}`"
    class="entry"
    :data-testid="`hunt-${one.id}`"
    ><span class="what"
      ><b>{{ one.title }}</b
      ><span class="soft small"
        >{{ one.setBy ? `set by ${one.setBy}` : 'your practice'
        }}{{ one.bay ? `, bay ${one.bay}` : '' }}</span
      ></span
    ><span class="tag waiting">open</span></NuxtLink
  >
  <div class="pick">
    <el-select v-model="bay" aria-label="Bay"
      ><el-option v-for="one in home.bays" :key="one.code" :value="one.code" :label="one.title"
    /></el-select>
  </div>
  <button
    v-for="aim in home.aims"
    :key="aim.code"
    type="button"
    class="entry"
    :data-testid="`aim-${aim.code}`"
    @click="start(aim.code)"
  >
    <span class="what"
      ><b>{{ aim.name }}</b
      ><span class="soft small">A fault is picked at random.</span></span
    >
  </button>
  <NuxtLink v-for="one in done" :key="one.id" :to="`/practice/faults/${one.id}`" class="entry"
    ><span class="what"
      ><b>{{ one.title }}</b
      ><span class="soft small">{{ dayTime(one.madeAt) }}</span></span
    ><span class="tag" :class="one.met ? 'met' : 'plain'">{{ one.met ? 'found' : 'not yet' }}</span></NuxtLink
  >
</template>

<style scoped>
.entry {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 100%;
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 9px 14px;
  min-height: 62px;
  border-bottom: 1px solid var(--hem);
  color: inherit;
  text-decoration: none;
  background: var(--panel);
}
.entry:hover {
  background: var(--indigo-wash);
}
.entry:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
}
.what {
  display: flex;
  flex-direction: column;
  flex: 1;
  line-height: 1.3;
}
.pick {
  padding: 8px 0;
}
</style>

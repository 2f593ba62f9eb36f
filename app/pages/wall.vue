<script setup lang="ts">
import type { FloorPatch } from '#schemas/views'
import { STAGE_WORDS } from '~/texts/stages'

/**
 * The workshop across the room: one large patch for each bay, those that wait and those that are live first.
 * Nothing to tap.
 */
definePageMeta({ layout: false, roles: ['instructor', 'assessor'] })
const { data, problem, patches, cohort, cohorts, refresh } = useFloor()
const FIRST: Readonly<Partial<Record<FloorPatch['stage'], number>>> = { live: 0, permission: 1 }
const LAST: Readonly<Partial<Record<FloorPatch['stage'], number>>> = { decided: 9, released: 9 }
const order = ({ stage }: FloorPatch) => FIRST[stage] ?? LAST[stage] ?? 5
const shown = computed(() =>
  patches.value
    .filter(({ stage }) => stage !== 'released')
    .sort((a, b) => order(a) - order(b) || a.bay - b.bay),
)
const locksOn = ({ bay, name }: FloorPatch) =>
  (data.value?.locks ?? []).filter((lock) => lock.bay === bay && lock.name === name)
const since = (patch: FloorPatch) => (patch.lastAct ? minutesBetween(patch.lastAct.at, data.value!.now) : '')
const waiting = computed(() => shown.value.filter(({ stage }) => stage === 'permission').length)
const live = computed(() => shown.value.filter(({ stage }) => stage === 'live').length)
</script>

<template>
  <div class="wall">
    <header>
      <h1>{{ live }} live <span class="and">·</span> {{ waiting }} waiting</h1>
      <el-select
        v-if="cohorts.length > 1"
        v-model="cohort"
        clearable
        placeholder="All groups"
        style="width: 230px"
        aria-label="Group"
        ><el-option v-for="name in cohorts" :key="name" :value="name" :label="name"
      /></el-select>
      <b class="clock mono">{{ data ? clock(data.now).slice(0, 5) : '' }}</b>
      <NuxtLink to="/floor">Floor</NuxtLink>
    </header>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <p v-else-if="data && shown.length === 0" class="empty">Nobody is at work.</p>
    <div class="bays" :data-count="shown.length">
      <article v-for="patch in shown" :key="patch.id" :class="patch.stage" :data-testid="`wall-${patch.bay}`">
        <b class="number">{{ patch.bay }}</b>
        <div>
          <p class="name">{{ patch.name }}</p>
          <p class="state">
            {{
              patch.stage === 'live'
                ? 'LIVE'
                : patch.stage === 'permission'
                  ? 'waits'
                  : STAGE_WORDS[patch.stage].theirs
            }}<template v-if="since(patch)"> · {{ since(patch) }}</template>
          </p>
          <p v-for="lock in locksOn(patch)" :key="lock.id" class="lock">
            padlock {{ lock.padlock }} · {{ lock.name }}
          </p>
        </div>
      </article>
    </div>
  </div>
</template>

<style scoped>
.wall {
  min-height: 100vh;
  background: #1f2430;
  color: #f7f2e8;
  padding: 20px 28px 28px;
  display: flex;
  flex-direction: column;
  gap: 18px;
}
header {
  display: flex;
  align-items: center;
  gap: 24px;
}
h1 {
  font-size: 40px;
  color: #f7f2e8;
  flex: 1;
}
.and {
  opacity: 0.5;
}
.clock {
  font-size: 40px;
}
header a {
  color: #c9d2f2;
}
.bays {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  gap: 14px;
}
article {
  display: flex;
  gap: 20px;
  align-items: center;
  padding: 12px 20px;
  min-height: 128px;
  border: 3px solid #4a5166;
  background: #2a3040;
}
.number {
  font: 760 74px/1 var(--mono);
  min-width: 92px;
}
.name {
  font-size: 27px;
  font-weight: 680;
  line-height: 1.15;
}
.state {
  font-size: 22px;
}
.lock {
  font-size: 19px;
  color: #ffd894;
}
.permission {
  border: 4px dashed #e5ac3f;
  background: #3a3224;
}
.permission .state {
  color: #ffd894;
  font-weight: 700;
}
.live {
  border: 5px solid #e06a59;
  background: #47231f;
}
.live .state {
  font-weight: 800;
  letter-spacing: 0.08em;
  color: #ffc9c0;
}
</style>

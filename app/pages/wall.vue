<script setup lang="ts">
import type { FloorPatch } from '#schemas/views'
import { STAGE_WORDS } from '~/texts/stages'

/**
 * The workshop across the room: one large patch for each bay with everybody at it, those that are live and those that
 * wait first. Sixteen bays fill one screen and are read from eight metres. Nothing to tap.
 */
definePageMeta({ layout: false, roles: ['instructor', 'assessor'] })
const { data, problem, bays, cohort, cohorts, refresh } = useFloor()
type Bay = (typeof bays.value)[number]
const FIRST: Readonly<Partial<Record<FloorPatch['stage'], number>>> = { live: 0, permission: 1 }
const isHere = ({ stage }: FloorPatch) => stage !== 'released'
const order = ({ people }: Bay) => Math.min(...people.map(({ stage }) => FIRST[stage] ?? 5))
const shown = computed(() =>
  bays.value
    .map(({ bay, people }) => ({ bay, people: people.filter(isHere) }))
    .filter(({ people }) => people.length > 0)
    .sort((a, b) => order(a) - order(b) || a.bay - b.bay),
)
/** As near to the shape of a screen as the number of bays allows. */
const columns = computed(() => Math.max(1, Math.ceil(Math.sqrt(shown.value.length))))
const stateOf = ({ people }: Bay) => people[0]!.stage
const locksOn = (bay: number) => (data.value?.locks ?? []).filter((lock) => lock.bay === bay)
const since = (patch: FloorPatch) => (patch.lastAct ? minutesBetween(patch.lastAct.at, data.value!.now) : '')
const WORDS: Readonly<Partial<Record<FloorPatch['stage'], string>>> = { live: 'LIVE', permission: 'waits' }
const wordOf = ({ stage }: FloorPatch) => WORDS[stage] ?? STAGE_WORDS[stage].theirs
const all = computed(() => shown.value.flatMap(({ people }) => people))
const waiting = computed(() => all.value.filter(({ stage }) => stage === 'permission').length)
const live = computed(() => all.value.filter(({ stage }) => stage === 'live').length)
/** A surname is cut before a first name is. */
const short = (name: string) => name.replace(/^(\S+)\s+(\S).*$/, '$1 $2.')
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
    <div class="bays" :style="{ '--columns': columns }" :data-count="shown.length">
      <article v-for="at in shown" :key="at.bay" :class="stateOf(at)" :data-testid="`wall-${at.bay}`">
        <b class="number">{{ at.bay }}</b>
        <div class="people">
          <div v-for="patch in at.people.slice(0, 2)" :key="patch.id">
            <p class="name">{{ short(patch.name) }}</p>
            <p class="state">
              {{ wordOf(patch) }}<template v-if="since(patch)"> · {{ since(patch) }}</template>
            </p>
          </div>
          <p v-if="at.people.length > 2" class="state">and {{ at.people.length - 2 }} more</p>
          <p v-for="lock in locksOn(at.bay)" :key="lock.id" class="lock">padlock {{ lock.padlock }}</p>
        </div>
      </article>
    </div>
  </div>
</template>

<style scoped>
.wall {
  height: 100vh;
  min-height: 560px;
  background: #1f2430;
  color: #f7f2e8;
  padding: 1.2vw 1.6vw;
  display: flex;
  flex-direction: column;
  gap: 1vw;
}
header {
  display: flex;
  align-items: center;
  gap: 24px;
}
h1 {
  font-size: max(26px, 2.6vw);
  color: #f7f2e8;
  flex: 1;
}
.and {
  opacity: 0.5;
}
.clock {
  font-size: max(26px, 2.6vw);
}
header a {
  color: #c9d2f2;
}
.bays {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: repeat(var(--columns), minmax(0, 1fr));
  grid-auto-rows: minmax(0, 1fr);
  gap: 0.7vw;
}
article {
  container-type: size;
  display: flex;
  gap: 0.9vw;
  align-items: center;
  padding: 0 0.9vw;
  border: 3px solid #4a5166;
  background: #2a3040;
  overflow: hidden;
}
/* Letters follow the patch: a cap height of a two-hundredth of the screen's width at sixteen bays. */
.number {
  font: var(--heavy) min(46cqh, 26cqw) / 1 var(--mono);
}
.people {
  min-width: 0;
  display: grid;
  gap: 3cqh;
}
.name {
  font-size: min(17cqh, 9.6cqw);
  font-weight: var(--heavy);
  line-height: 1.1;
  white-space: nowrap;
}
.state {
  font-size: min(14cqh, 8cqw);
  line-height: 1.15;
  white-space: nowrap;
}
.lock {
  font-size: min(12cqh, 7cqw);
  line-height: 1.1;
  color: #ffd894;
}
.permission {
  border: 4px dashed #e5ac3f;
  background: #3a3224;
}
.permission .state {
  color: #ffd894;
  font-weight: var(--heavy);
}
.live {
  border: 5px solid #e06a59;
  background: #47231f;
}
.live .state {
  font-weight: var(--heavy);
  letter-spacing: 0.08em;
  color: #ffc9c0;
}
@media (max-width: 700px) {
  .wall {
    height: auto;
  }
  .bays {
    grid-template-columns: 1fr 1fr;
    grid-auto-rows: 130px;
  }
}
</style>

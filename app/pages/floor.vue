<script setup lang="ts">
import { hasPlace } from '#core/exercise/attempt/stages'
import type { ReadingMark } from '#core/testing/judge/judge'
import type { FloorPatch } from '#schemas/views'

definePageMeta({ roles: ['instructor', 'assessor'] })
const floor = useFloor()
const { data, problem, patches, bays, requests, cohort, cohorts } = floor
/** The nearest bays stand at once, and wherever something is live; the others follow a paint later each. */
const AT_ONCE = 6
const { shown } = useGradually(() => bays.value.length, AT_ONCE)
const standing = computed(() =>
  bays.value.filter(({ people }, i) => i < shown.value || people.some(({ stage }) => stage === 'live')),
)
const needs = useNeeds()
const refusing = ref<{ readonly patch: FloorPatch; readonly marks: readonly ReadingMark[] } | null>(null)
const permitting = ref<{ readonly patch: FloorPatch; readonly seen: string } | null>(null)
const session = useSession()
const exercises = computed(() => new Map(data.value?.exercises.map((one) => [one.id, one])))
const whatOf = ({ exerciseId }: FloorPatch) => exercises.value.get(exerciseId)?.circuitName ?? ''

async function refuse(reason: string) {
  if (refusing.value && (await floor.decide(refusing.value.patch.id, false, { reason })))
    refusing.value = null
}
async function permit(remark: string) {
  const asked = permitting.value
  // What was remarked stays where it was typed until it has arrived.
  if (asked && (await floor.decide(asked.patch.id, true, { reason: remark, seen: asked.seen })))
    permitting.value = null
}
const atWork = computed(() => patches.value.filter(({ stage }) => hasPlace(stage)).length)
const liveCount = computed(() => (data.value?.patches ?? []).filter(({ stage }) => stage === 'live').length)
</script>

<template>
  <div class="floor">
    <aside>
      <NeedsList
        :needs="needs"
        :requests="requests"
        @permit="(patch: FloorPatch, seen: string) => (permitting = { patch, seen })"
        @refuse="(patch: FloorPatch, marks: readonly ReadingMark[]) => (refusing = { patch, marks })"
        @stop="floor.stop($event)"
      />
      <PlanNow />
      <p class="soft small foot">
        A permission says what the record supports. What is at the bay, you see with your own eyes.
      </p>
    </aside>
    <section>
      <ServerProblem v-if="problem" :problem="problem" @retry="floor.refresh" />
      <div v-if="!data" class="patches">
        <div v-for="i in 8" :key="i" class="skeleton" style="height: 168px" />
      </div>
      <template v-else>
        <div class="row spread top">
          <el-button
            v-if="liveCount > 0"
            type="danger"
            class="stop-all"
            data-testid="stop-all"
            @click="floor.stop(null)"
            >STOP all {{ liveCount }} live</el-button
          >
          <p class="soft">
            {{ atWork }} at work · {{ clock(data.now).slice(0, 5) }} ·
            <NuxtLink to="/wall">Wall display</NuxtLink>
          </p>
          <el-select
            v-if="cohorts.length > 1"
            v-model="cohort"
            clearable
            :persistent="false"
            placeholder="All groups"
            style="width: 220px"
            aria-label="Group"
          >
            <el-option v-for="name in cohorts" :key="name" :value="name" :label="name" />
          </el-select>
        </div>
        <div v-if="patches.length === 0" class="empty">
          <h2>Nobody has a task yet</h2>
          <p>Open <NuxtLink to="/exercises">Exercises</NuxtLink>, choose one and set it for a group.</p>
        </div>
        <div class="patches">
          <FloorBay
            v-for="at in standing"
            :key="at.bay"
            :bay="at.bay"
            :people="at.people"
            :what-of="whatOf"
            :now="data.now"
            :locks="data.locks.filter(({ bay }) => bay === at.bay)"
            :behaviours="needs.data.value?.behaviours ?? []"
            @stop="floor.stop($event)"
          />
        </div>
      </template>
    </section>
    <LazyRefuseDialog
      v-if="refusing"
      :patch="refusing.patch"
      :marks="refusing.marks"
      @close="refusing = null"
      @refuse="refuse"
    />
    <LazyPermitDialog
      v-if="permitting"
      :patch="permitting.patch"
      :by="session.person?.name ?? ''"
      @close="permitting = null"
      @permit="permit"
    />
  </div>
</template>

<style scoped>
.floor {
  display: grid;
  grid-template-columns: 412px 1fr;
  flex: 1;
  min-height: 0;
}
aside {
  background: var(--panel);
  border-right: 1px solid var(--hem);
  padding: 20px;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
.foot {
  margin-top: auto;
}
.floor > section {
  padding: 16px 24px 24px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.top {
  min-height: 32px;
}
.stop-all {
  font-weight: var(--heavy);
  min-height: 48px;
}
.patches {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(212px, 1fr));
  gap: 12px;
}
@media (max-width: 900px) {
  .floor {
    grid-template-columns: 1fr;
  }
  aside {
    border-right: 0;
  }
}
</style>

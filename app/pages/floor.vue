<script setup lang="ts">
import { PERMISSION_MINUTES } from '#core/exercise/attempt/permission'
import type { ReadingMark } from '#core/testing/judge/judge'
import type { FloorPatch } from '#schemas/views'

definePageMeta({ roles: ['instructor', 'assessor'] })
const floor = useFloor()
const { data, problem, patches, requests, cohort, cohorts } = floor
const refusing = ref<{ readonly patch: FloorPatch; readonly marks: readonly ReadingMark[] } | null>(null)
const permitting = ref<{ readonly patch: FloorPatch; readonly seen: string } | null>(null)
/** A hall full of requests is read from the top; the rest is asked for. */
const MOST_REQUESTS = 8
const isAllShown = ref(false)
const shownRequests = computed(() =>
  isAllShown.value ? requests.value : requests.value.slice(0, MOST_REQUESTS),
)
const session = useSession()
const exercises = computed(() => new Map(data.value?.exercises.map((one) => [one.id, one])))
const whatOf = ({ exerciseId }: FloorPatch) => exercises.value.get(exerciseId)?.circuitName ?? ''

async function refuse(reason: string) {
  if (refusing.value && (await floor.decide(refusing.value.patch.id, false, { reason })))
    refusing.value = null
}
const remark = ref('')
async function permit() {
  const asked = permitting.value
  if (asked) await floor.decide(asked.patch.id, true, { reason: remark.value, seen: asked.seen })
  permitting.value = null
  remark.value = ''
}
const liveCount = computed(() => (data.value?.patches ?? []).filter(({ stage }) => stage === 'live').length)
const headline = computed(() => {
  const { length } = requests.value
  return ['Nobody asks to energise', 'One asks to energise'][length] ?? `${length} ask to energise`
})
</script>

<template>
  <div class="floor">
    <aside>
      <h1>{{ headline }}</h1>
      <EnergiseRequest
        v-for="patch in shownRequests"
        :key="patch.id"
        :patch="patch"
        :now="data!.now"
        @permit="permitting = { patch, seen: $event }"
        @refuse="refusing = { patch, marks: $event }"
      />
      <button
        v-if="requests.length > shownRequests.length"
        type="button"
        class="text-button"
        @click="isAllShown = true"
      >
        {{ requests.length - shownRequests.length }} more
      </button>
      <p v-if="data && requests.length === 0" class="empty">
        Requests appear here by themselves, the longest waiting first.
      </p>
      <PlanNow />
      <section v-if="data?.locks.length" class="side-list">
        <h2>Padlocks on</h2>
        <p v-for="lock in data.locks" :key="lock.id">
          <b class="mono">{{ lock.padlock }}</b> bay {{ lock.bay }}, {{ lock.device }} · {{ lock.name }}
        </p>
      </section>
      <section v-if="data?.repeats.length" class="side-list">
        <h2>Repeats booked</h2>
        <p v-for="repeat in data.repeats" :key="repeat.id">
          {{ repeat.name }}, {{ repeat.plannedFor }}. {{ repeat.reason }}
        </p>
      </section>
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
          <p class="soft">{{ patches.length }} at work · {{ clock(data.now).slice(0, 5) }}</p>
          <NuxtLink to="/wall">Wall display</NuxtLink>
          <el-select
            v-if="cohorts.length > 1"
            v-model="cohort"
            clearable
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
          <FloorPatch
            v-for="patch in patches"
            :key="patch.id"
            :patch="patch"
            :what="whatOf(patch)"
            :now="data.now"
            :locks="data.locks.filter((lock) => lock.bay === patch.bay && lock.name === patch.name)"
            @stop="floor.stop(patch.id)"
          />
        </div>
      </template>
    </section>
    <RefuseDialog
      :patch="refusing?.patch ?? null"
      :marks="refusing?.marks ?? []"
      @close="refusing = null"
      @refuse="refuse"
    />
    <el-dialog
      :model-value="permitting !== null"
      title="Permission to energise"
      width="480px"
      @close="permitting = null"
    >
      <div class="stack bay">
        <p>
          You, <b>{{ session.person?.name }}</b>, permit <b>{{ permitting?.patch.name }}</b> to energise bay
          <b>{{ permitting?.patch.bay }}</b>, now, under supervision. It holds for
          {{ PERMISSION_MINUTES }} minutes, unless you stop it.
        </p>
        <label class="field"
          ><span>Remark, if any; the apprentice reads it</span
          ><el-input v-model="remark" maxlength="300" name="remark"
        /></label>
        <p class="caution">
          Covers on, people informed, correct leads. Follow the rules of the centre and the current
          regulations.
        </p>
        <div class="row">
          <el-button type="primary" @click="permit">Give permission</el-button>
          <el-button @click="permitting = null">Back</el-button>
        </div>
      </div>
    </el-dialog>
  </div>
</template>

<style scoped>
.floor {
  display: grid;
  grid-template-columns: 388px 1fr;
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
.side-list {
  padding: 10px 0 0;
  gap: 4px;
  font-size: 14.5px;
  border-top: 1.5px dashed var(--hem-strong);
}
.floor > section {
  padding: 16px 24px 24px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.side-list {
  display: flex;
  flex-direction: column;
}
.top {
  min-height: 32px;
}
.stop-all {
  font-weight: 800;
  min-height: 48px;
}
.patches {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(196px, 1fr));
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

<script setup lang="ts">
import { CALL_KINDS, type CallKind } from '#core/floor/needs'
import type { NeedView } from '#schemas/floor'
import type { FloorPatch } from '#schemas/views'
import type { ReadingMark } from '#core/testing/judge/judge'
import { DESK_TEXT } from '#words/floor/needs'

/** One list of all that needs whoever walks the floor: bay by bay, each done from here in two taps. */
const { requests, needs } = defineProps<{
  needs: ReturnType<typeof useNeeds>
  /** Who asks to energise, with what an assessor looks at first. */
  requests: readonly FloorPatch[]
}>()
const emit = defineEmits<{
  permit: [patch: FloorPatch, seen: string]
  refuse: [patch: FloorPatch, marks: readonly ReadingMark[]]
  stop: [attemptId: number]
}>()
const DESK_TO = {
  marking: '/marking',
  claims: '/accounts',
  surveys: '/surveys',
  secondMarking: '/verification',
  appeals: '/verification',
} as const
/** A hall full of needs is read from the top; the rest is asked for. */
const MOST_BAYS = 10
const isAllShown = ref(false)
const { data, order, stops, waiting } = needs
const shown = computed(() => (isAllShown.value ? stops.value : stops.value.slice(0, MOST_BAYS)))
const headline = computed(
  () => ['Nobody waits for you', 'One waits for you'][waiting.value] ?? `${waiting.value} wait for you`,
)
const requestOf = ({ id }: NeedView) => requests.find((patch) => patch.id === id)
const isCall = (need: NeedView): boolean => CALL_KINDS.includes(need.kind as CallKind)
</script>

<template>
  <div class="stack" data-testid="needs">
    <div class="row spread">
      <h1>{{ headline }}</h1>
      <el-radio-group v-if="stops.length > 1" v-model="order" size="small" aria-label="Order of the list">
        <el-radio-button value="bays">By bay</el-radio-button>
        <el-radio-button value="waiting">Longest wait</el-radio-button>
      </el-radio-group>
    </div>
    <p v-if="data && stops.length === 0" class="empty">
      Requests and calls from the bays appear here by themselves.
    </p>
    <ol class="stops">
      <li v-for="stop in shown" :key="stop.bay" class="stop-at" :data-testid="`needs-${stop.bay}`">
        <b class="bay-no" :aria-label="`Bay ${stop.bay}`">{{ stop.bay }}</b>
        <div class="stack list">
          <template v-for="need in stop.needs" :key="need.kind + need.id">
            <EnergiseRequest
              v-if="need.kind === 'energise' && requestOf(need)"
              :patch="requestOf(need)!"
              :now="data!.now"
              @permit="emit('permit', requestOf(need)!, $event)"
              @refuse="emit('refuse', requestOf(need)!, $event)"
            />
            <CallNeed v-else-if="isCall(need)" :need="need" :now="data!.now" :needs="needs" />
            <PassingNeed v-else :need="need" :now="data!.now" @stop="emit('stop', need.id)" />
          </template>
        </div>
      </li>
    </ol>
    <button
      v-if="stops.length > shown.length"
      type="button"
      class="text-button more"
      @click="isAllShown = true"
    >
      {{ stops.length - shown.length }} more bays
    </button>
    <section v-if="data?.desk.length" class="desk" aria-label="At the desk">
      <h2>At the desk</h2>
      <NuxtLink
        v-for="{ kind, count } in data.desk"
        :key="kind"
        :to="DESK_TO[kind]"
        class="desk-line"
        :data-testid="`desk-${kind}`"
        ><b class="mono">{{ count }}</b> {{ DESK_TEXT[kind][count === 1 ? 0 : 1] }}</NuxtLink
      >
    </section>
  </div>
</template>

<style scoped>
.stops {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
.stop-at {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr);
  gap: 8px;
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 8px;
}
.bay-no {
  font: var(--heavy) 28px/1.1 var(--mono);
  color: var(--indigo-text);
}
.list {
  gap: 6px;
}
.more {
  align-self: flex-start;
}
.desk {
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 8px;
  display: grid;
  gap: 2px;
}
.desk-line {
  min-height: 40px;
  display: flex;
  align-items: center;
  gap: 8px;
  color: var(--ink);
}
.desk-line b {
  min-width: 32px;
  color: var(--indigo-text);
  font-size: 18px;
}
</style>

<script setup lang="ts">
import type { Behaviour } from '#core/assessment/outcomes/framework'
import type { FloorPatch } from '#schemas/views'
import { STAGE_WORDS } from '~/texts/stages'

/** Somebody at a bay: who, at what, since when; STOP where it is live. */
const props = defineProps<{
  patch: FloorPatch
  /** What they are at: the circuit that is wired. */
  what: string
  now: string
  behaviours: readonly Behaviour[]
}>()
const emit = defineEmits<{ stop: [] }>()
const isMarkable = computed(() => ['handedIn', 'decided', 'released'].includes(props.patch.stage))
const words = computed(() => {
  const { stage, answered } = props.patch
  if (stage === 'live') return 'live now'
  return stage === 'design' && answered === 0 ? 'Not started' : STAGE_WORDS[stage].theirs
})
const TAG: Readonly<Partial<Record<FloorPatch['stage'], string>>> = { permission: 'waiting', live: 'stop' }
const ACTS: Record<string, string> = {
  withdraw: 'stopped by',
  expire: 'permission ran out',
  handInDesign: 'handed in design',
  handInAlone: 'handed in design',
  askPermission: 'asked to energise',
  permit: 'permitted by',
  refuse: 'sent back by',
  handIn: 'handed in readings',
  decide: 'decided by',
  release: 'released by',
}
const last = computed(() => {
  const { lastAct, savedAt } = props.patch
  if (!lastAct) return savedAt ? `typed ${ago(savedAt, props.now)}` : 'has the task, nothing typed'
  const act = ACTS[lastAct.act] ?? lastAct.act
  return act.endsWith('by') ? `${act} ${lastAct.by}` : act
})
const since = computed(() => (props.patch.lastAct ? minutesBetween(props.patch.lastAct.at, props.now) : null))
</script>

<template>
  <p v-if="isMarkable" class="row spread past">
    <NuxtLink :to="`/marking/${patch.id}`">{{ patch.name }}</NuxtLink>
    <span class="small soft">{{ words }}</span>
  </p>
  <section v-else class="person" :aria-label="patch.name">
    <div class="row spread top">
      <b class="name">{{ patch.name }}</b>
      <span class="tag" :class="TAG[patch.stage] ?? 'plain'">{{ words }}</span>
    </div>
    <p class="what">{{ what }}</p>
    <p class="what soft">
      {{ last }}<template v-if="since"> · {{ since }}</template>
    </p>
    <div v-if="patch.stage === 'live'" class="row spread">
      <span class="small soft">until {{ clock(patch.liveUntil!).slice(0, 5) }}</span
      ><button type="button" class="stop-button" :aria-label="`STOP bay ${patch.bay}`" @click="emit('stop')">
        STOP
      </button>
    </div>
    <div class="foot">
      <TaskStitches :stage="patch.stage" :share="patch.answered / patch.steps" />
      <BehaviourTaps
        v-if="behaviours.length"
        :person-id="patch.personId"
        :attempt-id="patch.id"
        :name="patch.name"
        :behaviours="behaviours"
      />
    </div>
  </section>
</template>

<style scoped>
.person {
  display: flex;
  flex-direction: column;
  gap: 2px;
  padding-top: 4px;
}
.person:not(:nth-child(2)) {
  border-top: 1.5px dashed var(--hem-strong);
  margin-top: 4px;
}
.past {
  min-height: 32px;
  border-top: 1px solid var(--hem);
  gap: 6px;
}
.past a {
  color: inherit;
}
.top {
  gap: 6px;
  align-items: baseline;
}
.name {
  font-weight: var(--heavy);
  font-size: 17px;
  line-height: 1.2;
  color: inherit;
}
.what {
  font-size: 14px;
  line-height: 1.3;
}
.foot {
  margin-top: auto;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0 10px;
}
.stop-button {
  border: 0;
  border-radius: var(--ease);
  background: var(--madder);
  color: var(--on-madder);
  font: var(--heavy) 15px var(--font);
  letter-spacing: 0.05em;
  min-height: 48px;
  min-width: 84px;
  cursor: pointer;
}
.stop-button:focus-visible {
  outline: 3px solid var(--turmeric);
  outline-offset: 1px;
}
</style>

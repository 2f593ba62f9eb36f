<script setup lang="ts">
import type { FloorPatch } from '#schemas/views'
import type { LockView } from '#schemas/isolation-views'
import { STAGE_WORDS } from '~/texts/stages'

const props = defineProps<{
  patch: FloorPatch
  /** What they are at: the circuit that is wired. */
  what: string
  now: string
  locks: readonly LockView[]
}>()
const emit = defineEmits<{ stop: [] }>()
const isMarkable = computed(() => ['handedIn', 'decided', 'released'].includes(props.patch.stage))
const words = computed(() =>
  props.patch.stage === 'design' && props.patch.answered === 0
    ? 'Not started'
    : STAGE_WORDS[props.patch.stage].theirs,
)
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
  if (!lastAct)
    return savedAt ? `typed ${minutesBetween(savedAt, props.now)} ago` : 'has the task, nothing typed'
  const act = ACTS[lastAct.act] ?? lastAct.act
  return act.endsWith('by') ? `${act} ${lastAct.by}` : act
})
const since = computed(() => (props.patch.lastAct ? minutesBetween(props.patch.lastAct.at, props.now) : null))
</script>

<template>
  <component
    :is="isMarkable ? 'NuxtLink' : 'div'"
    :to="isMarkable ? `/marking/${patch.id}` : undefined"
    class="patch"
    :class="patch.stage"
    :data-testid="`bay-${patch.bay}`"
  >
    <div class="row spread head">
      <b class="number">{{ patch.bay }}</b>
      <span
        class="tag"
        :class="
          patch.stage === 'permission'
            ? 'waiting'
            : patch.stage === 'live'
              ? 'stop'
              : patch.stage === 'released'
                ? 'met'
                : 'plain'
        "
      >
        {{ patch.stage === 'live' ? 'live now' : words }}
      </span>
    </div>
    <p class="name">{{ patch.name }}</p>
    <p class="what">{{ what }}</p>
    <p class="what soft">
      {{ last }}<template v-if="since"> · {{ since }}</template>
    </p>
    <p v-for="lock in locks" :key="lock.id" class="what lock">
      padlock <b class="mono">{{ lock.padlock }}</b> on {{ lock.device }}
    </p>
    <div v-if="patch.stage === 'live'" class="row spread">
      <span class="small soft">until {{ clock(patch.liveUntil!).slice(0, 5) }}</span
      ><button
        type="button"
        class="stop-button"
        :aria-label="`STOP bay ${patch.bay}`"
        @click.prevent="emit('stop')"
      >
        STOP
      </button>
    </div>
    <TaskStitches :stage="patch.stage" :share="patch.answered / patch.steps" />
  </component>
</template>

<style scoped>
.patch {
  background: var(--panel);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
  padding: 12px 14px 14px;
  display: flex;
  flex-direction: column;
  gap: 2px;
  min-height: 168px;
  color: inherit;
  text-decoration: none;
}
a.patch:hover {
  border-color: var(--indigo);
}
.permission {
  border: 2px dashed var(--turmeric);
  background: var(--raised);
}
.live {
  border: 2px solid var(--madder);
}
.stop-button {
  border: 0;
  border-radius: var(--ease);
  background: var(--madder);
  color: var(--on-madder);
  font: 800 15px var(--font);
  letter-spacing: 0.05em;
  min-height: 48px;
  min-width: 84px;
  cursor: pointer;
}
.stop-button:focus-visible {
  outline: 3px solid var(--turmeric);
  outline-offset: 1px;
}
.number {
  font: 740 30px/1 var(--mono);
  color: var(--indigo-text);
}
.name {
  font-weight: 680;
  font-size: 17px;
  margin-top: 8px;
  line-height: 1.2;
}
.what {
  font-size: 14px;
  line-height: 1.3;
}
.patch :deep(.stitches) {
  margin-top: auto;
  padding-top: 0;
}
.head {
  align-items: flex-start;
}
</style>

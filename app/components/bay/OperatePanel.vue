<script setup lang="ts">
import { isEnergised, type BayState } from '#core/bay/behaviour/state'
import type { Part } from '#core/bay/model/rig'
import type { RunLine } from '~/composables/useBayStory'
import { MOST_LOAD_W } from '~/composables/useTrialSetup'
import { partAct } from '~/texts/bay'
import { stateOf } from '~/utils/part-state'

/** Hands on the bay: what can be moved, what may be loaded or made to touch, and what happened. */
const props = defineProps<{
  parts: readonly Part[]
  state: BayState
  lines: readonly RunLine[]
  loads: Readonly<Record<string, number>>
  isBusy: boolean
  touching: boolean
  hasLeaks: boolean
  touchOhm: number
  showLive: boolean
  showFlow: boolean
}>()
const emit = defineEmits<{
  act: [part: Part]
  energise: []
  reset: []
  wait: [s: number]
  load: [part: string, watt: number]
  touch: [on: boolean]
  untouch: []
  ohm: [ohm: number]
  live: [on: boolean]
  flow: [on: boolean]
}>()

const OHMS = [
  { value: 0.05, label: 'bare copper' },
  { value: 20, label: '20 Ω, wet' },
  { value: 2000, label: '2 kΩ, damp' },
  { value: 50_000, label: '50 kΩ' },
]
const movable = computed(() => props.parts.filter((part) => partAct(part) !== null && part.kind !== 'supply'))
const loadable = computed(() =>
  movable.value.flatMap((part) =>
    'load' in part && part.load ? [{ part, watt: props.loads[part.id] ?? part.load.watt }] : [],
  ),
)
/** By its supply, or by a standby source that runs. */
const isFed = computed(() => isEnergised(props.parts, props.state))
const supply = computed(() => props.parts.find(({ kind }) => kind === 'supply'))
const log = ref<HTMLElement | null>(null)
const WORD: Readonly<Record<string, readonly [string, string]>> = {
  socket: ['plugged in', 'nothing in'],
  lampholder: ['lamp in', 'lamp out'],
  appliance: ['on', 'off'],
  switch: ['on', 'off'],
  device: ['on', 'off'],
  arrester: ['in', 'taken out'],
  standby: ['runs', 'stands still'],
  changeover: ['on standby', 'on the grid'],
}
watch(
  () => props.lines.length,
  () => nextTick(() => log.value?.scrollTo({ top: log.value.scrollHeight })),
)
</script>

<template>
  <div class="panel-part">
    <div class="row">
      <el-button
        :type="state.isSupplyOn ? 'danger' : 'primary'"
        :disabled="isBusy"
        data-testid="supply"
        @click="supply && emit('act', supply)"
        >{{ state.isSupplyOn ? 'Supply off' : 'Supply on' }}</el-button
      >
      <el-button :disabled="isBusy" @click="emit('energise')">Energise in sequence</el-button>
    </div>
    <h2>What happened</h2>
    <ol
      ref="log"
      class="log"
      tabindex="0"
      aria-live="polite"
      aria-label="What happened"
      data-testid="happenings"
    >
      <li v-if="lines.length === 0" class="soft">
        Nothing yet. Switch the supply on, then touch devices, switches and loads on the drawing.
      </li>
      <li v-for="line in lines" :key="line.key" :class="line.kind">
        <span class="time">{{ line.time }}</span><span>{{ line.text }}</span>
      </li>
    </ol>
    <div class="row wrap">
      <el-button size="small" :disabled="isBusy || !isFed" @click="emit('wait', 60)">Wait a minute</el-button>
      <el-button size="small" :disabled="isBusy || !isFed" @click="emit('wait', 3600)"
        >Wait an hour</el-button
      >
      <el-button size="small" :disabled="isBusy" @click="emit('reset')">All as before</el-button>
      <el-checkbox
        :model-value="showLive"
        label="Show what is live"
        @update:model-value="emit('live', Boolean($event))"
      />
      <el-checkbox
        :model-value="showFlow"
        label="Show what flows"
        @update:model-value="emit('flow', Boolean($event))"
      />
    </div>
    <details>
      <summary>Everything that moves</summary>
      <ul class="hands">
        <li v-for="part in movable" :key="part.id">
          <el-switch
            :model-value="stateOf(part, state)"
            :aria-label="part.name"
            :disabled="isBusy"
            @change="emit('act', part)"
          /><span>{{ part.name }}</span
          ><span class="soft small">{{ WORD[part.kind]?.[stateOf(part, state) ? 0 : 1] }}</span>
        </li>
      </ul>
    </details>
    <details v-if="loadable.length">
      <summary>Loads</summary>
      <label v-for="{ part, watt } in loadable" :key="part.id" class="row load"
        ><span class="grow">{{ part.name }}</span
        ><el-input-number
          :model-value="Math.round(watt)"
          :min="1"
          :max="MOST_LOAD_W"
          :step="500"
          size="small"
          :aria-label="`Load of ${part.name}, W`"
          @change="emit('load', part.id, Number($event))"
        /><span class="sym">W</span></label
      >
    </details>
    <details>
      <summary>Let two terminals touch</summary>
      <div class="row wrap touch">
        <el-select
          :model-value="touchOhm"
          aria-label="Through"
          style="width: 150px"
          @update:model-value="emit('ohm', $event)"
          ><el-option v-for="ohm in OHMS" :key="ohm.value" v-bind="ohm"
        /></el-select>
        <el-button :type="touching ? 'primary' : undefined" @click="emit('touch', !touching)">{{
          touching ? 'Now touch both terminals' : 'Choose them'
        }}</el-button>
        <el-button v-if="hasLeaks" text @click="emit('untouch')">Part them again</el-button>
      </div>
    </details>
    <p class="caution">
      A model to try on. At a real bay energising is supervised work: follow the rules of your centre and the
      current regulations.
    </p>
  </div>
</template>

<style scoped>
.panel-part {
  display: flex;
  flex-direction: column;
  gap: 9px;
  min-height: 0;
}
.panel-part :deep(.el-button) {
  padding-inline: 14px;
}
.log {
  list-style: none;
  margin: 0;
  padding: 6px 0;
  overflow: auto;
  min-height: 190px;
  max-height: 42vh;
  border-top: 1.5px solid var(--ink);
  border-bottom: 1px solid var(--hem);
}
.log li {
  display: grid;
  grid-template-columns: 62px 1fr;
  gap: 8px;
  padding: 3px 6px;
  font-size: 14.5px;
  line-height: 1.35;
}
.log li.soft {
  display: block;
}
.log .time {
  font: var(--strong) 13px var(--mono);
  color: var(--soft);
  text-align: right;
}
.log .act {
  font-weight: var(--heavy);
  padding-top: 9px;
}
.log .trip {
  background: var(--madder-wash);
  color: var(--madder-text);
  border-left: 4px solid var(--madder);
}
.log .harm {
  background: var(--turmeric-wash);
  color: var(--turmeric-text);
  border-left: 4px dotted var(--turmeric);
}
summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 34px;
}
.hands {
  list-style: none;
  margin: 0;
  padding: 0;
}
.hands li {
  display: grid;
  grid-template-columns: auto 1fr auto;
  gap: 10px;
  align-items: center;
  min-height: 44px;
  border-bottom: 1px solid var(--hem);
}
.load {
  padding: 4px 0;
}
.grow {
  flex: 1;
}
</style>

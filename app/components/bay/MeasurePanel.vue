<script setup lang="ts">
import type { MeasureSettings } from '~/utils/measure-settings'
import { TEST_VOLTS, type TestVolt } from '#core/bay/instruments/insulation'
import { RCD_MULTIPLES, type RcdMultiple } from '#core/bay/instruments/rcd-test'
import { displaySentences, displayWords } from '#words/instruments'
import { INSTRUMENTS, INSTRUMENT_CODES, type Taken } from '#core/bay/instruments/take'
import type { Part } from '#core/bay/model/rig'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'
import { INSTRUMENT_NAME, LIVE_INSTRUMENTS } from '~/texts/bay'

/** An instrument on the bay as it is wired: what it is put to, what it shows. */
const props = defineProps<{
  settings: MeasureSettings
  at: readonly string[]
  links: readonly (readonly [string, string])[]
  freed: readonly { wire: string; end: 'from' | 'to' }[]
  taken: Taken | null
  parts: PartIndex
  wireWords: (id: string) => string
  isLive: boolean
}>()
const emit = defineEmits<{
  set: [next: Partial<MeasureSettings>]
  take: [ref: string]
  clear: []
  unlink: [i: number]
  refit: [i: number]
}>()
const RATED = [10, 30, 100, 300]
const all = computed<readonly Part[]>(() => [...props.parts.values()])
const isLiveTest = computed(() => LIVE_INSTRUMENTS.includes(props.settings.instrument))
const wanted = computed(() => {
  const { on, count } = INSTRUMENTS[props.settings.instrument]
  if (props.settings.linking) return 'Touch the two terminals that the link joins.'
  if (on === 'socket') return 'Touch a socket.'
  if (on === 'wires') return 'Touch the conductors inside the clamp; again to take one out.'
  return `Touch ${count === 3 ? 'L1, L2 and L3' : 'two terminals'}.`
})
</script>

<template>
  <div class="panel-part">
    <el-select
      :model-value="settings.instrument"
      aria-label="Instrument"
      data-testid="instrument"
      size="large"
      @update:model-value="emit('set', { instrument: $event })"
      ><el-option v-for="code in INSTRUMENT_CODES" :key="code" :value="code" :label="INSTRUMENT_NAME[code]"
    /></el-select>
    <el-radio-group
      v-if="settings.instrument === 'insulation'"
      :model-value="settings.volt"
      aria-label="Test voltage"
      @update:model-value="emit('set', { volt: $event as TestVolt })"
      ><el-radio-button v-for="volt in TEST_VOLTS" :key="volt" :value="volt"
        >{{ volt }} V</el-radio-button
      ></el-radio-group
    >
    <div v-if="settings.instrument === 'rcd'" class="row">
      <el-radio-group
        :model-value="settings.multiple"
        aria-label="Multiple of the rated current"
        @update:model-value="emit('set', { multiple: $event as RcdMultiple })"
        ><el-radio-button v-for="multiple in RCD_MULTIPLES" :key="multiple" :value="multiple"
          >{{ multiple === 0.5 ? '½' : multiple }} ×</el-radio-button
        ></el-radio-group
      >
      <el-select
        :model-value="settings.ratedA"
        aria-label="Rated residual current"
        style="width: 110px"
        @update:model-value="emit('set', { ratedA: $event })"
        ><el-option v-for="mA in RATED" :key="mA" :value="mA / 1e3" :label="`${mA} mA`"
      /></el-select>
    </div>
    <p class="display" data-testid="display" aria-live="polite">
      {{ taken ? displayWords(taken.display) : '–' }}
    </p>
    <p v-for="sentence in taken ? displaySentences(taken.display) : []" :key="sentence" class="stitched stop">
      <TermText :text="sentence" />
    </p>
    <p v-if="taken?.trips.length" class="stitched waiting">
      {{ taken.trips.map((id) => parts.get(id)?.name ?? id).join(', ') }} opened in this test. Switch on again
      before the next one.
    </p>
    <p class="wanted">{{ wanted }}</p>
    <ol class="probes">
      <li v-for="(ref, i) in at" :key="ref">
        <span class="mark">{{ i + 1 }}</span>{{
          INSTRUMENTS[settings.instrument].on === 'terminals'
            ? terminalWords(parts, ref)
            : INSTRUMENTS[settings.instrument].on === 'wires'
              ? wireWords(ref)
              : parts.get(ref)?.name
        }}
      </li>
    </ol>
    <el-button v-if="at.length" size="small" class="clear" @click="emit('clear')"
      >Take the probes off</el-button
    >
    <TerminalFinder :parts="all" label="Or type the terminal" @take="emit('take', $event)" />
    <h3>Made ready</h3>
    <p class="small soft">
      Put a link in, or touch a conductor and take one of its ends out of its terminal.
    </p>
    <ul class="ready">
      <li v-for="([a, b], i) in links" :key="`${a} ${b}`">
        Link {{ terminalWords(parts, a) }} – {{ terminalWords(parts, b)
        }}<button type="button" :aria-label="`Take the link ${i + 1} out`" @click="emit('unlink', i)">
          ×
        </button>
      </li>
      <li v-for="({ wire, end }, i) in freed" :key="wire + end">
        {{ wireWords(wire) }}: {{ end === 'from' ? 'first' : 'second' }} end out<button
          type="button"
          :aria-label="`Put the end ${i + 1} back`"
          @click="emit('refit', i)"
        >
          ×
        </button>
      </li>
    </ul>
    <el-button
      :type="settings.linking ? 'primary' : undefined"
      size="small"
      class="clear"
      data-testid="link"
      @click="emit('set', { linking: !settings.linking })"
      >{{ settings.linking ? 'Touch both ends of the link' : 'Put a link in' }}</el-button
    >
    <p v-if="isLiveTest && !isLive" class="small soft">This test needs the supply on.</p>
    <p class="caution">
      {{
        isLive
          ? 'The model is live. Live tests at a real bay are supervised work, with permission by name.'
          : 'Dead tests at a real bay: isolated, locked off, proved dead.'
      }}
    </p>
  </div>
</template>

<style scoped>
.panel-part {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.display {
  font: var(--heavy) 36px/1.15 var(--mono);
  padding: 12px 14px;
  background: var(--raised);
  border: 1.5px solid var(--ink);
  border-radius: var(--ease);
  text-align: right;
  min-height: 66px;
}
.wanted {
  font-weight: var(--strong);
}
.probes,
.ready {
  list-style: none;
  margin: 0;
  padding: 0;
  font-size: 14.5px;
}
.probes li {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 30px;
}
.mark {
  font: var(--heavy) 13px var(--mono);
  border: 2px dashed var(--indigo);
  border-radius: 50%;
  width: 26px;
  height: 26px;
  display: grid;
  place-content: center;
  color: var(--indigo-text);
}
.clear {
  align-self: flex-start;
}
.ready li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-bottom: 1px solid var(--hem);
}
.ready button {
  all: unset;
  cursor: pointer;
  padding: 8px 14px;
  font-size: 20px;
}
</style>

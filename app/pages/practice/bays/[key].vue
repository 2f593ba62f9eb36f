<script setup lang="ts">
import { Maximize2, Undo2, ZoomIn, ZoomOut } from '@lucide/vue'
import { COLOURS, type Rig } from '#core/bay/model/rig'
import { terminalWords } from '#core/bay/model/terminals'
import { rigSentence } from '#words/rig-problems'
import { COLOUR_MARK, COLOUR_VAR, MODE_NAME, type BayMode } from '~/texts/bay'
import { AREAS } from '~/utils/areas'

definePageMeta({
  layout: 'bay',
  roles: ['apprentice', 'instructor', 'assessor'],
  key: (route) => String(route.params.key),
})
const MODES = Object.entries(MODE_NAME) as [BayMode, string][]
const STEP = 1.25

const key = String(useRoute().params.key)
const wiring = useBayWiring(key)
const { view, problem, rig, parts, layout, paths, made, checked, autosave } = wiring
const run = useBayRun(() => rig.value)
const touch = useBayTouch(wiring, run)
const { mode, pickedPart, pickedWire, start, area, colour } = touch
const zoom = ref(1)
const stage = ref<HTMLElement | null>(null)
const panel = ref<HTMLElement | null>(null)
watch(checked, () => panel.value?.scrollTo({ top: 0 }))
const showLive = ref(false)
const NONE: ReadonlySet<string> = new Set()

const tray = computed(() =>
  (mode.value === 'connect' || mode.value === 'measure' || touch.touching.value) && pickedPart.value
    ? parts.value.get(pickedPart.value)
    : undefined,
)
const given = computed(() => view.value?.bare.wires.length ?? 0)
const troubles = computed(() => wiring.problems.value.map(rigSentence))
const wireWords = (id: string) => {
  const wire = rig.value?.wires.find((one) => one.id === id)
  return wire ? `${terminalWords(parts.value, wire.from)} – ${terminalWords(parts.value, wire.to)}` : id
}

function fit() {
  if (stage.value && layout.value)
    zoom.value = Math.min(
      1.4,
      (stage.value.clientWidth - 20) / layout.value.width,
      (stage.value.clientHeight - 20) / layout.value.height,
    )
}
function onBlank(board: string, way: number) {
  if (mode.value !== 'connect') return
  const name = `blank.${board}.${way}`
  wiring.change({ [name]: autosave.fields[name] ? '' : 'fitted' })
}
async function wired() {
  touch.turn('connect')
  await wiring.takeWired().catch(showProblem)
}
function save(text: string, name: string, type: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(new Blob([text], { type }))
  link.download = name
  link.click()
  URL.revokeObjectURL(link.href)
}
async function saveListing() {
  const text = await run.listing()
  if (text === null)
    ElMessage({
      type: 'warning',
      message: 'This bay cannot be computed as it is wired, so there is no network to save.',
      showClose: true,
    })
  else save(text, `${key}.cir`, 'text/plain')
}
const saveRig = () =>
  save(JSON.stringify(run.asTried.value as Rig, null, 1), `${key}.rig.json`, 'application/json')
async function onMore(what: 'wired' | 'strip' | 'listing' | 'rig') {
  if ((what === 'wired' || what === 'strip') && touch.isLive.value)
    return void ElMessage({
      type: 'warning',
      message: 'The bay is live. Switch the supply off first.',
      showClose: true,
    })
  await { wired, strip: async () => wiring.strip(), listing: saveListing, rig: async () => saveRig() }[what]()
}

onMounted(async () => {
  await wiring.load()
  await nextTick()
  fit()
})
useShortcuts([
  { keys: 'c', label: 'C', name: 'Connect', run: () => touch.turn('connect') },
  { keys: 'o', label: 'O', name: 'Operate', run: () => touch.turn('operate') },
  { keys: 't', label: 'T', name: 'Trace', run: () => touch.turn('trace') },
  { keys: 'm', label: 'M', name: 'Measure', run: () => touch.turn('measure') },
  { keys: 'u', label: 'U', name: 'Undo', run: wiring.undo, isOff: () => touch.isLive.value },
  {
    keys: 'Escape',
    label: 'Esc',
    name: 'Let go',
    run: () => {
      start.value = null
      pickedWire.value = null
      pickedPart.value = null
    },
  },
  {
    keys: 'Delete',
    label: 'Del',
    name: 'Take the chosen conductor out',
    run: () => {
      if (pickedWire.value && !touch.isLive.value) wiring.takeOut([pickedWire.value])
      pickedWire.value = null
    },
  },
])
</script>

<template>
  <div v-if="problem" class="page"><ServerProblem :problem="problem" @retry="wiring.load" /></div>
  <div v-else-if="!view || !layout || !rig || !run.state.value" class="page stack">
    <div v-for="i in 5" :key="i" class="skeleton" style="height: 64px" />
  </div>
  <div v-else class="bay-page">
    <header class="top">
      <NuxtLink to="/practice" class="back" aria-label="All bays">‹</NuxtLink>
      <div class="title">
        <h1>{{ view.title }}</h1>
        <span class="soft small">{{ view.about }}</span>
      </div>
      <div class="seg" role="radiogroup" aria-label="What the hand does">
        <button
          v-for="[code, name] in MODES"
          :key="code"
          type="button"
          role="radio"
          :aria-checked="mode === code"
          @click="touch.turn(code)"
        >
          {{ name }}
        </button>
      </div>
      <SaveWords
        :state="autosave.state.value"
        :saved-at="autosave.savedAt.value"
        :message="autosave.message.value"
      />
      <el-dropdown trigger="click" @command="onMore">
        <el-button>More</el-button>
        <template #dropdown>
          <el-dropdown-menu>
            <el-dropdown-item v-if="view.canBeWired" command="wired">Take it ready wired</el-dropdown-item>
            <el-dropdown-item command="strip">Take every conductor out</el-dropdown-item>
            <el-dropdown-item command="listing">Save the network (SPICE)</el-dropdown-item>
            <el-dropdown-item command="rig">Save the bay as a file</el-dropdown-item>
          </el-dropdown-menu>
        </template>
      </el-dropdown>
      <el-button type="primary" :loading="wiring.isBusy.value" @click="wiring.check">Check</el-button>
    </header>
    <div class="middle">
      <div class="left">
        <div ref="stage" class="stage" tabindex="0" aria-label="The bay">
          <BayDrawing
            :layout="layout"
            :rig="rig"
            :paths="paths"
            :state="run.state.value"
            :zoom="zoom"
            :working="run.working.value"
            :tripped="run.tripped.value"
            :live="showLive ? run.live.value : NONE"
            :picked-part="pickedPart"
            :picked-wires="touch.pickedWires.value"
            :marks="touch.marks.value"
            :lifted="touch.lifted.value"
            @terminal="touch.onTerminal"
            @wire="touch.onWire"
            @part="touch.onPart"
            @test="(id) => mode === 'operate' && run.act({ kind: 'test', part: id })"
            @blank="onBlank"
          />
        </div>
        <div class="corner">
          <div class="zoom">
            <button type="button" aria-label="Smaller" @click="zoom /= STEP"><ZoomOut :size="20" /></button
            ><button type="button" aria-label="Fit" @click="fit"><Maximize2 :size="20" /></button
            ><button type="button" aria-label="Larger" @click="zoom *= STEP"><ZoomIn :size="20" /></button>
          </div>
        </div>
        <TerminalTray
          v-if="tray"
          :part="tray"
          :rig="rig"
          :marks="touch.marks.value"
          @take="touch.onTerminal"
          @close="pickedPart = null"
        />
        <div class="tools">
          <template v-if="mode === 'connect'">
            <div class="seg sizes" role="radiogroup" aria-label="Size, mm²">
              <button
                v-for="one in AREAS"
                :key="one"
                type="button"
                role="radio"
                :aria-checked="area === one"
                @click="area = one"
              >
                {{ one }}</button><span class="unit">mm²</span>
            </div>
            <div class="seg" role="radiogroup" aria-label="Colour">
              <button
                v-for="one in COLOURS"
                :key="one"
                type="button"
                role="radio"
                :aria-checked="colour === one"
                :aria-label="one"
                :title="one"
                class="colour"
                @click="colour = one"
              >
                <i
                  :class="{ banded: one === 'green-and-yellow' }"
                  :style="{ background: COLOUR_VAR[one] }"
                />{{ COLOUR_MARK[one] }}
              </button>
            </div>
            <button
              type="button"
              class="undo"
              :disabled="!wiring.canUndo.value || touch.isLive.value"
              @click="wiring.undo"
            >
              <Undo2 :size="18" /> Undo
            </button>
          </template>
          <template v-else-if="mode === 'measure' && pickedWire">
            <span class="small">{{ wireWords(pickedWire) }}:</span>
            <button type="button" class="undo" @click="touch.free(pickedWire, 'from')">First end out</button
            ><button type="button" class="undo" @click="touch.free(pickedWire, 'to')">Second end out</button>
          </template>
          <span v-else class="small soft">{{
            mode === 'operate'
              ? 'Touch what you would move.'
              : mode === 'trace'
                ? 'Touch where the path ends.'
                : 'Touch the terminals.'
          }}</span>
        </div>
      </div>
      <aside ref="panel" class="panel" tabindex="0" aria-label="Beside the bay">
        <CheckPanel v-if="checked" :check="checked" @show="touch.show" @close="checked = null" />
        <ConnectPanel
          v-if="mode === 'connect'"
          :wires="made"
          :given="given"
          :parts="parts"
          :boards="rig.boards"
          :picked="pickedWire"
          :start="start"
          :troubles="troubles"
          :locked="touch.isLive.value"
          @pick="pickedWire = $event"
          @take="touch.onTerminal"
          @out="wiring.takeOut([$event])"
          @alter="wiring.alter"
          @label="(board, way, text) => wiring.change({ [`label.${board}.${way}`]: text })"
        />
        <OperatePanel
          v-else-if="mode === 'operate'"
          :parts="rig.parts"
          :state="run.state.value"
          :lines="run.lines.value"
          :loads="run.loads.value"
          :is-busy="run.isBusy.value"
          :touching="touch.touching.value"
          :has-leaks="run.leaks.value.length > 0"
          :touch-ohm="touch.touchOhm.value"
          :show-live="showLive"
          @act="touch.act"
          @energise="run.energise"
          @reset="run.reset"
          @wait="run.wait"
          @load="run.setLoad"
          @touch="touch.touching.value = $event"
          @untouch="run.untouch"
          @ohm="touch.touchOhm.value = $event"
          @live="showLive = $event"
        />
        <TracePanel
          v-else-if="mode === 'trace'"
          :part="pickedPart ? (parts.get(pickedPart) ?? null) : null"
          :poles="touch.traced.value"
          :rig="rig"
          :parts="parts"
          :shown="touch.shownPole.value"
          @show="touch.shownPole.value = $event"
        />
        <MeasurePanel
          v-else
          :settings="touch.settings.value"
          :at="touch.probes.value"
          :links="touch.links.value"
          :freed="touch.freed.value"
          :taken="touch.taken.value"
          :parts="parts"
          :wire-words="wireWords"
          :is-live="touch.isLive.value"
          @set="touch.set"
          @take="touch.onTerminal"
          @clear="touch.clear"
          @unlink="touch.unlink"
          @refit="touch.refit"
        />
      </aside>
    </div>
    <ConflictChooser
      :conflicts="autosave.conflicts.value"
      :name-of="(field) => field.replace('.', ' ')"
      title="Another device changed the same conductor"
      @choose="autosave.choose"
    />
  </div>
</template>

<style scoped>
.bay-page {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
}
.top {
  display: flex;
  gap: 14px;
  align-items: center;
  padding: 8px 16px;
  border-bottom: 1px solid var(--hem);
  background: var(--panel);
}
.title {
  flex: 1;
  min-width: 0;
}
.title h1 {
  font-size: 20px;
}
.back {
  font-size: 32px;
  line-height: 1;
  text-decoration: none;
  padding: 6px 12px;
}
.middle {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  flex: 1;
  min-height: 0;
}
.left {
  display: flex;
  flex-direction: column;
  min-height: 0;
  min-width: 0;
  position: relative;
}
.stage {
  flex: 1;
  overflow: auto;
  padding: 10px;
  min-height: 0;
}
.corner {
  position: relative;
}
.zoom {
  display: flex;
  position: absolute;
  right: 12px;
  bottom: 10px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--panel);
}
.zoom button {
  all: unset;
  cursor: pointer;
  width: 44px;
  height: 48px;
  display: grid;
  place-content: center;
  color: var(--indigo-text);
}
.zoom button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.tools {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
  padding: 8px 10px;
  border-top: 1px solid var(--hem);
  background: var(--panel);
  min-height: 66px;
}
.seg {
  display: flex;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  overflow: hidden;
  align-items: center;
}
.seg button {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  min-height: 48px;
  min-width: 44px;
  padding: 0 12px;
  text-align: center;
  font-weight: 640;
  color: var(--indigo-text);
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 7px;
  border-right: 1px solid var(--hem);
}
.seg button[aria-checked='true'] {
  background: var(--indigo);
  color: var(--on-indigo);
}
.seg button:focus-visible {
  outline: 2.5px solid var(--turmeric);
  outline-offset: -3px;
}
.sizes button {
  font-family: var(--mono);
  padding: 0 5px;
  min-width: 37px;
  font-size: 15px;
}
.unit {
  padding: 0 7px;
  font-size: 14px;
  color: var(--soft);
}
.seg .colour {
  padding: 0 7px;
  font: 640 12.5px var(--mono);
  min-width: 40px;
  gap: 5px;
}
.colour i {
  width: 9px;
  height: 26px;
  border-radius: 2px;
  border: 1px solid var(--hem-strong);
}
.colour i.banded {
  background: repeating-linear-gradient(
    var(--conductor-e) 0 6px,
    var(--conductor-e-band) 6px 12px
  ) !important;
}
.undo {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  min-height: 48px;
  padding: 0 14px;
  font-weight: 640;
  color: var(--indigo-text);
  display: inline-flex;
  align-items: center;
  gap: 6px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
}
.undo:disabled {
  opacity: 0.45;
  cursor: default;
}
.undo:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.panel {
  border-left: 1px solid var(--hem);
  background: var(--panel);
  padding: 14px 16px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
@media (max-width: 1000px) {
  .middle {
    grid-template-columns: 1fr;
    grid-template-rows: minmax(420px, 60vh) auto;
    overflow: auto;
  }
  .panel {
    border-left: 0;
    border-top: 1px solid var(--hem);
    overflow: visible;
  }
}
</style>

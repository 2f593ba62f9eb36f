<script setup lang="ts">
import { terminalWords } from '#core/bay/model/terminals'
import { warn } from '~/utils/warn'

definePageMeta({
  layout: 'bay',
  roles: ['apprentice', 'instructor', 'assessor'],
  key: (route) => String(route.params.key),
})

const key = String(useRoute().params.key)
const wiring = useBayWiring(key)
const { view, problem, rig, parts, layout, paths, checked, autosave, mounting } = wiring
const run = useBayRun(() => rig.value)
const touch = useBayTouch(wiring, run)
const { mode, pickedPart, pickedWire, area, colour } = touch
const zoom = ref(1)
const stage = ref<HTMLElement | null>(null)
const panel = ref<HTMLElement | null>(null)
watch(checked, () => panel.value?.scrollTo({ top: 0 }))
const showLive = ref(false)
const showFlow = ref(false)
const marks = () => touch.marks.value
const NONE: ReadonlySet<string> = new Set()

const tray = computed(() =>
  (mode.value === 'connect' || mode.value === 'measure' || touch.touching.value) && pickedPart.value
    ? parts.value.get(pickedPart.value)
    : undefined,
)
const wireWords = (id: string) => {
  const wire = rig.value?.wires.find((wire) => wire.id === id)
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
  if (mode.value === 'mount') return onPlace(board, way)
  if (mode.value !== 'connect' || mounting.isBare.value) return
  const name = `blank.${board}.${way}`
  wiring.change({ [name]: autosave.fields[name] ? '' : 'fitted' })
}
/** An enclosure that fills up is shown whole. */
watch(
  () => mounting.isBare.value && layout.value && `${layout.value.width} ${layout.value.height}`,
  (size) => size && nextTick(fit),
)
function onPlace(board: string, place: number) {
  if (touch.isLive.value) return
  const change = mounting.touchPlace(board, place)
  if (typeof change === 'string') warn(change)
  else wiring.change(change)
}
const onMore = useBayFiles({ key, wiring, run, touch })

onMounted(async () => {
  await wiring.load()
  if (mounting.isBare.value && mounting.places.value.size === 0) touch.turn('mount')
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
      touch.letGo()
      pickedPart.value = null
      mounting.picked.value = null
    },
  },
  {
    keys: 'Delete',
    label: 'Del',
    name: 'Take the chosen conductor out',
    run: () => {
      if (pickedWire.value && !touch.isLive.value) wiring.takeOut([pickedWire.value])
      touch.pick(null)
    },
  },
])
</script>

<template>
  <div v-if="problem" class="page"><PageProblem :problem="problem" @retry="wiring.load" /></div>
  <div v-else-if="!view || !layout || !rig || !run.state.value" class="page stack">
    <div v-for="i in 5" :key="i" class="skeleton" style="height: 64px" />
  </div>
  <div v-else class="bay-page">
    <BayTop
      :view="view"
      :mode="mode"
      :is-bare="mounting.isBare.value"
      :autosave="autosave"
      :is-checking="wiring.isBusy.value"
      @turn="touch.turn"
      @check="wiring.check"
      @more="onMore"
    />
    <div class="middle">
      <div class="left">
        <div class="room">
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
              :flow="showFlow ? run.flow.value : undefined"
              :picked-part="pickedPart"
              :picked-wires="touch.pickedWires.value"
              :lifted="touch.lifted.value"
              @terminal="touch.onTerminal"
              @wire="touch.onWire"
              @part="touch.onPart"
              @test="(id) => mode === 'operate' && run.act({ kind: 'test', part: id })"
              @blank="onBlank"
            >
              <BayMarks :terminals="layout.terminals" :marks="marks" />
            </BayDrawing>
          </div>
        </div>
        <div class="corner">
          <ZoomButtons @by="zoom *= $event" @fit="fit" />
        </div>
        <TerminalTray
          v-if="tray"
          :part="tray"
          :rig="rig"
          :marks="touch.marks.value"
          @take="touch.onTerminal"
          @close="pickedPart = null"
        />
        <BayTools
          :mode="mode"
          :area="area"
          :colour="colour"
          :picked-wire="pickedWire"
          :wire-words="wireWords"
          :can-undo="wiring.canUndo.value && !touch.isLive.value"
          @area="area = $event"
          @colour="colour = $event"
          @undo="wiring.undo"
          @free="touch.free"
        />
      </div>
      <div class="room">
        <aside ref="panel" class="panel" tabindex="0" aria-label="Beside the bay">
          <BayPanel
            v-model:show-live="showLive"
            v-model:show-flow="showFlow"
            :wiring="wiring"
            :run="run"
            :touch="touch"
          />
        </aside>
      </div>
    </div>
    <LazyConflictChooser
      v-if="autosave.conflicts.value.length > 0"
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
/* What changes in a room lays out that room and not the page. */
.room {
  flex: 1;
  min-height: 0;
}
.room > * {
  height: 100%;
  overflow: auto;
  contain: size layout;
}
.stage {
  padding: 10px;
}
.corner {
  position: relative;
}
.panel {
  border-left: 1px solid var(--hem);
  background: var(--panel);
  padding: 14px 16px;
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
    height: auto;
    overflow: visible;
    contain: none;
  }
}
</style>

<script setup lang="ts">
import { rigProblems } from '#core/bay/model/check'
import { terminalWords } from '#core/bay/model/terminals'
import { rigSentence } from '#words/rig-problems'

/** Beside a bay: what the hand may do now, in the mode that it is in, and what the check has found. */
const { wiring, run, touch } = defineProps<{
  wiring: ReturnType<typeof useBayWiring>
  run: ReturnType<typeof useBayRun>
  touch: ReturnType<typeof useBayTouch>
}>()
const showLive = defineModel<boolean>('showLive', { required: true })
const showFlow = defineModel<boolean>('showFlow', { required: true })
const { rig, parts, made, checked, autosave, mounting } = wiring
const { mode, pickedPart, pickedWire, start, touching, touchOhm, shownPole } = touch
const given = computed(() => mounting.base.value?.wires.length ?? 0)
// What is wrong in what was put in is said once it is drawn.
const { followed: drawn } = useFollowed(rig)
const troubles = computed(() => (drawn.value ? rigProblems(drawn.value).map(rigSentence) : []))
const prove = useProving(wiring, run)
const energise = () => mounting.refusesSupply(run.state.value!) || void run.energise()
const wireWords = (id: string) => {
  const wire = rig.value?.wires.find((wire) => wire.id === id)
  return wire ? `${terminalWords(parts.value, wire.from)} – ${terminalWords(parts.value, wire.to)}` : id
}
</script>

<template>
  <template v-if="rig && run.state.value">
    <CheckPanel v-if="checked" :check="checked" @show="touch.show" @close="checked = null" />
    <MountPanel
      v-if="mode === 'mount'"
      :mounting="mounting"
      :fields="autosave.fields"
      :locked="touch.isLive.value"
      @change="wiring.change"
    />
    <ConnectPanel
      v-else-if="mode === 'connect'"
      :wires="made"
      :given="given"
      :parts="parts"
      :boards="rig.boards"
      :picked="pickedWire"
      :start="start"
      :troubles="troubles"
      :locked="touch.isLive.value"
      @pick="touch.pick"
      @take="touch.onTerminal"
      @out="wiring.takeOut([$event])"
      @alter="wiring.alter"
      @label="(board, way, text) => wiring.change({ [`label.${board}.${way}`]: text })"
    />
    <ProvePoles
      v-if="mode === 'operate' && mounting.isBare.value"
      :rig="rig"
      :fields="autosave.fields"
      :is-busy="run.isBusy.value"
      :is-live="touch.isLive.value"
      @prove="prove"
    />
    <OperatePanel
      v-if="mode === 'operate'"
      :parts="rig.parts"
      :state="run.state.value"
      :lines="run.lines.value"
      :loads="run.loads.value"
      :is-busy="run.isBusy.value"
      :touching="touching"
      :has-leaks="run.leaks.value.length > 0"
      :touch-ohm="touchOhm"
      :show-live="showLive"
      :show-flow="showFlow"
      @act="touch.act"
      @energise="energise"
      @reset="run.reset"
      @wait="run.wait"
      @load="run.setLoad"
      @touch="touching = $event"
      @untouch="run.untouch"
      @ohm="touchOhm = $event"
      @live="showLive = $event"
      @flow="showFlow = $event"
    />
    <TracePanel
      v-else-if="mode === 'trace'"
      :part="pickedPart ? (parts.get(pickedPart) ?? null) : null"
      :poles="touch.traced.value"
      :rig="rig"
      :parts="parts"
      :shown="shownPole"
      @show="shownPole = $event"
    />
    <MeasurePanel
      v-else-if="mode === 'measure'"
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
  </template>
</template>

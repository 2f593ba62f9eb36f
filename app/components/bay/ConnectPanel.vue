<script setup lang="ts">
import type { BoardFrame, Colour, Wire } from '#core/bay/model/rig'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'

/** Connections: a terminal by name, the live list, what is written on the board. */
const props = defineProps<{
  wires: readonly Wire[]
  given: number
  parts: PartIndex
  boards: readonly BoardFrame[]
  picked: string | null
  start: string | null
  troubles: readonly string[]
  locked: boolean
}>()
const emit = defineEmits<{
  pick: [id: string | null]
  take: [ref: string]
  out: [id: string]
  alter: [id: string, next: { areaMm2?: number; colour?: Colour }]
  label: [board: string, way: string, text: string]
}>()
const all = computed(() => [...props.parts.values()])
// The conductor is drawn under the hand first; the list of all of them follows.
const { followed: listed } = useFollowed(computed(() => ({ wires: props.wires, picked: props.picked })))
</script>

<template>
  <div class="panel-part">
    <div class="row spread">
      <h2>Connections</h2>
      <span class="soft small" data-testid="made">{{ wires.length }} made · {{ given }} there before</span>
    </div>
    <TerminalFinder
      :parts="all"
      :label="
        start
          ? `From ${terminalWords(parts, start)}: where does it end?`
          : 'Touch a terminal, or type where the conductor starts'
      "
      @take="emit('take', $event)"
    />
    <p v-if="locked" class="stitched waiting">
      The bay is live. Switch every supply off before a conductor is moved.
    </p>
    <p v-for="trouble in troubles" :key="trouble" class="stitched stop">{{ trouble }}</p>
    <p v-if="wires.length === 0" class="soft">
      Nothing is connected yet. Choose a size and a colour below, touch a device to see its terminals, then
      touch where the conductor starts and where it ends. Nobody tells you whether it is right until you
      check, test or energise.
    </p>
    <ConnectionList
      :wires="listed.wires"
      :parts="parts"
      :picked="listed.picked"
      :locked="locked"
      @pick="emit('pick', $event)"
      @out="emit('out', $event)"
      @alter="(id, next) => emit('alter', id, next)"
    />
    <WayLabels
      :parts="parts"
      :boards="boards"
      @label="(board, way, text) => emit('label', board, way, text)"
    />
  </div>
</template>

<style scoped>
.panel-part {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
</style>

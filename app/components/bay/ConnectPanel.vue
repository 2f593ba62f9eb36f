<script setup lang="ts">
import type { BoardFrame, Colour, DevicePart, Part, Wire } from '#core/bay/model/rig'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'
import { COLOUR_MARK, COLOUR_VAR } from '~/texts/bay'

/** The live list of connections, and what is written on the board. */
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

const all = computed<readonly Part[]>(() => [...props.parts.values()])
const ways = computed(() =>
  props.boards.flatMap((board) =>
    all.value
      .filter(
        (part): part is DevicePart =>
          part.kind === 'device' && part.role === 'way' && part.board === board.id,
      )
      .map((device) => ({ board, way: String(device.way), key: `${board.id} ${device.id}` })),
  ),
)
const uniqueWays = computed(() =>
  ways.value.filter(
    (one, i) =>
      ways.value.findIndex((other) => other.board.id === one.board.id && other.way === one.way) === i,
  ),
)
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
    <ol class="list">
      <li v-for="(wire, i) in wires" :key="wire.id" :class="{ on: picked === wire.id }">
        <button
          type="button"
          class="line"
          :aria-expanded="picked === wire.id"
          @click="emit('pick', picked === wire.id ? null : wire.id)"
        >
          <span class="n">{{ i + 1 }}</span>
          <span
            class="swatch"
            :class="{ banded: wire.colour === 'green-and-yellow' }"
            :style="{ background: COLOUR_VAR[wire.colour] }"
          />
          <span class="ends"
            ><b>{{ terminalWords(parts, wire.from) }}</b
            ><span>{{ terminalWords(parts, wire.to) }}</span></span
          >
          <span class="size">{{ COLOUR_MARK[wire.colour] }} {{ wire.areaMm2 }}</span>
        </button>
        <div v-if="picked === wire.id" class="acts">
          <ConductorChoice
            v-if="!locked"
            :area="wire.areaMm2"
            :colour="wire.colour"
            :about="`connection ${i + 1}`"
            @area="emit('alter', wire.id, { areaMm2: $event })"
            @colour="emit('alter', wire.id, { colour: $event })"
          />
          <button type="button" class="out" :disabled="locked" @click="emit('out', wire.id)">
            Disconnect
          </button>
          <span class="small soft">{{
            wire.lengthM < 1 ? 'in the board' : `about ${Math.round(wire.lengthM)} m`
          }}</span>
        </div>
      </li>
    </ol>
    <details class="labels">
      <summary>Labels at the ways</summary>
      <p class="small soft">A blank goes into a spare way when you touch it.</p>
      <label v-for="{ board, way, key } in uniqueWays" :key="key" class="row"
        ><span class="way">{{ boards.length > 1 ? `${board.name}, ` : '' }}{{ way }}</span
        ><el-input
          :model-value="board.labels[way] ?? ''"
          maxlength="60"
          :aria-label="`Label of way ${way}, ${board.name}`"
          @update:model-value="emit('label', board.id, way, $event)"
      /></label>
    </details>
  </div>
</template>

<style scoped>
.panel-part {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
}
.list li {
  border-bottom: 1px solid var(--hem);
  content-visibility: auto;
  contain-intrinsic-size: auto 50px;
}
.list li.on {
  background: var(--indigo-wash);
}
.line {
  all: unset;
  box-sizing: border-box;
  width: 100%;
  cursor: pointer;
  display: grid;
  grid-template-columns: 26px 12px 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 5px 6px;
  min-height: 48px;
}
.line:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
}
.n {
  font: var(--strong) 13px var(--mono);
  color: var(--soft);
}
.swatch {
  width: 8px;
  height: 26px;
  border-radius: 2px;
  border: 1px solid var(--hem-strong);
}
.swatch.banded {
  background: repeating-linear-gradient(
    var(--conductor-e) 0 6px,
    var(--conductor-e-band) 6px 12px
  ) !important;
}
.ends {
  display: flex;
  flex-direction: column;
  font-size: 14px;
  line-height: 1.25;
}
.ends b {
  font-weight: var(--strong);
}
.ends span {
  color: var(--soft);
}
.size {
  font: var(--strong) 14px var(--mono);
  white-space: nowrap;
}
.acts {
  display: flex;
  gap: 8px;
  align-items: center;
  padding: 0 6px 8px;
  flex-wrap: wrap;
}
.out {
  all: unset;
  cursor: pointer;
  color: var(--madder-text);
  font-weight: var(--strong);
  padding: 8px;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.out:disabled {
  opacity: 0.5;
  cursor: default;
}
.labels summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 34px;
}
.labels .row {
  padding: 3px 0;
  flex-wrap: nowrap;
}
.way {
  font: var(--strong) 14px var(--mono);
  min-width: 30px;
}
</style>

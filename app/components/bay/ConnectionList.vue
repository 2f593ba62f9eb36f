<script setup lang="ts">
import type { Colour, Wire } from '#core/bay/model/rig'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'
import { COLOUR_MARK, COLOUR_VAR } from '~/texts/bay'

/** The live list of connections; the one that is picked can be altered or taken out. */
const props = defineProps<{
  wires: readonly Wire[]
  parts: PartIndex
  picked: string | null
  locked: boolean
}>()
const emit = defineEmits<{
  pick: [id: string | null]
  out: [id: string]
  alter: [id: string, next: { areaMm2?: number; colour?: Colour }]
}>()
/** What may be done with it comes when its line has been drawn. */
const { followed: opened } = useFollowed(toRef(() => props.picked))
</script>

<template>
  <ol class="list">
    <li v-for="(wire, i) in wires" :key="wire.id" :class="{ on: picked === wire.id }">
      <button
        type="button"
        class="line"
        :aria-expanded="opened === wire.id"
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
      <div v-if="opened === wire.id" class="acts">
        <ConductorChoice
          v-if="!locked"
          :area="wire.areaMm2"
          :colour="wire.colour"
          :about="`connection ${i + 1}`"
          @area="emit('alter', wire.id, { areaMm2: $event })"
          @colour="emit('alter', wire.id, { colour: $event })"
        />
        <button type="button" class="out" :disabled="locked" @click="emit('out', wire.id)">Disconnect</button>
        <span class="small soft">{{
          wire.lengthM < 1 ? 'in the board' : `about ${Math.round(wire.lengthM)} m`
        }}</span>
      </div>
    </li>
  </ol>
</template>

<style scoped>
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
</style>

<script setup lang="ts">
import type { BoardDesign } from '#core/design/reference'
import { stepWords } from '#core/design/model/step-kinds'
import { BOARD_NAME } from '~/texts/builder'

/** A board's own line above its circuits: what it is, who feeds it, and its switch and demand on the drawing. */
const props = defineProps<{
  id: string
  row: Readonly<Record<string, string>>
  problems: Readonly<Record<string, string>>
  design: BoardDesign | undefined
  depth: number
  span: number
  feeds: readonly { id: string; name: string }[]
  says: readonly { text: string; isStop: boolean }[]
  canRemove: boolean
  locked: boolean
}>()
const emit = defineEmits<{
  write: [field: string, text: string]
  pick: []
  add: [template: string]
  remove: []
}>()
const words = (step: 'mainSwitch' | 'demand') =>
  props.design?.values[step] === undefined ? '' : stepWords(step, props.design.values[step])
const SURGE = { surge: 'SPD way', surgeDevice: 'behind' } as const
const input = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <tr class="board" @focusin="emit('pick')" @click="emit('pick')">
    <td :colspan="span">
      <div class="fields">
        <input
          class="name"
          :value="row.name"
          :name="`${id}.name`"
          :aria-label="BOARD_NAME.name"
          @input="emit('write', 'name', input($event))"
        />
        <label
          >fed by
          <select
            :value="row.fedBy"
            :class="{ bad: problems.fedBy }"
            :name="`${id}.fedBy`"
            @change="emit('write', 'fedBy', input($event))"
          >
            <option value="">the supply</option>
            <option v-for="feed in feeds" :key="feed.id" :value="feed.id">{{ feed.name }}</option>
          </select>
        </label>
        <label
          ><select
            :aria-label="BOARD_NAME.phases"
            :value="row.phases"
            :class="{ bad: problems.phases }"
            :name="`${id}.phases`"
            @change="emit('write', 'phases', input($event))"
          >
            <option value="1">single phase</option>
            <option value="3">three phase</option>
          </select></label
        >
        <label
          ><input
            class="short"
            :class="{ bad: problems.ways }"
            :value="row.ways"
            :name="`${id}.ways`"
            @input="emit('write', 'ways', input($event))"
          />
          ways</label
        >
        <label v-if="row.fedBy"
          >own electrode
          <input
            class="short"
            :class="{ bad: problems.electrode }"
            :value="row.electrode"
            :name="`${id}.electrode`"
            placeholder="none"
            @input="emit('write', 'electrode', input($event))"
          />
          Ω</label
        >
        <span class="pair">
          <label v-for="(name, field) in SURGE" :key="field"
            >{{ name }}
            <input
              class="short"
              :class="{ bad: problems[field] }"
              :value="row[field]"
              :name="`${id}.${field}`"
              placeholder="none"
              @input="emit('write', field, input($event))"
          /></label>
        </span>
        <span v-if="!locked" class="adds" @click.stop @focusin.stop><slot /></span>
        <button v-if="canRemove && !locked" type="button" class="plain" @click.stop="emit('remove')">
          Remove board
        </button>
      </div>
      <p v-for="{ text, isStop } in says" :key="text" :class="{ stop: isStop }">{{ text }}</p>
    </td>
    <td class="sketch">
      <svg viewBox="0 0 330 46">
        <line class="bar" :x1="10 + depth * 18" :x2="10 + depth * 18" y1="30" y2="52" />
        <path class="wire" :d="`M${10 + depth * 18} 0V8`" />
        <rect class="box" :x="2 + depth * 18" y="8" width="16" height="22" />
        <line class="wire" :x1="7 + depth * 18" :x2="13 + depth * 18" y1="24" y2="13" />
        <text v-if="words('mainSwitch')" :x="26 + depth * 18" y="18">switch {{ words('mainSwitch') }}</text>
        <text v-if="words('demand')" :x="26 + depth * 18" y="34">demand {{ words('demand') }}</text>
        <text class="head" x="190" y="40">ΔU</text>
        <text class="head" x="262" y="40">Zs</text>
      </svg>
    </td>
  </tr>
</template>

<style scoped>
.board td {
  padding: 6px 8px 4px;
  border-top: 2px solid var(--ink);
  background: var(--cloth);
}
.board .sketch {
  padding: 0;
  background: var(--panel);
  height: 46px;
  width: 330px;
}
.sketch svg {
  width: 330px;
  height: 46px;
  display: block;
  overflow: visible;
}
.fields {
  display: flex;
  gap: 14px;
  align-items: center;
  flex-wrap: wrap;
  font-size: 14px;
  color: var(--soft);
}
.fields input,
.fields select {
  border: 1px solid var(--hem-strong);
  background: var(--raised);
  color: var(--ink);
  height: 28px;
  border-radius: 3px;
  padding: 0 6px;
  font-size: 14px;
}
.fields select {
  max-width: 150px;
}
.fields .name {
  font-weight: var(--heavy);
  width: 190px;
}
.fields .short {
  width: 52px;
  font-family: var(--mono);
  text-align: right;
}
.bad {
  border-color: var(--madder) !important;
  background: var(--madder-wash) !important;
}
.pair {
  display: flex;
  gap: 6px;
}
.plain {
  all: unset;
  cursor: pointer;
  color: var(--madder-text);
  font-size: 13.5px;
  padding: 2px 4px;
}
.plain:focus-visible {
  outline: 2px solid var(--indigo);
}
.adds {
  margin-left: auto;
}
p {
  font-size: 13.5px;
  color: var(--turmeric-text);
  margin-top: 3px;
}
p.stop {
  color: var(--madder-text);
  font-weight: var(--strong);
}
.bar {
  stroke: var(--ink);
  stroke-width: 4;
}
.wire {
  stroke: var(--ink);
  stroke-width: 1.4;
  fill: none;
}
.box {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.3;
}
text {
  font: var(--strong) 12.5px var(--mono);
  fill: var(--ink);
}
.head {
  fill: var(--soft);
  font-weight: var(--mid);
}
</style>

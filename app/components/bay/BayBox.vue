<script setup lang="ts">
import type { Rect } from '#core/bay/layout/placed'
import type { Part } from '#core/bay/model/rig'
import { deviceMark, partNote } from '~/texts/bay'

/** A part of the bay in its place: what it is, how it stands, whether it works. Its terminals are drawn on top. */
const props = defineProps<{
  box: Rect & { readonly part: Part }
  isOn: boolean
  isTripped: boolean
  isWorking: boolean
  isPicked: boolean
  isFaded: boolean
  /** Its test button can be pressed. */
  hasTest: boolean
}>()
const emit = defineEmits<{ pick: []; test: [] }>()

const part = computed(() => props.box.part)
const middle = computed(() => props.box.x + props.box.w / 2)
const isTall = computed(() => part.value.kind === 'device' && part.value.board !== null)
/** Names stand where there is room: short ones for devices on a rail. */
const name = computed(() =>
  isTall.value && part.value.kind === 'device' && part.value.role === 'way'
    ? String(part.value.way ?? part.value.name)
    : part.value.name,
)
const CHAR_W = 7.6
const lines = computed(() =>
  isTall.value && name.value.length * CHAR_W > props.box.w - 6 ? name.value.split(' ') : [name.value],
)
const isOutside = computed(() => part.value.board === null && part.value.circuit === null)
const lever = computed(() => {
  if (props.isTripped) return 0.5
  return props.isOn ? 0 : 1
})
/** What is to be seen of it, after its name. */
const standing = computed(() => {
  if (part.value.kind === 'standby') return props.isOn ? ', runs' : ', stands still'
  if (part.value.kind === 'changeover') return props.isOn ? ', on standby' : ', on the grid'
  if (part.value.kind !== 'device' && part.value.kind !== 'switch') return props.isWorking ? ', works' : ''
  if (props.isTripped) return ', tripped'
  return props.isOn ? ', on' : ', off'
})
const says = computed(() => `${part.value.name}${standing.value}`)
</script>

<template>
  <g
    class="box"
    :class="[part.kind, { picked: isPicked, faded: isFaded, working: isWorking, tripped: isTripped }]"
  >
    <g
      class="reach"
      role="button"
      tabindex="0"
      :aria-label="says"
      :data-part="part.id"
      @click="emit('pick')"
      @keydown.enter.prevent="emit('pick')"
      @keydown.space.prevent="emit('pick')"
    >
      <rect class="body" :x="box.x" :y="box.y" :width="box.w" :height="box.h" rx="3" />
      <template v-if="part.kind === 'bar' && !isOutside">
        <text class="bar-name" :class="part.serves === 'N' ? 'n' : 'e'" :x="box.x + 2" :y="box.y - 5">{{
          part.name
        }}</text>
      </template>
      <template v-else-if="isTall && part.kind === 'device'">
        <rect class="window" :x="middle - 11" :y="box.y + 24" width="22" height="38" rx="2" />
        <rect class="lever" :x="middle - 8" :y="box.y + 27 + lever * 17" width="16" height="15" rx="1.5" />
        <text
          v-for="(word, i) in lines"
          :key="word + i"
          class="name tall"
          :x="middle"
          :y="box.y + 79 + i * 13 - (lines.length > 1 ? 3 : 0)"
          >{{ word }}</text
        >
        <text
          v-for="(mark, i) in deviceMark(part)"
          :key="mark"
          class="mark"
          :x="middle"
          :y="box.y + box.h - 16 - (deviceMark(part).length - 1 - i) * 13"
          >{{ mark }}</text
        >
      </template>
      <template v-else-if="part.kind === 'arrester'">
        <rect class="window" :x="middle - 13" :y="box.y + 30" width="26" height="22" rx="2" />
        <text class="name tall" :x="middle" :y="box.y + 74">{{ part.name }}</text>
        <text class="mark" :x="middle" :y="box.y + 92">{{ isOn ? 'in' : 'out' }}</text>
      </template>
      <template v-else>
        <text class="name" :x="box.x + 9" :y="isOutside ? box.y + box.h - 22 : box.y + 20">{{
          part.name
        }}</text>
        <text class="note" :x="box.x + 9" :y="isOutside ? box.y + box.h - 8 : box.y + 37">{{
          partNote(part)
        }}</text>
        <g
          class="glyph"
          :transform="`translate(${box.x + box.w - 26} ${isOutside ? box.y + box.h - 34 : box.y + 6})`"
          aria-hidden="true"
        >
          <g v-if="part.kind === 'lampholder'"
            ><circle v-if="isOn" class="lamp" cx="10" cy="10" r="9" /><circle
              v-else
              class="empty"
              cx="10"
              cy="10"
              r="9" /><path v-if="isWorking" class="rays" d="M10 -3v-4M10 23v4M-3 10h-4M23 10h4"
          /></g>
          <g v-else-if="part.kind === 'switch' || part.kind === 'device'"
            ><rect class="window" x="2" y="0" width="18" height="24" rx="2" /><rect
              class="lever"
              x="4.5"
              :y="isTripped ? 7 : isOn ? 2.5 : 12"
              width="13"
              height="9"
              rx="1"
          /></g>
          <g v-else-if="part.kind === 'socket' && part.load"
            ><rect class="plug" :class="{ in: isOn }" x="1" y="3" width="18" height="16" rx="3" /><path
              class="pins"
              d="M7 8v6M13 8v6"
          /></g>
          <g v-else-if="part.kind === 'appliance'"
            ><rect class="plug" :class="{ in: isOn }" x="1" y="1" width="20" height="20" rx="10" /><path
              v-if="isWorking"
              class="pins"
              d="M6 11q5 -7 10 0"
          /></g>
          <g v-else-if="['supply', 'standby', 'changeover'].includes(part.kind)"
            ><rect class="window" x="2" y="0" width="18" height="24" rx="2" /><rect
              class="lever"
              x="4.5"
              :y="isOn ? 2.5 : 12"
              width="13"
              height="9"
              rx="1"
          /></g>
        </g>
      </template>
    </g>
    <!-- A button of its own, beside the one that picks the part. -->
    <g
      v-if="isTall && part.kind === 'device' && part.residual && isOn && hasTest"
      class="test"
      role="button"
      tabindex="0"
      :aria-label="`Test button of ${part.name}`"
      :data-test-button="part.id"
      @click.stop="emit('test')"
      @keydown.enter.stop.prevent="emit('test')"
    >
      <rect class="hit" :x="box.x + 2" :y="box.y + 20" width="30" height="44" />
      <rect
        class="button"
        :x="Math.max(box.x + 3, middle - 28)"
        :y="box.y + 36"
        width="12"
        height="14"
        rx="1.5"
      /><text class="tiny" :x="Math.max(box.x + 9, middle - 22)" :y="box.y + 47">T</text>
    </g>
  </g>
</template>

<style scoped>
.reach,
.box {
  cursor: pointer;
  outline: none;
}
.body {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.3;
}
.bar .body {
  fill: color-mix(in srgb, var(--turmeric) 16%, var(--raised));
}
.metalwork .body,
.meter .body {
  fill: var(--panel);
}
.picked .body {
  fill: var(--indigo-wash);
  stroke: var(--indigo);
  stroke-width: 2.4;
}
.reach:focus-visible .body {
  stroke: var(--indigo);
  stroke-width: 3.2;
}
.faded {
  opacity: 0.35;
}
.tripped .body {
  stroke: var(--madder);
  stroke-width: 2.2;
  stroke-dasharray: 5 3;
}
.window {
  fill: var(--cloth);
  stroke: var(--ink);
  stroke-width: 1.1;
}
.lever {
  fill: var(--indigo);
}
.tripped .lever {
  fill: var(--madder);
}
.name {
  font: var(--strong) 16px var(--font);
  fill: var(--ink);
}
.name.tall {
  font-size: 14px;
  text-anchor: middle;
}
.note {
  font: var(--mid) 13.5px var(--font);
  fill: var(--soft);
}
.mark {
  font: var(--strong) 13px var(--mono);
  fill: var(--soft);
  text-anchor: middle;
}
.bar-name {
  font: var(--strong) 15px var(--font);
}
.bar-name.n {
  fill: var(--conductor-n);
}
.bar-name.e {
  fill: var(--leaf-text);
}
.button {
  fill: var(--turmeric);
  stroke: var(--ink);
  stroke-width: 1;
}
.tiny {
  font: var(--heavy) 9px var(--font);
  text-anchor: middle;
  fill: #1f2430;
  pointer-events: none;
}
.hit {
  fill: transparent;
}
.lamp {
  fill: var(--cloth);
  stroke: var(--ink);
  stroke-width: 1.2;
}
.working .lamp {
  fill: #f4c542;
}
.empty {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.rays {
  stroke: var(--turmeric);
  stroke-width: 2.4;
  stroke-linecap: round;
}
.plug {
  fill: none;
  stroke: var(--soft);
  stroke-width: 1.3;
  stroke-dasharray: 3 3;
}
.plug.in {
  fill: var(--indigo-wash);
  stroke: var(--indigo);
  stroke-dasharray: none;
}
.working .plug.in {
  fill: #f4c542;
}
.pins {
  stroke: var(--ink);
  stroke-width: 2;
  fill: none;
  stroke-linecap: round;
}
</style>

<script setup lang="ts">
import type { Rect } from '#core/bay/layout/placed'
import { PICTURE_H, PICTURE_W, railArrester, railDevice, wallPart, type Lever } from '#core/drawing/bay-part'
import { put, type Shapes } from '#core/drawing/shape'
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
const lever = computed((): Lever => {
  if (props.isTripped) return 'tripped'
  return props.isOn ? 'on' : 'off'
})
/** It stands in its frame, so that the frame shows what is picked. */
const FRAME = 3
const drawn = computed((): Shapes => {
  const { x, y, w, h } = props.box
  if (part.value.kind === 'arrester')
    return [put(x + FRAME, y + FRAME, railArrester(w - FRAME * 2, h - FRAME * 2, props.isOn))]
  if (isTall.value && part.value.kind === 'device') {
    const { role, residual } = part.value
    const look = { lever: lever.value, isMain: role === 'main-switch', hasTest: residual !== null }
    return [put(x + FRAME, y + FRAME, railDevice({ ...look, w: w - FRAME * 2, h: h - FRAME * 2 }))]
  }
  const top = isOutside.value ? y + h - PICTURE_H - 8 : y + 4
  return [put(x + w - PICTURE_W - 5, top, wallPart(part.value, props))]
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
        <DrawnShapes :shapes="drawn" />
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
          :y="box.y + box.h - 18 - (deviceMark(part).length - 1 - i) * 13"
          >{{ mark }}</text
        >
      </template>
      <template v-else-if="part.kind === 'arrester'">
        <DrawnShapes :shapes="drawn" />
        <text class="name tall" :x="middle" :y="box.y + 78">{{ part.name }}</text>
        <text class="mark" :x="middle" :y="box.y + 96">{{ isOn ? 'in' : 'out' }}</text>
      </template>
      <template v-else>
        <text class="name" :x="box.x + 9" :y="isOutside ? box.y + box.h - 22 : box.y + 20">{{
          part.name
        }}</text>
        <text class="note" :x="box.x + 9" :y="isOutside ? box.y + box.h - 8 : box.y + 37">{{
          partNote(part)
        }}</text>
        <DrawnShapes :shapes="drawn" />
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
      <text class="tiny" :x="Math.max(box.x + 9, middle - 22)" :y="box.y + 47">T</text>
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
  fill: #c79a3c;
  stroke: #7b5c18;
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
.name {
  font: var(--strong) 16px var(--font);
  fill: var(--ink);
}
.name.tall {
  font-size: 14px;
  text-anchor: middle;
  /* Printed on the device: dark on white in either cloth. */
  fill: #1f2430;
}
.note {
  font: var(--mid) 13.5px var(--font);
  fill: var(--soft);
}
.mark {
  font: var(--strong) 13px var(--mono);
  fill: #3d424c;
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
.tiny {
  font: var(--heavy) 9px var(--font);
  text-anchor: middle;
  fill: #1f2430;
  pointer-events: none;
}
.hit {
  fill: transparent;
}
</style>

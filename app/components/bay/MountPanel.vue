<script setup lang="ts">
import { railArrester, railDevice } from '#core/drawing/bay-part'
import { LEAST_COMB } from '#core/bay/mount/mounted'
import { modulesOf, type OnRail } from '#core/bay/model/rail'
import { deviceMark } from '~/texts/bay'

/** The box of parts of a bare enclosure: what is in the hand, what stands where, rail, bars, busbar, blanks. */
const { mounting, fields, locked } = defineProps<{
  mounting: ReturnType<typeof useMounting>
  fields: Readonly<Record<string, string>>
  locked: boolean
}>()
const emit = defineEmits<{ change: [fields: Readonly<Record<string, string>>] }>()
const { boxes, places, picked, toProve } = mounting
const H = 74

const isThere = (name: string) => (fields[name] ?? '') !== ''
const toggle = (name: string) => emit('change', { [name]: isThere(name) ? '' : 'fitted' })
const isHeld = (id: string) => picked.value?.is === 'device' && picked.value.id === id
const pick = (id: string) => (picked.value = isHeld(id) ? null : { is: 'device', id })
const widthOf = (part: OnRail) => modulesOf(part) * 30
const drawn = (part: OnRail) =>
  part.kind === 'arrester'
    ? railArrester(widthOf(part), H, true)
    : railDevice({
        w: widthOf(part),
        h: H,
        lever: 'off',
        isMain: part.role === 'main-switch',
        hasTest: part.residual !== null,
      })
const marks = (part: OnRail) => (part.kind === 'device' ? deviceMark(part).join(', ') : 'surge')
const inBox = computed(
  () => boxes.value.flatMap(({ devices }) => devices).filter(({ id }) => !places.value.has(id)).length,
)
</script>

<template>
  <div class="stack" data-testid="mount-panel">
    <div class="row spread">
      <h2>Box of parts</h2>
      <span class="soft small">{{
        inBox === 0 ? 'every device mounted' : `${inBox} devices in the box`
      }}</span>
    </div>
    <p v-if="locked" class="stitched stop">
      The bay is live. Switch every supply off before a part is moved.
    </p>
    <fieldset v-for="box in boxes" :key="box.board.id" :disabled="locked">
      <legend>{{ box.board.name }}</legend>
      <button
        type="button"
        class="thing"
        :aria-pressed="isThere(`rail.${box.board.id}`)"
        @click="toggle(`rail.${box.board.id}`)"
      >
        <b>Rail</b
        ><span class="soft small">{{ isThere(`rail.${box.board.id}`) ? 'fitted' : 'in the box' }}</span>
      </button>
      <ul>
        <li v-for="part in box.devices" :key="part.id">
          <button
            type="button"
            class="thing device"
            :class="{ held: isHeld(part.id), placed: places.has(part.id) }"
            :aria-pressed="isHeld(part.id)"
            :data-testid="`box-${part.id}`"
            @click="pick(part.id)"
          >
            <svg
              class="drawn"
              :viewBox="`-1 -1 ${widthOf(part) + 2} ${H + 2}`"
              :width="widthOf(part)"
              aria-hidden="true"
            >
              <DrawnShapes :shapes="drawn(part)" />
            </svg>
            <span class="names"
              ><b>{{ part.name }}</b
              ><span class="soft small">{{ marks(part) }}</span></span
            >
            <span class="soft small">{{
              places.has(part.id) ? `place ${places.get(part.id)}` : 'in the box'
            }}</span>
          </button>
          <el-button
            v-if="places.has(part.id)"
            size="small"
            @click="emit('change', mounting.takeOff(part.id))"
            >Take off</el-button
          >
        </li>
      </ul>
      <button
        type="button"
        class="thing"
        :class="{ held: picked?.is === 'blank' }"
        :aria-pressed="picked?.is === 'blank'"
        data-testid="box-blank"
        @click="picked = picked?.is === 'blank' ? null : { is: 'blank' }"
      >
        <b>Blanks</b><span class="soft small">touch the places that stay open</span>
      </button>
      <button
        v-for="bar in box.bars"
        :key="bar.id"
        type="button"
        class="thing"
        :aria-pressed="isThere(`mount.${bar.id}`)"
        @click="
          isThere(`mount.${bar.id}`) ? emit('change', mounting.takeOff(bar.id)) : toggle(`mount.${bar.id}`)
        "
      >
        <b>{{ bar.name }}</b><span class="soft small"
          >{{ bar.terminals }} screws · {{ isThere(`mount.${bar.id}`) ? 'fitted' : 'in the box' }}</span
        >
      </button>
      <div v-for="busbar in box.busbars" :key="busbar.id" class="thing comb">
        <b>{{ busbar.name }}</b>
        <label class="row"
          ><span class="small">cut to</span
          ><el-input-number
            :model-value="Number(fields[`comb.${busbar.id}`] || 0)"
            :min="0"
            :max="box.places"
            :step="1"
            step-strictly
            size="small"
            :aria-label="`Modules that ${busbar.name} is cut to`"
            @change="
              (count: number | undefined) =>
                emit('change', { [`comb.${busbar.id}`]: (count ?? 0) >= LEAST_COMB ? String(count) : '' })
            "
          /><span class="small">modules</span></label
        >
        <el-checkbox
          :model-value="isThere(`cap.${busbar.id}`)"
          label="End cap"
          @update:model-value="toggle(`cap.${busbar.id}`)"
        />
      </div>
    </fieldset>
    <p class="soft small">
      A busbar lies from the device that feeds it to the right, over every module that it was cut to.
      {{ toProve.length ? 'When it is wired, prove each pole under Operate before any supply.' : '' }}
    </p>
  </div>
</template>

<style src="~/assets/drawn.css" />
<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
legend {
  font-weight: var(--strong);
  margin-bottom: 4px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: flex;
  flex-direction: column;
  gap: 6px;
}
li {
  display: flex;
  gap: 8px;
  align-items: center;
}
.thing {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  display: flex;
  gap: 10px;
  align-items: center;
  justify-content: space-between;
  min-height: 48px;
  padding: 5px 12px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--raised);
  flex: 1;
}
.thing[aria-pressed='true'] {
  border-color: var(--indigo);
}
.thing.held {
  background: var(--indigo-wash);
  box-shadow: inset 4px 0 0 var(--turmeric);
}
.thing:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.device svg {
  background: none;
  height: 56px;
  flex: none;
}
.names {
  display: flex;
  flex-direction: column;
  flex: 1;
}
.placed svg {
  opacity: 0.45;
}
.comb {
  flex-wrap: wrap;
  cursor: default;
}
</style>

<script setup lang="ts">
import { conflictSeverity } from '~/utils/plan-grid'
import { planConflictSays } from '#words/planning/says'
import { lengthsOf, type Placement, type PlanTask } from '#core/planning/session'
import type { PlannedSessionTools } from '~/composables/usePlannedSession'

/** The plan as a board: bays or people down, the hours across; dragged, or moved with the arrow keys. */
const { tools, isReadOnly = false } = defineProps<{ tools: PlannedSessionTools; isReadOnly?: boolean }>()
const { session, conflicts, byTask, names, code, move, change } = tools
const by = defineModel<'bay' | 'person'>('by', { required: true })
const picked = ref<string | null>(null)

const frame = computed(() => session.value.frame)
const hours = computed(() =>
  Array.from({ length: Math.floor(frame.value.minutes / 30) + 1 }, (_, i) => i * 30),
)
const share = (minutes: number) => `${(100 * minutes) / frame.value.minutes}%`
interface Block {
  readonly task: PlanTask
  readonly at: Placement
  readonly lengths: ReturnType<typeof lengthsOf>
}
const blocks = computed(() =>
  session.value.tasks.flatMap((task): Block[] => {
    const at = byTask.value.get(task.id)
    return at ? [{ task, at, lengths: lengthsOf(task, frame.value.step) }] : []
  }),
)
const rows = computed(() =>
  by.value === 'bay'
    ? frame.value.bays.map((bay) => ({
        key: `bay-${bay}`,
        bay,
        name: `Bay ${bay}`,
        blocks: blocks.value.filter(({ at }) => at.bay === bay),
      }))
    : [...new Set(session.value.tasks.flatMap(({ people }) => people))].map((id) => ({
        key: `person-${id}`,
        bay: 0,
        name: names.person(id),
        blocks: blocks.value.filter(({ task }) => task.people.includes(id)),
      })),
)
const bad = computed(() => conflictSeverity(conflicts.value))
const label = ({ task, at }: Block) =>
  `${names.task(task.id)}: bay ${at.bay}, wiring from ${names.time(at.start)}, live tests from ${names.time(at.live)}${at.assessor ? `, ${names.person(at.assessor)} supervises` : ''}`

const board = ref<HTMLElement | null>(null)
/** What is dragged, and where it would go now. */
const drag = ref<{ id: string; start: number; bay: number } | null>(null)
function minuteAt(event: PointerEvent): number {
  const line = board.value!.querySelector('.line')!.getBoundingClientRect()
  const minute = ((event.clientX - line.left) / line.width) * frame.value.minutes
  return Math.round(minute / frame.value.step) * frame.value.step
}
function bayAt(event: PointerEvent, usual: number): number {
  const row = document
    .elementsFromPoint(event.clientX, event.clientY)
    .find((one) => one.hasAttribute('data-bay'))
  const bay = Number(row?.getAttribute('data-bay'))
  return bay > 0 ? bay : usual
}
function grab(event: PointerEvent, { task, at }: Block) {
  picked.value = task.id
  if (isReadOnly || task.isLocked || event.button !== 0) return
  const offset = minuteAt(event) - at.start
  const [x, y] = [event.clientX, event.clientY]
  const follow = (to: PointerEvent) => {
    if (!drag.value && Math.hypot(to.clientX - x, to.clientY - y) < 5) return
    drag.value = { id: task.id, start: Math.max(0, minuteAt(to) - offset), bay: bayAt(to, at.bay) }
  }
  const drop = () => {
    removeEventListener('pointermove', follow)
    removeEventListener('pointerup', drop)
    if (drag.value) move(task.id, { start: drag.value.start, bay: drag.value.bay })
    drag.value = null
  }
  addEventListener('pointermove', follow)
  addEventListener('pointerup', drop)
}
/** Arrow keys: earlier, later, another bay; with Alt the live tests alone; L locks. */
function key(event: KeyboardEvent, { task, at }: Block) {
  const { step, bays } = frame.value
  const aside = { ArrowLeft: -step, ArrowRight: step }[event.key]
  const down = { ArrowUp: -1, ArrowDown: 1 }[event.key]
  if (isReadOnly || (aside === undefined && down === undefined && event.key.toLowerCase() !== 'l')) return
  event.preventDefault()
  if (event.key.toLowerCase() === 'l') return change(task, { isLocked: !task.isLocked })
  if (task.isLocked) return
  if (aside !== undefined && event.altKey) move(task.id, { live: at.live + aside })
  else if (aside !== undefined) move(task.id, { start: at.start + aside })
  else move(task.id, { bay: bays[bays.indexOf(at.bay) + down!] ?? at.bay })
}
const shiftOf = ({ task, at }: Block) => (drag.value?.id === task.id ? drag.value.start - at.start : 0)
const chosen = computed(() => blocks.value.find(({ task }) => task.id === picked.value))
const said = computed(() =>
  conflicts.value.filter(({ task }) => task === picked.value).map((one) => planConflictSays(one, names)),
)
</script>

<template>
  <div ref="board" class="board" data-testid="plan-board">
    <div class="scale">
      <span class="head" />
      <div class="line">
        <span v-for="minute in hours" :key="minute" :style="{ left: share(minute) }">{{
          names.time(minute)
        }}</span>
      </div>
    </div>
    <div
      v-for="row in rows"
      :key="row.key"
      class="lane"
      :data-bay="row.bay || undefined"
      :class="{ over: drag?.bay === row.bay && row.bay > 0 }"
    >
      <b class="head">{{ row.name }}</b>
      <div class="line">
        <i v-for="minute in hours" :key="minute" :style="{ left: share(minute) }" />
        <button
          v-for="block in row.blocks"
          :key="block.task.id"
          type="button"
          class="block"
          :class="{ bad: bad.has(block.task.id), locked: block.task.isLocked, on: picked === block.task.id }"
          :style="{
            left: share(block.at.start + shiftOf(block)),
            width: share(block.at.live + block.lengths.live - block.at.start),
          }"
          :aria-label="label(block)"
          :title="label(block)"
          :data-task="block.task.id"
          @pointerdown="grab($event, block)"
          @keydown="key($event, block)"
          @focus="picked = block.task.id"
        >
          <span
            class="build"
            :style="{
              width: `${(100 * block.lengths.bay) / (block.at.live + block.lengths.live - block.at.start)}%`,
            }"
            >{{ code(block.task.exercise) }}
            {{
              by === 'bay'
                ? block.task.people.map((id) => names.person(id).split(' ')[0]).join(', ')
                : `bay ${block.at.bay}`
            }}</span
          >
          <span
            class="live"
            :style="{
              width: `${(100 * block.lengths.live) / (block.at.live + block.lengths.live - block.at.start)}%`,
            }"
          />
        </button>
        <span
          v-for="block in row.blocks"
          :key="`d${block.task.id}`"
          class="design"
          :style="{ left: share(block.at.start - block.lengths.design), width: share(block.lengths.design) }"
        />
      </div>
    </div>
    <div v-if="chosen" class="chosen" data-testid="chosen-task">
      <p>
        <b>{{ label(chosen) }}.</b>
        <button
          v-if="!isReadOnly"
          type="button"
          class="text-button"
          :aria-pressed="chosen.task.isLocked"
          @click="change(chosen.task, { isLocked: !chosen.task.isLocked })"
        >
          {{ chosen.task.isLocked ? 'Unlock' : 'Lock here' }}
        </button>
      </p>
      <p v-for="text in said" :key="text" class="caution">{{ text }}</p>
    </div>
    <p class="key small soft">
      <span class="design static" /> design at a desk <span class="build static" /> wiring and dead tests
      <span class="wait static" /> waiting <span class="live static" /> live tests, supervised
      <span v-if="!isReadOnly">· Drag, or use the arrow keys; with Alt the live tests alone; L locks.</span>
    </p>
  </div>
</template>

<style scoped src="./plan-board.css"></style>

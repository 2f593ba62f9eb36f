<script setup lang="ts">
import { wayOfSeat, type EmptyBoard, type SeatedCircuit, type Seating } from '#core/arrangement/board'
import { LINES } from '#core/installation/installation'

/** The row of a board, seat by seat: one is picked, the next one tapped takes its place; or it is dragged there. */
const { board, circuits, seating, hottest, locked } = defineProps<{
  board: EmptyBoard
  circuits: readonly SeatedCircuit[]
  seating: Seating
  hottest: number | null
  locked: boolean
}>()
const emit = defineEmits<{ swap: [a: number, b: number] }>()
const picked = ref<number | null>(null)
const rows = computed(() =>
  Array.from({ length: board.phases }, (_, line) => ({
    name: board.phases === 3 ? LINES[line]! : '',
    seats: Array.from({ length: board.ways }, (__, way) => way * board.phases + line),
  })),
)
const at = (seat: number) => {
  const place = seating[seat]
  return place === null || place === undefined ? null : circuits[place]!
}
const warmest = computed(() => Math.max(1, ...circuits.map(({ heatW }) => heatW)))
const says = (seat: number): string => {
  const one = at(seat)
  const where = `Way ${wayOfSeat(board, seat)}${board.phases === 3 ? ` ${LINES[seat % 3]}` : ''}`
  if (!one) return `${where}: spare`
  return one.surge ? `${where}: ${one.name}` : `${where}: ${one.name}, ${one.currentA.toFixed(1)} A`
}
function tap(seat: number) {
  if (locked) return
  if (picked.value === null) picked.value = seat
  else {
    if (picked.value !== seat) emit('swap', picked.value, seat)
    picked.value = null
  }
}
function drop(seat: number) {
  if (picked.value !== null && picked.value !== seat) emit('swap', picked.value, seat)
  picked.value = null
}
</script>

<template>
  <div class="frame" role="group" aria-label="The board, seat by seat" data-testid="seats">
    <table>
      <thead>
        <tr>
          <th />
          <th v-for="way in board.ways" :key="way" class="mono">{{ way }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows" :key="i">
          <th scope="row" class="mono">{{ row.name }}</th>
          <td v-for="seat in row.seats" :key="seat">
            <button
              type="button"
              class="seat"
              :class="{ spare: !at(seat), picked: picked === seat, hot: hottest === seat }"
              :draggable="!locked && at(seat) !== null"
              :disabled="locked"
              :aria-pressed="picked === seat"
              :aria-label="says(seat)"
              :title="says(seat)"
              :data-testid="`seat-${seat}`"
              @click="tap(seat)"
              @keydown.esc="picked = null"
              @dragstart="picked = seat"
              @dragover.prevent
              @drop.prevent="drop(seat)"
            >
              <template v-if="at(seat)">
                <b>{{ at(seat)!.name }}</b>
                <span v-if="!at(seat)!.surge" class="mono small">{{ at(seat)!.currentA.toFixed(1) }} A</span>
                <i
                  class="warmth"
                  :style="{ width: `${(100 * at(seat)!.heatW) / warmest}%` }"
                  aria-hidden="true"
                />
              </template>
              <span v-else class="soft small">spare</span>
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.frame {
  overflow-x: auto;
  border: 2px solid var(--ink);
  border-radius: var(--ease);
  background: var(--panel);
  padding: 8px;
}
table {
  border-collapse: separate;
  border-spacing: 4px;
}
th {
  font-weight: var(--strong);
  color: var(--soft);
  min-width: 20px;
}
.seat {
  all: unset;
  box-sizing: border-box;
  position: relative;
  cursor: pointer;
  width: 92px;
  height: 84px;
  padding: 6px 7px 10px;
  display: flex;
  flex-direction: column;
  justify-content: space-between;
  overflow: hidden;
  background: var(--raised);
  border: 1.5px solid var(--hem-strong);
  border-radius: 3px;
  font-size: 13.5px;
  line-height: 1.15;
}
.seat:disabled {
  cursor: default;
}
.seat.spare {
  background: none;
  border-style: dashed;
}
.seat.picked {
  border-color: var(--indigo);
  background: var(--indigo-wash);
}
.seat.hot {
  border-color: var(--madder);
}
.seat:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.warmth {
  position: absolute;
  left: 0;
  bottom: 0;
  height: 5px;
  background: var(--turmeric);
}
.hot .warmth {
  background: var(--madder);
}
</style>

<script setup lang="ts">
import { line } from 'd3-shape'
import { scaleLog } from 'd3-scale'
import { readMaker } from '#core/exercise/form/read-maker'
import type { MakerPoint } from '#core/regulations/maker-data'
import { formSentence } from '#words/form'

/** Points of the device's data sheet: typed, pasted or from a file, and drawn as they are read. */
const props = defineProps<{ text: string; locked: boolean }>()
const emit = defineEmits<{ write: [text: string] }>()

const isOpen = ref(false)
const draft = ref('')
const read = computed(() => readMaker(draft.value))
const problem = computed(() => (read.value.problem ? formSentence(read.value.problem) : ''))
const kept = computed(() => readMaker(props.text).points)
const label = computed(() =>
  kept.value.length > 0 ? `${kept.value.length} points` : 'none: by the standard',
)

function open() {
  draft.value = props.text
  isOpen.value = true
}
function take() {
  if (problem.value) return
  emit('write', draft.value.trim())
  isOpen.value = false
}
const MOST_BYTES = 100_000
async function fromFile({ raw }: { readonly raw?: File }) {
  if (!raw) return
  draft.value = raw.size > MOST_BYTES ? 'The file is too large for points of one device.' : await raw.text()
}

const WIDTH = 260
const HEIGHT = 150
const PAD = 8
/** One line for each rating, both axes logarithmic. */
function curves(quantity: 'timeS' | 'energyA2s') {
  const points = read.value.points.filter((point) => point[quantity] !== null)
  if (points.length < 2) return []
  const span = (values: number[]) => [Math.min(...values), Math.max(...values)] as const
  const x = scaleLog(span(points.map(({ currentA }) => currentA)), [PAD, WIDTH - PAD])
  const y = scaleLog(span(points.map((point) => point[quantity]!)), [HEIGHT - PAD, PAD])
  const path = line<MakerPoint>(
    ({ currentA }) => x(currentA),
    (point) => y(point[quantity]!),
  )
  return [...new Set(points.map(({ ratingA }) => ratingA))].map((ratingA) => {
    const along = points
      .filter((point) => point.ratingA === ratingA)
      .sort((one, next) => one.currentA - next.currentA)
    const first = along[0]!
    return { ratingA, path: path(along)!, x: x(first.currentA) + 14, y: y(first[quantity]!) - 4 }
  })
}
/** From and to, for the axis below. */
function spanWords(quantity: 'currentA' | 'timeS' | 'energyA2s', unit: string) {
  const values = read.value.points.flatMap((point) => point[quantity] ?? [])
  return `${Math.min(...values)} to ${Math.max(...values)} ${unit}`
}
const drawings = computed(() => [
  { name: `Time ${spanWords('timeS', 's')}`, curves: curves('timeS') },
  { name: `Let-through ${spanWords('energyA2s', 'A²s')}`, curves: curves('energyA2s') },
])
</script>

<template>
  <el-button size="small" :disabled="locked" data-testid="maker-open" @click="open">{{ label }}</el-button>
  <el-dialog v-model="isOpen" title="Maker’s data of this device" width="640" append-to-body>
    <p class="soft">
      A row for each point: rating; current; time; let-through, in A; A; s; A²s. Time or let-through may be
      empty. Beyond the points the standard’s characteristic and energy limiting class count.
    </p>
    <el-input
      v-model="draft"
      type="textarea"
      :rows="7"
      aria-label="Points of the data sheet"
      data-testid="maker-text"
      placeholder="32; 160; 0.02; 4000"
    />
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <el-upload
      :auto-upload="false"
      :show-file-list="false"
      accept=".csv,.txt,.tsv"
      class="file"
      data-testid="maker-file"
      :on-change="fromFile"
    >
      <el-button size="small">From a file</el-button>
    </el-upload>
    <div class="drawings">
      <figure v-for="drawing in drawings" :key="drawing.name">
        <template v-if="drawing.curves.length">
          <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" role="img" :aria-label="drawing.name">
            <rect class="frame" x="0.5" y="0.5" :width="WIDTH - 1" :height="HEIGHT - 1" />
            <g v-for="curve in drawing.curves" :key="curve.ratingA">
              <path class="curve" :d="curve.path" />
              <text :x="curve.x" :y="Math.max(14, curve.y)">{{ curve.ratingA }} A</text>
            </g>
          </svg>
          <figcaption>
            {{ drawing.name }} over {{ spanWords('currentA', 'A') }}, both axes logarithmic
          </figcaption>
        </template>
      </figure>
    </div>
    <template #footer>
      <div class="row end">
        <el-button @click="isOpen = false">Cancel</el-button>
        <el-button type="primary" :disabled="problem !== ''" data-testid="maker-take" @click="take"
          >Take</el-button
        >
      </div>
    </template>
  </el-dialog>
</template>

<style scoped>
.problem {
  color: var(--madder-text);
}
.file {
  margin: 8px 0;
}
.end {
  justify-content: flex-end;
}
.drawings {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
figure {
  margin: 0;
}
figcaption {
  font-size: 13px;
}
figure text {
  font: var(--strong) 11px var(--mono);
  fill: var(--ink);
}
.frame {
  fill: none;
  stroke: var(--hem-strong);
}
.curve {
  fill: none;
  stroke: var(--indigo-text);
  stroke-width: 1.8;
}
</style>

<script setup lang="ts">
import { useElementSize, usePreferredReducedMotion } from '@vueuse/core'
import { layoutBay } from '#core/bay/layout/layout'
import { routeWires } from '#core/bay/layout/route'
import { indexParts } from '#core/bay/model/terminals'
import { formatCurrent, formatDuration } from '#core/units/format'
import type { FilmView } from '#schemas/bay-views'
import { happeningSentence } from '#words/happenings'

/** What happens, on the drawing of the bay: what lights, what opens, which current flows where. */
const { films } = defineProps<{ films: readonly FilmView[] }>()
const LEAST_ZOOM = 0.4
const NONE: ReadonlySet<string> = new Set()

const scene = ref(0)
const film = computed(() => films[scene.value] ?? films[0]!)
const motion = usePreferredReducedMotion()
const count = computed(() => film.value.frames.length)
const { at, isPlaying, isAtEnd, play, step, scrub } = useFilm(
  count,
  computed(() => motion.value === 'reduce'),
)
watch(scene, () => scrub(0))
const playWord = computed(() => {
  if (isPlaying.value) return 'Pause'
  if (isAtEnd.value) return 'From the start'
  return motion.value === 'reduce' ? 'Next picture' : 'Play'
})
const frame = computed(() => film.value.frames[at.value]!)
const layout = computed(() => layoutBay(film.value.rig))
const paths = computed(() => routeWires(layout.value, film.value.rig.wires))
const stage = useTemplateRef('stage')
const { width } = useElementSize(stage)
const zoom = computed(() => Math.max(LEAST_ZOOM, Math.min(1, (width.value - 4) / layout.value.width)))
const flow = computed(() => new Map(Object.entries(frame.value.currents)))
const parts = computed(() => indexParts(film.value.rig))
/** What is told of each picture: how it begins, what was done, what followed. */
const lines = computed(() =>
  film.value.frames.map(({ atS, happenings }) => ({
    time: formatDuration(atS),
    text: happenings
      .filter(({ kind }) => kind !== 'settled')
      .map((happening) => happeningSentence(happening, parts.value))
      .join(' '),
  })),
)
const largest = computed(() => Math.max(0, ...[...flow.value.values()].map(Math.abs)))
</script>

<template>
  <figure class="film" data-testid="film">
    <el-radio-group v-if="films.length > 1" v-model="scene" aria-label="Which bay">
      <el-radio-button v-for="(one, i) in films" :key="i" :value="i">{{ one.name }}</el-radio-button>
    </el-radio-group>
    <div ref="stage" class="stage" tabindex="0" role="group" aria-label="The bay while it happens">
      <BayDrawing
        :layout="layout"
        :rig="film.rig"
        :paths="paths"
        :state="frame.state"
        :zoom="zoom"
        :working="new Set(frame.working)"
        :tripped="new Set(frame.tripped)"
        :picked-part="null"
        :picked-wires="NONE"
        :flow="flow"
        fixed
      />
    </div>
    <figcaption>
      <div v-if="count > 1" class="row player">
        <el-button data-testid="film-play" @click="isPlaying ? scrub(at) : play()">{{ playWord }}</el-button>
        <el-button :disabled="at === 0" aria-label="One picture back" @click="step(-1)">‹</el-button>
        <el-button :disabled="isAtEnd" aria-label="One picture on" @click="step(1)">›</el-button>
        <el-slider
          :model-value="at"
          :min="0"
          :max="count - 1"
          :step="1"
          show-stops
          :show-tooltip="false"
          aria-label="Picture"
          :format-value-text="(i: number) => `${lines[i]?.time}: ${lines[i]?.text}`"
          @update:model-value="scrub(Number($event))"
        />
        <span class="mono time">{{ lines[at]?.time }}</span>
      </div>
      <p class="told" aria-live="polite" data-testid="film-line">
        {{ lines[at]?.text || 'As it stands.' }}
        <span class="soft">{{
          largest > 0 ? `Largest current ${formatCurrent(largest)}.` : 'No current flows.'
        }}</span>
      </p>
    </figcaption>
  </figure>
</template>

<style scoped>
.film {
  margin: 0;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.stage {
  overflow: auto;
  max-height: 56vh;
  background: var(--raised);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
}
.stage:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.player {
  gap: 8px;
  flex-wrap: nowrap;
}
.player :deep(.el-slider) {
  flex: 1 1 90px;
  margin: 0 12px;
}
.player .el-button + .el-button {
  margin-left: 0;
}
.time {
  min-width: 64px;
  text-align: right;
}
.told {
  min-height: 46px;
  margin: 4px 0 0;
}
</style>

<script setup lang="ts">
import type { SpotView } from '#schemas/workmanship-views'

/** A board or an intake as it is found. Everything that may be wrong is drawn, nothing is named. */
const props = defineProps<{
  scene: 'board' | 'intake'
  spots: readonly SpotView[]
  marked: ReadonlySet<string>
  shown: ReadonlyMap<string, 'found' | 'wronglyGraded' | 'missed' | 'false'>
  locked: boolean
}>()
const emit = defineEmits<{ tap: [spot: string] }>()
const PIPES = { bondwater: 'water', bondgas: 'gas' } as const
const pipes = computed(() => props.spots.filter((spot) => spot.id in PIPES))
</script>

<template>
  <svg
    viewBox="0 0 840 540"
    class="scene"
    role="group"
    :aria-label="scene === 'board' ? 'A board with its cover off' : 'An intake'"
  >
    <template v-if="scene === 'board'">
      <rect x="72" y="52" width="696" height="444" class="case" />
      <rect x="138" y="214" width="580" height="10" class="rail" />
      <text x="692" y="382" class="name">N</text>
      <text x="692" y="454" class="name">E</text>
      <rect x="120" y="372" width="560" height="9" class="bar" />
      <rect x="120" y="444" width="560" height="9" class="bar" />
    </template>
    <template v-else>
      <rect x="60" y="60" width="720" height="470" class="board" />
      <path d="M170 520V420" class="service" />
      <path d="M230 360H262V262H300" class="tail" />
      <path d="M440 262H560" class="tail" />
      <rect x="446" y="404" width="72" height="100" class="bar" />
    </template>

    <g v-for="spot in spots" :key="spot.id" :class="['spot', { marked: marked.has(spot.id) }]">
      <SceneShape v-for="(shape, i) in spot.shapes" :key="i" :shape="shape" />
      <rect
        class="hit"
        :class="shown.get(spot.id)"
        :x="spot.x - 4"
        :y="spot.y - 4"
        :width="spot.w + 8"
        :height="spot.h + 8"
        :tabindex="locked ? -1 : 0"
        role="button"
        :aria-label="spot.name"
        :aria-pressed="marked.has(spot.id)"
        :data-testid="`spot-${spot.id}`"
        @click="emit('tap', spot.id)"
        @keydown.enter.prevent="emit('tap', spot.id)"
        @keydown.space.prevent="emit('tap', spot.id)"
      >
        <title>{{ spot.name }}</title>
      </rect>
    </g>
    <text v-for="spot in pipes" :key="`n${spot.id}`" :x="spot.x + spot.w + 14" :y="spot.y + 24" class="tiny">
      {{ PIPES[spot.id as keyof typeof PIPES] }}
    </text>
  </svg>
</template>

<style src="~/assets/scene.css" />

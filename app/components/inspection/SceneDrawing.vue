<script setup lang="ts">
import type { Spot } from '#core/inspection/scene'

/** A board or an intake as it is found. Everything that may be wrong is drawn, nothing is named. */
const props = defineProps<{
  scene: 'board' | 'intake'
  spots: readonly Spot[]
  marked: ReadonlySet<string>
  shown: ReadonlyMap<string, 'found' | 'wronglyGraded' | 'missed' | 'false'>
  locked: boolean
}>()
const emit = defineEmits<{ tap: [spot: string] }>()
const of = (kind: Spot['kind']) => props.spots.filter((spot) => spot.kind === kind)
const mid = ({ x, w }: Spot) => x + w / 2
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
      <template v-if="spot.kind === 'device'">
        <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="device" />
        <rect :x="spot.x + 18" :y="spot.y + 30" width="18" height="34" class="lever" />
        <circle :cx="mid(spot)" :cy="spot.y + 12" r="7" class="screw" />
        <path
          :d="`M${mid(spot)} ${spot.y + (spot.look === 'copper' ? -2 : 6)}V${spot.y - 60}`"
          class="wire brown"
        />
        <path
          v-if="spot.look === 'copper'"
          :d="`M${mid(spot)} ${spot.y + 4}V${spot.y - 12}`"
          class="wire copper"
        />
        <path
          v-if="spot.look === 'insulation'"
          :d="`M${mid(spot)} ${spot.y + 20}V${spot.y}`"
          class="wire brown"
        />
        <g v-if="spot.look === 'strands'">
          <path
            v-for="n in 3"
            :key="n"
            :d="`M${mid(spot) - 6 + n * 4} ${spot.y - 6}l${n * 4 - 8} -10`"
            class="strand"
          />
        </g>
      </template>
      <template v-else-if="spot.kind === 'way'">
        <rect
          :x="spot.x"
          :y="spot.y"
          :width="spot.w"
          :height="spot.h"
          :class="spot.look === 'gap' ? 'gap' : 'blank'"
        />
        <path
          v-if="spot.look === 'gap'"
          :d="`M${spot.x + 14} ${spot.y + 30}v16M${spot.x + 36} ${spot.y + 30}v16`"
          class="busbar"
        />
      </template>
      <template v-else-if="spot.kind === 'isolator'">
        <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="device main" />
        <rect :x="mid(spot) - 11" :y="spot.y + 26" width="22" height="40" class="lever red" />
        <text
          v-if="spot.look === 'marked'"
          :x="mid(spot)"
          :y="spot.y + spot.h - 8"
          class="tiny"
          text-anchor="middle"
        >
          main
        </text>
      </template>
      <template v-else-if="spot.kind === 'label'">
        <rect
          :x="spot.x"
          :y="spot.y"
          :width="spot.w"
          :height="spot.h"
          :class="spot.look === 'text' ? 'paper' : 'nothing'"
        />
        <path
          v-if="spot.look === 'text'"
          :d="`M${spot.x + 6} ${spot.y + 8}h${spot.w - 14}M${spot.x + 6} ${spot.y + 15}h${spot.w - 24}`"
          class="writing"
        />
      </template>
      <template v-else-if="spot.kind === 'top' || spot.kind === 'side'">
        <rect
          :x="spot.x"
          :y="spot.y"
          :width="spot.w"
          :height="spot.h"
          :class="spot.look === 'closed' ? 'plug' : 'hole'"
        />
      </template>
      <template v-else-if="spot.kind === 'entry'">
        <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="hole" />
        <rect
          v-if="spot.look === 'grommet'"
          :x="spot.x + 3"
          :y="spot.y + 3"
          :width="spot.w - 6"
          :height="spot.h - 6"
          class="grommet"
        />
      </template>
      <template v-else-if="spot.kind === 'neutral'">
        <path :d="`M${mid(spot)} ${spot.y + 30}V${spot.look === 'own' ? 330 : 318}`" class="wire blue" />
        <path v-if="spot.look === 'other'" :d="`M${mid(spot)} ${spot.y + 6}h44v-10`" class="wire blue" />
        <circle :cx="mid(spot)" :cy="spot.y + 28" :r="spot.look === 'own' ? 6 : 3" class="screw" />
      </template>
      <template v-else-if="spot.kind === 'earth'">
        <template v-if="scene === 'board'">
          <path
            :d="`M${mid(spot)} ${spot.y + (spot.look === 'loose' ? 12 : 30)}V${spot.y - 14}`"
            :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
          />
          <path
            v-if="spot.look !== 'bare'"
            :d="`M${mid(spot)} ${spot.y + (spot.look === 'loose' ? 12 : 30)}V${spot.y - 14}`"
            class="stripe"
          />
          <circle :cx="mid(spot)" :cy="spot.y + 28" r="6" class="screw" />
        </template>
        <template v-else>
          <path
            v-if="spot.id.endsWith('-a')"
            :d="`M170 470H${spot.x + spot.w - (spot.look === 'loose' ? 26 : -6)}`"
            :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
          />
          <circle v-if="spot.id.endsWith('-a')" cx="170" cy="470" r="10" class="screw" />
          <path
            v-else-if="spot.id.endsWith('-b')"
            :d="`M210 400V${spot.y + 30}H${spot.x + spot.w - (spot.look === 'loose' ? 26 : -6)}`"
            :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
          />
          <template v-else>
            <path
              :d="`M${spot.x} 528V${spot.y + 30}H${spot.x + spot.w - (spot.look === 'loose' ? 26 : -6)}`"
              :class="['wire', spot.look === 'bare' ? 'copper' : 'green']"
            />
            <path :d="`M${spot.x - 8} 526h16M${spot.x - 5} 531h10`" class="busbar" />
          </template>
          <path
            v-if="spot.look === 'loose'"
            :d="`M${spot.x + spot.w - 26} ${spot.y + 20}l12 -14`"
            class="strand"
          />
        </template>
      </template>
      <template v-else-if="spot.kind === 'tails'">
        <path
          :d="`M${mid(spot) - 7} ${spot.y + 90}V284M${mid(spot) + 7} ${spot.y + 90}V284`"
          class="wire grey"
        />
        <rect
          v-if="spot.look === 'clamped'"
          :x="spot.x"
          :y="spot.y + 30"
          :width="spot.w"
          height="16"
          class="clamp"
        />
      </template>
      <template v-else-if="spot.kind === 'notice' || spot.kind === 'chart'">
        <rect
          :x="spot.x"
          :y="spot.y"
          :width="spot.w"
          :height="spot.h"
          :class="spot.look === 'there' ? 'paper' : 'nothing'"
        />
        <text v-if="spot.look === 'there'" :x="mid(spot)" :y="spot.y + 25" class="tiny" text-anchor="middle">
          {{ spot.kind === 'notice' ? 'press every 6 months' : 'circuits 1 … 6' }}
        </text>
      </template>
      <template v-else-if="spot.kind === 'cutout'">
        <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="case" />
        <circle
          :cx="spot.x + spot.w - 18"
          :cy="spot.y + 20"
          r="8"
          :class="spot.look === 'sealed' ? 'seal' : 'hole'"
        />
        <path
          v-if="spot.look === 'broken'"
          :d="`M${spot.x + spot.w - 26} ${spot.y + 30}l-8 14`"
          class="strand"
        />
      </template>
      <template v-else-if="spot.kind === 'meter'">
        <rect :x="spot.x" :y="spot.y" :width="spot.w" :height="spot.h" class="case" />
        <rect :x="spot.x + 22" :y="spot.y + 20" :width="spot.w - 44" height="34" class="paper" />
        <text :x="mid(spot)" :y="spot.y + 44" class="tiny" text-anchor="middle">04 371</text>
        <path
          v-if="spot.look === 'cracked'"
          :d="`M${spot.x + 12} ${spot.y + 120}l22 -30 14 10 26 -44`"
          class="crack"
        />
      </template>
      <template v-else-if="spot.kind === 'main'">
        <path
          v-if="spot.look === 'damaged'"
          :d="`M${mid(spot) - 10} ${spot.y + 32}h20`"
          class="wire copper"
        />
      </template>
      <template v-else-if="spot.kind === 'bond'">
        <template v-if="spot.look !== 'none'">
          <path
            :d="`M${spot.x} ${spot.y + 20}H${spot.x + spot.w}`"
            :class="['wire', 'green', { thin: spot.look === 'thin' }]"
          />
          <rect :x="spot.x + spot.w - 8" :y="spot.y + 8" width="16" height="26" class="clamp" />
        </template>
        <path :d="`M${spot.x + spot.w} ${spot.y - 16}v66`" class="pipe" />
      </template>
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
    <text
      v-for="spot in of('bond')"
      :key="`n${spot.id}`"
      :x="spot.x + spot.w + 14"
      :y="spot.y + 24"
      class="tiny"
    >
      {{ spot.id === 'bondgas' ? 'gas' : 'water' }}
    </text>
  </svg>
</template>

<style scoped>
.scene {
  width: 100%;
  height: 100%;
  min-height: 420px;
  background: #e9e4d8;
  display: block;
  --l: #1f2430;
}
.case {
  fill: #d9d4c6;
  stroke: var(--l);
  stroke-width: 2.5;
}
.board {
  fill: #c9b48d;
  stroke: var(--l);
  stroke-width: 2;
}
.rail {
  fill: #9a978c;
}
.bar {
  fill: #b8862f;
  stroke: var(--l);
}
.device {
  fill: #f7f5ee;
  stroke: var(--l);
  stroke-width: 2;
}
.device.main {
  fill: #efeade;
}
.lever {
  fill: #3a4152;
}
.lever.red {
  fill: #a63d2f;
}
.screw {
  fill: #8f8b80;
  stroke: var(--l);
  stroke-width: 1.5;
}
.wire {
  fill: none;
  stroke-width: 9;
  stroke-linecap: round;
}
.brown {
  stroke: #6b3e1e;
}
.blue {
  stroke: #2c5aa8;
}
.green {
  stroke: #3d7a4a;
}
.grey {
  stroke: #55585f;
}
.copper {
  stroke: #c8742f;
  stroke-width: 6;
}
.thin {
  stroke-width: 4;
}
.stripe {
  fill: none;
  stroke: #f0d84a;
  stroke-width: 3;
  stroke-dasharray: 8 7;
}
.strand,
.crack {
  fill: none;
  stroke: #c8742f;
  stroke-width: 2.5;
}
.crack {
  stroke: #1f2430;
}
.tail {
  fill: none;
  stroke: #55585f;
  stroke-width: 16;
}
.service {
  stroke: #1f2430;
  stroke-width: 22;
}
.blank {
  fill: #e6e1d3;
  stroke: #a9a599;
  stroke-width: 1.5;
}
.gap {
  fill: #14161c;
  stroke: var(--l);
}
.busbar {
  stroke: #d08a3c;
  stroke-width: 6;
  fill: none;
}
.paper {
  fill: #fff;
  stroke: #6f6c63;
}
.nothing {
  fill: none;
}
.writing {
  stroke: #444;
  stroke-width: 2;
}
.plug {
  fill: #b9b5a8;
  stroke: #6f6c63;
}
.hole {
  fill: #14161c;
  stroke: var(--l);
}
.grommet {
  fill: none;
  stroke: #2a2d36;
  stroke-width: 7;
}
.seal {
  fill: #3d7a4a;
  stroke: var(--l);
  stroke-width: 2;
}
.clamp {
  fill: #7d7a70;
  stroke: var(--l);
}
.pipe {
  stroke: #8c6b3e;
  stroke-width: 14;
}
.name {
  font: 700 18px var(--mono);
  fill: var(--l);
}
.tiny {
  font: 600 13px var(--font);
  fill: var(--l);
}
.hit {
  fill: transparent;
  cursor: pointer;
  stroke: transparent;
  stroke-width: 3;
}
.hit:focus-visible {
  stroke: #24356b;
  outline: none;
}
.marked .hit {
  stroke: #a63d2f;
  stroke-dasharray: 8 5;
}
.hit.found {
  stroke: #3d7a4a;
  stroke-dasharray: none;
}
.hit.wronglyGraded {
  stroke: #c98a12;
  stroke-dasharray: 12 4;
}
.hit.missed {
  stroke: #a63d2f;
  stroke-dasharray: 3 5;
  stroke-width: 4;
}
.hit.false {
  stroke: #55585f;
  stroke-dasharray: 2 4;
}
</style>

<script setup lang="ts">
import { sizeOf, type ContainmentRun } from '#core/containment/containment-run'
import type { Mitre } from '#core/containment/mitre'
import type { Tube } from '#core/containment/tubes'
import { DIRECTION_NAME } from '#words/containment'

/**
 * What lies on the bench while trunking is cut: each piece with its long and short side and the angle of
 * every cut.
 */
const props = defineProps<{ run: ContainmentRun; pieces: readonly Tube[] }>()
const WIDTH = 760
const DEEP = 34
const OPPOSITE = { right: 'left', left: 'right', up: 'down', down: 'up', out: 'back', back: 'out' } as const
const mm = (value: number) => Math.round(value)
/** A cut is drawn as steep as it is, on a strip that is not to scale across. */
const slant = (mitre: Mitre | null) => (mitre ? DEEP * Math.tan((mitre.cutDeg * Math.PI) / 180) : 0)
const drawn = computed(() =>
  props.pieces.map((piece) => {
    const [start, end] = piece.mitres
    const top = (start ?? end)?.longSide
    // The long side of the first cut lies on top; of the second on top, below, or, cut the other way across,
    // not in this view.
    const isSeen = end && top && (end.longSide === top || end.longSide === OPPOSITE[top])
    const [a, c] = [0, slant(start)]
    const far = slant(end)
    const seen = end?.longSide === top ? [0, far] : [far, 0]
    const [b, d] = (isSeen ? seen : [0, 0]) as [number, number]
    const centre = piece.cutMm - (start?.extraMm ?? 0) - (end?.extraMm ?? 0)
    return {
      piece,
      centre,
      top,
      isHidden: end !== null && !isSeen,
      points: `${a},24 ${WIDTH - b},24 ${WIDTH - d},${24 + DEEP} ${c},${24 + DEEP}`,
    }
  }),
)
const endWords = (mitre: Mitre | null) =>
  mitre
    ? `mitre ${mm(mitre.cutDeg * 10) / 10}°, long side ${DIRECTION_NAME[mitre.longSide]}: ${mm(mitre.extraMm)} mm past the centre line, ${mm(mitre.extraMm)} mm short of it opposite`
    : 'square'
</script>

<template>
  <article class="card">
    <p class="facts">
      {{ run.material === 'pvc' ? 'PVC' : 'Steel' }} {{ run.made }} {{ sizeOf(run).words }} · lengths on the
      centre line, cut at the long side · deburr, cover edges{{
        run.material === 'steel' ? ', copper link across every joint' : ''
      }}
    </p>
    <section v-for="{ piece, centre, top, isHidden, points } in drawn" :key="piece.name" class="piece">
      <h3>
        {{ piece.name }} <span class="mono">cut {{ mm(piece.cutMm) }} mm</span>
        <span class="soft">straight {{ piece.straights[0]! + 1 }}</span>
      </h3>
      <svg :viewBox="`-8 0 ${WIDTH + 16} 66`" role="img" :aria-label="`${piece.name}, ${mm(piece.cutMm)} mm`">
        <polygon :points="points" class="strip" />
        <line x1="0" :x2="WIDTH" :y1="24 + DEEP / 2" :y2="24 + DEEP / 2" class="centre" />
        <text :x="WIDTH / 2" y="46" text-anchor="middle" class="at">{{ mm(centre) }}</text>
        <text v-if="top" :x="WIDTH / 2" y="17" text-anchor="middle" class="side">
          {{ DIRECTION_NAME[top] }}
        </text>
        <text v-if="isHidden" :x="WIDTH" y="17" text-anchor="end" class="side">
          this end is cut from the other face
        </text>
      </svg>
      <ul v-if="run.made === 'trunking'">
        <li>from: {{ endWords(piece.mitres[0]) }}</li>
        <li>to: {{ endWords(piece.mitres[1]) }}</li>
      </ul>
    </section>
    <p class="caution">Mark all four sides before the saw. Clamp it; eyes and hands protected.</p>
  </article>
</template>

<style scoped>
.card {
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.piece {
  break-inside: avoid;
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 8px;
}
h3 .mono {
  margin: 0 12px;
  color: var(--indigo-text);
}
h3 .soft {
  font-weight: var(--mid);
  font-size: 14px;
}
svg {
  width: 100%;
  max-width: 860px;
  display: block;
}
.strip {
  fill: var(--raised);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.centre {
  stroke: var(--indigo);
  stroke-dasharray: 10 6;
}
.at {
  font: var(--strong) 15px var(--mono);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--raised);
  stroke-width: 6px;
}
.side {
  font: var(--mid) 12.5px var(--font);
  fill: var(--soft);
}
ul {
  margin: 4px 0 0;
  padding-left: 22px;
}
li {
  line-height: 1.5;
}
</style>

<script setup lang="ts">
import { calibrate } from '#core/containment/bending'

/** One test piece bent to a right angle tells what this bench's former does. */
const props = defineProps<{ outsideMm: number; locked: boolean }>()
const emit = defineEmits<{ take: [radiusMm: number, startMm: number] }>()
const piece = reactive({ length: 600, mark: 250, markedLeg: 0, otherLeg: 0 })
const made = computed(() =>
  piece.markedLeg > 0 && piece.otherLeg > 0
    ? calibrate({
        lengthMm: piece.length,
        markMm: piece.mark,
        markedLegMm: piece.markedLeg,
        otherLegMm: piece.otherLeg,
        outsideMm: props.outsideMm,
      })
    : null,
)
const PROBLEM = {
  noGain:
    'Both legs together must be longer than the tube plus its thickness: measure to the outside of the other leg.',
  tooTight: 'That would be tighter than two diameters: measure again.',
  tooWide: 'That would hardly be a bend: measure again.',
}
</script>

<template>
  <div class="helper">
    <p class="soft">
      Cut a piece, mark it, hold the mark at the former’s line, bend to 90°. Measure each leg from its end to
      the outside of the other.
    </p>
    <p class="boxes">
      <label class="field"
        ><span>piece mm</span
        ><el-input v-model.number="piece.length" type="number" min="100" name="pieceLength" /></label
      ><label class="field"
        ><span>mark mm</span
        ><el-input v-model.number="piece.mark" type="number" min="10" name="pieceMark" /></label
      ><label class="field"
        ><span>marked leg mm</span
        ><el-input v-model.number="piece.markedLeg" type="number" min="0" name="markedLeg" /></label
      ><label class="field"
        ><span>other leg mm</span
        ><el-input v-model.number="piece.otherLeg" type="number" min="0" name="otherLeg"
      /></label>
    </p>
    <p v-if="made && !made.ok" class="caution">{{ PROBLEM[made.problem] }}</p>
    <p v-else-if="made" data-testid="calibration">
      Radius <b class="mono">{{ made.former.radiusMm.toFixed(1) }} mm</b>, a right angle saves
      <b class="mono">{{ made.gainMm.toFixed(1) }} mm</b>, the bend begins
      <b class="mono">{{ made.former.startMm.toFixed(1) }} mm</b> behind the mark.
      <el-button v-if="!locked" @click="emit('take', made.former.radiusMm, made.former.startMm)"
        >Use it for this run</el-button
      >
    </p>
  </div>
</template>

<style scoped>
.helper {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.boxes {
  display: flex;
  gap: 12px;
  flex-wrap: wrap;
}
.field {
  width: 128px;
}
</style>

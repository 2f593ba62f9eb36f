<script setup lang="ts">
import type { Pointed } from '#core/bay/faults/at-place'
import { useElementSize } from '@vueuse/core'
import { workingState } from '#core/bay/behaviour/state'

/** The bay to be pointed at: whatever is tapped narrows the faults to what can be wrong there. */
const { plant } = defineProps<{ plant: ReturnType<typeof usePlant> }>()
const { bay, layout, paths, pointed, chosen } = plant
const frame = useTemplateRef('frame')
const { width } = useElementSize(frame)
const LEAST_ZOOM = 0.42
const zoom = computed(() =>
  layout.value ? Math.max(LEAST_ZOOM, Math.min(1, (width.value - 8) / layout.value.width)) : 1,
)
const state = computed(() => workingState(bay.value!.rig))
const isWire = (id: string) => bay.value!.rig.wires.some((wire) => wire.id === id)
const pickedWires = computed(
  () =>
    new Set([
      ...(pointed.value?.is === 'wire' ? [pointed.value.id] : []),
      ...chosen.value.flatMap(({ at }) => at.filter(isWire)),
    ]),
)
/** Chosen places, numbered in the order of choosing, at the first terminal of theirs that the drawing has. */
const marks = computed(() => {
  const { rig } = bay.value!
  const terminalAt = (names: readonly string[]) =>
    names.find((name) => layout.value!.terminals.has(name)) ??
    rig.wires.find(({ id }) => names.includes(id))?.to ??
    [...layout.value!.terminals.keys()].find((ref) => names.includes(ref.split('.')[0]!))
  return new Map(
    chosen.value.flatMap(({ at }, i): [string, string][] => {
      const ref = terminalAt(at)
      return ref ? [[ref, `fault ${i + 1}`]] : []
    }),
  )
})
const point = (is: Pointed['is'], id: string) =>
  (pointed.value = pointed.value?.id === id ? null : { is, id })
</script>

<template>
  <div ref="frame" class="frame">
    <BayDrawing
      v-if="bay && layout"
      :layout="layout"
      :rig="bay.rig"
      :paths="paths"
      :state="state"
      :zoom="zoom"
      :picked-part="pointed?.is === 'part' ? pointed.id : null"
      :picked-wires="pickedWires"
      fixed
      @terminal="point('terminal', $event)"
      @wire="point('wire', $event)"
      @part="point('part', $event)"
    >
      <BayMarks :terminals="layout.terminals" :marks="() => marks" />
    </BayDrawing>
    <div v-else class="skeleton" style="height: 420px" />
  </div>
</template>

<style scoped>
.frame {
  background: var(--panel);
  border: 1px solid var(--hem);
  overflow: auto;
  max-height: 560px;
}
</style>

<script setup lang="ts">
import type { BoardFrame, DevicePart, Part } from '#core/bay/model/rig'
import type { PartIndex } from '#core/bay/model/terminals'

/** What is written at the ways of the boards; its boxes are made when somebody opens it. */
const props = defineProps<{ parts: PartIndex; boards: readonly BoardFrame[] }>()
const emit = defineEmits<{ label: [board: string, way: string, text: string] }>()

const isWay = (part: Part): part is DevicePart => part.kind === 'device' && part.role === 'way'
const ways = computed(() =>
  props.boards.flatMap((board) => {
    const own = [...props.parts.values()].filter(isWay).filter((part) => part.board === board.id)
    return [...new Set(own.map(({ way }) => String(way)))].map((way) => ({ board, way }))
  }),
)
const isOpen = ref(false)
</script>

<template>
  <details class="labels" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary>Labels at the ways</summary>
    <template v-if="isOpen">
      <p class="small soft">A blank goes into a spare way when you touch it.</p>
      <label v-for="{ board, way } in ways" :key="`${board.id} ${way}`" class="row"
        ><span class="way">{{ boards.length > 1 ? `${board.name}, ` : '' }}{{ way }}</span
        ><el-input
          :model-value="board.labels[way] ?? ''"
          maxlength="60"
          :aria-label="`Label of way ${way}, ${board.name}`"
          @update:model-value="emit('label', board.id, way, $event)"
      /></label>
    </template>
  </details>
</template>

<style scoped>
.labels summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 34px;
}
.labels .row {
  padding: 3px 0;
  flex-wrap: nowrap;
}
.way {
  font: var(--strong) 14px var(--mono);
  min-width: 30px;
}
</style>

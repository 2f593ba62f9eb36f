<script setup lang="ts">
import type { StepKey } from '#core/design/model/step-keys'
import type { WorkView } from '#schemas/views'

type Tool = 'laws' | 'library' | 'diagram'

/** What helps beside a design: laws, tables, and the diagram of what has been worked out so far. */
defineProps<{
  view: WorkView
  figureOf: (scope: string, step: StepKey) => number | undefined
  selected?: string
}>()
const emit = defineEmits<{ pick: [scope: string] }>()
const tool = defineModel<Tool | null>({ required: true })
const TITLES: Readonly<Record<Tool, string>> = {
  laws: 'Ohm’s law and power',
  library: 'Reference library',
  diagram: 'Single-line diagram',
}
function pick(scope: string): void {
  emit('pick', scope)
  tool.value = null
}
</script>

<template>
  <el-drawer
    :model-value="tool !== null"
    :title="tool ? TITLES[tool] : ''"
    size="min(680px, 92vw)"
    @close="tool = null"
  >
    <LazyLawWheel v-if="tool === 'laws'" />
    <LazyLibraryBrowser
      v-else-if="tool === 'library'"
      compact
      :edition="view.sheet.edition"
      :book="view.sheet.book ?? []"
    />
    <LazySingleLine
      v-else-if="tool === 'diagram'"
      :installation="view.sheet.installation"
      :figure-of="figureOf"
      :selected="selected"
      @pick="pick"
    />
  </el-drawer>
</template>

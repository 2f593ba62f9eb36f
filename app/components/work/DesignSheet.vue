<script setup lang="ts">
import { stepOf, type NodeKey } from '#core/design/model/step-keys'
import type { PublicCircuit } from '#core/exercise/assignment'
import { choicesFor, sheetParts } from '~/texts/sheet-parts'

/** The boxes of one circuit or board. */
const props = defineProps<{
  nodes: readonly NodeKey[]
  circuit: PublicCircuit | undefined
  answer: (node: NodeKey) => string
  locked: boolean
  missing: readonly string[]
}>()
const emit = defineEmits<{ write: [node: NodeKey, text: string] }>()
const parts = computed(() =>
  sheetParts(props.nodes).map(({ name, nodes }) => ({
    name,
    rows: nodes.map((node) => {
      const step = stepOf(node)
      return { node, step, choices: choicesFor(step, props.circuit) }
    }),
  })),
)
/** Somebody can begin with these; the others follow a paint later each. */
const AT_ONCE = 1
const { shown, isWhole } = useGradually(() => parts.value.length, AT_ONCE)
</script>

<template>
  <div :data-whole="isWhole">
    <section v-for="part in parts.slice(0, shown)" :key="part.name">
      <h2>{{ part.name }}</h2>
      <AnswerRow
        v-for="{ node, step, choices } in part.rows"
        :id="`step-${node}`"
        :key="node"
        :node
        :step
        :choices
        :answer
        :locked
        :missing="missing.includes(node)"
        @write="emit('write', node, $event)"
      />
    </section>
  </div>
</template>

<style scoped>
section {
  margin-bottom: 18px;
}
h2 {
  padding: 4px 8px 5px;
  border-bottom: 1.5px solid var(--ink);
}
</style>

<script setup lang="ts">
import { isDead } from '#core/testing/kinds/kinds'
import { whyKey } from '#core/testing/readings'
import type { WorkView } from '#schemas/views'

/**
 * The boxes for the readings of one stage: a schedule where a whole board is tested, else one row for each
 * reading.
 */
const props = defineProps<{
  view: WorkView
  stage: 'dead' | 'live'
  read: (key: string) => string
  missing: readonly string[]
}>()
const emit = defineEmits<{ write: [key: string, text: string] }>()
const isLocked = computed(() => props.view.stage !== props.stage)
const ofStage = (key: string) => isDead(key) === (props.stage === 'dead')
/** What is asked, and what may be read as well. */
const parts = computed(() =>
  [
    { name: '', keys: props.view.readingKeys.filter(ofStage) },
    {
      name: `As well, if you tested it: ${props.stage === 'live' ? 'RCD, functions' : 'further dead tests'}`,
      keys: props.view.moreKeys.filter(ofStage),
    },
  ].filter(({ keys }) => keys.length > 0),
)
</script>

<template>
  <BoardTests
    v-if="view.board"
    :board="view.board"
    :attempt="view.id"
    :is-dead="stage === 'dead'"
    :read="read"
    :locked="isLocked"
    :missing="missing"
    @write="(key: string, text: string) => emit('write', key, text)"
  />
  <template v-else>
    <component
      :is="part.name === '' ? 'div' : 'details'"
      v-for="part in parts"
      :key="part.name"
      :open="part.name === '' ? undefined : part.keys.some((key) => read(key) !== '')"
      :data-testid="part.name === '' ? undefined : 'more-readings'"
    >
      <summary v-if="part.name">{{ part.name }}</summary>
      <ReadingRow
        v-for="key in part.keys"
        :key="key"
        :reading="key"
        :model-value="read(key)"
        :why="read(whyKey(key))"
        :locked="isLocked"
        :missing="missing.includes(key)"
        @update:model-value="emit('write', key, $event)"
        @update:why="emit('write', whyKey(key), $event)"
      />
    </component>
  </template>
</template>

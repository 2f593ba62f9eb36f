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
const keys = computed(() => props.view.readingKeys.filter(ofStage))
const more = computed(() => props.view.moreKeys.filter(ofStage))
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
    <ReadingRow
      v-for="key in keys"
      :key="key"
      :reading="key"
      :model-value="read(key)"
      :why="read(whyKey(key))"
      :locked="isLocked"
      :missing="missing.includes(key)"
      @update:model-value="emit('write', key, $event)"
      @update:why="emit('write', whyKey(key), $event)"
    />
    <details v-if="more.length" :open="more.some((key) => read(key) !== '')" data-testid="more-readings">
      <summary>
        As well, if you tested it: {{ stage === 'live' ? 'RCD, functions' : 'further dead tests' }}
      </summary>
      <ReadingRow
        v-for="key in more"
        :key="key"
        :reading="key"
        :model-value="read(key)"
        :why="read(whyKey(key))"
        :locked="isLocked"
        :missing="missing.includes(key)"
        @update:model-value="emit('write', key, $event)"
        @update:why="emit('write', whyKey(key), $event)"
      />
    </details>
  </template>
</template>

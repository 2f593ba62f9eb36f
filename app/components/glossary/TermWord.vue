<script setup lang="ts">
import type { GlossaryView } from '#schemas/glossary-views'
import { GLOSSARY_BY_KEY } from '#words/glossary/index'

/** A term of the trade, dotted: tapped, it says what it is, and its word in the chosen language. */
const { term } = defineProps<{ term: string }>()
const entry = computed(() => GLOSSARY_BY_KEY.get(term))
const language = useGlossaryLanguage()
const { call } = useApi()
const other = ref('')
const word = useTemplateRef('word')
const isOpen = ref(false)
/** A page of marks has a hundred dotted words: what a word says is made when somebody asks. */
const wasOpened = ref(false)
async function toggle() {
  wasOpened.value = true
  isOpen.value = !isOpen.value
  if (language.value === 'en' || other.value !== '') return
  const view = await call<GlossaryView>('GET', `glossary?language=${language.value}`).catch(() => null)
  other.value = view?.texts[term] ?? ''
}
</script>

<template>
  <template v-if="entry">
    <button
      ref="word"
      type="button"
      class="term"
      :aria-expanded="isOpen"
      @click.stop.prevent="toggle"
      @blur="isOpen = false"
      @keydown.esc="isOpen = false"
    >
      <slot>{{ entry.term }}</slot>
    </button>
    <LazyTermBox v-if="wasOpened && word" :entry :is-open :word :other :language />
  </template>
  <slot v-else />
</template>

<style scoped>
.term {
  all: unset;
  cursor: help;
  border-bottom: 2px dotted var(--turmeric);
}
.term:focus-visible {
  outline: 3px solid var(--turmeric);
}
</style>

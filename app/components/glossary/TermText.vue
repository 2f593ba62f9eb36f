<script setup lang="ts">
import { termsIn } from '#words/glossary/find-terms'

/** A text with the terms of the trade dotted: tapped, each says what it is. */
const { text } = defineProps<{ text: string }>()
const isSettled = useSettled()
// The words can be read before they are dotted.
const parts = computed(() => (isSettled.value ? termsIn(text) : [{ text, term: null }]))
</script>

<template>
  <span
    ><template v-for="(part, i) in parts" :key="i"
      ><TermWord v-if="part.term" :term="part.term">{{ part.text }}</TermWord
      ><template v-else>{{ part.text }}</template></template
    ></span
  >
</template>

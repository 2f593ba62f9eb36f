<script setup lang="ts">
import { usePreferredReducedMotion } from '@vueuse/core'

/** An answer that the model plays: line after line, as it happens; at once for those who want no motion. */
const { text } = defineProps<{ text: string }>()
const EACH_MS = 650
const motion = usePreferredReducedMotion()
const lines = computed(() => text.split('\n'))
const shown = ref(0)
let timer: ReturnType<typeof setInterval> | undefined

function play() {
  clearInterval(timer)
  if (motion.value === 'reduce') {
    shown.value = lines.value.length
    return
  }
  shown.value = 1
  timer = setInterval(() => {
    if (shown.value >= lines.value.length) clearInterval(timer)
    else shown.value += 1
  }, EACH_MS)
}
watch(() => text, play, { immediate: true })
onBeforeUnmount(() => clearInterval(timer))
</script>

<template>
  <ol class="played" aria-live="polite">
    <li v-for="(line, i) in lines" :key="i" :class="{ later: i >= shown }">{{ line }}</li>
  </ol>
  <el-button size="small" @click="play">Play again</el-button>
</template>

<style scoped>
.played {
  list-style: none;
  margin: 0 0 8px;
  padding: 0;
  font-size: 18px;
}
li {
  border-left: 3px solid var(--turmeric);
  padding: 1px 0 1px 10px;
}
.later {
  visibility: hidden;
}
</style>

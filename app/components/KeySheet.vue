<script setup lang="ts">
import { tinykeys } from 'tinykeys'

/** The keys of this page behind “?”. */
const isOpen = ref(false)
const wasOpened = ref(false)

onMounted(() => {
  const stop = tinykeys(window, {
    'Shift+?': (event) => {
      if (event.target instanceof HTMLElement && ['INPUT', 'TEXTAREA'].includes(event.target.tagName)) return
      wasOpened.value = true
      isOpen.value = !isOpen.value
    },
  })
  onBeforeUnmount(stop)
})
</script>

<template>
  <LazyKeyList v-if="wasOpened" v-model="isOpen" />
</template>

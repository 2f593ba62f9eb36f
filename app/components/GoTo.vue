<script setup lang="ts">
import { tinykeys } from 'tinykeys'

/** Go anywhere by typing: Ctrl+K. The box is made when it is first opened. */
const isOpen = ref(false)
const wasOpened = ref(false)

onMounted(() => {
  const stop = tinykeys(window, {
    '$mod+k': (event) => {
      event.preventDefault()
      wasOpened.value = true
      isOpen.value = true
    },
  })
  onBeforeUnmount(stop)
})
</script>

<template>
  <LazyGoToBox v-if="wasOpened" v-model="isOpen" />
</template>

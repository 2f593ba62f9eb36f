<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'

/** A search that ends by itself: how much of its time has gone, and a way to be content with what was found. */
const { seconds, said } = defineProps<{ seconds: number; said: string }>()
const emit = defineEmits<{ stop: [] }>()
const begun = performance.now()
const share = ref(0)
useIntervalFn(() => (share.value = Math.min(99, (performance.now() - begun) / (10 * seconds))), 200)
</script>

<template>
  <div class="row search">
    <el-progress
      class="bar"
      :percentage="share"
      :format="() => ''"
      :aria-label="`${said}, at most ${seconds} s`"
    />
    <span class="soft small">{{ said }}, at most {{ seconds }} s</span>
    <button type="button" class="text-button" @click="emit('stop')">Keep what was found</button>
  </div>
</template>

<style scoped>
.bar {
  flex: 1;
  min-width: 160px;
}
</style>

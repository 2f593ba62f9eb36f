<script setup lang="ts">
import type { NeedView } from '#schemas/floor'
import { needText } from '#words/floor/needs'

/** What is live, and what can be done in passing: one line, one tap. */
const { need } = defineProps<{ need: NeedView; now: string }>()
const emit = defineEmits<{ stop: [] }>()
const to = computed(() => {
  if (need.kind === 'question') return { to: `/ask/${need.attemptId}`, name: 'Ask' }
  if (need.kind === 'repeat')
    return { to: `/isolation?apprentice=${need.personId}&bay=${need.bay}`, name: 'Observe' }
  return { to: '/isolation', name: 'Permits' }
})
const wait = computed(() => (need.kind === 'question' ? '' : need.about))
</script>

<template>
  <div class="line" :class="need.kind">
    <span class="text"
      ><b>{{ needText(need.kind) }}</b
      ><span class="who"
        >{{ need.name }}<template v-if="wait"> · {{ wait }}</template></span
      ></span
    >
    <button
      v-if="need.kind === 'live'"
      type="button"
      class="stop-button"
      :aria-label="`STOP ${need.name}, bay ${need.bay}, from the list`"
      @click="emit('stop')"
    >
      STOP
    </button>
    <NuxtLink v-else :to="to.to" class="el-button">{{ to.name }}</NuxtLink>
  </div>
</template>

<style scoped>
.line {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  min-height: 48px;
  padding: 2px 0 2px 10px;
  border-left: 5px solid var(--hem-strong);
  line-height: 1.25;
}
.live {
  border-left-color: var(--madder);
}
.permit,
.repeat {
  border-left-color: var(--turmeric);
}
.text {
  min-width: 0;
}
.who {
  display: block;
  font-size: 14.5px;
  color: var(--soft);
}
.line :deep(.el-button),
.el-button {
  min-height: 44px;
}
.stop-button {
  border: 0;
  border-radius: var(--ease);
  background: var(--madder);
  color: var(--on-madder);
  font: var(--heavy) 15px var(--font);
  letter-spacing: 0.05em;
  min-height: 48px;
  min-width: 84px;
  cursor: pointer;
}
.stop-button:focus-visible {
  outline: 3px solid var(--turmeric);
  outline-offset: 1px;
}
</style>

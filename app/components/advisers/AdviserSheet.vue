<script setup lang="ts">
/** What an adviser asks on the left, what it answers on the right; the answer is read out as it changes. */
</script>

<template>
  <div class="adviser">
    <form class="questions" @submit.prevent><slot name="questions" /></form>
    <div class="answer" aria-live="polite"><slot name="answer" /></div>
  </div>
</template>

<style scoped>
.adviser {
  display: grid;
  grid-template-columns: 380px 1fr;
  gap: 36px;
  align-items: start;
}
.questions {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
.questions :deep(.el-date-editor) {
  width: 100%;
}
.answer {
  background: var(--panel);
  border: 1px solid var(--hem);
  padding: 18px 24px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  max-width: 780px;
}
@media (max-width: 1000px) {
  .adviser {
    grid-template-columns: 1fr;
  }
}
</style>

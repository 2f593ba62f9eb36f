<script setup lang="ts">
/** Says that a newer version is ready, and uses it when told to. */
const version = useNewerVersion()
</script>

<template>
  <p v-if="version.isReady" class="newer" role="status" data-testid="newer-version">
    A newer version is ready. What you typed stays.
    <el-button size="small" @click="version.take()">Use it now</el-button>
  </p>
</template>

<style scoped>
.newer {
  position: fixed;
  left: 50%;
  bottom: 16px;
  translate: -50% 0;
  z-index: 3000;
  margin: 0;
  padding: 10px 16px;
  display: flex;
  gap: 14px;
  align-items: center;
  background: var(--raised);
  border: 1px solid var(--hem);
  border-left: 6px solid var(--head);
  border-radius: var(--ease);
  box-shadow: 0 6px 24px rgb(0 0 0 / 18%);
}
@media print {
  .newer {
    display: none;
  }
}
</style>

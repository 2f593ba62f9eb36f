<template>
  <div class="bar"><slot /></div>
</template>

<style scoped>
.bar {
  position: sticky;
  bottom: 0;
  margin-top: auto;
  background: var(--panel);
  border-top: 1.5px dashed var(--hem-strong);
  padding: 12px 8px;
  display: flex;
  gap: 18px;
  align-items: center;
  flex-wrap: wrap;
  z-index: 2;
}
.bar > :deep(.el-button) {
  margin-left: auto;
}
</style>

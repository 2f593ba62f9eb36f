<script setup lang="ts">
/**
 * The stitch at a row's edge: unbroken for right, long dashes for carried, dots for wrong, empty holes for
 * missing.
 */
defineProps<{ verdict: 'right' | 'carried' | 'wrong' | 'missing' }>()
</script>

<template>
  <svg
    class="edge"
    :class="verdict"
    width="8"
    viewBox="0 0 8 36"
    preserveAspectRatio="none"
    aria-hidden="true"
  >
    <line x1="4" x2="4" y1="3" y2="33" />
  </svg>
</template>

<style scoped>
.edge {
  height: 32px;
  display: block;
}
line {
  stroke-width: 4;
  stroke-linecap: round;
}
.right line {
  stroke: var(--leaf);
}
.carried line {
  stroke: var(--turmeric);
  stroke-dasharray: 8 7;
}
.wrong line {
  stroke: var(--madder);
  stroke-dasharray: 0.1 7.4;
}
.missing line {
  stroke: var(--hem-strong);
  stroke-width: 3;
  stroke-dasharray: 0.1 9.9;
}
</style>

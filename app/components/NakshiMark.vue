<script setup lang="ts">
defineProps<{ size?: number }>()
</script>

<template>
  <svg :width="size ?? 30" :height="size ?? 30" viewBox="0 0 30 30" aria-hidden="true">
    <rect
      x="2"
      y="2"
      width="26"
      height="26"
      rx="4"
      fill="none"
      stroke="currentColor"
      stroke-width="1.8"
      stroke-dasharray="4 2.6"
    />
    <path
      d="M9 22V9M21 21V8"
      stroke="currentColor"
      stroke-width="2.8"
      stroke-linecap="round"
      stroke-dasharray="4.6 4.4"
      fill="none"
    />
    <path
      d="M10.500 9.500L19.500 20.500"
      stroke="#E0A93B"
      stroke-width="2.800"
      stroke-linecap="round"
      stroke-dasharray="5 4.600"
      fill="none"
    />
  </svg>
</template>

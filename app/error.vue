<script setup lang="ts">
import type { NuxtError } from '#app'

const props = defineProps<{ error: NuxtError }>()
const isMissing = computed(() => props.error.statusCode === 404)
const back = () => clearError({ redirect: '/' })
</script>

<template>
  <div class="lost bay">
    <NakshiMark :size="56" />
    <h1>{{ isMissing ? 'There is no such page' : 'This page could not be shown' }}</h1>
    <p>
      {{
        isMissing
          ? 'The address may be mistyped, or the page was moved.'
          : 'What you typed is kept on this device. Go back and open it again.'
      }}
    </p>
    <el-button type="primary" size="large" @click="back">To my first page</el-button>
  </div>
</template>

<style scoped>
.lost {
  min-height: 100vh;
  display: flex;
  flex-direction: column;
  gap: 16px;
  align-items: center;
  justify-content: center;
  color: var(--indigo-text);
  text-align: center;
  padding: 24px;
}
p {
  color: var(--ink);
}
</style>

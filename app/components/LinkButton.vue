<script setup lang="ts">
/** A link that looks like a button: one control. A button inside a link is reached twice by Tab and said twice. */
import { NuxtLink } from '#components'

defineProps<{
  /** A page of the application. */
  to?: string
  /** A file to be kept, instead. */
  file?: string
}>()
</script>

<template>
  <el-button v-if="file" tag="a" :href="file" download><slot /></el-button>
  <el-button v-else :tag="NuxtLink" :to><slot /></el-button>
</template>

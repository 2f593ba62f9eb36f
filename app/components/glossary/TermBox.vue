<script setup lang="ts">
import type { GlossaryEntry } from '#words/glossary/entry'
import { whereItMatters } from '#words/glossary/where'

/** What a term says, beside its dotted word. */
defineProps<{
  entry: GlossaryEntry
  isOpen: boolean
  word: HTMLElement
  /** Its text in the chosen language; empty where there is none. */
  other: string
  language: string
}>()
</script>

<template>
  <el-popover :virtual-ref="word" virtual-triggering :visible="isOpen" :width="320">
    <b>{{ entry.term }}</b> <span v-if="entry.short" class="mono">{{ entry.short }}</span>
    <p v-if="other" :lang="language">{{ other }}</p>
    <p>{{ entry.says }}</p>
    <p v-if="entry.not" class="soft small">Not the same as {{ entry.not }}.</p>
    <p class="soft small">{{ whereItMatters(entry.key) }}</p>
    <TermSketch :term="entry.key" />
  </el-popover>
</template>

<script setup lang="ts">
import { formatQuantity } from '#core/units/format'
import type { VariantsResult } from '#core/variants/variants'
import { GOVERNS_WORDS } from '~/texts/builder'

defineProps<{ result: VariantsResult }>()
</script>

<template>
  <div>
    <h2>Variants, as the first {{ result.ok ? result.variants.length : '' }} apprentices would get them</h2>
    <p v-if="!result.ok" class="stitched waiting">
      {{ result.reason === 'baseUnsolvable'
        ? 'The exercise itself sits on the edge of a limit, so two careful people could choose differently. Move the load or the length a little.'
        : `Only ${result.found} of ${result.wanted} variants of like difficulty were found. Widen the spread of length or load.` }}
    </p>
    <template v-else>
      <p class="soft small">All solvable, none on the edge of a limit; the conductor is decided by the {{ GOVERNS_WORDS[result.variants[0]!.difficulty.governs] }} in each.</p>
      <ol>
        <li v-for="variant in result.variants" :key="variant.index">
          <b>{{ variant.index }}</b>
          <span class="mono">{{ formatQuantity(variant.task.lengthM, 'length') }}</span>
          <span class="mono">{{ variant.task.load.basis === 'power' ? formatQuantity(variant.task.load.powerW, 'power') : formatQuantity(variant.task.load.currentA, 'current') }}</span>
          <span class="soft small" :title="'Steps that are more than reading a number off'">difficulty {{ variant.difficulty.score }}</span>
        </li>
      </ol>
    </template>
  </div>
</template>

<style scoped>
ol { list-style: none; margin: 8px 0 0; padding: 0; display: grid; grid-template-columns: repeat(auto-fill, minmax(230px, 1fr)); gap: 2px 16px; }
li { display: grid; grid-template-columns: 22px 64px 70px 1fr; gap: 8px; padding: 3px 0; border-bottom: 1px solid var(--hem); align-items: baseline; }
</style>

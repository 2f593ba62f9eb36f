<script setup lang="ts">
import type { ReadingMark } from '#core/testing/judge/judge'
import type { FloorPatch } from '#schemas/views'
import { findingSentence, itemName } from '#words/findings/findings'

const { patch, marks } = defineProps<{ patch: FloorPatch; marks: readonly ReadingMark[] }>()
const emit = defineEmits<{ close: []; refuse: [reason: string] }>()

/** What was computed is a good beginning; the assessor has the last word. */
function firstWords(): string {
  // One cause that is in many readings is said once.
  const readings = new Map<string, string[]>()
  for (const mark of marks)
    for (const finding of mark.findings.filter(({ seriousness }) => seriousness !== 'note'))
      readings.set(findingSentence(finding), [
        ...(readings.get(findingSentence(finding)) ?? []),
        itemName(`reading.${mark.reading}`),
      ])
  return [...readings]
    .map(([sentence, names]) => (names.length === 1 ? `${names[0]}: ${sentence}` : sentence))
    .join('\n')
}
const reason = ref(firstWords())
</script>

<template>
  <el-dialog
    model-value
    :title="`Not yet: bay ${patch.bay}, ${patch.name}`"
    width="520px"
    @close="emit('close')"
  >
    <form class="stack bay" @submit.prevent="emit('refuse', reason)">
      <label class="stack" style="gap: 4px"
        ><b>What to put right; the apprentice reads this</b>
        <el-input v-model="reason" type="textarea" :rows="5" maxlength="1000" name="refusal" />
      </label>
      <div class="row">
        <el-button type="primary" native-type="submit" :disabled="!reason.trim()">Send back</el-button>
        <el-button @click="emit('close')">Leave waiting</el-button>
      </div>
    </form>
  </el-dialog>
</template>

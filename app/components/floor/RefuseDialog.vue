<script setup lang="ts">
import type { FloorPatch } from '#schemas/views'
import { findingSentence } from '#core/texts/findings'
import { READING_TEXT } from '#core/texts/steps'

const props = defineProps<{ patch: FloorPatch | null }>()
const emit = defineEmits<{ close: []; refuse: [reason: string] }>()
const reason = ref('')

// What was computed is a good beginning; the assessor has the last word.
watch(() => props.patch, (patch) => {
  if (!patch?.request) return
  reason.value = patch.request.marks
    .flatMap((mark) => mark.findings.filter((finding) => finding.seriousness !== 'note').map((finding) => `${READING_TEXT[mark.reading].name}: ${findingSentence(finding)}`))
    .join('\n')
})
</script>

<template>
  <el-dialog :model-value="patch !== null" :title="patch ? `Not yet: bay ${patch.bay}, ${patch.name}` : ''" width="520px" @close="emit('close')">
    <form class="stack bay" @submit.prevent="emit('refuse', reason)">
      <label class="stack" style="gap: 4px"><b>What to put right; the apprentice reads this</b>
        <el-input v-model="reason" type="textarea" :rows="5" maxlength="1000" name="refusal" />
      </label>
      <div class="row">
        <el-button type="primary" native-type="submit" :disabled="!reason.trim()">Send back</el-button>
        <el-button @click="emit('close')">Leave waiting</el-button>
      </div>
    </form>
  </el-dialog>
</template>

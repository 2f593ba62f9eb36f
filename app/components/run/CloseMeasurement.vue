<script setup lang="ts">
import { RUN_PARTS } from '#core/containment/parts-met'
import type { PartVerdict } from '#core/containment/parts-met'
import { RUN_PART_NAME } from '#words/containment'
import type { MeasureCloseBody } from '#schemas/workmanship-views'

/** Closing a measurement: what is proposed of each part, decided as proposed or otherwise with a reason. */
const props = defineProps<{ isOpen: boolean; verdicts: readonly PartVerdict[]; person: string }>()
const emit = defineEmits<{ close: []; decide: [body: Pick<MeasureCloseBody, 'parts' | 'reason'>] }>()

const form = reactive<{ parts: Partial<Record<(typeof RUN_PARTS)[number], boolean>>; reason: string }>({
  parts: {},
  reason: '',
})
watch(
  () => props.isOpen,
  (isOpen) => {
    if (isOpen)
      Object.assign(form, {
        parts: Object.fromEntries(judged.value.map(({ part, isMet }) => [part, isMet!])),
        reason: '',
      })
  },
)
const judged = computed(() => props.verdicts.filter(({ isMet }) => isMet !== null))
const isOtherwise = computed(() => judged.value.some(({ part, isMet }) => form.parts[part] !== isMet))
const isReady = computed(() => !isOtherwise.value || form.reason.trim().length >= 3)
</script>

<template>
  <el-dialog :model-value="isOpen" title="Close and give back" width="520px" @close="emit('close')">
    <form
      class="stack"
      @submit.prevent="isReady && emit('decide', { parts: form.parts, reason: form.reason })"
    >
      <div v-for="verdict in verdicts" :key="verdict.part" class="row spread">
        <span
          ><b>{{ RUN_PART_NAME[verdict.part] }}</b>
          <span class="soft">{{ verdict.right }} of {{ verdict.of }} within tolerance</span></span
        >
        <span v-if="verdict.isMet === null" class="tag waiting"
          >{{ verdict.of - verdict.taken }} not taken: not judged</span
        >
        <el-radio-group
          v-else
          v-model="form.parts[verdict.part]"
          size="large"
          :aria-label="RUN_PART_NAME[verdict.part]"
          ><el-radio-button :value="true">Met</el-radio-button
          ><el-radio-button :value="false">Not yet</el-radio-button></el-radio-group
        >
      </div>
      <label v-if="isOtherwise" class="field"
        ><span>Why otherwise than proposed</span
        ><el-input v-model="form.reason" maxlength="600" name="reason"
      /></label>
      <p class="soft">
        {{ person }} sees it then. It goes to the record, and nothing of it changes any more.
      </p>
      <div class="row">
        <el-button type="primary" native-type="submit" :disabled="!isReady">Close it</el-button
        ><el-button @click="emit('close')">Go on measuring</el-button>
      </div>
    </form>
  </el-dialog>
</template>

<script setup lang="ts">
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import { itemName } from '#words/findings/findings'

const props = defineProps<{ item: ItemKey | null; proposed: 'right' | 'wrong' }>()
const emit = defineEmits<{ close: []; set: [verdict: 'right' | 'wrong', reason: string] }>()

const verdict = ref<'right' | 'wrong'>('right')
const reason = ref('')
const box = ref<{ focus: () => void }>()

watch(
  () => props.item,
  (item) => {
    if (!item) return
    // Overriding usually means the other verdict.
    verdict.value = props.proposed === 'right' ? 'wrong' : 'right'
    reason.value = ''
    setTimeout(() => box.value?.focus(), 150)
  },
)
const isReady = computed(() => reason.value.trim().length >= 3)
</script>

<template>
  <el-dialog
    :model-value="item !== null"
    :title="item ? `Change: ${itemName(item)}` : ''"
    width="480px"
    @close="emit('close')"
  >
    <form class="stack" @submit.prevent="isReady && emit('set', verdict, reason.trim())">
      <el-radio-group v-model="verdict" aria-label="Verdict">
        <el-radio-button value="right">Right</el-radio-button>
        <el-radio-button value="wrong">Wrong</el-radio-button>
      </el-radio-group>
      <label class="stack" style="gap: 4px"
        ><b>Reason, kept with the decision</b>
        <el-input
          ref="box"
          v-model="reason"
          type="textarea"
          :rows="3"
          maxlength="500"
          name="reason"
          @keydown.ctrl.enter="isReady && emit('set', verdict, reason.trim())"
        />
      </label>
      <div class="row">
        <el-button type="primary" native-type="submit" :disabled="!isReady">Change the mark</el-button>
        <el-button @click="emit('close')">Leave as proposed</el-button>
      </div>
    </form>
  </el-dialog>
</template>

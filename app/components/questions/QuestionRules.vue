<script setup lang="ts">
import type { BankView } from '#schemas/question-views'

/** What a prompted answer counts for, and how long neighbours hear a question. */
const { bank } = defineProps<{ bank: BankView }>()
const emit = defineEmits<{ changed: [] }>()
const { call } = useApi()
const rules = ref({ ...bank.policy })
const { isBusy, act } = useAct()

const save = () =>
  act(async () => {
    await call('PUT', 'questions/policy', { ...rules.value, seen: bank.seen })
    ElMessage({ type: 'success', message: 'In force from now on.', showClose: true })
    emit('changed')
  })
</script>

<template>
  <div class="stack">
    <h2>An answer with a prompt</h2>
    <el-radio-group v-model="rules.prompted" aria-label="An answer with a prompt">
      <el-radio value="met">counts as met: a prompt is part of asking well (usual)</el-radio>
      <el-radio value="noted">is noted, and the criterion stays open</el-radio>
    </el-radio-group>
    <label class="row"
      ><el-input-number
        v-model="rules.earshotMinutes"
        :min="0"
        :max="120"
        aria-label="Minutes in earshot"
        data-testid="earshot"
      /><span>minutes in which a neighbour is not asked the same</span></label
    >
    <div><el-button type="primary" :loading="isBusy" @click="save">Put in force</el-button></div>
  </div>
</template>

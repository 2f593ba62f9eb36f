<script setup lang="ts">
definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'technician', 'apprentice', 'verifier'] })
const which = ref<'residual' | 'addition' | 'leakage' | 'neutral'>('residual')
</script>

<template>
  <div class="page stack">
    <div>
      <h1>Advisers</h1>
      <p class="soft">
        The same rules that designs are worked from, asked one question at a time. They say what an edition
        asks for, never that an installation is safe.
      </p>
    </div>
    <el-radio-group v-model="which" aria-label="Question"
      ><el-radio-button value="residual">Do I need an RCD?</el-radio-button
      ><el-radio-button value="addition">What does an addition require?</el-radio-button
      ><el-radio-button value="leakage">How much standing leakage?</el-radio-button
      ><el-radio-button value="neutral">What does the neutral carry?</el-radio-button></el-radio-group
    >
    <LeakageAdviser v-if="which === 'leakage'" />
    <NeutralAdviser v-else-if="which === 'neutral'" />
    <RuleAdviser v-else :key="which" :is-addition="which === 'addition'" />
  </div>
</template>

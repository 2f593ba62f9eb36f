<script setup lang="ts">
import type { SignInSlip } from '#schemas/views'

defineProps<{ slips: readonly SignInSlip[] }>()
const emit = defineEmits<{ close: [] }>()
const print = () => window.print()
</script>

<template>
  <section class="stitched waiting stack">
    <div class="row spread">
      <h2>First passwords, shown only now</h2>
      <div class="row screen-only">
        <el-button type="primary" @click="print">Print the slips</el-button
        ><el-button @click="emit('close')">I have them</el-button>
      </div>
    </div>
    <div class="slips">
      <div v-for="slip in slips" :key="slip.number" class="slip">
        <b>{{ slip.name }}</b><span class="soft">{{ slip.cohort }}</span>
        <span
          >Number <b class="mono">{{ slip.number }}</b></span
        ><span
          >Password <b class="mono">{{ slip.password }}</b></span
        >
        <span class="small soft">Works once; then you choose your own.</span>
      </div>
    </div>
  </section>
</template>

<style scoped>
.slips {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(250px, 1fr));
  gap: 10px;
}
.slip {
  background: var(--raised);
  border: 1px dashed var(--hem-strong);
  padding: 10px 12px;
  display: flex;
  flex-direction: column;
  break-inside: avoid;
}
</style>

<script setup lang="ts">
/** The head of the seal under a record on paper: what is changed or cut off later shows against it. */
const { data } = useServer<{ readonly head: string; readonly at: string }>(() => 'seal')
</script>

<template>
  <p v-if="data?.head" class="seal" data-testid="seal-foot">
    Head of the seal, {{ dayTime(data.at) }}: <span class="mono">{{ data.head }}</span>
  </p>
</template>

<style scoped>
.seal {
  display: none;
}
@media print {
  .seal {
    display: block;
    margin-top: 8px;
    font-size: 8.5pt;
    overflow-wrap: anywhere;
  }
}
</style>

<script setup lang="ts">
/** Where a value was read, and from when it is in force. */
defineProps<{ name: string; example: string }>()
const place = defineModel<string>('place', { required: true })
const from = defineModel<string>('from', { required: true })
</script>

<template>
  <div class="source">
    <FormBox name="Source"
      ><el-input v-model="place" :name="name" maxlength="200" :placeholder="example"
    /></FormBox>
    <FormBox name="In force from"><DayPicker v-model="from" label="In force from" /></FormBox>
  </div>
</template>

<style scoped>
.source {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px 14px;
}
</style>

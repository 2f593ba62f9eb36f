<script setup lang="ts">
/** A button that takes a file from this device; by keyboard as well. */
defineProps<{ accept: string; testId?: string }>()
const emit = defineEmits<{ file: [file: File] }>()
function take(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  // The same file may be chosen again after it has been mended.
  input.value = ''
  if (file) emit('file', file)
}
</script>

<template>
  <label class="button"
    ><slot /><input type="file" :accept="accept" :data-testid="testId" @change="take"
  /></label>
</template>

<style scoped>
.button {
  position: relative;
  display: inline-flex;
  align-items: center;
  min-height: 32px;
  padding: 0 15px;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  color: var(--indigo-text);
  font-weight: var(--strong);
  cursor: pointer;
  background: var(--raised);
}
.button:hover {
  background: var(--indigo-wash);
}
.button:focus-within {
  outline: 2.5px solid var(--indigo);
  outline-offset: 2px;
}
input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
  font-size: 0;
}
</style>

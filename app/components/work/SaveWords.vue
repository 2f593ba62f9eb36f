<script setup lang="ts">
import type { SaveState } from '~/composables/useKeptText'

const props = defineProps<{ state: SaveState; savedAt: string | null; message: string }>()
const words = computed(() => {
  switch (props.state) {
    case 'saved':
      return props.savedAt ? `saved ${clock(props.savedAt)}` : 'nothing typed yet'
    case 'editing':
      return 'typing…'
    case 'saving':
      return 'saving…'
    case 'offline':
      return 'no connection: kept on this device, sent when it is back'
    case 'conflict':
      return 'another device changed the same box: choose below'
    default:
      return props.message
  }
})
</script>

<template>
  <span
    class="words"
    :class="{ caution: state === 'offline' || state === 'refused' || state === 'conflict' }"
    role="status"
    data-testid="save-state"
    :data-state="state"
    >{{ words }}</span
  >
</template>

<style scoped>
.words {
  font-size: 14.5px;
  color: var(--soft);
}
.words.caution {
  color: var(--madder-text);
}
</style>

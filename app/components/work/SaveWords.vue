<script setup lang="ts">
/** Whether what is on the screen is what the server has, in words; what was refused can be thrown away. */
const { autosave } = defineProps<{
  autosave: Pick<ReturnType<typeof useKeptText>, 'state' | 'savedAt' | 'message' | 'discard'>
}>()
const state = computed(() => autosave.state.value)
const words = computed(() => {
  switch (state.value) {
    case 'saved':
      return autosave.savedAt.value ? `saved ${clock(autosave.savedAt.value)}` : 'nothing changed yet'
    case 'editing':
      return 'typing…'
    case 'saving':
      return 'saving…'
    case 'offline':
      return 'no connection: kept on this device, sent when it is back'
    case 'conflict':
      return 'another device changed the same box: choose below'
    case 'held':
      return `kept on this device, not sent: ${autosave.message.value}`
    default:
      return `not saved, kept on this device: ${autosave.message.value}`
  }
})

async function discard() {
  const isMeant = await isSure(
    'What you typed here and the server did not take is thrown away. The boxes show what is saved.',
    'Throw away what was not saved?',
    { yes: 'Throw away', no: 'Keep it', isGrave: true },
  )
  if (isMeant) await autosave.discard()
}
</script>

<template>
  <span
    class="words"
    :class="{ caution: ['offline', 'refused', 'conflict', 'held'].includes(state) }"
    role="status"
    data-testid="save-state"
    :data-state="state"
    >{{ words }}
    <el-button v-if="state === 'refused' || state === 'held'" size="small" @click="discard"
      >Throw it away</el-button
    ></span
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

<script setup lang="ts">
import type { Behaviour } from '#core/assessment/outcomes/framework'

/** A behaviour in two taps while one stands at the bay: open, tap. A slip is taken back at once. */
const { personId, attemptId, name } = defineProps<{
  personId: number
  attemptId: number
  name: string
  behaviours: readonly Behaviour[]
}>()
const { call } = useApi()
const { isBusy, act } = useAct()
const isOpen = ref(false)
const kept = ref<{ readonly id: number; readonly text: string } | null>(null)
const putDown = ({ code, text }: Behaviour) =>
  act(async () => {
    const { id } = await call<{ id: number }>('POST', `people/${personId}/behaviours`, {
      behaviour: code,
      note: '',
      attemptId,
    })
    kept.value = { id, text }
    isOpen.value = false
  })
const undo = () =>
  act(async () => {
    await call('DELETE', `behaviours/${kept.value!.id}`)
    kept.value = null
  })
</script>

<template>
  <div class="taps">
    <p v-if="kept" class="small" role="status">
      Put down: {{ kept.text }}
      <button type="button" class="text-button" :disabled="isBusy" @click="undo">Undo</button>
    </p>
    <button
      type="button"
      class="text-button"
      :aria-expanded="isOpen"
      :aria-label="`Behaviour seen of ${name}`"
      @click="isOpen = !isOpen"
    >
      {{ isOpen ? 'Close' : 'Behaviour' }}
    </button>
    <div v-if="isOpen" class="list" data-testid="behaviours">
      <button
        v-for="one in behaviours"
        :key="one.code"
        type="button"
        class="one"
        :disabled="isBusy"
        @click="putDown(one)"
      >
        {{ one.text }}
      </button>
    </div>
  </div>
</template>

<style scoped>
.taps {
  flex: 1 1 auto;
  text-align: right;
}
.taps > .text-button {
  padding: 8px 0 2px;
}
.list {
  text-align: left;
  display: grid;
  gap: 4px;
  padding: 6px 0;
}
.one {
  min-height: 48px;
  padding: 4px 10px;
  text-align: left;
  border: 1px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--raised);
  color: var(--ink);
  font: var(--mid) 14.5px/1.25 var(--font);
  cursor: pointer;
}
.one:hover {
  border-color: var(--indigo);
}
</style>

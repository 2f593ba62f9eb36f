<script setup lang="ts">
import { CALL_KINDS, type CallKind } from '#core/floor/needs'
import type { CallView } from '#schemas/floor'
import { CALL_TEXT } from '#words/floor/needs'

/** Asks an assessor over to the bay, and shows what came of it. */
const { id } = defineProps<{ id: number }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, refresh } = useServer<CallView[]>(() => `work/${id}/calls`)
const now = ref(new Date().toISOString())
const isOpen = ref(false)
const open = computed(() => (data.value ?? []).filter(({ answer }) => answer === null))
/** What was said last is read until something new is asked. */
const last = computed(() => {
  const newest = data.value?.[0]
  return newest && (newest.answer === 'seen' || newest.answer === 'notYet') ? newest : null
})
const ask = (kind: CallKind) =>
  act(async () => {
    data.value = await call<CallView[]>('POST', `work/${id}/call`, { kind })
    isOpen.value = false
  })
const withdraw = (callId: number) =>
  act(async () => {
    data.value = await call<CallView[]>('DELETE', `calls/${callId}`)
  })
useNews(() => {
  now.value = new Date().toISOString()
  void refresh()
})
</script>

<template>
  <section class="over" aria-label="Call somebody over" data-testid="call-over">
    <p v-for="one in open" :key="one.id" class="row asked">
      <span
        ><b>{{ CALL_TEXT[one.kind].asks }}</b
        >: asked {{ ago(one.at, now) }}</span
      >
      <button type="button" class="text-button" :disabled="isBusy" @click="withdraw(one.id)">Withdraw</button>
    </p>
    <p v-if="open.length === 0 && last" class="asked" :class="last.answer">
      {{ CALL_TEXT[last.kind].asks }}: <b>{{ last.answer === 'seen' ? 'seen' : 'not yet' }}</b><template
        v-if="last.note"
        >: {{ last.note }}</template
      >
      <span class="soft"> ({{ last.answeredBy }}, {{ clock(last.answeredAt!).slice(0, 5) }})</span>
    </p>
    <button type="button" class="text-button" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      {{ isOpen ? 'Not now' : 'Call somebody over' }}
    </button>
    <div v-if="isOpen" class="kinds">
      <el-button
        v-for="kind in CALL_KINDS.filter((one) => open.every((other) => other.kind !== one))"
        :key="kind"
        :disabled="isBusy"
        :data-testid="`ask-${kind}`"
        @click="ask(kind)"
        >{{ CALL_TEXT[kind].asks }}</el-button
      >
    </div>
  </section>
</template>

<style scoped>
.over {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 14px;
}
.asked {
  border-left: 4px solid var(--turmeric);
  padding-left: 8px;
  font-size: 14.5px;
}
.asked.seen {
  border-left-color: var(--leaf);
}
.asked.notYet {
  border-left-color: var(--madder);
}
.kinds {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  width: 100%;
}
.kinds :deep(.el-button) {
  min-height: 48px;
  margin: 0;
}
</style>

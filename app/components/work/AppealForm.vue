<script setup lang="ts">
import type { AppealView } from '#schemas/evidence-views'

/** Somebody who does not agree with a decision says why; somebody else than whoever decided answers. */
const { attemptId } = defineProps<{ attemptId: number }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, refresh } = useServer<AppealView[]>(() => 'appeals')
const own = computed(() => data.value?.filter((appeal) => appeal.attemptId === attemptId) ?? [])
const isOpen = ref(false)
const reason = ref('')
const send = () =>
  act(async () => {
    await call('POST', `work/${attemptId}/appeal`, { reason: reason.value })
    reason.value = ''
    isOpen.value = false
    await refresh()
  })
const OUTCOME_TEXT = {
  open: 'waits for an answer',
  upheld: 'upheld: marked again',
  notUpheld: 'not upheld',
} as const
</script>

<template>
  <section class="stack" aria-label="Appeal">
    <p v-for="appeal in own" :key="appeal.id" class="stitched">
      <b>Your appeal, {{ date(appeal.at) }}:</b> {{ appeal.reason }}
      <span class="tag" :class="appeal.outcome === 'upheld' ? 'met' : 'plain'">{{
        OUTCOME_TEXT[appeal.outcome ?? 'open']
      }}</span>
      <span v-if="appeal.answer"> {{ appeal.answeredBy }}: {{ appeal.answer }}</span>
    </p>
    <button
      v-if="!own.some(({ outcome }) => outcome === null)"
      type="button"
      class="text-button open"
      :aria-expanded="isOpen"
      @click="isOpen = !isOpen"
    >
      I do not agree with this decision
    </button>
    <form v-if="isOpen" class="stack" @submit.prevent="send">
      <label class="field"
        ><span>Say what you see otherwise, and where it is to be seen</span
        ><el-input v-model="reason" type="textarea" :autosize="{ minRows: 3 }" maxlength="600" name="appeal"
      /></label>
      <el-button class="open" native-type="submit" type="primary" :disabled="!reason.trim()" :loading="isBusy"
        >Appeal</el-button
      >
    </form>
  </section>
</template>

<style scoped>
.open {
  align-self: flex-start;
}
</style>

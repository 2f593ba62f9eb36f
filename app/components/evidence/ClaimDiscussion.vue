<script setup lang="ts">
import type { AccountView } from '#schemas/evidence-views'
import { READER_TEXT } from '#words/evidence/account'
import type { MarginClaim } from '~/composables/useAccount'

/** A professional discussion of one claim: what the passage leaves open is asked, and the answer is put down. */
const { id, claim } = defineProps<{ id: number; claim: MarginClaim }>()
const emit = defineEmits<{ held: [view: AccountView] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const isOpen = ref(false)
const asked = ref('')
const said = ref('')
const minutes = ref(5)
function open() {
  isOpen.value = !isOpen.value
  asked.value ||= claim.asks.map((ask) => READER_TEXT[ask]).join('\n')
}
const lacks = computed(() => {
  if (asked.value.trim().length < 10) return 'Write what you asked.'
  return said.value.trim().length < 20 ? 'Write what was said, a sentence or two.' : ''
})
const keep = () =>
  act(async () => {
    const body = { claim: claim.token, asked: asked.value, said: said.value, minutes: minutes.value }
    emit('held', await call<AccountView>('POST', `accounts/${id}/discussion`, body))
    isOpen.value = false
    asked.value = said.value = ''
  })
</script>

<template>
  <div class="stack">
    <button type="button" class="text-button" :aria-expanded="isOpen" data-testid="discuss" @click="open">
      {{ isOpen ? 'Not now' : 'Professional discussion' }}
    </button>
    <div v-if="isOpen" class="stack held">
      <p class="soft small">What the passage leaves open stands here already. Keep their own words.</p>
      <label class="field"
        ><span>You asked</span
        ><el-input v-model="asked" type="textarea" autosize name="asked" maxlength="2000"
      /></label>
      <label class="field"
        ><span>They said</span
        ><el-input v-model="said" type="textarea" :autosize="{ minRows: 3 }" name="said" maxlength="6000"
      /></label>
      <div class="row">
        <label class="row small"
          >Minutes <el-input-number v-model="minutes" :min="1" :max="240" :step="1" size="small"
        /></label>
        <el-button :disabled="lacks !== ''" :loading="isBusy" data-testid="keep-discussion" @click="keep"
          >Keep it with the claim</el-button
        >
      </div>
      <p v-if="lacks" class="soft small">{{ lacks }}</p>
    </div>
  </div>
</template>

<style scoped>
.held {
  border-left: 4px solid var(--indigo);
  padding-left: 10px;
}
.text-button {
  align-self: flex-start;
}
</style>

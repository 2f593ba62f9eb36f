<script setup lang="ts">
import type { WitnessAsked } from '#schemas/evidence-views'

/** For somebody who saw work elsewhere: a code, and what they saw in their own words. No sign-in. */
definePageMeta({ layout: 'plain', isOpen: true })
const { callOnce } = useApi()
const { isBusy, act } = useAct()
const code = ref('')
const asked = ref<WitnessAsked | null>(null)
const statement = ref('')
const isDone = ref(false)
const look = () =>
  act(async () => (asked.value = await callOnce<WitnessAsked>('POST', 'witness/look', { code: code.value })))
const state = () =>
  act(async () => {
    await callOnce('POST', 'witness/statement', { code: code.value, statement: statement.value })
    isDone.value = true
  })
</script>

<template>
  <main class="page stack witness">
    <h1>Statement of a witness</h1>
    <p v-if="isDone" class="stitched met" role="status">
      Thank you. Your statement is kept, and the code is used up.
    </p>
    <form v-else-if="!asked" class="stack" @submit.prevent="look">
      <p>Type the code from your slip. It works once.</p>
      <el-input
        v-model="code"
        size="large"
        name="code"
        aria-label="Code"
        autocomplete="off"
        placeholder="ABCD-EFGH-JKMN"
      />
      <el-button
        type="primary"
        size="large"
        native-type="submit"
        :disabled="code.length < 8"
        :loading="isBusy"
        >Go on</el-button
      >
    </form>
    <form v-else class="stack" @submit.prevent="state">
      <p>
        {{ asked.name }}, {{ asked.role }}: <b>{{ asked.person }}</b> names you as a witness of
        <b>{{ asked.job || 'a job' }}</b><template v-if="asked.day"> on {{ date(asked.day) }}</template
        >.
      </p>
      <p class="soft">
        Write what you saw this person do, themselves: what, where, how well. Not whether it meets anything:
        that is decided elsewhere. Leave out names of others and addresses.
      </p>
      <el-input
        v-model="statement"
        type="textarea"
        :autosize="{ minRows: 6 }"
        name="statement"
        aria-label="What you saw"
        maxlength="4000"
      />
      <el-button
        type="primary"
        size="large"
        native-type="submit"
        :disabled="statement.trim().length < 20"
        :loading="isBusy"
        data-testid="state"
        >I saw this</el-button
      >
      <p v-if="statement.trim().length < 20" class="soft small">A sentence or two at least.</p>
    </form>
  </main>
</template>

<style scoped>
.witness {
  max-width: 640px;
}
</style>

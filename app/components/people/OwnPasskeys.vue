<script setup lang="ts">
import {
  browserSupportsWebAuthn,
  startRegistration,
  type PublicKeyCredentialCreationOptionsJSON,
} from '@simplewebauthn/browser'
import type { PasskeyItem } from '#schemas/trust-views'

/** Passkeys of whoever sits here: a finger or a key instead of a PIN before signing. */
const { call } = useApi()
const { data: keys, refresh } = useServer<PasskeyItem[]>(() => 'passkeys')
const isSupported = browserSupportsWebAuthn()
const name = ref('')
const isBusy = ref(false)

async function run(work: () => Promise<unknown>) {
  isBusy.value = true
  try {
    await work()
    await refresh()
  } catch (error) {
    if (error instanceof ApiProblem) showProblem(error)
    else ElMessage({ type: 'warning', message: 'No passkey was made.', showClose: true })
  } finally {
    isBusy.value = false
  }
}
const add = () =>
  run(async () => {
    const options = await call<PublicKeyCredentialCreationOptionsJSON>('POST', 'passkeys/options', {})
    const response = await startRegistration({ optionsJSON: options })
    await call('POST', 'passkeys', { name: name.value.trim() || 'This device', response })
    name.value = ''
  })
const remove = (id: number) => run(() => call('DELETE', `passkeys/${id}`))
</script>

<template>
  <section class="stack passkeys">
    <h2>Passkeys</h2>
    <p class="soft small">
      A finger, a face or a key instead of the PIN before permitting, deciding and signing on this device.
    </p>
    <ul v-if="keys?.length">
      <li v-for="key in keys" :key="key.id" class="row spread">
        <span
          ><b>{{ key.name }}</b> <span class="soft small">since {{ dayTime(key.madeAt) }}</span></span
        ><el-button size="small" text :disabled="isBusy" @click="remove(key.id)">Remove</el-button>
      </li>
    </ul>
    <form v-if="isSupported" class="row" @submit.prevent="add">
      <el-input v-model="name" name="passkey-name" maxlength="60" placeholder="Name, such as: own tablet" />
      <el-button native-type="submit" :loading="isBusy">Add a passkey</el-button>
    </form>
    <p v-else class="soft small">This browser, or a connection without https, has no passkeys.</p>
  </section>
</template>

<style scoped>
.passkeys {
  margin-top: 28px;
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 20px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>

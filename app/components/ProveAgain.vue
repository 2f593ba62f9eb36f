<script setup lang="ts">
import { browserSupportsWebAuthn, startAuthentication } from '@simplewebauthn/browser'
import type { PublicKeyCredentialRequestOptionsJSON } from '@simplewebauthn/browser'

/**
 * Asks who sits here: before something is signed, or since nobody has touched the page for long. What stands on
 * the page stays under it. STOP works here too.
 */
const session = useSession()
const { callOnce } = useApi()
const secret = ref('')
const problem = ref('')
const isBusy = ref(false)
const isStopped = ref(false)
const mayStop = computed(() => ['instructor', 'assessor'].includes(session.person?.role ?? ''))
const hasPasskeys = browserSupportsWebAuthn()

async function prove(how: () => Promise<unknown>) {
  isBusy.value = true
  problem.value = ''
  try {
    await how()
    session.proved()
  } catch (error) {
    problem.value = error instanceof ApiProblem ? error.message : 'The passkey was not used. Try again.'
  } finally {
    secret.value = ''
    isBusy.value = false
  }
}
const bySecret = () => prove(() => callOnce('POST', 'proof', { secret: secret.value }))
const byPasskey = () =>
  prove(async () => {
    const options = await callOnce<PublicKeyCredentialRequestOptionsJSON>('POST', 'proof/options', {})
    await callOnce('POST', 'proof/passkey', { response: await startAuthentication({ optionsJSON: options }) })
  })
async function stopAll() {
  try {
    await callOnce('POST', 'floor/stop', { attemptId: null, reason: '' })
    isStopped.value = true
  } catch (error) {
    showProblem(error)
  }
}
const { signOut } = useSignOut()
</script>

<template>
  <el-dialog
    :model-value="true"
    :title="session.isLocked ? 'Locked' : 'Is it still you?'"
    width="420px"
    :show-close="false"
    :close-on-click-modal="false"
    :close-on-press-escape="!session.isLocked"
    :modal-class="session.isLocked ? 'locked-page' : ''"
    @close="session.giveUpProof()"
  >
    <p class="explain">
      <template v-if="session.isLocked"
        >{{ session.person?.name }}: nobody has touched this page for a while. What you typed stays as it
        is.</template
      >
      <template v-else>{{ session.person?.name }}: this is signed in your name.</template>
    </p>
    <form class="stack" @submit.prevent="bySecret">
      <label class="field"
        ><span>PIN or password</span
        ><el-input
          v-model="secret"
          size="large"
          type="password"
          name="proof"
          autocomplete="current-password"
          autofocus
      /></label>
      <p v-if="problem" class="caution" role="alert">{{ problem }}</p>
      <div class="row">
        <el-button type="primary" size="large" native-type="submit" :loading="isBusy" :disabled="!secret">{{
          session.isLocked ? 'Open' : 'It is me'
        }}</el-button>
        <el-button v-if="hasPasskeys" size="large" :disabled="isBusy" @click="byPasskey">Passkey</el-button>
        <el-button v-if="session.isLocked" size="large" text @click="signOut">Sign out</el-button>
        <el-button v-else size="large" text @click="session.giveUpProof()">Not now</el-button>
      </div>
    </form>
    <button v-if="session.isLocked && mayStop" type="button" class="stop-all" @click="stopAll">
      {{ isStopped ? 'Stopped: every bay' : 'STOP every live bay' }}
    </button>
  </el-dialog>
</template>

<style scoped>
.explain {
  margin-bottom: 16px;
}
.stop-all {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 100%;
  margin-top: 18px;
  padding: 16px;
  text-align: center;
  font-weight: var(--heavy);
  background: var(--madder);
  color: var(--on-madder);
  border-radius: var(--ease);
}
.stop-all:focus-visible {
  outline: 3px solid var(--indigo);
  outline-offset: 2px;
}
</style>

<style>
/* Whoever passes by reads nothing of the page underneath. */
.locked-page {
  background: var(--cloth) !important;
}
</style>

<script setup lang="ts">
definePageMeta({ layout: 'plain' })
const session = useSession()
const { call } = useApi()
const form = reactive({ current: '', password: '' })
const again = ref('')
const problem = ref('')
const isBusy = ref(false)
const differs = computed(() => again.value !== '' && again.value !== form.password)

async function change() {
  isBusy.value = true
  problem.value = ''
  try {
    session.take(await call('POST', 'password', form))
    await navigateTo('/')
  } catch (error) {
    const { message, fields } = error as ApiProblem
    problem.value = fields.length
      ? fields.map((f) => `The ${f.field} password ${f.message}`).join(' ')
      : message
  } finally {
    isBusy.value = false
  }
}

const pin = reactive({ current: '', pin: '' })
const isPinKept = ref(false)
async function choosePin() {
  try {
    await call('PUT', 'pin', pin)
    isPinKept.value = true
    Object.assign(pin, { current: '', pin: '' })
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div>
    <form class="stack" @submit.prevent="change">
      <h1>Choose your own password</h1>
      <p v-if="session.person?.mustChange" class="soft">
        The one you were given works once. From now on only you know yours.
      </p>
      <label class="field"
        ><span>Present password</span
        ><el-input
          v-model="form.current"
          size="large"
          type="password"
          name="current"
          autocomplete="current-password"
      /></label>
      <label class="field"
        ><span>New password, 10 characters or more</span
        ><el-input
          v-model="form.password"
          size="large"
          type="password"
          name="password"
          autocomplete="new-password"
      /></label>
      <label class="field"
        ><span>New password again</span
        ><el-input v-model="again" size="large" type="password" name="again" autocomplete="new-password"
      /></label>
      <p v-if="differs" class="caution">The two do not match yet.</p>
      <p v-if="problem" class="caution" role="alert">{{ problem }}</p>
      <div class="row">
        <el-button
          type="primary"
          size="large"
          native-type="submit"
          :loading="isBusy"
          :disabled="form.password.length < 10 || again !== form.password || !form.current"
          >Change</el-button
        >
        <el-button v-if="!session.person?.mustChange" size="large" @click="navigateTo('/')">Back</el-button>
      </div>
    </form>
    <form v-if="!session.person?.mustChange" class="stack pin" @submit.prevent="choosePin">
      <h2>PIN for signing at a shared tablet</h2>
      <label class="field"
        ><span>Present password</span
        ><el-input v-model="pin.current" type="password" name="pin-current" autocomplete="current-password"
      /></label>
      <label class="field"
        ><span>PIN, 4 to 8 figures</span
        ><el-input
          v-model="pin.pin"
          type="password"
          inputmode="numeric"
          maxlength="8"
          name="pin-new"
          autocomplete="off"
      /></label>
      <div class="row">
        <el-button native-type="submit" :disabled="!/^\d{4,8}$/.test(pin.pin) || !pin.current"
          >Keep this PIN</el-button
        ><span v-if="isPinKept" class="tag met" role="status">kept</span>
      </div>
    </form>
    <OwnPasskeys v-if="!session.person?.mustChange" />
  </div>
</template>

<style scoped>
.pin {
  margin-top: 28px;
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 20px;
}
</style>

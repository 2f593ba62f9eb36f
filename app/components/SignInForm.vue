<script setup lang="ts">
const props = defineProps<{ number?: string }>()
const session = useSession()
const { callOnce } = useApi()
const number = ref(props.number ?? '')
const password = ref('')
const problem = ref('')
const isBusy = ref(false)

async function signIn() {
  isBusy.value = true
  problem.value = ''
  try {
    session.take(await callOnce('POST', 'session', { number: number.value, password: password.value }))
  } catch (error) {
    problem.value = (error as ApiProblem).message
    password.value = ''
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <form class="stack" @submit.prevent="signIn">
    <label class="field">
      <span>Number</span>
      <el-input
        v-model="number"
        size="large"
        autocomplete="username"
        :readonly="Boolean(props.number)"
        autofocus
        name="number"
      />
    </label>
    <label class="field">
      <span>Password</span>
      <el-input
        v-model="password"
        size="large"
        type="password"
        autocomplete="current-password"
        name="password"
      />
    </label>
    <p v-if="problem" class="caution" role="alert">{{ problem }}</p>
    <el-button
      type="primary"
      size="large"
      native-type="submit"
      :loading="isBusy"
      :disabled="!number || !password"
      >Sign in</el-button
    >
  </form>
</template>

<script setup lang="ts">
definePageMeta({ layout: 'plain' })
const session = useSession()
const { callOnce } = useApi()
const form = reactive({ number: '', name: '', password: '' })
const problem = ref('')
const isBusy = ref(false)

async function setUp() {
  isBusy.value = true
  problem.value = ''
  try {
    session.take(await callOnce('POST', 'set-up', form))
    await navigateTo('/')
  } catch (error) {
    const { message, fields } = error as ApiProblem
    problem.value = [message, ...fields.map((f) => `${f.field} ${f.message}`)].join(' ')
  } finally {
    isBusy.value = false
  }
}
</script>

<template>
  <form class="stack" @submit.prevent="setUp">
    <h1>Set up this centre</h1>
    <p class="soft">
      Nobody is here yet. You become the administrator and bring in everybody else from a roster.
    </p>
    <label class="field"
      ><span>Your number</span
      ><el-input v-model="form.number" size="large" name="number" autocomplete="username"
    /></label>
    <label class="field"
      ><span>Your name</span><el-input v-model="form.name" size="large" name="name" autocomplete="name"
    /></label>
    <label class="field">
      <span>A password, 10 characters or more</span>
      <el-input
        v-model="form.password"
        size="large"
        type="password"
        name="password"
        autocomplete="new-password"
      />
    </label>
    <p v-if="problem" class="caution" role="alert">{{ problem }}</p>
    <el-button
      type="primary"
      size="large"
      native-type="submit"
      :loading="isBusy"
      :disabled="!form.number || !form.name || form.password.length < 10"
      >Start</el-button
    >
  </form>
</template>

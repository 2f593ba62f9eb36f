<script setup lang="ts">
import { homeOf } from '~/stores/session'

definePageMeta({ layout: 'plain' })
const session = useSession()

watch(
  () => session.person,
  (person) => person && navigateTo(person.mustChange ? '/password' : homeOf(person.role)),
)
</script>

<template>
  <div class="stack">
    <h1>Sign in</h1>
    <p class="soft">With your college number. Lost your password? The administrator gives you a new one.</p>
    <SignInForm />
  </div>
</template>

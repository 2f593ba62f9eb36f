<script setup lang="ts">
import { homeOf } from '~/stores/session'
import { PROBLEMS, type ProblemCode } from '#words/problems'

definePageMeta({ layout: 'plain' })
const session = useSession()
/** Why the college's sign-in led back here. */
const route = useRoute()
const refusal = computed(() => {
  const code = String(route.query.college ?? '')
  return code in PROBLEMS ? PROBLEMS[code as ProblemCode].sentence : ''
})

watch(
  () => session.person,
  (person) => person && navigateTo(person.mustChange ? '/password' : homeOf(person.role)),
)
</script>

<template>
  <div class="stack">
    <h1>Sign in</h1>
    <p class="soft">With your college number. Lost your password? The administrator gives you a new one.</p>
    <p v-if="refusal" class="caution" role="alert">{{ refusal }}</p>
    <SignInForm />
    <a v-if="session.isCollegeOffered" href="/college" class="college">Sign in through the college</a>
  </div>
</template>

<style scoped>
.college {
  display: grid;
  place-content: center;
  min-height: var(--touch);
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  color: var(--indigo-text);
  font-weight: var(--heavy);
  text-decoration: none;
}
</style>

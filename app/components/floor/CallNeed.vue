<script setup lang="ts">
import type { NeedView } from '#schemas/floor'
import { needText } from '#words/floor/needs'

/** Somebody asked over: a tap opens it, a second says that you were there, or what is missing. */
const { need, needs } = defineProps<{ need: NeedView; now: string; needs: ReturnType<typeof useNeeds> }>()
const { isBusy, answer } = needs
const isOpen = ref(false)
const isMissing = ref(false)
const note = ref('')
const page = computed(() => {
  const { kind, attemptId, personId, bay } = need
  if (kind === 'inspection' || kind === 'terminations')
    return { to: `/inspect/${attemptId}`, name: 'Inspection' }
  if (kind === 'signature') return { to: `/papers/${attemptId}`, name: 'Record' }
  if (kind === 'isolation')
    return { to: `/isolation?apprentice=${personId}&bay=${bay}&call=${need.id}`, name: 'Observe' }
  return { to: `/schedules/${attemptId}`, name: 'Their schedule' }
})
async function say(given: 'seen' | 'notYet') {
  await answer(need.id, given, note.value)
  isOpen.value = isMissing.value = false
}
</script>

<template>
  <div class="call" :class="need.kind" :data-testid="`call-${need.kind}`">
    <button type="button" class="line" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      <span
        ><b>{{ needText(need.kind) }}</b
        ><span class="who">{{ need.name }}</span></span
      >
      <span class="tag waiting">{{ minutesBetween(need.at, now) }}</span>
    </button>
    <div v-if="isOpen" class="stack acts">
      <div class="row">
        <el-button v-if="need.kind !== 'isolation'" type="primary" :loading="isBusy" @click="say('seen')">{{
          need.kind === 'help' ? 'I was there' : 'Seen, go on'
        }}</el-button>
        <NuxtLink v-else :to="page.to" class="el-button el-button--primary">Observe it now</NuxtLink>
        <el-button :aria-expanded="isMissing" @click="isMissing = !isMissing">Not yet…</el-button>
        <NuxtLink v-if="need.kind !== 'isolation'" :to="page.to">{{ page.name }}</NuxtLink>
      </div>
      <form v-if="isMissing" class="row" @submit.prevent="say('notYet')">
        <el-input
          v-model="note"
          class="note"
          maxlength="300"
          name="missing"
          aria-label="What is missing"
          placeholder="What is missing; they read this"
        />
        <el-button native-type="submit" :disabled="!note.trim()" :loading="isBusy">Send</el-button>
      </form>
    </div>
  </div>
</template>

<style scoped>
.call {
  background: var(--raised);
  border: 1px solid var(--hem-strong);
  border-left: 5px solid var(--turmeric);
  border-radius: var(--ease);
}
.help {
  border-left-color: var(--madder);
}
.line {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  width: 100%;
  min-height: 52px;
  padding: 6px 10px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
  line-height: 1.25;
}
.line:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -3px;
}
.who {
  display: block;
  font-size: 14.5px;
  color: var(--soft);
}
.acts {
  padding: 0 10px 10px;
}
.acts :deep(.el-button) {
  min-height: 48px;
  font-size: 15.5px;
}
.note {
  flex: 1;
}
</style>

<script setup lang="ts">
import { MORE_PLACES, PLACES, type Place } from '~/texts/places'
import type { MarkingListItem } from '#schemas/marking-views'
import { GLOSSARY } from '#words/glossary/index'

/** What can be gone to, by typing: pages, terms, and for staff the sheets that can be marked. */
const isOpen = defineModel<boolean>({ required: true })
const session = useSession()
const { call } = useApi()
const text = ref('')
const at = ref(0)
const sheets = shallowRef<readonly Place[]>([])
const box = ref<{ focus: () => void }>()

const all = computed(() =>
  [...PLACES, ...MORE_PLACES, ...sheets.value].filter(
    (place) => session.person && place.roles.includes(session.person.role),
  ),
)
const shown = computed(() => {
  const words = text.value.trim().toLowerCase().split(/\s+/)
  const fits = (name: string) => words.every((word) => name.toLowerCase().includes(word))
  // Terms of the trade stand behind the pages, once enough has been typed.
  const terms: Place[] =
    text.value.trim().length < 2
      ? []
      : GLOSSARY.filter(({ term, short }) => fits(`${term} ${short}`)).map(({ term, short, says }) => ({
          to: `/glossary?term=${encodeURIComponent(term)}`,
          name: `${term}${short ? ` (${short})` : ''}: ${says}`,
          roles: [],
        }))
  return [...all.value.filter(({ name }) => fits(name)), ...terms].slice(0, 9)
})
watch(text, () => (at.value = 0))

let loading: Promise<void> | undefined
function begin() {
  text.value = ''
  setTimeout(() => box.value?.focus(), 120)
  if (!['instructor', 'assessor'].includes(session.person?.role ?? '')) return
  loading = loadSheets()
}
async function loadSheets() {
  const pile = await call<MarkingListItem[]>('GET', 'marking').catch(() => null)
  sheets.value = (pile ?? []).map(({ id, name, code }) => ({
    to: `/marking/${id}`,
    name: `Sheet: ${name}, ${code}`,
    roles: ['instructor', 'assessor'],
  }))
}
/** Somebody who types faster than the sheets arrive is waited for. */
async function go(chosen: Place | undefined) {
  if (!chosen) await loading
  const place = chosen ?? shown.value[at.value]
  if (!place) return
  isOpen.value = false
  await navigateTo(place.to)
}
const move = (by: number) => (at.value = Math.min(shown.value.length - 1, Math.max(0, at.value + by)))

watch(isOpen, (isNow) => isNow && begin(), { immediate: true })
</script>

<template>
  <el-dialog v-model="isOpen" title="Go to" width="520px">
    <el-input
      ref="box"
      v-model="text"
      size="large"
      placeholder="Page, apprentice or term"
      aria-label="Go to"
      name="go-to"
      @keydown.down.prevent="move(1)"
      @keydown.up.prevent="move(-1)"
      @keydown.enter.prevent="go(shown[at])"
    />
    <ul role="listbox" aria-label="Places">
      <li
        v-for="(place, i) in shown"
        :key="place.to"
        role="option"
        :aria-selected="i === at"
        :class="{ on: i === at }"
        @click="go(place)"
      >
        {{ place.name }}
      </li>
    </ul>
    <p v-if="shown.length === 0" class="soft">Nothing by that name. Try a page or part of a person’s name.</p>
  </el-dialog>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 10px 0 0;
  padding: 0;
}
li {
  padding: 8px 12px;
  cursor: pointer;
  border-left: 4px solid transparent;
}
li.on,
li:hover {
  background: var(--indigo-wash);
  border-left-color: var(--indigo);
}
</style>

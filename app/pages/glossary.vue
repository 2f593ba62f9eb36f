<script setup lang="ts">
import type { GlossaryView } from '#schemas/glossary-views'
import { GLOSSARY } from '#words/glossary/index'
import { PLACES, PLACE_SAYS, placesOf, whereItMatters, type Place } from '#words/glossary/where'

/** Terms of the trade in one plain sentence each, with the word of another language beside them. */
definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'technician', 'apprentice', 'verifier'] })
const { call } = useApi()
const mayChange = ['administrator', 'instructor'].includes(useSession().person!.role)
const language = useGlossaryLanguage()
const {
  data: view,
  problem,
  refresh,
} = useServer<GlossaryView>(() => `glossary?language=${encodeURIComponent(language.value)}`, { isKept: true })
const search = ref(String(useRoute().query.term ?? ''))
const place = ref<Place | ''>('')
const shown = computed(() => {
  const words = search.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return GLOSSARY.filter(({ key, term, short, says }) => {
    if (place.value !== '' && !placesOf(key).includes(place.value)) return false
    const text = `${key} ${term} ${short} ${says} ${view.value?.texts[key] ?? ''}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
})
const current = computed(() => view.value?.languages.find(({ code }) => code === language.value))

async function takeIn(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  input.value = ''
  if (!file) return
  try {
    const read = await call<{ languages: number; unknown: readonly string[] }>('POST', 'glossary/csv', {
      name: file.name,
      content: await file.text(),
    })
    const left = read.unknown.length ? ` Not known here: ${read.unknown.slice(0, 8).join(', ')}.` : ''
    ElMessage({ type: 'success', message: `${read.languages} languages taken in.${left}`, showClose: true })
    await refresh()
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <h1>Glossary</h1>
      <div class="row">
        <a class="el-button" href="/api/glossary/csv" download>CSV file</a>
        <label v-if="mayChange" class="el-button file"
          >Take in a file<input type="file" accept=".csv" data-testid="glossary-file" @change="takeIn"
        /></label>
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div class="row filters">
      <el-input
        v-model="search"
        size="large"
        placeholder="Term, abbreviation or symbol"
        aria-label="Search"
        clearable
        name="search"
      />
      <el-select v-model="language" size="large" aria-label="Language beside the term" data-testid="language">
        <el-option value="en" label="English alone" />
        <el-option
          v-for="entry in view?.languages ?? []"
          :key="entry.code"
          :value="entry.code"
          :label="entry.name"
        />
      </el-select>
      <el-select v-model="place" size="large" aria-label="Where it matters" data-testid="place">
        <el-option value="" label="Everywhere" />
        <el-option v-for="at in PLACES" :key="at" :value="at" :label="PLACE_SAYS[at]" />
      </el-select>
      <span class="soft">{{ shown.length }} terms</span>
    </div>
    <p v-if="current && !current.isChecked" class="stitched waiting note">
      {{ current.name }}: to be checked by a speaker.
    </p>
    <dl class="terms">
      <div v-for="{ key, term, short, says, not } in shown" :id="key" :key="key" class="entry">
        <dt>
          {{ term }} <span v-if="short && short !== term" class="mono short">{{ short }}</span>
          <span v-if="view?.texts[key]" class="other" :lang="language">{{ view.texts[key] }}</span>
        </dt>
        <dd>
          {{ says }} <span v-if="not" class="soft">Not the same as {{ not }}.</span>
          <p class="soft small">{{ whereItMatters(key) }}</p>
          <TermSketch :term="key" />
        </dd>
      </div>
    </dl>
    <p v-if="shown.length === 0" class="soft">
      No term has these letters. Try its abbreviation, or fewer of them.
    </p>
  </div>
</template>

<style scoped>
.filters .el-input {
  width: 360px;
}
.filters .el-select {
  width: 220px;
}
.terms {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(380px, 1fr));
  gap: 0 28px;
}
.entry {
  border-bottom: 1px solid var(--hem);
  padding: 9px 0;
}
dt {
  font-weight: var(--heavy);
  color: var(--indigo-text);
}
dd {
  margin: 2px 0 0;
}
.short {
  color: var(--ink);
  font-weight: var(--strong);
  margin-left: 6px;
}
.other {
  color: var(--soft);
  font-weight: var(--mid);
  margin-left: 8px;
}
.file {
  position: relative;
  overflow: hidden;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
@media (max-width: 480px) {
  .terms {
    grid-template-columns: 1fr;
  }
}
</style>

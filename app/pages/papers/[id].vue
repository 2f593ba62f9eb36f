<script setup lang="ts">
import type { RecordKind } from '#core/testing/records/record-shape'
import { dayText } from '#words/day'

/**
 * Records of a tested board: schedule of results, minor works record, installation record, labels. Signed
 * once they are complete.
 */
definePageMeta({ roles: ['apprentice', 'instructor', 'assessor', 'verifier'] })
const id = Number(useRoute().params.id)
const papers = useTestRecords(id)
const { view } = papers
const tab = ref<'results' | RecordKind | 'stickers'>('results')
const TABS = {
  results: 'Schedule of results',
  minor: 'Minor works record',
  installation: 'Installation record',
  stickers: 'Labels',
} as const
const kind = computed<RecordKind | null>(() =>
  tab.value === 'minor' || tab.value === 'installation' ? tab.value : null,
)
const paper = computed(() => (kind.value ? view.value!.papers[kind.value].paper : null))
const signed = computed(() => (view.value?.signed ?? []).filter((signature) => signature.kind === kind.value))
const opened = ref<number | null>(null)
const shown = computed(() => signed.value.find((candidate) => candidate.id === opened.value) ?? null)
const open = computed(() => [
  ...(paper.value?.missing ?? []),
  ...(paper.value?.failing ?? []).map((name) => `${name}: fails`),
])
watch(kind, (to) => {
  opened.value = null
  if (to) void papers.open(to)
})
const name = ref('')
const pin = ref('')
async function sign() {
  if (kind.value && (await papers.sign(kind.value, name.value, pin.value))) {
    pin.value = ''
    opened.value = signed.value[0]?.id ?? null
  }
}
const print = () => window.print()
const next = computed(() => dayText(papers.field('nextInspection')) || '____________')
onMounted(papers.load)
</script>

<template>
  <div v-if="papers.problem.value" class="page">
    <PageProblem :problem="papers.problem.value" @retry="papers.load" />
  </div>
  <div v-else-if="!view" class="page stack">
    <div v-for="i in 6" :key="i" class="skeleton" style="height: 44px" />
  </div>
  <div v-else class="page stack">
    <div class="row spread screen-only">
      <div>
        <h1>Records: {{ view.attempt.code }}, bay {{ view.attempt.bay }}</h1>
        <p class="soft">{{ view.attempt.name }} · {{ view.attempt.title }}</p>
      </div>
      <el-button @click="print">Print on A4</el-button>
    </div>
    <div class="tabs screen-only" role="tablist" aria-label="Records">
      <button
        v-for="(words, key) in TABS"
        :key="key"
        type="button"
        role="tab"
        :aria-selected="tab === key"
        :class="{ on: tab === key }"
        @click="tab = key"
      >
        {{ words }}
      </button>
    </div>
    <div class="columns" :class="{ single: !kind }">
      <article class="sheet record">
        <header class="paper-head">
          <div>
            <p class="soft">{{ view.attempt.code }} · bay {{ view.attempt.bay }} · {{ view.attempt.name }}</p>
            <h2>{{ TABS[tab] }}</h2>
          </div>
          <p class="training">Training record</p>
        </header>
        <ResultsTable v-if="tab === 'results'" :view="view" :readings="view.readings" />
        <RecordLabels v-else-if="tab === 'stickers'" :view="view" :next="next" />
        <template v-else-if="shown">
          <RecordForm :paper="shown.content.paper" :circuits="view.circuits" locked />
          <ResultsTable
            :view="view"
            :readings="shown.content.readings"
            :only="shown.content.paper.circuits"
          />
          <p class="signature">
            Signed by <b>{{ shown.signedBy }}</b>, {{ dayTime(shown.signedAt) }}<br /><span class="mono small"
              >content {{ shown.hash }}</span
            >
          </p>
        </template>
        <template v-else-if="paper">
          <RecordForm :paper="paper" :circuits="view.circuits" :field="papers.field" @write="papers.write" />
          <ResultsTable :view="view" :readings="view.readings" :only="paper.circuits" />
        </template>
        <PrintFoot />
        <SealFoot />
      </article>
      <aside v-if="kind" class="screen-only" aria-label="Signature">
        <SaveWords :autosave="papers.autosave.value" />
        <template v-if="open.length">
          <h2>Before it can be signed</h2>
          <ul class="missing" data-testid="missing">
            <li v-for="item in open" :key="item">{{ item }}</li>
          </ul>
        </template>
        <form v-else class="stitched stack" @submit.prevent="sign">
          <h2>Sign</h2>
          <p class="small soft">What is signed stays as it is. A correction is a new version beside it.</p>
          <label class="field"
            ><span>Your name</span><el-input v-model="name" name="signature" autocomplete="off"
          /></label>
          <label class="field"
            ><span>Your PIN</span
            ><el-input v-model="pin" name="pin" type="password" inputmode="numeric" autocomplete="off"
          /></label>
          <el-button type="primary" native-type="submit" :disabled="!name.trim() || pin.length < 4"
            >Sign this record</el-button
          >
        </form>
        <template v-if="signed.length">
          <h2>Signed</h2>
          <button
            v-for="signature in signed"
            :key="signature.id"
            type="button"
            class="version"
            :class="{ on: opened === signature.id }"
            @click="opened = opened === signature.id ? null : signature.id"
          >
            <b>{{ signature.signedBy }}</b><span>{{ dayTime(signature.signedAt) }}</span
            ><span class="mono small">{{ signature.hash.slice(0, 16) }}…</span>
          </button>
        </template>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  gap: 4px;
  border-bottom: 1px solid var(--hem);
  flex-wrap: wrap;
}
.tabs button {
  all: unset;
  cursor: pointer;
  padding: 10px 14px;
  font-weight: var(--strong);
  border-bottom: 3px solid transparent;
}
.tabs button.on {
  border-bottom-color: var(--indigo);
  color: var(--indigo-text);
}
.tabs button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 24px;
  align-items: start;
}
.columns.single {
  grid-template-columns: minmax(0, 1fr);
}
.record {
  padding: 18px 22px;
  background: var(--panel);
  border: 1px solid var(--hem);
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.paper-head {
  display: flex;
  justify-content: space-between;
  align-items: flex-start;
}
.training {
  border: 2px solid var(--madder);
  color: var(--madder-text);
  font-weight: var(--heavy);
  padding: 2px 10px;
}
aside {
  display: flex;
  flex-direction: column;
  gap: 10px;
  position: sticky;
  top: 12px;
}
aside h2 {
  font-size: 18px;
}
.missing {
  margin: 0;
  padding-left: 18px;
}
.missing li {
  line-height: 1.4;
}
.field {
  display: grid;
  gap: 3px;
}
.version {
  all: unset;
  cursor: pointer;
  display: grid;
  padding: 8px 12px;
  border: 1px solid var(--hem);
  border-left: 5px solid var(--leaf);
}
.version.on {
  background: var(--indigo-wash);
}
.version:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.signature {
  border-top: 1.5px solid var(--ink);
  padding-top: 8px;
  overflow-wrap: anywhere;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr;
  }
  aside {
    position: static;
  }
}
@media print {
  .columns {
    display: block;
  }
  .record {
    border: 0;
    padding: 0;
  }
}
</style>

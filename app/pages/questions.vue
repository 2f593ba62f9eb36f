<script setup lang="ts">
import type { Question } from '#core/questions/question'
import { TOPICS, type Topic } from '#core/questions/topics'
import type { BankItem, BankView, ImportReport } from '#schemas/question-views'
import { KIND_NAME, TOPIC_NAME } from '#words/questions/labels'

/** The bank: look, change, take in and out; which questions fail in a group; how prompted answers count. */
definePageMeta({ roles: ['instructor', 'assessor', 'verifier'] })
const { call } = useApi()
const mayChange = useSession().person!.role !== 'verifier'
const { data: bank, problem, refresh } = useServer<BankView>(() => 'questions')
const tab = ref('bank')
const search = ref('')
const topic = ref<Topic | 'all' | 'myths' | 'own'>('all')
const editing = ref<{ readonly question: Question | null; readonly version: number | null } | null>(null)
const report = ref<ImportReport | null>(null)

const shown = computed(() => {
  const words = search.value.trim().toLowerCase().split(/\s+/).filter(Boolean)
  return (bank.value?.items ?? []).filter(({ question, version }) => {
    if (topic.value === 'myths' && !question.isMyth) return false
    if (topic.value === 'own' && version === null) return false
    if (TOPICS.includes(topic.value as Topic) && question.topic !== topic.value) return false
    const text = `${question.code} ${question.text}`.toLowerCase()
    return words.every((word) => text.includes(word))
  })
})

function whoseOf({ question, version, isRetired }: BankItem): string {
  if (isRetired) return 'not asked'
  if (question.isKept) return 'for assessment'
  return version === null ? '' : 'of this centre'
}
const rows = computed(() =>
  shown.value.map((item) => ({
    id: item.question.code,
    item,
    text: item.question.text,
    topic: TOPIC_NAME[item.question.topic],
    kind: KIND_NAME[item.question.expected.kind],
    whose: whoseOf(item),
  })),
)

async function takeIn(file: File) {
  try {
    report.value = await call<ImportReport>('POST', 'questions/import', {
      name: file.name,
      content: await inBase64(file),
    })
    await refresh()
  } catch (error) {
    showProblem(error)
  }
}
function inBase64(file: File): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(String(reader.result).split(',')[1] ?? '')
    reader.onerror = () => reject(reader.error)
    reader.readAsDataURL(file)
  })
}
function pick(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  if (file) void takeIn(file)
  input.value = ''
}
const edit = ({ question, version }: BankItem) => (editing.value = { question, version })
async function saved() {
  editing.value = null
  await refresh()
}
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <h1>Question bank</h1>
      <div v-if="mayChange" class="row">
        <NuxtLink to="/ask" class="el-button">Ask at the bays</NuxtLink>
        <a class="el-button" href="/api/questions/export?as=json" download>JSON file</a>
        <a class="el-button" href="/api/questions/export?as=qti" download>QTI 3 package</a>
        <label class="el-button file"
          >Take in a file<input type="file" accept=".json,.zip" data-testid="question-file" @change="pick"
        /></label>
        <el-button type="primary" @click="editing = { question: null, version: null }"
          >New question</el-button
        >
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-if="report" class="stitched" role="status" data-testid="import-report">
      <b>{{ report.added }} new, {{ report.replaced }} replaced, {{ report.left.length }} left.</b>
      <ul v-if="report.left.length">
        <li v-for="line in report.left.slice(0, 30)" :key="line">{{ line }}</li>
      </ul>
    </div>
    <el-tabs v-model="tab">
      <el-tab-pane label="Questions" name="bank">
        <div class="row filters">
          <el-input v-model="search" placeholder="Search" aria-label="Search" clearable name="search" />
          <el-select v-model="topic" aria-label="Topic" data-testid="topic">
            <el-option value="all" label="All topics" />
            <el-option value="myths" label="Myths" />
            <el-option value="own" label="Of this centre" />
            <el-option v-for="key in TOPICS" :key="key" :value="key" :label="TOPIC_NAME[key]" />
          </el-select>
          <span class="soft">{{ shown.length }} of {{ bank?.items.length ?? 0 }}</span>
        </div>
        <el-table-v2
          v-if="bank"
          :columns="[
            { key: 'text', dataKey: 'text', title: 'Question', width: 620, flexGrow: 1 },
            { key: 'topic', dataKey: 'topic', title: 'Topic', width: 210 },
            { key: 'kind', dataKey: 'kind', title: 'Kind', width: 180 },
            { key: 'whose', dataKey: 'whose', title: '', width: 150 },
          ]"
          :data="rows"
          :width="1230"
          :height="470"
          :row-event-handlers="{
            onClick: ({ rowData }: { rowData: { item: BankItem } }) => mayChange && edit(rowData.item),
          }"
        />
      </el-tab-pane>
      <el-tab-pane label="How a group does" name="group" lazy><QuestionStatistics /></el-tab-pane>
      <el-tab-pane v-if="mayChange" label="Rules" name="rules" lazy
        ><QuestionRules v-if="bank" :bank="bank" @changed="refresh"
      /></el-tab-pane>
    </el-tabs>
    <QuestionEditor
      v-if="editing"
      :question="editing.question"
      :version="editing.version"
      :criteria="bank?.criteria ?? []"
      @close="editing = null"
      @saved="saved"
    />
  </div>
</template>

<style scoped>
.filters {
  margin-bottom: 10px;
}
.filters .el-input,
.filters .el-select {
  width: 260px;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
.file {
  position: relative;
  overflow: hidden;
}
</style>

<script setup lang="ts">
import { STEP_KEYS, type StepKey } from '#core/design/step'
import { readAnswer } from '#core/marking/answer'
import { isDead } from '#core/results/readings'
import { itemName } from '#core/texts/findings'
import type { EvidenceKey } from '#core/outcomes/framework'
import { workStages } from '~/texts/work-stages'

definePageMeta({ layout: 'bay', roles: ['apprentice'] })
const sheet = useWorksheet(Number(useRoute().params.id))
const { view, autosave } = sheet
const picked = ref<string | null>(null)

const answered = computed(() => STEP_KEYS.filter((key) => readAnswer(key, sheet.answer(key)).ok).length)
const stages = computed(() => (view.value ? workStages(view.value, answered.value) : []))
const current = computed(() => picked.value ?? stages.value.find((stage) => stage.state === 'now')?.key ?? 'decision')
const deadKeys = computed(() => view.value?.readingKeys.filter(isDead) ?? [])
const liveKeys = computed(() => view.value?.readingKeys.filter((key) => !isDead(key)) ?? [])

// A new stage shows itself, wherever somebody was looking.
watch(() => view.value?.stage, () => (picked.value = null))

async function act(what: 'hand-in-design' | 'ask-permission' | 'hand-in') {
  if (await sheet.act(what)) return
  await nextTick()
  document.querySelector('.answer.bad, .reading.bad')?.scrollIntoView({ block: 'center', behavior: 'smooth' })
}

onMounted(sheet.load)
</script>

<template>
  <div v-if="sheet.problem.value" class="page"><ServerProblem :problem="sheet.problem.value" @retry="sheet.load" /></div>
  <div v-else-if="!view" class="page stack"><div v-for="i in 5" :key="i" class="skeleton" style="height: 56px" /></div>
  <template v-else>
    <StageThread :stages="stages" :current="current" @pick="picked = $event" />
    <div class="work">
      <aside class="given" tabindex="0" aria-label="Given">
        <p class="bay-number">Bay {{ view.bay }}</p>
        <h1>{{ view.exercise.title }}</h1>
        <details :open="current === 'task'"><summary>The task</summary><p>{{ view.exercise.scenario }}</p></details>
        <TaskFacts :task="view.task" />
        <p class="soft small">Your own figures. BS 7671, 18th edition with Amendment 2.</p>
      </aside>
      <section class="sheet" tabindex="0" aria-label="Worksheet">
        <template v-if="current === 'task' || current === 'design'">
          <DesignSheet
            :answer="sheet.answer" :locked="view.stage !== 'design'" :missing="sheet.missing.value"
            @write="(key: StepKey, text: string) => sheet.write('design', key, text)"
          />
          <StageBar>
            <span><b>{{ answered }}</b> of {{ STEP_KEYS.length }} steps answered</span>
            <SaveWords :state="autosave.state.value" :saved-at="autosave.savedAt.value" :message="autosave.message.value" />
            <el-button v-if="view.stage === 'design'" type="primary" :loading="sheet.isBusy.value" @click="act('hand-in-design')">Hand in design</el-button>
            <el-button v-else @click="picked = null">Go on</el-button>
          </StageBar>
        </template>
        <template v-else-if="current === 'dead'">
          <p v-if="view.stage === 'design'" class="stitched waiting">Hand in your design first. Then the boxes for the dead tests open.</p>
          <template v-else>
            <PermissionNote :events="view.events" :stage="view.stage" />
            <p class="caution">Dead tests: the circuit is isolated, locked and proved dead. If anything shows voltage, stop and call your assessor.</p>
            <ReadingRow
              v-for="key in deadKeys" :key="key" :reading="key" :model-value="sheet.reading(key)" :locked="view.stage !== 'dead'" :missing="sheet.missing.value.includes(key)"
              @update:model-value="sheet.write('reading', key, $event)"
            />
            <StageBar>
              <SaveWords :state="autosave.state.value" :saved-at="autosave.savedAt.value" :message="autosave.message.value" />
              <el-button v-if="view.stage === 'dead'" type="primary" :loading="sheet.isBusy.value" @click="act('ask-permission')">Ask for permission to energise</el-button>
              <el-button v-else @click="picked = null">Go on</el-button>
            </StageBar>
          </template>
        </template>
        <PermissionPanel v-else-if="current === 'permission'" :events="view.events" :stage="view.stage" />
        <template v-else-if="current === 'live'">
          <PermissionNote :events="view.events" :stage="view.stage" />
          <p class="caution">Live tests are supervised work. Follow the rules of your centre and the current regulations; covers on, people informed, the right leads.</p>
          <p v-if="view.ratedResidualMA" class="soft">The bay has a residual device of {{ view.ratedResidualMA }} mA.</p>
          <ReadingRow
            v-for="key in liveKeys" :key="key" :reading="key" :model-value="sheet.reading(key)" :locked="view.stage !== 'live'" :missing="sheet.missing.value.includes(key)"
            @update:model-value="sheet.write('reading', key, $event)"
          />
          <StageBar>
            <SaveWords :state="autosave.state.value" :saved-at="autosave.savedAt.value" :message="autosave.message.value" />
            <el-button v-if="view.stage === 'live'" type="primary" :loading="sheet.isBusy.value" @click="act('hand-in')">Hand in readings</el-button>
          </StageBar>
        </template>
        <ReleasedResult v-else :view="view" />
      </section>
    </div>
    <ConflictChooser
      :conflicts="autosave.conflicts.value" :name-of="(field) => itemName(field as EvidenceKey)" title="Another device changed the same box" @choose="autosave.choose"
    />
  </template>
</template>

<style scoped>
.work { display: grid; grid-template-columns: 352px 1fr; flex: 1; min-height: 0; }
.given { padding: 18px 22px; border-right: 1px solid var(--hem); overflow: auto; display: flex; flex-direction: column; gap: 10px; }
.bay-number { font-weight: 640; color: var(--soft); }
.sheet { background: var(--panel); padding: 16px 24px 0; overflow: auto; display: flex; flex-direction: column; gap: 12px; }
summary { cursor: pointer; font-weight: 620; color: var(--indigo-text); min-height: 32px; }
details p { line-height: 1.4; }
@media (max-width: 900px) { .work { grid-template-columns: 1fr; } .given { border-right: 0; border-bottom: 1px solid var(--hem); overflow: visible; } .sheet { overflow: visible; } }
</style>

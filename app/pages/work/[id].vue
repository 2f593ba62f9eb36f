<script setup lang="ts">
import { scopeOf, type NodeKey } from '#core/design/model/step-keys'
import { hasPlace } from '#core/exercise/attempt/stages'
import type { ItemKey } from '#core/assessment/outcomes/evidence-key'
import { itemName } from '#words/findings/findings'
import { workStages } from '~/texts/work-stages'

definePageMeta({ layout: 'bay', roles: ['apprentice'] })
const sheet = useWorksheet(Number(useRoute().params.id))
const { view, autosave } = sheet
const picked = ref<string | null>(null)
const tool = ref<'laws' | 'library' | 'diagram' | null>(null)
const wasTool = ref(false)
watch(tool, () => (wasTool.value = true))

const nodes = computed(() => view.value?.asked ?? [])
const {
  scopes,
  names,
  scope,
  next: nextScope,
  chosen: chosenScope,
  circuit,
  board,
  answered,
  ownValue,
} = useSheetScopes({
  nodes: () => nodes.value,
  installation: () => view.value?.sheet.installation,
  answer: sheet.answer,
  followedAnswer: sheet.followedAnswer,
  missing: () => sheet.missing.value,
})

const stages = computed(() => (view.value ? workStages(view.value, answered.value, nodes.value.length) : []))
const current = computed(
  () => picked.value ?? stages.value.find((stage) => stage.state === 'now')?.key ?? 'decision',
)
const isLibraryOpen = computed(
  () => view.value?.sheet.policy.library === 'open' || view.value?.stage !== 'design',
)
/** A schedule needs the width; the task is one tap away on the thread. */
const isMeasuring = computed(
  () =>
    view.value?.board != null &&
    (current.value === 'dead' || current.value === 'live') &&
    view.value.stage !== 'design',
)
const isDesignOnly = computed(() => view.value?.exercise.tests === null)

// A new stage shows itself, wherever somebody was looking.
watch(
  () => view.value?.stage,
  () => (picked.value = null),
)

async function act(what: 'hand-in-design' | 'ask-permission' | 'hand-in') {
  if (await sheet.act(what)) return
  const open = sheet.missing.value[0]
  if (open?.includes('.')) chosenScope.value = scopeOf(open)
  await nextTick()
  document.querySelector('.answer.bad, .reading.bad')?.scrollIntoView({ block: 'center', behavior: 'smooth' })
}

onMounted(sheet.load)
</script>

<template>
  <div v-if="sheet.problem.value" class="page">
    <PageProblem :problem="sheet.problem.value" @retry="sheet.load" />
  </div>
  <div v-else-if="!view" class="page stack">
    <div v-for="i in 5" :key="i" class="skeleton" style="height: 56px" />
  </div>
  <template v-else>
    <StageThread :stages="stages" :current="current" @pick="picked = $event" />
    <div class="work" :class="{ wide: isMeasuring }">
      <TaskGiven v-if="!isMeasuring" :view="view" :scopes="scopes.length" :circuit="circuit" :board="board" />
      <section class="sheet" tabindex="0" aria-label="Worksheet">
        <details v-if="isMeasuring" class="task-line">
          <summary>The task: {{ view.exercise.title }}</summary>
          <p><TermText :text="view.exercise.scenario" /></p>
        </details>
        <CallOver v-if="hasPlace(view.stage)" :id="view.id" />
        <template v-if="current === 'task' || current === 'design'">
          <DesignTools
            :scopes="scopes"
            :current="scope?.id ?? ''"
            :is-library-open="isLibraryOpen"
            @pick="chosenScope = $event"
            @open="tool = $event"
          />
          <DesignSheet
            v-if="scope"
            :key="scope.id"
            :nodes="scope.nodes"
            :circuit="circuit"
            :answer="sheet.answer"
            :locked="view.stage !== 'design'"
            :missing="sheet.missing.value"
            @write="(node: NodeKey, text: string) => sheet.write('design', node, text)"
          />
          <StageBar>
            <span
              ><b>{{ answered }}</b> of {{ nodes.length }} steps answered</span
            >
            <SaveWords :autosave="autosave" />
            <el-button v-if="nextScope && view.stage === 'design'" @click="chosenScope = nextScope.id"
              >Next: {{ nextScope.name }}</el-button
            >
            <el-button
              v-if="view.stage === 'design'"
              type="primary"
              :loading="sheet.isBusy.value"
              @click="act('hand-in-design')"
              >Hand in design</el-button
            >
            <el-button v-else @click="picked = null">Go on</el-button>
          </StageBar>
        </template>
        <template v-else-if="current === 'dead'">
          <p v-if="view.stage === 'design'" class="stitched waiting">
            Hand in your design first. Then the boxes for the dead tests open.
          </p>
          <template v-else>
            <PermissionNote :events="view.events" :stage="view.stage" />
            <div class="row spread">
              <p class="caution">
                Dead tests: the circuit is isolated, locked and proved dead. If anything shows voltage, stop
                and call your assessor.
              </p>
              <NuxtLink :to="`/inspect/${view.id}`">Inspect the work first</NuxtLink>
            </div>
            <LazyStageReadings
              :view="view"
              stage="dead"
              :read="sheet.reading"
              :missing="sheet.missing.value"
              @write="(key: string, text: string) => sheet.write('reading', key, text)"
            />
            <StageBar>
              <SaveWords :autosave="autosave" />
              <el-button
                v-if="view.stage === 'dead'"
                type="primary"
                :loading="sheet.isBusy.value"
                @click="act('ask-permission')"
                >Ask for permission to energise</el-button
              >
              <el-button v-else @click="picked = null">Go on</el-button>
            </StageBar>
          </template>
        </template>
        <LazyPermissionPanel v-else-if="current === 'permission'" :events="view.events" :stage="view.stage" />
        <template v-else-if="current === 'live'">
          <PermissionNote :events="view.events" :stage="view.stage" />
          <p class="caution">
            Live tests are supervised work. Follow the rules of your centre and the current regulations;
            covers on, people informed, the right leads.
          </p>
          <p v-if="view.rcdMA" class="soft">The bay has an RCD of {{ view.rcdMA }} mA.</p>
          <LazyStageReadings
            :view="view"
            stage="live"
            :read="sheet.reading"
            :missing="sheet.missing.value"
            @write="(key: string, text: string) => sheet.write('reading', key, text)"
          />
          <StageBar>
            <SaveWords :autosave="autosave" />
            <el-button
              v-if="view.stage === 'live'"
              type="primary"
              :loading="sheet.isBusy.value"
              @click="act('hand-in')"
              >Hand in readings</el-button
            >
          </StageBar>
        </template>
        <p v-if="current === 'decision' && (view.board || view.readingKeys.length > 0)" class="row">
          <NuxtLink :to="`/papers/${view.id}`"
            >Records: schedule of results, minor works, installation, labels</NuxtLink
          >
        </p>
        <LazyReleasedResult
          v-if="current === 'decision'"
          :view="view"
          :scopes="names"
          :is-design-only="isDesignOnly"
        />
      </section>
    </div>
    <LazyWorkTools
      v-if="wasTool"
      v-model="tool"
      :view="view"
      :figure-of="ownValue"
      :selected="scope?.id"
      @pick="chosenScope = $event"
    />
    <LazyConflictChooser
      v-if="autosave.conflicts.value.length > 0"
      :conflicts="autosave.conflicts.value"
      :name-of="(field) => itemName(field as ItemKey, names)"
      title="Another device changed the same box"
      @choose="autosave.choose"
    />
  </template>
</template>

<style scoped>
.work {
  display: grid;
  grid-template-columns: 352px minmax(0, 1fr);
  flex: 1;
  min-height: 0;
}
.task-line summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 40px;
  display: list-item;
}
.work.wide {
  grid-template-columns: minmax(0, 1fr);
}
.sheet {
  background: var(--panel);
  padding: 12px 24px 0;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
@media (max-width: 900px) {
  .work {
    grid-template-columns: 1fr;
  }
  .sheet {
    overflow: visible;
  }
}
</style>

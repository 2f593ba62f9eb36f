<script setup lang="ts">
import { findingSentence, itemName } from '#words/findings/findings'
import type { StepKey } from '#core/design/model/step-keys'
import type { MarkingView } from '#schemas/marking-views'

const props = defineProps<{
  view: MarkingView
  feedback: string
  feedbackState: ReturnType<typeof useFeedbackBox>['state']['value']
  isBusy: boolean
  step: StepKey | undefined
}>()
const emit = defineEmits<{
  feedback: [text: string]
  reset: []
  decide: []
  release: []
  next: []
  comment: [text: string]
}>()

const stage = computed(() => props.view.attempt.stage)
/** A verifier looks and changes nothing. */
const mayMark = useSession().person!.role !== 'verifier'
const isOpen = computed(() => mayMark && (stage.value === 'handedIn' || stage.value === 'decided'))
const shown = computed(() =>
  stage.value === 'released' ? props.view.decision!.evidence.proposal : props.view.proposal,
)
const verdictOf = (code: string) => shown.value.criteria.find((criterion) => criterion.code === code)
/** Criteria that this bay can show; the others are not judged. */
const judged = computed(() => props.view.criteria.filter((criterion) => verdictOf(criterion.code)))
const FEEDBACK_WORDS = {
  saved: 'saved',
  saving: 'saving…',
  editing: 'typing…',
  offline: 'not saved yet: kept on this device, sent again',
} as const
</script>

<template>
  <aside class="panel">
    <div class="row spread top">
      <h2>{{ stage === 'released' ? 'Decided' : 'Proposed' }}</h2>
      <span class="tag" :class="shown.met ? 'met' : 'stop'">{{ shown.met ? 'met' : 'not yet' }}</span>
    </div>
    <p class="score">
      <b data-testid="mark">{{ shown.mark }}</b> of {{ shown.outOf }}
    </p>
    <div v-for="{ item, finding } in shown.critical" :key="item" class="stitched stop">
      <b>Critical: {{ itemName(item, view.scopes) }}</b>
      <p>{{ findingSentence(finding) }} Whatever the marks, this outranks them.</p>
    </div>
    <ul class="criteria" aria-label="Criteria">
      <li
        v-for="criterion in judged"
        :key="criterion.code"
        :title="`${criterion.text} (${criterion.bs7671})`"
      >
        <b>{{ criterion.code }}</b>
        <span class="tag" :class="verdictOf(criterion.code)?.met ? 'met' : 'wrong'">{{
          verdictOf(criterion.code)?.met ? 'met' : 'not yet'
        }}</span>
      </li>
    </ul>
    <label class="feedback">
      <span class="row spread">
        <h2>Feedback, yours to edit</h2>
        <span class="small soft" data-testid="feedback-state">{{ FEEDBACK_WORDS[feedbackState] }}</span>
      </span>
      <el-input
        type="textarea"
        :model-value="feedback"
        :autosize="{ minRows: 7, maxRows: 16 }"
        :readonly="!isOpen"
        maxlength="8000"
        name="feedback"
        aria-label="Feedback"
        @update:model-value="emit('feedback', $event)"
      />
    </label>
    <el-button v-if="isOpen && view.draft.feedback !== null" text size="small" @click="emit('reset')"
      >Put the assembled text back</el-button
    >
    <details v-if="isOpen" class="bank">
      <summary>Sentences used before</summary>
      <CommentBank :comments="view.comments" :step="step" @take="emit('comment', $event)" />
    </details>
    <p v-if="view.decision" class="small soft" data-testid="decided-by">
      {{ view.decision.met ? 'Met' : 'Not yet' }}: {{ view.decision.by }}, {{ dayTime(view.decision.at) }}. In
      the record since then.
    </p>
    <div class="row acts">
      <el-button v-if="stage === 'handedIn'" type="primary" :loading="isBusy" @click="emit('decide')"
        >Decide as shown</el-button
      >
      <template v-else-if="stage === 'decided'">
        <el-button type="primary" :loading="isBusy" @click="emit('release')">Release</el-button>
        <el-button :loading="isBusy" @click="emit('decide')">Decide again</el-button>
      </template>
      <span v-else class="tag met">released to the apprentice</span>
      <el-button @click="emit('next')">Next</el-button>
    </div>
  </aside>
</template>

<style scoped>
.panel {
  background: var(--panel);
  border-left: 1px solid var(--hem);
  padding: 16px 20px;
  display: flex;
  flex-direction: column;
  gap: 12px;
  overflow: auto;
}
.top .tag {
  font-size: 14.5px;
}
.score {
  font-size: 16px;
  color: var(--soft);
}
.score b {
  font: var(--heavy) 40px/1 var(--mono);
  color: var(--ink);
  margin-right: 4px;
}
.stitched {
  font-size: 14.5px;
}
.stitched b {
  color: var(--madder-text);
}
.bank summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  font-size: 14.5px;
  min-height: 28px;
}
.criteria {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 4px 10px;
}
.criteria li {
  display: flex;
  gap: 8px;
  align-items: center;
}
.criteria b {
  font-family: var(--mono);
  font-size: 14px;
  min-width: 24px;
}
.feedback {
  display: flex;
  flex-direction: column;
  gap: 6px;
}
.acts {
  margin-top: auto;
  padding: 10px 0 14px;
  position: sticky;
  bottom: -16px;
  background: var(--panel);
  border-top: 1.5px dashed var(--hem-strong);
  z-index: 1;
}
.acts :deep(.el-button) {
  min-height: 44px;
}
</style>

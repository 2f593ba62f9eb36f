<script setup lang="ts">
import type { ScopeNames } from '#words/findings/findings'
import type { WorkView } from '#schemas/views'

const props = defineProps<{ view: WorkView; scopes: ScopeNames; isDesignOnly: boolean }>()
/** Circuits of a schedule are named too, whether they were designed or not. */
const names = computed<ScopeNames>(() => ({
  ...props.scopes,
  ...Object.fromEntries((props.view.board?.circuits ?? []).map(({ id, name }) => [id, name])),
}))
</script>

<template>
  <div v-if="!view.decision" class="stack wait">
    <h1>Handed in</h1>
    <p class="stitched">
      Your assessor marks it and gives it back here. You see every mark and every reason then.
    </p>
  </div>
  <div v-else class="stack result" data-testid="result">
    <div class="row spread">
      <div>
        <h1>{{ view.decision.met ? 'Met' : 'Not yet' }}</h1>
        <p class="soft">{{ view.decision.by }}, {{ dayTime(view.decision.at) }}</p>
      </div>
      <p class="score">
        <b>{{ view.decision.mark }}</b> of {{ view.decision.outOf }}
      </p>
    </div>
    <div class="stitched feedback" :class="view.decision.met ? 'met' : ''">
      <TermText :text="view.decision.feedback" />
    </div>
    <MarkedDesign
      mine
      :marks="view.decision.evidence.marked.design"
      :overrides="view.decision.evidence.overrides"
      :scopes="scopes"
    />
    <MarkedWork
      v-if="view.decision.evidence.marked.work.length"
      mine
      :marks="view.decision.evidence.marked.work"
      :overrides="view.decision.evidence.overrides"
    />
    <MarkedReadings
      v-if="!isDesignOnly"
      mine
      :marks="view.decision.evidence.marked.readings"
      :scopes="names"
      :overrides="view.decision.evidence.overrides"
    />
    <AppealForm :attempt-id="view.id" />
  </div>
</template>

<style scoped>
.wait {
  max-width: 600px;
}
.result {
  padding-bottom: 30px;
}
.score {
  font-size: 17px;
}
.score b {
  font: var(--heavy) 38px/1 var(--mono);
}
.feedback {
  white-space: pre-line;
  background: var(--raised);
}
</style>

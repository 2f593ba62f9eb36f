<script setup lang="ts">
import type { BoardDesign, CircuitDesign } from '#core/design/reference'
import { STEP_KINDS, stepWords } from '#core/design/model/step-kinds'
import type { Edition } from '#core/regulations/editions'
import { shortSource, sourceLine, type Source } from '#core/regulations/source'
import { STEP_TEXT } from '#words/steps'

/** Every step of one circuit or board: value, how it was worked, its limit and source. */
defineProps<{ design: CircuitDesign | BoardDesign; edition: Edition }>()

/** The table or first clause named, as the library finds it. */
const libraryQuestion = ({ place }: Source) => /Table (\w+)/.exec(place)?.[1] ?? place.split(/[\s,;]/)[0]!
</script>

<template>
  <table class="grid-table" data-testid="reference">
    <thead>
      <tr>
        <th>Step</th>
        <th class="num">Value</th>
        <th>How</th>
        <th>Limit</th>
        <th>Source</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="step in design.steps"
        :key="step.key"
        v-memo="[step.value, step.working, step.formula, step.check?.isKept, edition]"
        :data-step="step.key"
      >
        <td>
          <b>{{ STEP_TEXT[step.key].name }}</b> <span class="sym">{{ STEP_KINDS[step.key].symbol }}</span>
        </td>
        <td class="num value">{{ stepWords(step.key, step.value) }}</td>
        <td class="how">
          <div class="soft">{{ step.formula }}</div>
          <div class="mono">{{ step.working }}</div>
        </td>
        <td class="check">
          <span v-if="step.check" :class="step.check.isKept ? 'kept' : 'passed'"
            >{{ step.check.relation }} {{ stepWords(step.key, step.check.limit) }}
            {{ step.check.isKept ? '✓' : '✗' }}</span
          >
        </td>
        <td class="source">
          <a
            :href="`/library?edition=${edition}&ask=${encodeURIComponent(libraryQuestion(step.source))}`"
            target="_blank"
            :title="sourceLine(step.source, edition)"
            >{{ shortSource(step.source) }}</a
          >
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.grid-table td {
  padding: 4px 8px;
}
.value {
  font-size: 15.5px;
  font-weight: var(--heavy);
}
.how {
  white-space: pre-line;
  font-size: 13px;
  line-height: 1.3;
}
.check {
  font: var(--strong) 13px var(--mono);
  white-space: nowrap;
}
.kept {
  color: var(--leaf-text);
}
.passed {
  color: var(--madder-text);
}
.source a {
  color: var(--soft);
  text-decoration-style: dotted;
}
.source {
  font-size: 12.5px;
  color: var(--soft);
  line-height: 1.25;
  max-width: 220px;
}
</style>

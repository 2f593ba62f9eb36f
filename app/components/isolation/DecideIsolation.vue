<script setup lang="ts">
import type { IsolationVerdict } from '#core/isolation/judge'
import { PART_NAME, questionsFor } from '#words/isolation'
import { RULE_TEXT } from '#words/isolation-rules'
import type { ObservationDecisionBody } from '#schemas/isolation-requests'
import type { ObservationView } from '#schemas/isolation-views'

/** The proposal by part and criterion, questions worth asking now, the decision, both names. */
const props = defineProps<{ view: ObservationView; verdict: IsolationVerdict; isBusy: boolean }>()
const emit = defineEmits<{ decide: [body: Omit<ObservationDecisionBody, 'version'>]; back: [] }>()
const WEEK_MS = 7 * 86_400_000
const form = reactive({
  met: props.verdict.met,
  feedback: '',
  reason: '',
  signedName: '',
  pin: '',
  repeatOn: new Date(Date.now() + WEEK_MS).toISOString().slice(0, 10),
})
const isCritical = computed(() => props.verdict.critical.length > 0)
const isOtherwise = computed(() => form.met !== props.verdict.met)
const questions = computed(() => questionsFor(props.verdict.rules))
const verdictOf = (parts: readonly string[]) => {
  const shown = parts.map((part) => props.verdict.parts[part as keyof IsolationVerdict['parts']])
  if (shown.every((candidate) => candidate === 'not-shown')) return 'not shown'
  return !isCritical.value && shown.every((candidate) => candidate === 'met') ? 'met' : 'not yet'
}
const next = computed(() =>
  props.verdict.rules
    .filter(({ state }) => state === 'broken')
    .slice(0, 4)
    .map(({ code }) => RULE_TEXT[code]!.next),
)
onMounted(
  () =>
    (form.feedback = props.verdict.met
      ? 'Every step that counts was there, in a safe order.'
      : next.value.join(' ')),
)
</script>

<template>
  <div class="decide">
    <section class="stack">
      <div class="row spread">
        <h2>Proposed</h2>
        <span class="tag" :class="verdict.met ? 'met' : 'stop'">{{ verdict.met ? 'met' : 'not yet' }}</span>
      </div>
      <p v-if="isCritical" class="stitched stop">
        A critical breach outranks everything else. “Met” is not open; a repeat will be booked.
      </p>
      <table class="grid-table">
        <tbody>
          <tr v-for="criterion in view.criteria" :key="criterion.code">
            <td>
              <b class="mono">{{ criterion.code }}</b>
            </td>
            <td>
              {{ criterion.text
              }}<span class="soft small">
                ·
                {{
                  criterion.parts.map((part) => PART_NAME[part as keyof typeof PART_NAME]).join(', ')
                }}</span
              >
            </td>
            <td>
              <span
                class="tag"
                :class="
                  verdictOf(criterion.parts) === 'met'
                    ? 'met'
                    : verdictOf(criterion.parts) === 'not yet'
                      ? 'wrong'
                      : ''
                "
                >{{ verdictOf(criterion.parts) }}</span
              >
            </td>
          </tr>
        </tbody>
      </table>
      <RuleList :verdict="verdict" />
    </section>
    <form
      class="stack"
      @submit.prevent="
        emit('decide', {
          met: form.met,
          feedback: form.feedback,
          reason: form.reason,
          signedName: form.signedName,
          pin: form.pin,
          repeatOn: isCritical && !form.met ? form.repeatOn : null,
        })
      "
    >
      <div v-if="questions.length" class="stitched">
        <b>Worth asking now</b>
        <ul>
          <li v-for="question in questions" :key="question">{{ question }}</li>
        </ul>
      </div>
      <el-radio-group v-model="form.met" size="large" aria-label="Decision"
        ><el-radio-button :value="true" :disabled="isCritical">Met</el-radio-button
        ><el-radio-button :value="false">Not yet</el-radio-button></el-radio-group
      >
      <label v-if="isOtherwise" class="field"
        ><span>Why otherwise than proposed</span
        ><el-input v-model="form.reason" maxlength="600" name="reason"
      /></label>
      <label class="field"
        ><span>What to do next, in your words</span
        ><el-input
          v-model="form.feedback"
          type="textarea"
          :autosize="{ minRows: 3, maxRows: 8 }"
          maxlength="4000"
          name="feedback"
      /></label>
      <label v-if="isCritical && !form.met" class="field"
        ><span>Repeat on</span><DayPicker v-model="form.repeatOn" label="Repeat on" name="repeat-on"
      /></label>
      <p class="soft">
        Decided by <b>{{ view.assessor }}</b>. {{ view.apprentice }} signs that they were told:
      </p>
      <div class="row sign">
        <label class="field grow"
          ><span>Name, typed</span
          ><el-input
            v-model="form.signedName"
            name="signedName"
            autocomplete="off"
            :placeholder="view.apprentice" /></label
        ><label class="field"
          ><span>PIN</span
          ><el-input
            v-model="form.pin"
            name="pin"
            type="password"
            inputmode="numeric"
            maxlength="8"
            autocomplete="off"
            style="width: 120px"
        /></label>
      </div>
      <div class="row">
        <el-button
          type="primary"
          native-type="submit"
          :loading="isBusy"
          :disabled="
            !form.signedName.trim() || form.pin.length < 4 || (isOtherwise && form.reason.trim().length < 3)
          "
          >Decide</el-button
        ><el-button @click="emit('back')">Go on observing</el-button>
      </div>
    </form>
  </div>
</template>

<style scoped>
.decide {
  display: grid;
  grid-template-columns: 1fr 420px;
  gap: 28px;
  padding: 16px 22px;
  overflow: auto;
  flex: 1;
}
ul {
  margin: 6px 0 0;
  padding-left: 20px;
  line-height: 1.5;
}
.sign {
  flex-wrap: nowrap;
  align-items: flex-end;
}
.grow {
  flex: 1;
}
@media (max-width: 900px) {
  .decide {
    grid-template-columns: 1fr;
  }
}
</style>

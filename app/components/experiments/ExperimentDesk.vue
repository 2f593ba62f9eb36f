<script setup lang="ts">
import type { ExperimentHead, FilmsView, PredictionView } from '#schemas/bay-views'

/** One experiment: predicted first, then computed at the server, then compared with what was measured. */
const { trial } = defineProps<{ trial: ExperimentHead }>()
const code = trial.code
const { call } = useApi()
const { data: all, problem, refresh } = useServer<PredictionView[]>(() => 'predictions')
const settings = ref<Record<string, number>>(
  Object.fromEntries(trial.settings.map(({ key, usual }) => [key, usual])),
)
const predicted = ref('')
const { isBusy, act } = useAct()
const tries = computed(() => all.value?.filter((entry) => entry.experiment === code) ?? [])
const opened = ref<number | null>(null)
const shown = computed(() => tries.value.find(({ id }) => id === opened.value))
const {
  data: film,
  problem: filmProblem,
  refresh: askFilm,
} = useServer<FilmsView>(() => (opened.value === null ? null : `predictions/${opened.value}/film`))
const measured = ref('')
watch(shown, (entry) => (measured.value = entry?.measured ?? ''))

const tryIt = () =>
  act(async () => {
    const prediction = await call<PredictionView>('POST', 'predictions', {
      experiment: code,
      settings: settings.value,
      predicted: predicted.value,
    })
    all.value = [prediction, ...(all.value ?? [])]
    opened.value = prediction.id
    predicted.value = ''
  })
async function keepMeasured() {
  const entry = shown.value
  if (!entry) return
  try {
    await call('PUT', `predictions/${entry.id}`, { measured: measured.value })
    all.value = all.value!.map((other) =>
      other.id === entry.id ? { ...other, measured: measured.value } : other,
    )
    ElMessage({ type: 'success', message: 'Kept beside your prediction.', showClose: true })
  } catch (error) {
    showProblem(error)
  }
}
const settingWords = (entry: PredictionView) =>
  trial.settings
    .map(({ key, name, unit, choices }) => {
      const set = entry.settings[key]
      return `${name} ${choices?.find(({ value }) => value === set)?.name ?? `${set} ${unit}`}`
    })
    .join(' · ')
</script>

<template>
  <div class="page">
    <PracticeHead :title="trial.title" :about="trial.about" back="All experiments">
      <LinkButton :to="`/practice/bays/practice-${trial.bay}`">Try it freely in the bay</LinkButton>
    </PracticeHead>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div class="halves" :class="{ tried: shown }">
      <section class="stack before">
        <h2>Before you try it</h2>
        <label v-for="setting in trial.settings" :key="setting.key" class="setting">
          <span>{{ setting.name }}</span>
          <el-radio-group v-if="setting.choices" v-model="settings[setting.key]" :aria-label="setting.name"
            ><el-radio-button v-for="choice in setting.choices" :key="choice.value" :value="choice.value">{{
              choice.name
            }}</el-radio-button></el-radio-group
          >
          <span v-else class="row number"
            ><el-input-number
              v-model="settings[setting.key]"
              :min="setting.min"
              :max="setting.max"
              :step="setting.step"
              size="large"
              :aria-label="setting.name"
            /><span class="sym">{{ setting.unit }}</span></span
          >
        </label>
        <p class="question">{{ trial.question }}</p>
        <el-input
          v-model="predicted"
          type="textarea"
          :autosize="{ minRows: 3, maxRows: 8 }"
          maxlength="600"
          placeholder="What I expect, and why"
          aria-label="My prediction"
          name="predicted"
        />
        <div class="row">
          <el-button
            type="primary"
            size="large"
            :disabled="predicted.trim() === ''"
            :loading="isBusy"
            @click="tryIt"
            >Try it</el-button
          ><span v-if="predicted.trim() === ''" class="small soft"
            >Write what you expect first. It is kept as it stands.</span
          >
        </div>
        <p class="caution">
          Computed, not real. At a real bay this is supervised work under the rules of your centre.
        </p>
        <template v-if="tries.length">
          <h3>Tried before</h3>
          <button
            v-for="entry in tries"
            :key="entry.id"
            type="button"
            class="past"
            :class="{ on: opened === entry.id }"
            @click="opened = entry.id"
          >
            <span class="soft small">{{ dayTime(entry.at) }}</span><span>{{ entry.predicted }}</span>
          </button>
        </template>
      </section>
      <section v-if="shown" class="stack after" aria-live="polite" data-testid="outcome">
        <h2>What happens</h2>
        <p class="small soft">{{ settingWords(shown) }}</p>
        <TripCurve v-if="shown.computed.curve" v-bind="shown.computed.curve" />
        <ExperimentFilm v-if="film?.prediction === shown.id" :key="shown.id" :films="film.films" />
        <ServerProblem v-else-if="filmProblem" :problem="filmProblem" @retry="askFilm" />
        <div v-else class="skeleton film-room" />
        <ol v-if="shown.computed.lines.length" class="lines">
          <li v-for="(line, i) in shown.computed.lines" :key="i">{{ line }}</li>
        </ol>
        <dl v-if="shown.computed.figures.length">
          <div v-for="figure in shown.computed.figures" :key="figure.name">
            <dt>{{ figure.name }}</dt>
            <dd>{{ figure.value }}</dd>
          </div>
        </dl>
        <p class="because">{{ shown.computed.because }}</p>
        <div class="beside">
          <div>
            <h3>I expected</h3>
            <p>{{ shown.predicted }}</p>
          </div>
          <div class="stack">
            <h3>We measured, if we tried it for real</h3>
            <el-input
              v-model="measured"
              type="textarea"
              :autosize="{ minRows: 2 }"
              maxlength="600"
              placeholder="Reading, instrument, who supervised"
              aria-label="What we measured"
            /><el-button
              size="small"
              class="keep"
              :disabled="measured.trim() === '' || measured === shown.measured"
              @click="keepMeasured"
              >Keep it</el-button
            >
          </div>
        </div>
      </section>
      <section v-else class="empty">
        <h2>The outcome stands here</h2>
        <p>First your prediction, then the computation: that way you learn from the difference.</p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.halves {
  display: grid;
  grid-template-columns: minmax(320px, 5fr) 7fr;
  gap: 32px;
  align-items: start;
}
.halves.tried {
  grid-template-columns: 300px minmax(0, 1fr);
}
.setting {
  display: flex;
  flex-direction: column;
  gap: 5px;
  font-weight: var(--strong);
}
.number {
  gap: 8px;
}
.question {
  font-size: 18px;
  font-weight: var(--strong);
}
.past {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  display: flex;
  flex-direction: column;
  padding: 7px 10px;
  border-left: 4px solid var(--hem);
  width: 100%;
}
.past.on {
  border-left-color: var(--indigo);
  background: var(--indigo-wash);
}
.past:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.after {
  background: var(--panel);
  border: 1px solid var(--hem);
  padding: 16px 20px;
}
.film-room {
  height: 300px;
}
.lines {
  margin: 0;
  padding-left: 20px;
  line-height: 1.5;
}
dl {
  margin: 0;
}
dl div {
  display: flex;
  justify-content: space-between;
  gap: 20px;
  padding: 5px 0;
  border-bottom: 1px solid var(--hem);
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  font: var(--strong) 15.5px var(--mono);
  text-align: right;
}
.because {
  border-left: 4px solid var(--turmeric);
  padding-left: 12px;
  line-height: 1.5;
}
.beside {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 20px;
  border-top: 1.5px dashed var(--hem-strong);
  padding-top: 12px;
}
.keep {
  align-self: flex-start;
}
@media (max-width: 900px) {
  .halves,
  .halves.tried,
  .beside {
    grid-template-columns: 1fr;
  }
}
</style>

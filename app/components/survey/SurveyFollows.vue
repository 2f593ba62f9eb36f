<script setup lang="ts">
import type { CentreView } from '#schemas/views'
import type { SurveyFollows, SurveyView } from '#schemas/survey-views'
import { criteriaOf } from '#core/assessment/outcomes/framework'
import { formatQuantity } from '#core/units/format'
import { originSays } from '#words/survey/says'
import { boxName } from '~/texts/builder'

/** What follows from the survey for the design, and the exercise that is made of it in one act. */
const { id, view, autosave } = defineProps<{
  id: number
  view: SurveyView
  autosave: Pick<ReturnType<typeof useKeptText>, 'savedAt' | 'flush'>
}>()
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, problem, refresh } = useServer<SurveyFollows>(
  () => `surveys/${id}/follows?at=${autosave.savedAt.value ?? ''}`,
)
const { data: centre } = useServer<CentreView>(() => 'centre')
const code = ref('')
const criterion = ref('')
const criteria = computed(() => (centre.value?.framework ? criteriaOf(centre.value.framework) : []))
const names = computed(() =>
  Object.fromEntries((data.value?.designs ?? []).map(({ name }, i) => [`c${i + 1}`, name])),
)
const boxText = (box: string) => {
  const [circuit, field] = box.split('.')
  return field && names.value[circuit!]
    ? `${names.value[circuit!]}: ${boxName(`c1.${field}`, {})}`
    : boxName(box, {})
}
const make = () =>
  act(async () => {
    const version = await autosave.flush()
    const body = { version, code: code.value, criterion: criterion.value }
    const { id: exercise } = await call<{ id: number }>('POST', `surveys/${id}/exercise`, body)
    await navigateTo(`/exercises/${exercise}`)
  })
const figure = (value: number | null, quantity: 'current' | 'factor' | 'area' | 'voltage') =>
  value === null ? '–' : formatQuantity(value, quantity)
</script>

<template>
  <div class="stack">
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 160px" />
    <p v-else-if="data.designs.length === 0" class="empty">
      Designs follow as soon as one route can be measured: scale, board, a point, a route.
    </p>
    <template v-else>
      <table class="grid-table" data-testid="follows">
        <thead>
          <tr>
            <th>Circuit</th>
            <th class="num">Length</th>
            <th class="num">Ib</th>
            <th class="num">Ca</th>
            <th class="num">Cg</th>
            <th class="num">Ci</th>
            <th class="num">Conductor</th>
            <th class="num">ΔU</th>
            <th />
          </tr>
        </thead>
        <tbody>
          <tr v-for="one in data.designs" :key="one.route">
            <td>
              <b>{{ one.name }}</b>
            </td>
            <td class="num">{{ one.lengthM.toFixed(1) }} m</td>
            <td class="num">{{ figure(one.ib, 'current') }}</td>
            <td class="num">{{ figure(one.ca, 'factor') }}</td>
            <td class="num">{{ figure(one.cg, 'factor') }}</td>
            <td class="num">{{ figure(one.ci, 'factor') }}</td>
            <td class="num">{{ figure(one.csaMm2, 'area') }}</td>
            <td class="num">{{ figure(one.voltDropV, 'voltage') }}</td>
            <td>
              <span v-if="one.stopsAt" class="tag wrong">cannot be designed</span>
              <span v-else-if="one.governs === 'voltDrop'" class="tag waiting">voltage drop decides</span>
            </td>
          </tr>
        </tbody>
      </table>
      <details>
        <summary>Every field that the survey fills ({{ data.boxes.length }})</summary>
        <table class="grid-table">
          <tbody>
            <tr v-for="box in data.boxes" :key="box.box">
              <td>{{ boxText(box.box) }}</td>
              <td class="mono">{{ box.text }}</td>
              <td class="soft">{{ originSays(box.from) }}</td>
            </tr>
          </tbody>
        </table>
      </details>
      <section class="stitched row">
        <h2>Make a board exercise from it</h2>
        <el-input
          v-model="code"
          placeholder="Code, such as S-01"
          aria-label="Code"
          name="exercise-code"
          style="width: 190px"
        />
        <el-select
          v-model="criterion"
          filterable
          placeholder="Criterion"
          aria-label="Criterion"
          data-testid="exercise-criterion"
          style="width: 260px"
        >
          <el-option
            v-for="one in criteria"
            :key="one.code"
            :value="one.code"
            :label="`${one.code} ${one.text}`"
          />
        </el-select>
        <el-button
          type="primary"
          :disabled="!code.trim() || !criterion"
          :loading="isBusy"
          data-testid="make-exercise"
          @click="make"
          >Make it</el-button
        >
      </section>
    </template>
    <p v-if="view.exercises.length">
      Made from it:
      <NuxtLink v-for="one in view.exercises" :key="one.id" :to="`/exercises/${one.id}`" class="tag plain">{{
        one.code
      }}</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
summary {
  cursor: pointer;
  font-weight: var(--strong);
  min-height: 32px;
}
</style>

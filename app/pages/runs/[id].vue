<script setup lang="ts">
import type { PersonView } from '#schemas/views'

/**
 * A run of conduit: dimensions and drawing side by side, below what follows from them for the bench, the
 * stores and the wall.
 */
definePageMeta({ roles: ['apprentice', 'instructor', 'assessor', 'technician'] })
const id = Number(useRoute().params.id)
const run = useRun(id)
const { view, sheet, autosave } = run
const session = useSession()
const { call } = useApi()
const tab = ref<'card' | 'cutting' | 'checks' | 'former' | 'measured'>('card')
const TABS = {
  card: 'Bench card',
  cutting: 'Cutting list',
  checks: 'Checks',
  former: 'Former',
  measured: 'Measured',
} as const
const isLocked = computed(() => view.value !== null && !view.value.mayChange)
const text = (key: string, usual = '') => autosave.fields[key] ?? usual
const print = () => window.print()
const people = shallowRef<PersonView[]>([])
const who = ref<number | null>(null)
watch(tab, async (to) => {
  if (to === 'measured' && view.value?.mayMeasure && people.value.length === 0)
    people.value = (await call<PersonView[]>('GET', 'people').catch(() => [])).filter(
      ({ role }) => role === 'apprentice',
    )
})
async function measure() {
  try {
    await autosave.flush()
    const { id: measurement } = await call<{ id: number }>('POST', `runs/${id}/measure`, {
      personId: who.value,
    })
    await navigateTo(`/measurements/${measurement}`)
  } catch (error) {
    showProblem(error)
  }
}
onMounted(run.load)
</script>

<template>
  <div v-if="run.problem.value" class="page">
    <PageProblem :problem="run.problem.value" @retry="run.load" />
  </div>
  <div v-else-if="!view" class="page stack">
    <div v-for="i in 5" :key="i" class="skeleton" style="height: 52px" />
  </div>
  <div v-else class="run">
    <h1 class="visually-hidden">{{ text('name') || 'Run' }}</h1>
    <RunHead
      :fields="autosave.fields"
      :problems="run.boxProblems.value"
      :locked="isLocked"
      @write="autosave.write"
    >
      <SaveWords :autosave="autosave" />
    </RunHead>
    <div class="work">
      <StraightTable
        class="screen-only"
        :fields="autosave.fields"
        :problems="run.boxProblems.value"
        :sentences="run.sentences.value"
        :selected="run.selected.value"
        :locked="isLocked"
        @write="autosave.write"
        @add="run.add"
        @remove="run.remove"
        @select="run.selected.value = $event"
      />
      <RunDrawing
        v-if="sheet"
        :run="sheet.run"
        :former="sheet.former"
        :selected="run.selected.value"
        :problems="run.problems.value"
        :supports="run.supportsAt.value"
        :locked="isLocked"
        @select="run.selected.value = $event"
        @length="run.setLength"
      />
      <p v-else class="empty">Fill in the first straight, then it is drawn here.</p>
    </div>
    <div class="tabs screen-only">
      <div role="tablist" aria-label="What follows">
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
      <span class="grow" /><el-button size="small" @click="print">Print on A4</el-button>
    </div>
    <section class="below by-itself" tabindex="0" :aria-label="TABS[tab]">
      <h2 class="paper">{{ text('name') }} · {{ TABS[tab] }}</h2>
      <template v-if="sheet">
        <p v-if="run.tubes.value.length === 0 && tab !== 'former' && tab !== 'measured'" class="caution">
          First what is marked in the table; then it is worked out here.
        </p>
        <TrunkingCard
          v-else-if="tab === 'card' && sheet.run.made !== 'conduit'"
          :run="sheet.run"
          :pieces="run.tubes.value"
        />
        <BenchCard
          v-else-if="tab === 'card'"
          :run="sheet.run"
          :former="sheet.former"
          :tubes="run.tubes.value"
        />
        <CuttingTable
          v-else-if="tab === 'cutting' && run.cutting.value"
          :list="run.cutting.value"
          :stock-mm="run.stockMm.value"
          :fittings="run.fittings.value"
        />
        <RunChecks
          v-else-if="tab === 'checks'"
          :sheet="sheet"
          :sections="run.sections.value"
          :supports="run.supports.value.length"
          :expansion="run.expansion.value"
          :may-design="session.person?.role === 'instructor'"
        />
        <p v-else-if="tab === 'former' && sheet.run.made !== 'conduit'" class="soft">
          Only conduit is bent on a former. Trunking is mitred: the bench card has every cut.
        </p>
        <FormerHelper
          v-else-if="tab === 'former'"
          :outside-mm="sheet.run.sizeMm"
          :locked="isLocked"
          @take="
            (radius, start) => {
              autosave.write('radius', radius.toFixed(1))
              autosave.write('start', start.toFixed(1))
            }
          "
        />
      </template>
      <div v-if="tab === 'measured'" class="stack">
        <div v-if="view.mayMeasure" class="row">
          <el-select
            v-model="who"
            filterable
            placeholder="Whose run"
            style="width: 300px"
            data-testid="measure-who"
            ><el-option
              v-for="person in people"
              :key="person.id"
              :value="person.id"
              :label="`${person.name}, ${person.cohort}`" /></el-select
          ><el-button type="primary" :disabled="who === null || !run.isReadable.value" @click="measure"
            >Measure it</el-button
          >
        </div>
        <p v-if="view.measurements.length === 0" class="soft">
          {{
            view.mayMeasure
              ? 'Nobody’s has been measured yet.'
              : `${session.person?.name}, yours has not been measured yet.`
          }}
        </p>
        <p v-for="measurement in view.measurements" :key="measurement.id">
          <NuxtLink :to="`/measurements/${measurement.id}`">{{ measurement.person }}</NuxtLink>
          <span class="soft">by {{ measurement.assessor }}</span>
          <span class="tag" :class="measurement.isClosed ? 'met' : 'waiting'">{{
            measurement.isClosed ? 'closed' : 'open'
          }}</span>
        </p>
      </div>
    </section>
  </div>
</template>

<style scoped>
.run {
  padding: 14px 20px 28px;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.bad input {
  border-color: var(--madder);
}
.grow {
  flex: 1;
}
.work {
  display: grid;
  grid-template-columns: 580px minmax(0, 1fr);
  gap: 16px;
  height: 410px;
}
.tabs {
  display: flex;
  gap: 4px;
  border-bottom: 1px solid var(--hem);
  align-items: center;
}
.tabs button[role] {
  all: unset;
  cursor: pointer;
  padding: 9px 14px;
  font-weight: var(--strong);
  border-bottom: 3px solid transparent;
}
.tabs .on {
  border-bottom-color: var(--indigo) !important;
  color: var(--indigo-text);
}
.tabs button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.paper {
  display: none;
}
@media print {
  .paper {
    display: block;
  }
  .work {
    display: block;
    height: 90mm;
  }
}
@media (max-width: 1000px) {
  .work {
    grid-template-columns: 1fr;
    height: auto;
  }
}
</style>

<script setup lang="ts">
import { wishesOf } from '#core/arrangement/wishes'
import type { LayoutView } from '#schemas/layout-views'
import { WISH_TEXT, betterSays, circuitSays, lostSays } from '#words/arrangement'

definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const id = Number(useRoute().params.id)
const { call } = useApi()
const { data: view, problem, refresh } = useServer<LayoutView>(() => `layouts/${id}`)
const layout = useLayout(
  computed(() => view.value ?? null),
  (seating, tries) => call<LayoutView>('POST', `layouts/${id}`, { seating, tries }),
  localStorage,
  useSession().person!.id,
)
const { seating, isBusy, canHandIn, columns } = layout
async function handIn() {
  try {
    view.value = await layout.handIn()
  } catch (error) {
    showProblem(error)
  }
}
const wished = computed(() => wishesOf(view.value!.circuits).filter((wish) => view.value!.weights[wish] > 0))
const hasAreas = computed(() => view.value!.circuits.some(({ area }) => area))
const { act } = useAct()
const withdraw = () =>
  act(async () => {
    await call('DELETE', `layouts/${id}`)
    await navigateTo('/practice')
    const restore = () =>
      act(async () => {
        await call('POST', `layouts/${id}/restore`)
        await navigateTo(`/practice/layouts/${id}`)
      })
    ElMessage({
      type: 'info',
      message: h('span', ['Withdrawn. ', h('button', { class: 'text-button', onClick: restore }, 'Undo')]),
      duration: 8000,
      showClose: true,
    })
  })
const showsBest = ref(false)
const shown = computed(() => (showsBest.value && view.value?.best ? view.value.best : seating.value))
</script>

<template>
  <div class="page stack">
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!view" class="skeleton" style="height: 320px" />
    <template v-else>
      <div class="row spread">
        <div>
          <h1>{{ view.title }}</h1>
          <p class="soft lead">
            Lay the circuits on the board. Pick a circuit, then the way it goes to; or drag it there. Each try
            is marked against the best arrangement. You see that after {{ view.shownAfter.tries }} tries or
            from {{ view.shownAfter.percent }} %.
          </p>
        </div>
        <div class="row">
          <el-checkbox v-if="view.best" v-model="showsBest" border data-testid="layout-best"
            >Show the best found</el-checkbox
          >
          <el-button v-if="view.results" text data-testid="layout-withdraw" @click="withdraw"
            >Withdraw</el-button
          >
          <el-button @click="layout.restart">Start again</el-button>
          <el-button
            type="primary"
            size="large"
            :loading="isBusy"
            :disabled="!canHandIn || showsBest"
            data-testid="layout-hand-in"
            @click="handIn"
            >Hand in</el-button
          >
        </div>
      </div>
      <ArrangeSeats
        :board="view.board"
        :circuits="view.circuits"
        :seating="shown"
        :hottest="null"
        :locked="showsBest"
        @swap="layout.swap"
      />
      <section v-if="view.mark" class="mark stitched" role="status" data-testid="layout-mark">
        <p class="percent mono">{{ view.tries.at(-1)!.percent }} %</p>
        <div class="stack">
          <p v-if="view.tries.at(-1)!.percent === 100"><b>As good as the best that was found.</b></p>
          <p v-for="lost in view.mark.lost" :key="lost.wish">{{ lostSays(lost) }}</p>
          <p v-if="view.mark.better">{{ betterSays(view.mark.better, view, view.tries.at(-1)!.seating) }}</p>
        </div>
      </section>
      <div class="two">
        <section class="stack" aria-label="The circuits">
          <h2>The circuits</h2>
          <div class="scroll">
            <table class="grid-table">
              <thead>
                <tr>
                  <th>Circuit</th>
                  <th class="num">Current</th>
                  <th class="num">In</th>
                  <th v-if="hasAreas">Part of the building</th>
                  <th></th>
                </tr>
              </thead>
              <tbody>
                <tr v-for="one in view.circuits" :key="one.id">
                  <td>{{ one.name }}</td>
                  <td class="num mono">{{ one.surge ? '–' : `${one.currentA.toFixed(1)} A` }}</td>
                  <td class="num mono">{{ one.ratingA }} A</td>
                  <td v-if="hasAreas">{{ one.area || '–' }}</td>
                  <td class="small">{{ circuitSays(one) }}</td>
                </tr>
              </tbody>
            </table>
          </div>
        </section>
        <section class="stack" aria-label="What counts">
          <template v-if="columns.length">
            <h2>Result</h2>
            <ArrangeFigures :columns="columns" :circuits="view.circuits" />
          </template>
          <h2>What counts, and how much</h2>
          <dl class="wishes">
            <template v-for="wish in wished" :key="wish">
              <dt class="mono">{{ view.weights[wish] }}</dt>
              <dd>
                <b>{{ WISH_TEXT[wish].name }}.</b> {{ WISH_TEXT[wish].why }}
                <span v-if="wish === 'reach'" class="soft">It reaches {{ view.board.reach }} modules.</span>
              </dd>
            </template>
          </dl>
          <template v-if="view.results">
            <h2>{{ view.cohort }}</h2>
            <p v-if="view.results.length === 0" class="soft">Nobody has handed in yet.</p>
            <table v-else class="grid-table" data-testid="layout-results">
              <tbody>
                <tr v-for="result in view.results" :key="result.name">
                  <td>{{ result.name }}</td>
                  <td class="num mono">{{ result.percent }} %</td>
                  <td>{{ result.tries === 1 ? '1 try' : `${result.tries} tries` }}</td>
                  <td class="soft">{{ dayTime(result.at) }}</td>
                </tr>
              </tbody>
            </table>
          </template>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.lead {
  max-width: 78ch;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 14px 40px;
  align-items: start;
}
.mark {
  display: flex;
  gap: 22px;
  align-items: center;
}
.percent {
  font-size: 40px;
  font-weight: var(--heavy);
  line-height: 1;
}
.scroll {
  overflow-x: auto;
}
.wishes {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 4px 14px;
  margin: 0;
}
.wishes dd {
  margin: 0;
}
@media (max-width: 860px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>

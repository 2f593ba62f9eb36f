<script setup lang="ts">
import { wishesOf } from '#core/arrangement/wishes'
import type { InstallationDesign } from '#core/design/reference'
import type { Installation } from '#core/installation/installation'
import { WISH_TEXT, boundSays, notArrangedSays, priceSays } from '#words/arrangement'

/** Which way, line and neighbour: by hand, or computed from weighed wishes; then into the exercise. */
const { installation, design, locked, exerciseId } = defineProps<{
  installation: Installation | null
  design: InstallationDesign | null
  locked: boolean
  /** Once it is saved, its board can be set as an exercise of its own. */
  exerciseId: number | null
  isChanged: boolean
}>()
const emit = defineEmits<{ take: [boxes: Record<string, string>] }>()
const boards = computed(() => installation?.boards ?? [])
const boardId = ref('b1')
watch(boards, (all) => {
  if (!all.some(({ id }) => id === boardId.value)) boardId.value = all[0]?.id ?? ''
})
const arrangement = useArrangement(
  () => installation,
  () => design,
  boardId,
)
const { weights, reach, laid, seating, now, before, total, isBusy, refused, priced, prices } = arrangement
const best = computed(() => (priced.value && !('code' in priced.value.best) ? priced.value.best : null))
const columns = computed(() => {
  if (!laid.value || !now.value || !before.value) return []
  const kept = arrangement.kept.value
  const figures = arrangement.keptFigures.value
  return [
    { name: 'As arranged', measured: now.value, total: total(seating.value) },
    ...(kept && figures ? [{ name: 'Kept', measured: figures, total: total(kept) }] : []),
    { name: 'In the exercise', measured: before.value, total: total(laid.value.seating) },
  ]
})
const isSetting = ref(false)
const { call } = useApi()
const { isBusy: isSending, act } = useAct()
const set = (cohort: string) =>
  act(async () => {
    const body = { exerciseId, boardId: boardId.value, cohort, reach: reach.value, weights: { ...weights } }
    const { id } = await call<{ id: number }>('POST', 'layouts', body)
    await navigateTo(`/practice/layouts/${id}`)
  })
function take() {
  emit('take', arrangement.taken())
  arrangement.undo()
}
</script>

<template>
  <div class="stack">
    <p v-if="!laid" class="empty">
      The board can be arranged as soon as every circuit has its design: fill the open boxes first.
    </p>
    <template v-else>
      <div class="row spread">
        <div class="row">
          <el-select v-if="boards.length > 1" v-model="boardId" aria-label="Board" style="width: 220px"
            ><el-option v-for="one in boards" :key="one.id" :value="one.id" :label="one.name"
          /></el-select>
          <p class="soft">Pick a circuit, then the way it goes to; or drag it there.</p>
        </div>
        <div class="row">
          <el-button v-if="arrangement.isChanged.value" text @click="arrangement.undo">As it was</el-button>
          <el-button data-testid="keep-arrangement" @click="arrangement.keep">Keep to compare</el-button>
          <el-button
            v-if="arrangement.kept.value"
            data-testid="swap-arrangement"
            @click="arrangement.swapWithKept"
            >Swap with kept</el-button
          >
          <el-button v-if="isBusy" @click="arrangement.stop">Stop working</el-button>
          <el-button
            type="primary"
            :loading="isBusy"
            data-testid="work-out-board"
            @click="arrangement.workOut"
            >Work it out</el-button
          >
          <el-button
            v-if="exerciseId !== null"
            :disabled="isChanged"
            :title="isChanged ? 'Save the exercise first.' : ''"
            data-testid="set-layout"
            @click="isSetting = true"
            >Set as an exercise</el-button
          >
          <el-button
            v-if="!locked"
            :disabled="!arrangement.isChanged.value"
            data-testid="take-arrangement"
            @click="take"
            >Take it over</el-button
          >
        </div>
      </div>
      <SetForGroup v-model="isSetting" :is-busy="isSending" title="Set the board to be laid out" @set="set">
        Everybody in the group gets the circuits of this board with their currents and ratings, and lays them
        out for these wishes. Set it once their designs are handed in.
      </SetForGroup>
      <p v-if="laid.clash" class="stitched stop" role="alert">
        {{ laid.clash[0] }} and {{ laid.clash[1] }} stand in the same way. Work it out, or give one of them
        another way.
      </p>
      <p v-if="arrangement.problem.value" class="stitched waiting" role="alert">
        {{ arrangement.problem.value }}
      </p>
      <p v-if="refused" class="stitched stop" role="alert">{{ notArrangedSays(refused) }}</p>
      <ArrangeSeats
        :board="laid.board"
        :circuits="laid.circuits"
        :seating="seating"
        :hottest="now?.hottest ?? null"
        :locked="locked"
        @swap="arrangement.swap"
      />
      <div class="two">
        <section class="stack" aria-label="Result">
          <h2>Result</h2>
          <ArrangeFigures v-if="columns.length" :columns="columns" :circuits="laid.circuits" />
          <p v-if="best" role="status" class="soft" data-testid="arrange-state">
            {{ boundSays(best) }}
          </p>
          <p v-for="{ wish, gains } in prices" :key="wish" class="small">{{ priceSays(wish, gains) }}</p>
        </section>
        <section class="stack" aria-label="Wishes">
          <h2>Wishes, and how much each counts</h2>
          <label v-for="wish in wishesOf(laid.circuits)" :key="wish" class="wish">
            <span
              ><b>{{ WISH_TEXT[wish].name }}</b
              ><span class="soft small">{{ WISH_TEXT[wish].why }}</span></span
            >
            <el-slider
              v-model="weights[wish]"
              :min="0"
              :max="10"
              :aria-label="WISH_TEXT[wish].name"
              style="width: 150px"
            />
          </label>
          <label class="wish"
            ><span
              ><b>A neutral lead reaches</b
              ><span class="soft small">modules from its bar, as the maker has it</span></span
            ><el-input-number v-model="reach" :min="1" :max="48" size="small" aria-label="Reach, modules"
          /></label>
        </section>
      </div>
    </template>
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px 40px;
  align-items: start;
}
.wish {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 16px;
  border-bottom: 1px solid var(--hem);
  padding: 2px 12px 2px 0;
}
.wish > span {
  display: grid;
}
@media (max-width: 1000px) {
  .two {
    grid-template-columns: 1fr;
  }
}
</style>

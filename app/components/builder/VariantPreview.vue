<script setup lang="ts">
import { tooFewSays } from '#words/variants'
import type { ExerciseForm, FormProblems, HeadField } from '#core/exercise/form/fields'
import { amountOf } from '#core/exercise/form/to-form'
import { formatQuantity } from '#core/units/format'
import type { VariantsResult } from '#core/exercise/variants'
import { GOVERNS_WORDS, HEAD_NAME } from '~/texts/builder'

/** The first variants as they would be given out, and how evenly hard they are. */
const props = defineProps<{
  result: VariantsResult | null
  isBusy: boolean
  form: ExerciseForm
  problems: FormProblems
  locked: boolean
  circuits: readonly { id: string; name: string }[]
}>()
const emit = defineEmits<{ write: [field: HeadField, text: string] }>()
const variants = computed(() => (props.result?.ok ? props.result.variants : []))
const hardest = computed(() => Math.max(1, ...variants.value.map(({ difficulty }) => difficulty.score)))
const refusal = computed(() => {
  const { result } = props
  if (!result || result.ok) return ''
  if (result.reason === 'baseUnsolvable')
    return 'The exercise itself has no solution yet; see the rows marked in the table.'
  if (result.reason === 'baseAmbiguous')
    return `${props.circuits.find(({ id }) => id === result.circuit)?.name ?? 'A circuit'} sits on the edge of a limit, so two careful people could choose differently. Move its load or length a little.`
  return tooFewSays(result, props.circuits)
})
</script>

<template>
  <div class="stack">
    <div class="boxes" :inert="locked">
      <FormBox
        v-for="field in ['lengthSpread', 'loadSpread', 'seed'] as const"
        :key="field"
        :name="HEAD_NAME[field]"
        :problem="problems[field]"
        ><el-input
          :model-value="form[field]"
          :name="field"
          @update:model-value="emit('write', field, $event)"
      /></FormBox>
      <p class="soft small">
        Everybody gets their own lengths and loads, so that a copied figure shows. Same seed, same variants;
        each is solvable, off the edge of every limit, and its conductors are decided by the same thing as
        here.
      </p>
    </div>
    <p v-if="refusal" class="stitched waiting" data-testid="variants-refused">{{ refusal }}</p>
    <p v-else-if="isBusy && variants.length === 0" class="soft">Drawing variants…</p>
    <table v-else-if="variants.length" class="grid-table" data-testid="variants">
      <thead>
        <tr>
          <th>Bay</th>
          <th v-for="circuit in circuits" :key="circuit.id">{{ circuit.name }}</th>
          <th>Difficulty</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="variant in variants" :key="variant.index">
          <td>
            <b>{{ variant.index }}</b>
          </td>
          <td
            v-for="circuit in circuits"
            :key="circuit.id"
            class="mono small"
            :title="GOVERNS_WORDS[variant.difficulty.governs[circuit.id]!]"
          >
            <template
              v-for="own in variant.installation.circuits.filter(({ id }) => id === circuit.id)"
              :key="own.id"
              >{{ formatQuantity(own.lengthM, 'length') }}<br /><span class="soft">{{
                amountOf(own.load)
              }}</span></template
            >
          </td>
          <td>
            <svg
              class="hard"
              :viewBox="`0 0 ${hardest * 9} 10`"
              :width="hardest * 9"
              height="10"
              role="img"
              :aria-label="`difficulty ${variant.difficulty.score}`"
            >
              <rect
                v-for="i in variant.difficulty.score"
                :key="i"
                :x="(i - 1) * 9"
                y="3"
                width="7"
                height="4"
                rx="2"
              />
            </svg>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.boxes {
  display: grid;
  grid-template-columns: 110px 110px 110px minmax(260px, 560px);
  gap: 14px;
  align-items: end;
}
@media (max-width: 760px) {
  .boxes {
    grid-template-columns: minmax(0, 1fr);
  }
}
.grid-table td {
  padding: 3px 8px;
  line-height: 1.25;
}
.hard {
  fill: var(--indigo);
}
</style>

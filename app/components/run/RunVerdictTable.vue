<script setup lang="ts">
import type { PartVerdict } from '#core/containment/parts-met'
import { RUN_PART_NAME } from '#words/containment'
import type { MeasurementView } from '#schemas/workmanship-views'

/** What a measured run shows of each part, proposed or decided, and the criteria that rest on it. */
const props = defineProps<{
  verdicts: readonly PartVerdict[]
  criteria: MeasurementView['criteria']
  decision: MeasurementView['decision']
}>()
const codesOf = (part: string) =>
  props.criteria
    .filter(({ evidence }) => (evidence as readonly string[]).includes(`run.${part}`))
    .map(({ code }) => code)
    .join(', ')
const rows = computed(() =>
  props.verdicts.map((verdict) => ({
    ...verdict,
    isMet: props.decision ? (props.decision.parts[verdict.part] ?? null) : verdict.isMet,
  })),
)
</script>

<template>
  <table data-testid="run-verdict">
    <tbody>
      <tr v-for="row in rows" :key="row.part">
        <th scope="row">
          {{ RUN_PART_NAME[row.part] }} <span class="mono soft">{{ codesOf(row.part) }}</span>
        </th>
        <td class="mono num">{{ row.right }}/{{ row.of }}</td>
        <td>
          <span class="tag" :class="row.isMet === null ? 'waiting' : row.isMet ? 'met' : 'wrong'">{{
            row.isMet === null ? `${row.of - row.taken} not taken` : row.isMet ? 'met' : 'not yet'
          }}</span>
        </td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  padding: 7px 10px 7px 0;
  border-bottom: 1px solid var(--hem);
}
th {
  font-weight: var(--strong);
}
.num {
  text-align: right;
}
</style>

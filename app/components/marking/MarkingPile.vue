<script setup lang="ts">
import type { MarkingListItem } from '#schemas/marking-views'
import { STAGE_WORDS } from '~/texts/stages'

/**
 * One page of the pile. Rows of its own: the table of the library takes a slow tablet half a second to lay out, and
 * nothing can be tapped meanwhile.
 */
const { rows } = defineProps<{
  rows: readonly MarkingListItem[]
  /** The row in hand, from 0. */
  at: number
}>()
const emit = defineEmits<{ open: [item: MarkingListItem] }>()
/** These can be begun with; the others follow a paint later each. */
const AT_ONCE = 4
const { shown } = useGradually(() => rows.length, AT_ONCE)
</script>

<template>
  <div class="wrap" tabindex="0" role="region" aria-label="Pile">
    <table>
      <thead>
        <tr>
          <th class="name">Apprentice</th>
          <th class="task">Exercise</th>
          <th class="place">Bay</th>
          <th class="time">Handed in</th>
          <th class="mark">Proposed</th>
          <th><span class="visually-hidden">Met or not</span></th>
          <th class="stage">Stage</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(row, i) in rows.slice(0, shown)"
          :key="row.id"
          :class="{ 'in-hand': i === at }"
          @click="emit('open', row)"
        >
          <td>
            <NuxtLink :to="`/marking/${row.id}`" prefetch-on="interaction" @click.stop
              ><b>{{ row.name }}</b></NuxtLink
            >
          </td>
          <td>{{ row.code }} {{ row.title }}</td>
          <td>{{ row.bay }}</td>
          <td>{{ row.handedInAt ? dayTime(row.handedInAt) : '' }}</td>
          <td>
            <b class="mono">{{ row.mark }}</b> of {{ row.outOf }}
          </td>
          <td>
            <span class="tag" :class="row.met ? 'met' : 'wrong'">{{ row.met ? 'met' : 'not yet' }}</span>
            <span v-if="row.critical" class="tag stop">critical</span>
          </td>
          <td>
            <span class="tag" :class="row.stage === 'handedIn' ? 'waiting' : 'plain'">{{
              STAGE_WORDS[row.stage].theirs
            }}</span>
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
/* What is said to a screen reader alone is placed in here too, not beside the page. */
.wrap {
  position: relative;
  min-width: 0;
  overflow-x: auto;
}
table {
  width: 100%;
  min-width: 900px;
  border-collapse: collapse;
  table-layout: fixed;
  font-size: 14.5px;
}
th {
  text-align: left;
  font-weight: var(--mid);
  color: var(--soft);
  border-bottom: 1.5px solid var(--ink);
  padding: 8px 12px;
}
td {
  height: 44px;
  padding: 4px 12px;
  border-bottom: 1px solid var(--hem);
}
tbody tr {
  cursor: pointer;
}
tbody tr:hover,
.in-hand {
  background: var(--indigo-wash);
}
.in-hand td:first-child {
  box-shadow: inset 4px 0 0 var(--indigo);
}
.tag + .tag {
  margin-left: 6px;
}
.name {
  width: 19%;
}
.task {
  width: 25%;
}
.place {
  width: 70px;
}
.time {
  width: 150px;
}
.mark {
  width: 130px;
}
.stage {
  width: 140px;
}
</style>

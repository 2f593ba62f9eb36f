<script setup lang="ts">
import { DATE_KINDS, type DateKind, type DatedItem } from '#schemas/planning-views'
import { monthText } from '#words/day'
import { DATE_TEXT } from '#words/planning/dates'

/** Everything that falls on a day: what is overdue first, then what comes. */
definePageMeta({ roles: ['instructor', 'assessor', 'technician', 'administrator'] })
const { call } = useApi()
const { act } = useAct()
const { data, problem, refresh } = useServer<DatedItem[]>(() => 'dates')
const kinds = ref<DateKind[]>([])
const shown = computed(() =>
  (data.value ?? []).filter(({ kind }) => kinds.value.length === 0 || kinds.value.includes(kind)),
)
const now = today()
const overdue = computed(() => shown.value.filter(({ isOverdue }) => isOverdue))
const months = computed(() => {
  const groups = new Map<string, DatedItem[]>()
  for (const item of shown.value.filter(({ isOverdue, day }) => !isOverdue && day >= now)) {
    const month = monthText(item.day)
    groups.set(month, [...(groups.get(month) ?? []), item])
  }
  return [...groups]
})
const bays = computed(() =>
  (data.value ?? []).filter(({ kind }) => kind === 'bayInspection' || kind === 'bayRcd'),
)
const remove = (item: DatedItem) =>
  act(async () => {
    data.value = await call<DatedItem[]>('DELETE', `dates/entries/${item.entryId}`)
  })
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Dates</h1>
        <p class="soft">
          Tests of bays, calibrations, permits, appeals, repeats, sessions, terms and absences.
        </p>
      </div>
      <div class="row">
        <el-select
          v-model="kinds"
          multiple
          collapse-tags
          placeholder="Every kind"
          aria-label="Kinds"
          style="width: 240px"
        >
          <el-option v-for="kind in DATE_KINDS" :key="kind" :value="kind" :label="DATE_TEXT[kind]" />
        </el-select>
        <LinkButton file="/api/dates/calendar">Calendar file</LinkButton>
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 240px" />
    <div v-else class="columns">
      <div class="stack">
        <section v-if="overdue.length" class="stitched stop" data-testid="overdue">
          <h2>Overdue</h2>
          <DateLine v-for="item in overdue" :key="item.key" :item="item" />
        </section>
        <p v-if="shown.length === 0" class="empty">
          Nothing has a date yet. Record the last test of a bay, or import a calendar.
        </p>
        <section v-for="[month, list] in months" :key="month">
          <h2>{{ month }}</h2>
          <DateLine v-for="item in list" :key="item.key" :item="item" @remove="remove(item)" />
        </section>
      </div>
      <aside class="stack">
        <BayCheckForm :known="bays" @kept="data = $event" />
        <CalendarIn @kept="data = $event" />
      </aside>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  gap: 30px;
  align-items: start;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import { useNow } from '@vueuse/core'
import { timeOfDay } from '#core/planning/read-session'
import type { SessionNow } from '#schemas/planning-views'
import { localIsoDay, localTime } from '#words/day'
import { shouldSays } from '#words/planning/says'

/** The plan of today against what is going on: who is behind, who could begin, which bay is free. */
const now = useNow({ interval: 30_000 })
const day = computed(() => localIsoDay(now.value))
const time = computed(() => localTime(now.value))
const { data } = useServer<SessionNow[]>(() => `planning/now?day=${day.value}&time=${time.value}`)
const running = computed(() =>
  (data.value ?? []).filter(({ minute, minutes }) => minute > -60 && minute < minutes),
)
const shown = (session: SessionNow) =>
  session.rows
    .filter(({ late, should }) => late > 0 || !['before', 'done'].includes(should))
    .sort((a, b) => b.late - a.late)
const free = (session: SessionNow) =>
  session.free.filter(({ from, to }) => from <= session.minute + 15 && to - session.minute >= 30)
/** Two taps: the person, then “Absent”. The page of the session plans the rest again. */
const asked = ref<string | null>(null)
</script>

<template>
  <section v-for="session in running" :key="session.id" class="side-list stack" data-testid="plan-now">
    <h2>
      <NuxtLink :to="`/plan/${session.id}`">{{ session.title }}</NuxtLink>
    </h2>
    <p v-if="shown(session).length === 0" class="soft small">Everybody is on plan.</p>
    <div v-for="row in shown(session)" :key="row.task">
      <button
        type="button"
        class="text-button"
        :aria-expanded="asked === row.task"
        @click="asked = asked === row.task ? null : row.task"
      >
        <b class="mono">{{ row.bay }}</b> {{ row.names }}, {{ row.code }}
      </button>
      <span class="tag" :class="row.late > 0 ? 'waiting' : 'plain'">{{ shouldSays(row) }}</span>
      <p v-if="asked === row.task" class="row">
        <LinkButton
          v-for="person in row.people"
          :key="person"
          :to="`/plan/${session.id}?absent=${person}`"
          size="small"
          >Absent: plan the rest again</LinkButton
        >
      </p>
    </div>
    <p v-if="free(session).length" class="soft small">
      Free:
      <span v-for="(one, i) in free(session)" :key="one.bay"
        >{{ i > 0 ? ', ' : '' }}bay {{ one.bay }} until {{ timeOfDay(session.from, one.to) }}</span
      >
    </p>
  </section>
</template>

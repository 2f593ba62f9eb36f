<script setup lang="ts">
import { readSession, timeOfDay } from '#core/planning/read-session'
import { endOf, lengthsOf } from '#core/planning/session'
import type { SessionView } from '#schemas/planning-views'
import type { StoresExercise } from '#schemas/views'
import { cableWords } from '~/texts/cables'
import type { ApiProblem } from '~/utils/api-problem'
import { deviceWords } from '#core/design/materials/materials'

/** The bay plan on A4: who is where when, and what each bay needs laid out. */
definePageMeta({ roles: ['instructor', 'assessor', 'technician', 'administrator'] })
const id = useRoute().params.id
const role = useSession().person!.role
const { data, problem, refresh } = useServer<SessionView>(() => `planning/${id}`)
const session = computed(() => (data.value ? readSession(data.value.fields) : null))
const name = (person: number) =>
  [...data.value!.people, ...data.value!.staff].find((one) => one.id === person)?.name ?? ''
const rows = computed(() =>
  (session.value?.placements ?? [])
    .map((at) => {
      const { frame, from, tasks } = session.value!
      const task = tasks.find((one) => one.id === at.task)!
      const lengths = lengthsOf(task, frame.step)
      const exercise = data.value!.exercises.find((one) => one.id === task.exercise)
      const time = (minute: number) => timeOfDay(from, minute)
      return {
        key: at.task,
        bay: at.bay,
        names: task.people.map(name).join(' and '),
        code: exercise?.code ?? '',
        title: exercise?.title ?? '',
        exercise: task.exercise,
        design: time(at.start - lengths.design),
        start: time(at.start),
        live: time(at.live),
        end: time(endOf(at, lengths)),
        assessor: at.assessor ? name(at.assessor) : '',
        instrument: data.value!.instruments.find((one) => one.id === at.instrument)?.name ?? '',
      }
    })
    .sort((a, b) => a.bay - b.bay || (a.start < b.start ? -1 : 1)),
)
const { call } = useApi()
const maySeeStores = ['technician', 'instructor'].includes(role)
const stores = shallowRef<readonly StoresExercise[]>([])
const storesProblem = ref<ApiProblem | null>(null)
/** Exercises of the session, as the stores lay them out for its group. */
const wanted = computed(() => {
  const cohort = encodeURIComponent(session.value?.cohort ?? '')
  const ids = maySeeStores ? [...new Set(rows.value.map(({ exercise }) => exercise))] : []
  return ids.map((exercise) => `stores/${exercise}?cohort=${cohort}`).join(' ')
})
async function askStores(): Promise<void> {
  const paths = wanted.value
  try {
    const asked = paths.split(' ').filter(Boolean)
    const found = await Promise.all(asked.map((path) => call<StoresExercise>('GET', path)))
    if (paths !== wanted.value) return
    stores.value = found
    storesProblem.value = null
  } catch (error) {
    // The plan itself is there, and can be printed without.
    if (paths === wanted.value) storesProblem.value = error as ApiProblem
  }
}
watch(wanted, askStores, { immediate: true })
/** What each planned person’s bay needs, from the stores’ list. */
const lists = computed(() =>
  rows.value.flatMap((row) => {
    const exercise = stores.value.find((one) => one.id === row.exercise)
    const bay = exercise?.bays.find((one) => row.names.includes(one.name))
    return bay ? [{ row, bay }] : []
  }),
)
const print = () => window.print()
</script>

<template>
  <div class="page">
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!session" class="skeleton" style="height: 400px" />
    <template v-else>
      <div class="row spread screen-only bar">
        <LinkButton :to="`/plan/${id}`">Back to the session</LinkButton>
        <el-button type="primary" @click="print">Print</el-button>
      </div>
      <article class="sheet">
        <h1>{{ session.title }}</h1>
        <p>{{ session.day ? date(session.day) : 'No day yet' }}, from {{ session.from }}</p>
        <p v-if="rows.length === 0" class="empty">Nothing is planned yet.</p>
        <table v-else class="grid-table">
          <thead>
            <tr>
              <th>Bay</th>
              <th>Who</th>
              <th>Exercise</th>
              <th>Design</th>
              <th>Wiring</th>
              <th>Live</th>
              <th>Done</th>
              <th>Supervised by</th>
              <th>Instrument</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.key">
              <td>
                <b class="mono">{{ row.bay }}</b>
              </td>
              <td>{{ row.names }}</td>
              <td>{{ row.code }} {{ row.title }}</td>
              <td class="mono">{{ row.design }}</td>
              <td class="mono">{{ row.start }}</td>
              <td class="mono">{{ row.live }}</td>
              <td class="mono">{{ row.end }}</td>
              <td>{{ row.assessor }}</td>
              <td>{{ row.instrument }}</td>
            </tr>
          </tbody>
        </table>
        <p class="caution">
          A plan is no permission: nothing is energised before an assessor has looked and permits by name.
        </p>
      </article>
      <ServerProblem v-if="storesProblem" :problem="storesProblem" @retry="askStores" />
      <article v-if="lists.length" class="sheet next">
        <h2>Laid out for each bay</h2>
        <p class="soft small">Not for apprentices: it follows from the answers.</p>
        <table class="grid-table">
          <tbody>
            <tr v-for="{ row, bay } in lists" :key="row.key">
              <td>
                <b class="mono">{{ row.bay }}</b>
              </td>
              <td>{{ row.names }}</td>
              <td>
                <p v-for="cable in bay.materials.cables" :key="cable.circuit">
                  {{ cable.lengthM }} m {{ cableWords(cable) }}
                </p>
              </td>
              <td>
                <p v-for="(device, i) in bay.materials.devices" :key="i">{{ deviceWords(device) }}</p>
              </td>
            </tr>
          </tbody>
        </table>
      </article>
    </template>
  </div>
</template>

<style scoped>
.bar {
  margin-bottom: 14px;
}
.next {
  break-before: page;
}
tr {
  break-inside: avoid;
}
</style>

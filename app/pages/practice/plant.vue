<script setup lang="ts">
import type { FaultFindingHome, PlantBay, PlantPreviewView } from '#schemas/fault-finding-views'

/**
 * Planting faults: chosen by what they teach, computed before anybody looks for them, set for apprentices in
 * the virtual or a real bay.
 */
definePageMeta({ roles: ['instructor', 'assessor'] })
const { call } = useApi()
const { data: home, problem, refresh } = useServer<FaultFindingHome>(() => 'hunts')
const { data: people } = usePeople()
const bayCode = ref('ring')
const { data: bay } = useServer<PlantBay>(() => `plants/${bayCode.value}`)
const aimCode = ref('open')
const chosen = ref<{ code: string; place: string }[]>([])
const preview = shallowRef<PlantPreviewView | null>(null)
const isComputing = ref(false)
watch(bayCode, () => {
  chosen.value = []
  preview.value = null
})

const faults = computed(() => bay.value?.aims.find(({ code }) => code === aimCode.value)?.faults ?? [])
const is = (fault: { code: string; place: string }) =>
  chosen.value.some(({ code, place }) => code === fault.code && place === fault.place)
const all = computed(() => (bay.value?.aims ?? []).flatMap(({ faults: own }) => own))
const nameOf = (fault: { code: string; place: string }) => {
  const planted = all.value.find(({ code, place }) => code === fault.code && place === fault.place)
  return planted ? `${planted.name}, ${planted.where}` : fault.code
}
async function toggle(fault: { code: string; place: string }) {
  chosen.value = is(fault)
    ? chosen.value.filter((candidate) => !(candidate.code === fault.code && candidate.place === fault.place))
    : [...chosen.value, { code: fault.code, place: fault.place }].slice(-3)
  preview.value = null
  if (chosen.value.length === 0) return
  isComputing.value = true
  preview.value = await call<PlantPreviewView>('POST', 'plants/preview', {
    bay: bayCode.value,
    faults: chosen.value,
  }).catch((error) => (showProblem(error), null))
  isComputing.value = false
}
const TELL = {
  easy: 'Easy: several readings point at it.',
  fair: 'Fair: the tests leave a few causes.',
  hard: 'Hard: several causes read alike; it takes the right next test.',
  'not by tests': 'No test of this bay shows it: for the eye only.',
}
const cohorts = computed(() => [
  ...new Set((people.value ?? []).filter(({ role }) => role === 'apprentice').map(({ cohort }) => cohort)),
])
const who = ref<number[]>([])
const apprentices = computed(() => (people.value ?? []).filter(({ role }) => role === 'apprentice'))
const addGroup = (cohort: string) =>
  (who.value = [
    ...new Set([
      ...who.value,
      ...apprentices.value.filter((apprentice) => apprentice.cohort === cohort).map(({ id }) => id),
    ]),
  ])
const where = ref<'virtual' | 'bay'>('virtual')
const bayNumber = ref<number | null>(null)
async function set() {
  try {
    const { set: count } = await call<{ set: number }>('POST', 'plants', {
      bay: bayCode.value,
      faults: chosen.value,
      people: who.value,
      place: where.value,
      bayNumber: where.value === 'bay' ? bayNumber.value : null,
    })
    ElMessage({ type: 'success', message: `Set for ${count}. They find it under Practice.`, showClose: true })
    chosen.value = []
    preview.value = null
    who.value = []
    await refresh()
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div class="page stack">
    <div>
      <h1>Plant a fault</h1>
      <p class="soft">
        Computed before anybody looks for it: what it shows, and whether the tests at hand tell it from
        others.
      </p>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div class="columns">
      <section aria-label="Faults">
        <div class="row">
          <el-select v-model="bayCode" aria-label="Bay" style="width: 320px"
            ><el-option v-for="rig in home?.bays ?? []" :key="rig.code" :value="rig.code" :label="rig.title"
          /></el-select>
        </div>
        <div class="aims" role="tablist" aria-label="Aims">
          <button
            v-for="aim in bay?.aims ?? []"
            :key="aim.code"
            type="button"
            role="tab"
            :aria-selected="aimCode === aim.code"
            :class="{ on: aimCode === aim.code }"
            @click="aimCode = aim.code"
          >
            {{ aim.name }}
          </button>
        </div>
        <div class="faults" tabindex="0" role="region" aria-label="Faults of this aim">
          <label v-for="fault in faults" :key="fault.code + fault.place" :class="{ on: is(fault) }"
            ><input type="checkbox" :checked="is(fault)" @change="toggle(fault)" /> <b>{{ fault.name }}</b>
            {{ fault.where }}</label
          >
        </div>
      </section>
      <section aria-label="What it shows" class="shows">
        <h2>What it shows</h2>
        <p v-if="chosen.length === 0" class="soft">Choose one fault, or two or three at once.</p>
        <p v-for="fault in chosen" :key="fault.code + fault.place">
          <b>{{ nameOf(fault) }}</b>
        </p>
        <div v-if="isComputing" class="skeleton" style="height: 120px" />
        <template v-else-if="preview">
          <p
            class="stitched"
            :class="preview.difficulty === 'not by tests' ? 'stop' : 'waiting'"
            data-testid="difficulty"
          >
            {{ TELL[preview.difficulty] }}{{ ' '
            }}<template v-if="preview.alike"
              >{{ preview.alike }} other
              {{ preview.alike === 1 ? 'cause or place reads' : 'causes or places read' }} about
              alike.</template
            >
          </p>
          <p v-for="line in preview.symptoms" :key="line">{{ line }}</p>
          <p v-if="preview.symptoms.length === 0" class="soft">
            Energised in order, everything works: only tests show it.
          </p>
          <table>
            <thead>
              <tr>
                <th>Reading</th>
                <th class="num">sound</th>
                <th class="num">with it</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="reading in preview.readings.slice(0, 12)" :key="reading.name">
                <td>{{ reading.name }}</td>
                <td class="num mono">{{ reading.sound }}</td>
                <td class="num mono">
                  <b>{{ reading.faulty }}</b>
                </td>
              </tr>
            </tbody>
          </table>
          <p v-if="preview.readings.length > 12" class="soft small">
            and {{ preview.readings.length - 12 }} more
          </p>
        </template>
      </section>
      <section aria-label="Set it" class="set">
        <h2>Set it</h2>
        <el-radio-group v-model="where" aria-label="Where"
          ><el-radio-button value="virtual">Virtual bay</el-radio-button
          ><el-radio-button value="bay">Real bay</el-radio-button></el-radio-group
        >
        <label v-if="where === 'bay'" class="field"
          ><span>Bay</span><el-input-number v-model="bayNumber" :min="1" :max="99" aria-label="Bay number"
        /></label>
        <p v-if="where === 'bay'" class="caution">
          Put it in with the bay isolated, and only what cannot hurt: no fault that makes metal live, unless
          the centre’s rules and supervision allow it.
        </p>
        <el-select
          v-model="who"
          multiple
          filterable
          collapse-tags
          :max-collapse-tags="2"
          placeholder="For whom"
          aria-label="For whom"
          style="width: 100%"
          data-testid="plant-who"
          ><el-option
            v-for="apprentice in apprentices"
            :key="apprentice.id"
            :value="apprentice.id"
            :label="`${apprentice.name}, ${apprentice.cohort}`"
        /></el-select>
        <div class="row">
          <el-button v-for="cohort in cohorts" :key="cohort" size="small" @click="addGroup(cohort)"
            >+ {{ cohort }}</el-button
          >
        </div>
        <el-button
          type="primary"
          :disabled="chosen.length === 0 || who.length === 0"
          data-testid="plant"
          @click="set"
          >Set for {{ who.length || '…' }}</el-button
        >
        <h2>Set before</h2>
        <p v-if="(home?.set ?? []).length === 0" class="soft">Nothing yet.</p>
        <p v-for="search in home?.set ?? []" :key="search.id">
          <NuxtLink :to="`/practice/faults/${search.id}`">{{ search.name }}</NuxtLink>
          <span class="tag" :class="search.met ? 'met' : 'plain'">{{
            search.isDone ? (search.met ? 'found' : 'not yet') : 'open'
          }}</span>
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) 300px;
  gap: 24px;
  align-items: start;
}
section {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.aims {
  display: flex;
  flex-wrap: wrap;
  gap: 4px;
}
.aims button {
  all: unset;
  cursor: pointer;
  padding: 8px 12px;
  font-weight: 600;
  font-size: 14.5px;
  border-bottom: 3px solid transparent;
}
.aims .on {
  border-bottom-color: var(--indigo);
  color: var(--indigo-text);
}
.aims button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.faults {
  max-height: 480px;
  overflow: auto;
  border: 1px solid var(--hem);
  background: var(--panel);
}
.faults label {
  display: block;
  padding: 9px 12px;
  border-bottom: 1px solid var(--hem);
  line-height: 1.3;
  cursor: pointer;
  font-size: 14.5px;
}
.faults .on {
  background: var(--indigo-wash);
}
table {
  border-collapse: collapse;
  width: 100%;
}
th,
td {
  text-align: left;
  padding: 4px 8px 4px 0;
  border-bottom: 1px solid var(--hem);
  font-size: 14.5px;
}
.num {
  text-align: right;
}
.field {
  display: grid;
  gap: 3px;
}
@media (max-width: 1100px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>

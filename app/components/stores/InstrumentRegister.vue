<script setup lang="ts">
import { inOrder } from '#core/in-order'
import { INSTRUMENT_KINDS, type InstrumentView } from '#schemas/schedule-views'

/** Test instruments and the day until which each calibration holds; overdue ones first. */
const { call } = useApi()
const { data, problem, refresh } = useServer<InstrumentView[]>(() => 'instruments')
const today = new Date().toISOString().slice(0, 10)
const soon = new Date(Date.now() + 30 * 86_400_000).toISOString().slice(0, 10)
const rows = computed(() => [...(data.value ?? [])].sort((a, b) => inOrder(a.dueOn, b.dueOn)))
function stateOf({ dueOn }: InstrumentView): 'overdue' | 'soon due' | 'in calibration' {
  if (dueOn < today) return 'overdue'
  return dueOn < soon ? 'soon due' : 'in calibration'
}

const blank = () => ({
  name: '',
  serial: '',
  kind: 'multifunction',
  doneOn: today,
  dueOn: '',
  certificate: '',
})
const form = reactive(blank())
const isOpen = ref(false)
const calibrating = ref<InstrumentView | null>(null)
const newDates = () => ({ doneOn: today, dueOn: '', certificate: '' })
const dates = reactive(newDates())

async function act(run: () => Promise<InstrumentView[]>): Promise<boolean> {
  try {
    data.value = await run()
    return true
  } catch (error) {
    showProblem(error)
    return false
  }
}
async function add() {
  if (await act(() => call('POST', 'instruments', { ...form }))) {
    Object.assign(form, blank())
    isOpen.value = false
  }
}
async function calibrate() {
  if (await act(() => call('POST', `instruments/${calibrating.value!.id}/calibration`, { ...dates }))) {
    calibrating.value = null
    Object.assign(dates, newDates())
  }
}
async function retire(one: InstrumentView) {
  const text = `Take ${one.name} out of the register? What was measured with it stays.`
  if (await isSure(text, 'Out of use', { yes: 'Take it out', no: 'Keep it' }))
    await act(() => call('DELETE', `instruments/${one.id}`))
}
</script>

<template>
  <section class="sheet" aria-label="Test instruments">
    <div class="row spread">
      <h2>Test instruments</h2>
      <el-button class="screen-only" @click="isOpen = true">Add an instrument</el-button>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <p v-else-if="rows.length === 0" class="soft">
      No instrument yet. Add the first one with the dates of its calibration; then it can be chosen at the
      bay.
    </p>
    <table v-else class="grid-table">
      <thead>
        <tr>
          <th>Name</th>
          <th>Serial</th>
          <th>Kind</th>
          <th>Calibrated</th>
          <th>Until</th>
          <th>Certificate</th>
          <th />
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">{{ row.name }}</th>
          <td class="mono">{{ row.serial }}</td>
          <td>{{ row.kind }}</td>
          <td class="mono">{{ date(row.doneOn) }}</td>
          <td class="mono">{{ date(row.dueOn) }}</td>
          <td class="mono">{{ row.certificate || 'none noted' }}</td>
          <td>
            <span
              class="tag"
              :class="stateOf(row) === 'overdue' ? 'stop' : stateOf(row) === 'soon due' ? 'waiting' : 'met'"
              >{{ stateOf(row) }}</span
            >
          </td>
          <td class="screen-only">
            <el-button size="small" @click="calibrating = row">Calibrated…</el-button
            ><el-button size="small" text @click="retire(row)">Out of use</el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <el-dialog v-model="isOpen" title="A test instrument" width="460px">
      <form class="stack" @submit.prevent="add">
        <label class="field"
          ><span>Name, as it stands on its label</span
          ><el-input v-model="form.name" name="name" maxlength="40" required
        /></label>
        <label class="field"
          ><span>Serial number</span><el-input v-model="form.serial" name="serial" maxlength="40" required
        /></label>
        <label class="field"
          ><span>Kind</span
          ><el-select v-model="form.kind" aria-label="Kind"
            ><el-option v-for="kind in INSTRUMENT_KINDS" :key="kind" :value="kind" :label="kind" /></el-select
        ></label>
        <div class="row">
          <label class="field"
            ><span>Calibrated on</span><DayPicker v-model="form.doneOn" label="Calibrated on" /></label
          ><label class="field"
            ><span>Holds until</span><DayPicker v-model="form.dueOn" label="Holds until" name="dueOn"
          /></label>
        </div>
        <label class="field"
          ><span>Certificate number</span
          ><el-input v-model="form.certificate" name="certificate" maxlength="60" required
        /></label>
        <div class="row">
          <el-button type="primary" native-type="submit">Add it</el-button
          ><el-button @click="isOpen = false">Back</el-button>
        </div>
      </form>
    </el-dialog>
    <el-dialog
      :model-value="calibrating !== null"
      :title="`${calibrating?.name}: calibrated again`"
      width="420px"
      @close="calibrating = null"
    >
      <form class="stack" @submit.prevent="calibrate">
        <div class="row">
          <label class="field"
            ><span>Calibrated on</span><DayPicker v-model="dates.doneOn" label="Calibrated on" /></label
          ><label class="field"
            ><span>Holds until</span><DayPicker v-model="dates.dueOn" label="Holds until"
          /></label>
        </div>
        <label class="field"
          ><span>Certificate number</span
          ><el-input v-model="dates.certificate" name="new-certificate" maxlength="60" required
        /></label>
        <el-button type="primary" native-type="submit">Note it</el-button>
      </form>
    </el-dialog>
  </section>
</template>

<style scoped>
.field {
  display: grid;
  gap: 3px;
}
</style>

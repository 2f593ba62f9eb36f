<script setup lang="ts">
import type { PermitView, RegisterView } from '#schemas/isolation-views'

/** Permits to work: what, where, until when, signed by both sides, handed back. */
const props = defineProps<{ register: RegisterView }>()
const emit = defineEmits<{ changed: [] }>()
const { call } = useApi()
const adding = ref(false)
const returning = ref<PermitView | null>(null)
const pin = ref('')
const HOURS = 2
const local = (date: Date) =>
  new Date(date.getTime() - date.getTimezoneOffset() * 60_000).toISOString().slice(0, 16)
const form = reactive({
  holderId: null as number | null,
  bay: 1,
  scope: '',
  fromAt: '',
  untilAt: '',
  siteName: '',
})
const isComplete = computed(
  () =>
    form.holderId !== null &&
    form.scope.trim() !== '' &&
    form.siteName.trim() !== '' &&
    pin.value.length >= 4,
)
function open() {
  const now = new Date()
  Object.assign(form, {
    scope: '',
    siteName: '',
    fromAt: local(now),
    untilAt: local(new Date(now.getTime() + HOURS * 3_600_000)),
  })
  pin.value = ''
  adding.value = true
}
async function run(work: () => Promise<unknown>) {
  try {
    await work()
    emit('changed')
    adding.value = false
    returning.value = null
  } catch (error) {
    showProblem(error)
  }
}
const iso = (text: string) => new Date(text).toISOString()
const issue = () =>
  run(() =>
    call('POST', 'register/permits', {
      ...form,
      fromAt: iso(form.fromAt),
      untilAt: iso(form.untilAt),
      pin: pin.value,
    }),
  )
const back = () =>
  run(() => call('POST', `register/permits/${returning.value!.id}/return`, { pin: pin.value }))
const isLate = (permit: PermitView) => permit.returnedAt === null && Date.parse(permit.untilAt) < Date.now()
</script>

<template>
  <section class="stack">
    <div class="row spread">
      <h2>Permits to work</h2>
      <el-button :disabled="!props.register.hasPin" @click="open">Issue a permit</el-button>
    </div>
    <p v-if="!register.hasPin" class="soft small">
      You sign with a PIN. Choose yours under <NuxtLink to="/password">Password</NuxtLink>.
    </p>
    <p v-if="register.permits.length === 0" class="soft">
      None yet. Sites that ask for one get it here, before anything is switched.
    </p>
    <table v-else class="grid-table" data-testid="permits">
      <tbody>
        <tr v-for="permit in register.permits" :key="permit.id">
          <td>
            <b>Bay {{ permit.bay }}</b> {{ permit.scope }}<br /><span class="soft small"
              >{{ permit.holder }} · {{ dayTime(permit.fromAt) }} to {{ dayTime(permit.untilAt) }} ·
              {{ permit.issuedBy }} and {{ permit.siteName }}</span
            >
          </td>
          <td class="num">
            <span v-if="permit.returnedAt" class="tag met">back {{ dayTime(permit.returnedAt) }}</span
            ><template v-else
              ><span v-if="isLate(permit)" class="tag stop">over time</span>
              <el-button
                @click="
                  () => {
                    pin = ''
                    returning = permit
                  }
                "
                >Hand back</el-button
              ></template
            >
          </td>
        </tr>
      </tbody>
    </table>
    <el-dialog v-model="adding" title="Permit to work" width="520px">
      <form class="stack" @submit.prevent="issue">
        <label class="field"
          ><span>For</span
          ><el-select v-model="form.holderId" filterable placeholder="Apprentice" aria-label="For"
            ><el-option
              v-for="apprentice in register.apprentices"
              :key="apprentice.id"
              :value="apprentice.id"
              :label="`${apprentice.name}, ${apprentice.number}`" /></el-select
        ></label>
        <div class="row">
          <label class="field"
            ><span>Bay</span><el-input-number v-model="form.bay" :min="1" :max="99" aria-label="Bay"
          /></label>
        </div>
        <label class="field"
          ><span>What may be done, and what must stay on</span
          ><el-input v-model="form.scope" type="textarea" maxlength="300" name="scope"
        /></label>
        <div class="row">
          <label class="field"
            ><span>From</span
            ><el-date-picker
              v-model="form.fromAt"
              type="datetime"
              format="DD/MM/YYYY HH:mm"
              value-format="YYYY-MM-DDTHH:mm"
              :clearable="false"
              name="fromAt"
              aria-label="From"
              style="width: 210px" /></label
          ><label class="field"
            ><span>Until</span
            ><el-date-picker
              v-model="form.untilAt"
              type="datetime"
              format="DD/MM/YYYY HH:mm"
              value-format="YYYY-MM-DDTHH:mm"
              :clearable="false"
              name="untilAt"
              aria-label="Until"
              style="width: 210px"
          /></label>
        </div>
        <label class="field"
          ><span>For the site: name, typed</span
          ><el-input v-model="form.siteName" maxlength="80" name="siteName"
        /></label>
        <label class="field"
          ><span>For the electrical side: your PIN</span
          ><el-input
            v-model="pin"
            type="password"
            inputmode="numeric"
            maxlength="8"
            name="permit-pin"
            autocomplete="off"
            style="width: 140px"
        /></label>
        <p class="caution">
          A training record. Real sites have their own permits and rules, and those come first.
        </p>
        <div class="row">
          <el-button type="primary" native-type="submit" :disabled="!isComplete">Issue</el-button
          ><el-button @click="adding = false">Back</el-button>
        </div>
      </form>
    </el-dialog>
    <el-dialog
      :model-value="returning !== null"
      title="The permit comes back"
      width="420px"
      @close="returning = null"
    >
      <form class="stack" @submit.prevent="back">
        <p>{{ returning?.holder }}, bay {{ returning?.bay }}: the work is over, locks are off.</p>
        <label class="field"
          ><span>Your PIN</span
          ><el-input
            v-model="pin"
            type="password"
            inputmode="numeric"
            maxlength="8"
            name="return-pin"
            autocomplete="off"
            style="width: 140px"
        /></label>
        <div class="row">
          <el-button type="primary" native-type="submit" :disabled="pin.length < 4">Sign it back</el-button>
        </div>
      </form>
    </el-dialog>
  </section>
</template>

<style scoped></style>

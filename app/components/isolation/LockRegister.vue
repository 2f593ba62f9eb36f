<script setup lang="ts">
import type { LockView, RegisterView } from '#schemas/isolation-views'

/** Who holds which padlock on which bay, now. */
const props = defineProps<{ register: RegisterView }>()
const emit = defineEmits<{ changed: [] }>()
const { call } = useApi()
const adding = ref(false)
const form = reactive({ personId: null as number | null, bay: 1, device: '', padlock: '', reason: '' })
const isComplete = computed(
  () =>
    form.personId !== null &&
    form.device.trim() !== '' &&
    form.padlock.trim() !== '' &&
    form.reason.trim() !== '',
)

async function run(work: () => Promise<unknown>) {
  try {
    await work()
    emit('changed')
    return true
  } catch (error) {
    showProblem(error)
    return false
  }
}
async function put() {
  if (await run(() => call('POST', 'register/locks', form))) {
    adding.value = false
    Object.assign(form, { device: '', padlock: '', reason: '' })
  }
}
const off = (lock: LockView) => run(() => call('POST', `register/locks/${lock.id}/off`, {}))
</script>

<template>
  <section class="stack">
    <div class="row spread">
      <h2>Padlocks on</h2>
      <el-button @click="adding = true">Write a lock on</el-button>
    </div>
    <p v-if="props.register.locks.length === 0" class="soft">No padlock is on any bay.</p>
    <table v-else class="grid-table" data-testid="locks">
      <tbody>
        <tr v-for="lock in register.locks" :key="lock.id">
          <td>
            <b class="mono">{{ lock.padlock }}</b>
          </td>
          <td>
            <b>Bay {{ lock.bay }}</b
            >, {{ lock.device }}<br /><span class="soft small"
              >{{ lock.name }}, {{ lock.reason }}, since {{ dayTime(lock.onAt) }}</span
            >
          </td>
          <td class="num">
            <NuxtLink :to="`/isolation/tag?lock=${lock.id}`" class="print">Tag</NuxtLink>
            <el-button @click="off(lock)">Off</el-button>
          </td>
        </tr>
      </tbody>
    </table>
    <el-dialog v-model="adding" title="A padlock goes on" width="460px">
      <form class="stack" @submit.prevent="put">
        <label class="field"
          ><span>Whose</span
          ><el-select v-model="form.personId" filterable placeholder="Apprentice" aria-label="Whose"
            ><el-option
              v-for="apprentice in register.apprentices"
              :key="apprentice.id"
              :value="apprentice.id"
              :label="`${apprentice.name}, ${apprentice.number}`" /></el-select
        ></label>
        <div class="row">
          <label class="field"
            ><span>Bay</span><el-input-number v-model="form.bay" :min="1" :max="99" aria-label="Bay" /></label
          ><label class="field"
            ><span>Padlock</span
            ><el-input v-model="form.padlock" maxlength="20" name="padlock" style="width: 130px"
          /></label>
        </div>
        <label class="field"
          ><span>Device</span
          ><el-input v-model="form.device" maxlength="60" name="device" placeholder="Way 1"
        /></label>
        <label class="field"
          ><span>Reason</span
          ><el-input
            v-model="form.reason"
            maxlength="160"
            name="lock-reason"
            placeholder="Replacing a socket"
        /></label>
        <div class="row">
          <el-button type="primary" native-type="submit" :disabled="!isComplete">Write it on</el-button
          ><el-button @click="adding = false">Back</el-button>
        </div>
      </form>
    </el-dialog>
  </section>
</template>

<style scoped>
.print {
  margin-right: 10px;
}
</style>

<script setup lang="ts">
import type { RosterPreview } from '#core/exercise/roster'
import { ROSTER_PROBLEM } from '#words/roster'
import type { SignInSlip } from '#schemas/views'

const emit = defineEmits<{ imported: [slips: readonly SignInSlip[]]; close: [] }>()
const { call } = useApi()
const input = ref<HTMLInputElement>()
const fileName = ref('')
const fileBase64 = ref('')
const preview = ref<RosterPreview | null>(null)
const refusal = ref('')
const wasCancelled = ref(false)
const TOO_LATE =
  'It was too late to cancel: these people have been imported. Their first passwords were not shown: ' +
  'choose New password for each under Change…'
const importing = useLongCall()

/** Bytes as they are, so that the server can judge the encoding. */
async function toBase64(file: File): Promise<string> {
  const bytes = new Uint8Array(await file.arrayBuffer())
  let binary = ''
  for (const byte of bytes) binary += String.fromCharCode(byte)
  return btoa(binary)
}

async function choose(event: Event) {
  const file = (event.target as HTMLInputElement).files?.[0]
  if (!file) return
  refusal.value = ''
  wasCancelled.value = false
  preview.value = null
  fileName.value = file.name
  if (file.size > 1_000_000)
    return void (refusal.value =
      'The file is larger than 1 MB. A roster is a few kilobytes: check that it is the right file.')
  if (file.size === 0) return void (refusal.value = 'The file is empty.')
  try {
    fileBase64.value = await toBase64(file)
    preview.value = await call<RosterPreview>('POST', 'roster/preview', { fileBase64: fileBase64.value })
  } catch (error) {
    refusal.value = (error as ApiProblem).message
  } finally {
    if (input.value) input.value.value = ''
  }
}

async function take() {
  wasCancelled.value = false
  try {
    const slips = await importing.run<SignInSlip[]>('POST', 'roster', { fileBase64: fileBase64.value })
    if (slips) return emit('imported', slips)
    // Cancelled in the moment in which they came in, they are in: the same file would be refused by now.
    const again = await call<RosterPreview>('POST', 'roster/preview', { fileBase64: fileBase64.value })
    if (again.bad.length === 0) wasCancelled.value = true
    else refusal.value = TOO_LATE
  } catch (error) {
    refusal.value = (error as ApiProblem).message
  }
}
</script>

<template>
  <section class="stitched stack">
    <div class="row spread">
      <h2>Import a roster</h2>
      <el-button text @click="emit('close')">Close</el-button>
    </div>
    <p class="soft">
      CSV in UTF-8 with the columns <span class="mono">number, name, group</span> and, if you like,
      <span class="mono">role</span>. All rows are taken, or none.
    </p>
    <div class="row">
      <input
        ref="input"
        type="file"
        accept=".csv,.zip,text/csv"
        class="visually-hidden"
        aria-label="Roster file"
        @change="choose"
      />
      <el-button @click="input?.click()">Choose a file</el-button>
      <span v-if="fileName" class="mono">{{ fileName }}</span>
    </div>
    <p v-if="refusal" class="caution" role="alert">{{ refusal }}</p>
    <template v-if="preview">
      <p data-testid="roster-counts">
        <b>{{ preview.good.length }}</b> {{ preview.good.length === 1 ? 'row can' : 'rows can' }} be
        taken<template v-if="preview.bad.length"
          >, <b class="caution">{{ preview.bad.length }}</b> cannot</template
        >.
      </p>
      <table v-if="preview.bad.length" class="grid-table bad">
        <thead>
          <tr>
            <th>Line</th>
            <th>Number</th>
            <th>Name</th>
            <th>Group</th>
            <th>What to correct</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in preview.bad" :key="row.line">
            <td class="mono">{{ row.line }}</td>
            <td class="mono">{{ row.cells.number }}</td>
            <td>{{ row.cells.name }}</td>
            <td>{{ row.cells.cohort }}</td>
            <td class="caution">{{ row.problems.map((problem) => ROSTER_PROBLEM[problem]).join(' ') }}</td>
          </tr>
        </tbody>
      </table>
      <table v-if="preview.good.length" class="grid-table">
        <thead>
          <tr>
            <th>Number</th>
            <th>Name</th>
            <th>Group</th>
            <th>Role</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in preview.good" :key="person.number">
            <td class="mono">{{ person.number }}</td>
            <td>{{ person.name }}</td>
            <td>{{ person.cohort }}</td>
            <td>{{ person.role }}</td>
          </tr>
        </tbody>
      </table>
      <div class="row">
        <el-button
          type="primary"
          :disabled="preview.bad.length > 0"
          :loading="importing.isRunning.value"
          @click="take"
          >Import
          {{ preview.good.length === 1 ? 'this row' : `these ${preview.good.length} rows` }}</el-button
        >
        <LongCall
          v-if="importing.isRunning.value"
          said="First passwords are being made"
          :percent="importing.percent.value"
          @cancel="importing.cancel"
        />
        <span v-else-if="wasCancelled" class="soft" role="status">Cancelled. Nobody has been imported.</span>
        <span v-if="preview.bad.length" class="soft"
          >Correct the rows above in your file and choose it again. Nothing has been imported.</span
        >
      </div>
    </template>
  </section>
</template>

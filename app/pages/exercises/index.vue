<script setup lang="ts">
import type { TaskKind } from '#core/exercise/exercise'
import type { ExerciseListItem, StoredExercise } from '#schemas/views'
import { samplesTaken } from '#words/first-steps'
import { KIND_NAME } from '#words/names'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'technician', 'verifier'] })
const session = useSession()
const { call } = useApi()
const { data, problem, refresh } = useExercises()
const mayChange = computed(() => session.person?.role === 'instructor')
const file = ref<HTMLInputElement>()
const refusal = ref<ApiProblem | null>(null)

const steps = useTemplateRef('steps')
async function takeSamples() {
  try {
    const taken = await call<StoredExercise[]>('POST', 'exercises/samples')
    ElMessage({ type: 'success', message: samplesTaken(taken.length), showClose: true })
    await Promise.all([refresh(), steps.value?.refresh()])
  } catch (error) {
    showProblem(error)
  }
}

async function importFile(event: Event) {
  const input = event.target as HTMLInputElement
  const chosen = input.files?.[0]
  if (!chosen) return
  refusal.value = null
  try {
    const stored = await call<StoredExercise>('POST', 'exercises/import', { text: await chosen.text() })
    await navigateTo(`/exercises/${stored.id}`)
  } catch (error) {
    refusal.value = error as ApiProblem
  } finally {
    input.value = ''
  }
}
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Exercises</h1>
        <p class="soft">From one circuit to a whole board, worked out while you write it.</p>
      </div>
      <div v-if="mayChange" class="row">
        <input
          ref="file"
          type="file"
          accept=".json,application/json"
          class="visually-hidden"
          aria-label="Exercise file"
          @change="importFile"
        />
        <el-button @click="file?.click()">Import a file</el-button>
        <el-button type="primary" @click="navigateTo('/exercises/new')">New exercise</el-button>
      </div>
    </div>
    <FirstSteps v-if="mayChange" ref="steps" @samples="takeSamples" />
    <div v-if="refusal" class="stitched stop" role="alert" data-testid="import-refused">
      <b>{{ refusal.message }}</b>
      <ul v-if="refusal.fields.length">
        <li v-for="field in refusal.fields" :key="field.field + field.message">
          <span class="mono">{{ field.field || 'the file' }}</span> {{ field.message }}
        </li>
      </ul>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack">
      <div v-for="i in 4" :key="i" class="skeleton" style="height: 42px" />
    </div>
    <div v-else-if="data.length === 0" class="empty">
      <h2>No exercise yet</h2>
      <p>
        {{
          mayChange
            ? 'Take the sample exercises, write one of your own, or import a file from another centre.'
            : 'An instructor writes the first one.'
        }}
      </p>
    </div>
    <el-table
      v-else
      :data="data"
      row-key="id"
      @row-click="(row: ExerciseListItem) => navigateTo(`/exercises/${row.id}`)"
    >
      <el-table-column label="Code" width="90"
        ><template #default="{ row }"
          ><b class="mono">{{ row.code }}</b></template
        ></el-table-column
      >
      <el-table-column label="Exercise" min-width="220"
        ><template #default="{ row }"
          ><NuxtLink :to="`/exercises/${row.id}`"
            ><b>{{ row.title }}</b></NuxtLink
          ></template
        ></el-table-column
      >
      <el-table-column label="Kind" width="130"
        ><template #default="{ row }">{{ KIND_NAME[row.kind as TaskKind] }}</template></el-table-column
      >
      <el-table-column label="Circuits" min-width="380"
        ><template #default="{ row }"
          ><span class="soft">{{
            row.circuits.length === 1
              ? circuitLine(row.circuits[0])
              : row.circuits.map(({ name }: { name: string }) => name).join(' · ')
          }}</span></template
        ></el-table-column
      >
      <el-table-column label="Given to" width="100"
        ><template #default="{ row }">{{ row.attempts || '–' }}</template></el-table-column
      >
      <el-table-column label="State" width="110"
        ><template #default="{ row }"
          ><span class="tag" :class="row.state === 'set' ? 'met' : 'plain'">{{ row.state }}</span></template
        ></el-table-column
      >
    </el-table>
  </div>
</template>

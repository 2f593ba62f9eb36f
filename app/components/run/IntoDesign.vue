<script setup lang="ts">
import type { RunSheet } from '#core/containment/form'
import { routeOf } from '#core/containment/route'
import { isInContainment } from '#core/containment/from-circuit'
import type { StoredExercise } from '#schemas/views'

/**
 * Gives the route of a run to a circuit of a draft: length, the worst section between draw points, and how
 * many circuits share it, which the design groups by.
 */
const props = defineProps<{ sheet: RunSheet }>()
const { call } = useApi()
const { data: exercises } = useExercises()
const route = computed(() => routeOf(props.sheet.run))
const targets = computed(() =>
  (exercises.value ?? [])
    .filter(({ state }) => state === 'draft')
    .flatMap(({ id, code, circuits }) =>
      circuits
        .filter(isInContainment)
        .map((circuit) => ({
          key: `${id} ${circuit.id}`,
          id,
          circuit: circuit.id,
          words: `${code} ${circuit.name}`,
        })),
    ),
)
const target = ref('')
const circuits = ref(1)
async function give() {
  const to = targets.value.find(({ key }) => key === target.value)
  if (!to) return
  try {
    const { exercise, version } = await call<StoredExercise>('GET', `exercises/${to.id}`)
    const changed = exercise.installation.circuits.map((circuit) =>
      circuit.id === to.circuit
        ? {
            ...circuit,
            lengthM: route.value.lengthM,
            run: { betweenBoxesM: route.value.betweenBoxesM, bends: route.value.bends },
            grouping: { ...circuit.grouping, circuits: circuits.value },
          }
        : circuit,
    )
    await call('PUT', `exercises/${to.id}`, {
      version,
      exercise: { ...exercise, installation: { ...exercise.installation, circuits: changed } },
    })
    ElMessage({
      type: 'success',
      message: 'Length, draw points, bends and grouping are in the draft. Its design follows.',
      showClose: true,
    })
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div class="into">
    <h3>Into the design</h3>
    <p>
      This route: <b class="mono">{{ route.lengthM }} m</b>, at most
      <b class="mono">{{ route.betweenBoxesM }} m</b> with <b class="mono">{{ route.bends }}</b> right angles
      between draw points.
    </p>
    <p v-if="targets.length === 0" class="soft">
      No draft has a circuit in conduit or trunking. Duplicate an exercise first.
    </p>
    <div v-else class="row">
      <el-select
        v-model="target"
        placeholder="Circuit of a draft"
        aria-label="Circuit of a draft"
        style="width: 280px"
        data-testid="into-design"
        ><el-option
          v-for="circuit in targets"
          :key="circuit.key"
          :value="circuit.key"
          :label="circuit.words" /></el-select
      ><label
        >circuits together
        <el-input-number
          v-model="circuits"
          :min="1"
          :max="12"
          size="small"
          aria-label="Grouped circuits" /></label
      ><el-button :disabled="!target" @click="give">Give it this route</el-button>
    </div>
  </div>
</template>

<style scoped>
.into {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
label {
  color: var(--soft);
  font-size: 14px;
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>

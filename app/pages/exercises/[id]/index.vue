<script setup lang="ts">
import { FIELD_NAME } from '~/texts/builder'
import type { FormField } from '#core/exercise/form'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'technician'], key: (route) => String(route.params.id) })
const route = useRoute()
const session = useSession()
const id = route.params.id === 'new' ? null : Number(route.params.id)
const builder = useExerciseBuilder(id)
const { form, stored, centre, problem, read, design, advice, readings, variants, isBusy, isChanged } = builder
const mayChange = computed(() => session.person?.role === 'instructor')
const isSet = computed(() => stored.value?.state === 'set')
const setting = ref(false)
const { data: cohorts } = useServer<string[]>(() => (mayChange.value ? 'cohorts' : null))
const cohort = ref('')

const saveWords = computed(() => {
  if (isSet.value) return 'set: no longer changes'
  if (isChanged.value) return read.value.exercise ? 'changed, not saved yet' : 'some boxes need a look'
  return stored.value ? `saved by ${stored.value.updatedBy}, ${dayTime(stored.value.updatedAt)}` : 'new'
})

async function setIt() {
  const given = await builder.setFor(cohort.value)
  if (given === null) return
  setting.value = false
  ElMessage({ type: 'success', message: `${given} ${given === 1 ? 'apprentice has' : 'apprentices have'} the task now, each with their own length and load.` })
}

function duplicate() {
  sessionStorage.setItem('nakshi-duplicate', JSON.stringify({ ...form, code: '' }))
  void navigateTo('/exercises/new')
}

onMounted(async () => {
  await builder.load()
  const copy = id === null && sessionStorage.getItem('nakshi-duplicate')
  if (!copy) return
  sessionStorage.removeItem('nakshi-duplicate')
  Object.assign(form, JSON.parse(copy))
})
onBeforeRouteLeave(async (to) => {
  if (!isChanged.value || isSet.value || !mayChange.value || to.path.startsWith('/exercises/')) return true
  return ElMessageBox.confirm('This exercise has changes that are not saved.', 'Leave without saving?', { confirmButtonText: 'Leave', cancelButtonText: 'Stay' }).then(() => true, () => false)
})
const saveKey = (event: KeyboardEvent) => {
  if ((event.ctrlKey || event.metaKey) && event.key === 's') {
    event.preventDefault()
    if (mayChange.value && !isSet.value) void builder.save()
  }
}
const leaving = (event: BeforeUnloadEvent) => isChanged.value && mayChange.value && !isSet.value && event.preventDefault()
onMounted(() => {
  window.addEventListener('keydown', saveKey)
  window.addEventListener('beforeunload', leaving)
})
onBeforeUnmount(() => {
  window.removeEventListener('keydown', saveKey)
  window.removeEventListener('beforeunload', leaving)
})
</script>

<template>
  <div v-if="problem" class="page"><ServerProblem :problem="problem" @retry="builder.load" /></div>
  <div v-else class="builder">
    <section class="left">
      <div class="row spread">
        <h1>{{ form.title || 'New exercise' }}</h1>
        <span class="small soft" role="status" data-testid="builder-state">{{ saveWords }}</span>
      </div>
      <p v-if="isSet" class="stitched">This exercise is with apprentices and stays as it is. <el-button v-if="mayChange" link type="primary" @click="duplicate">Duplicate it</el-button> to vary it.</p>
      <ExerciseForm :form="form" :problems="read.problems" :framework="centre?.framework ?? null" :locked="isSet || !mayChange" @write="(field, text) => (form[field] = text)" />
      <div v-if="mayChange" class="row acts">
        <el-button v-if="!isSet" type="primary" :disabled="!read.exercise || (!isChanged && stored !== null)" :loading="isBusy" @click="builder.save">Save</el-button>
        <el-button v-if="stored" :disabled="!read.exercise || !design?.ok" @click="setting = true">Set for a group…</el-button>
        <NuxtLink v-if="isSet" :to="`/exercises/${id}/sheets`"><el-button>Task sheets</el-button></NuxtLink>
        <a v-if="stored" :href="`/api/exercises/${id}/export`" download><el-button text>Export</el-button></a>
        <a v-if="isSet" :href="`/api/exercises/${id}/results`" download><el-button text>Results</el-button></a>
      </div>
    </section>
    <section class="right" tabindex="0" aria-label="Reference design and variants">
      <ReferencePanel v-if="design" :design="design" :advice="advice" :readings="readings" />
      <p v-else class="empty">The reference design appears as soon as the boxes on the left can be read.</p>
      <VariantPreview v-if="variants" :result="variants" />
    </section>
    <ConflictChooser
      :conflicts="builder.conflicts.value" :name-of="(field) => FIELD_NAME[field as FormField]" title="Somebody else changed the same box" @choose="builder.choose"
    />
    <el-dialog v-model="setting" title="Set for a group" width="440px">
      <div class="stack">
        <p>Everybody in the group who does not have it yet gets a variant of their own and a bay number. After that the exercise no longer changes.</p>
        <el-select v-model="cohort" placeholder="Choose a group" aria-label="Group" data-testid="set-cohort">
          <el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name" />
        </el-select>
        <div class="row">
          <el-button type="primary" :disabled="!cohort" :loading="isBusy" @click="setIt">Set it</el-button>
          <el-button @click="setting = false">Back</el-button>
        </div>
      </div>
    </el-dialog>
  </div>
</template>

<style scoped>
.builder { display: grid; grid-template-columns: minmax(440px, 38%) 1fr; height: calc(100vh - 60px); }
.left { background: var(--panel); border-right: 1px solid var(--hem); padding: 16px 22px 0; overflow: auto; display: flex; flex-direction: column; gap: 12px; }
.right { padding: 16px 22px 30px; overflow: auto; display: flex; flex-direction: column; gap: 18px; }
.acts { position: sticky; bottom: 0; background: var(--panel); padding: 12px 0; border-top: 1.5px dashed var(--hem-strong); margin-top: auto; z-index: 2; }
@media (max-width: 1000px) { .builder { grid-template-columns: 1fr; height: auto; } }
</style>

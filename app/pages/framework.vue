<script setup lang="ts">
import { frameworkFaults } from '#core/assessment/outcomes/check-framework'
import { SEPARATE_RULES, type Framework } from '#core/assessment/outcomes/framework'
import type { FrameworkView } from '#schemas/evidence-views'
import { frameworkFaultSays, frameworkNoteSays } from '#words/evidence/framework'
import { SEPARATE_TEXT } from '#words/evidence/labels'
import { useFrameworkDraft } from '~/composables/useFrameworkDraft'

/** The unit framework as a tree: looked at by staff, changed by the administrator, put in force in one act. */
definePageMeta({ roles: ['administrator', 'instructor', 'assessor', 'verifier'] })
const { call } = useApi()
const { isBusy, act } = useAct()
const mayChange = useSession().person!.role === 'administrator'
const { data, problem, refresh } = useServer<FrameworkView>(() => 'centre/framework')
const work = useFrameworkDraft(() => data.value?.framework ?? null)
const { draft, isChanged } = work
const chosen = ref('')
const faults = computed(() =>
  draft.value ? frameworkFaults(draft.value as Framework).map(frameworkFaultSays) : [],
)
const at = computed(() => {
  const [kind, u, i] = chosen.value.split(' ')
  const unit = draft.value?.units[Number(u)]
  return {
    unit: kind === 'unit' ? unit : undefined,
    criterion: kind === 'criterion' ? unit?.criteria[Number(i)] : undefined,
    quota: kind === 'quota' ? unit?.quotas[Number(i)] : undefined,
  }
})
/** Criteria in use that the draft no longer has: each needs a word. */
const lost = computed(() => {
  const kept = new Set(draft.value?.units.flatMap(({ criteria }) => criteria.map(({ code }) => code)))
  return (data.value?.inUse ?? []).filter((code) => !kept.has(code))
})
const NOTHING = '-'
const mapping = reactive<Record<string, string>>({})
const codes = computed(
  () => draft.value?.units.flatMap(({ criteria }) => criteria.map(({ code }) => code)) ?? [],
)
const isMapped = computed(() => lost.value.every((code) => mapping[code]))
const refusal = ref<ApiProblem | null>(null)

const put = () =>
  act(async () => {
    refusal.value = null
    const mapped = lost.value.map((code) => [code, mapping[code] === NOTHING ? null : mapping[code]])
    data.value = await call<FrameworkView>('PUT', 'centre/framework', {
      seen: data.value!.seen,
      value: draft.value,
      mapping: Object.fromEntries(mapped),
    })
    ElMessage({ type: 'success', message: 'In force from now on.', showClose: true })
  })
async function takeFile(event: Event) {
  const input = event.target as HTMLInputElement
  const [file] = input.files ?? []
  input.value = ''
  if (!file) return
  refusal.value = null
  try {
    const text = (await file.text()).replace(/^\uFEFF/, '')
    const isJson = text.trimStart().startsWith('{')
    work.take(await call<Framework>('POST', 'framework/read', isJson ? { json: text } : { csv: text }))
    ElMessage({ type: 'success', message: 'Read. Look it over, then put it in force.', showClose: true })
  } catch (error) {
    refusal.value = error as ApiProblem
  }
}
const takeSample = (name: string) =>
  act(async () => work.take(await call<Framework>('GET', `framework/sample?name=${name}`)))
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>{{ draft?.title || 'Unit framework' }}</h1>
        <p class="soft">
          What has to be shown, how often, of what kind; nothing counts that is not asked here.
        </p>
      </div>
      <div class="row">
        <a class="el-button" href="/api/framework/file?as=json" download>JSON file</a>
        <a class="el-button" href="/api/framework/file?as=csv" download>CSV file</a>
        <template v-if="mayChange">
          <label class="el-button file"
            >Read a file<input
              type="file"
              accept=".json,.csv"
              data-testid="framework-file"
              @change="takeFile"
          /></label>
          <el-button data-testid="sample" @click="takeSample('three-units')">Sample of three units</el-button>
          <el-button v-if="isChanged" @click="work.discard()">Discard</el-button>
          <el-button
            type="primary"
            :disabled="!isChanged || faults.length > 0 || !isMapped"
            :loading="isBusy"
            data-testid="put-framework"
            @click="put"
            >Put in force</el-button
          >
        </template>
      </div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data || !draft" class="skeleton" style="height: 300px" />
    <template v-else>
      <div v-if="refusal" class="stitched stop" role="alert">
        <b>{{ refusal.message }}</b>
        <p v-for="field in refusal.fields.slice(0, 12)" :key="field.field + field.message" class="small">
          <span class="mono">{{ field.field }}</span> {{ field.message }}
        </p>
      </div>
      <div v-if="faults.length" class="stitched stop" role="alert">
        <p v-for="fault in faults" :key="fault">{{ fault }}</p>
      </div>
      <div v-if="mayChange && lost.length" class="stitched waiting stack" data-testid="mapping">
        <b>The record speaks of these, and the draft no longer has them. What takes their place?</b>
        <label v-for="code in lost" :key="code" class="row"
          ><b class="mono">{{ code }}</b>
          <el-select
            v-model="mapping[code]"
            :aria-label="`In place of ${code}`"
            :data-testid="`instead-${code}`"
            style="width: 260px"
          >
            <el-option :value="NOTHING" label="Nothing: it stays in the record and counts no more" />
            <el-option v-for="next in codes" :key="next" :value="next" :label="next" /> </el-select
        ></label>
      </div>
      <div class="columns">
        <div class="stack">
          <FrameworkTree
            v-model="draft.units"
            :chosen="chosen"
            :may-change="mayChange"
            :in-use="data.inUse"
            @choose="chosen = $event"
            @add-criterion="work.addCriterion"
            @add-quota="work.addQuota"
          />
          <el-button v-if="mayChange" @click="work.addUnit()">Add a unit</el-button>
        </div>
        <aside class="stack">
          <fieldset v-if="at.criterion || at.quota || at.unit" class="stitched" :disabled="!mayChange">
            <CriterionForm v-if="at.criterion" v-model="at.criterion" />
            <QuotaForm v-else-if="at.quota" v-model="at.quota" />
            <div v-else-if="at.unit" class="stack">
              <label class="field"><span>Code of the unit</span><el-input v-model="at.unit.code" /></label>
              <label class="field"><span>Title</span><el-input v-model="at.unit.title" /></label>
            </div>
          </fieldset>
          <fieldset class="stitched stack" :disabled="!mayChange">
            <label class="field"
              ><span>Two occasions are separate by</span
              ><el-select v-model="draft.separate" :disabled="!mayChange"
                ><el-option
                  v-for="rule in SEPARATE_RULES"
                  :key="rule"
                  :value="rule"
                  :label="SEPARATE_TEXT[rule]" /></el-select
            ></label>
            <label class="field"
              ><span>Domestic means</span
              ><el-input v-model="draft.domestic" type="textarea" autosize :disabled="!mayChange"
            /></label>
            <b>Behaviours</b>
            <div v-for="(behaviour, i) in draft.behaviours" :key="i" class="row nowrap">
              <b class="mono">{{ behaviour.code }}</b>
              <el-input
                v-model="behaviour.text"
                :aria-label="`Behaviour ${behaviour.code}`"
                :disabled="!mayChange"
              />
              <button
                v-if="mayChange"
                type="button"
                class="text-button"
                @click="draft.behaviours.splice(i, 1)"
              >
                Remove
              </button>
            </div>
            <el-button v-if="mayChange" @click="work.addBehaviour()">Add a behaviour</el-button>
          </fieldset>
          <section v-if="data.notes.length" class="stack" data-testid="notes">
            <h2>What the exercises here leave open</h2>
            <p v-for="note in data.notes" :key="note.code + note.of" class="small">
              {{ frameworkNoteSays(note) }}
            </p>
          </section>
          <section class="stack">
            <h2>Versions</h2>
            <p v-for="version in data.versions" :key="version.id" class="small soft">
              {{ version.title
              }}<template v-if="version.at">, {{ dayTime(version.at) }}, {{ version.by }}</template>
            </p>
          </section>
        </aside>
      </div>
    </template>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1.4fr) minmax(340px, 1fr);
  gap: 26px;
  align-items: start;
}
fieldset {
  margin: 0;
}
.nowrap {
  flex-wrap: nowrap;
}
.file {
  position: relative;
  overflow: hidden;
}
.file input {
  position: absolute;
  inset: 0;
  opacity: 0;
  cursor: pointer;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
</style>

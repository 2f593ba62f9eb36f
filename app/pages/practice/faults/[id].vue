<script setup lang="ts">
import type { FaultFindingStepBody, FaultFindingView } from '#schemas/fault-finding-views'

/**
 * Looking for a planted fault: isolate, measure, think, conclude, repair, prove. Method and answer are marked
 * at the end.
 */
definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const id = Number(useRoute().params.id)
const { call } = useApi()
const session = useSession()
const { data: view, problem, refresh } = useServer<FaultFindingView>(() => `hunts/${id}`)
const isBusy = ref(false)
const isMine = computed(() => view.value?.name === session.person?.name)

async function step(what: FaultFindingStepBody['step']): Promise<boolean> {
  isBusy.value = true
  try {
    view.value = await call<FaultFindingView>('POST', `hunts/${id}/step`, {
      version: view.value!.version,
      step: what,
    })
    return true
  } catch (error) {
    showProblem(error)
    await refresh()
    return false
  } finally {
    isBusy.value = false
  }
}
const stage = ref<'dead' | 'live'>('dead')
const typed = ref('')
const asking = ref<string | null>(null)
async function measure(test: string) {
  if (view.value!.place === 'bay') {
    asking.value = test
    typed.value = ''
  } else await step({ do: 'test', test, read: '' })
}
async function enter() {
  if (asking.value && (await step({ do: 'test', test: asking.value, read: typed.value.trim() })))
    asking.value = null
}
const thought = ref('')
async function think() {
  if (await step({ do: 'think', text: thought.value.trim() })) thought.value = ''
}
const code = ref('')
const place = ref('')
const places = computed(() => view.value?.choices.find((choice) => choice.code === code.value)?.places ?? [])
watch(code, () => (place.value = places.value.length === 1 ? places.value[0]!.key : ''))
async function end() {
  const text = 'End the search and see how it was marked? Nothing can be added afterwards.'
  if (!(await isSure(text, 'End', { yes: 'End it', no: 'Go on' }))) return
  view.value = await call<FaultFindingView>('POST', `hunts/${id}/end`).catch(
    (error) => (showProblem(error), view.value),
  )
}
const time = (s: number) => `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
const last = computed(() => view.value?.log.at(-1))
</script>

<template>
  <div v-if="problem && !view" class="page"><PageProblem :problem="problem" @retry="refresh" /></div>
  <div v-else-if="!view" class="page stack">
    <div v-for="i in 5" :key="i" class="skeleton" style="height: 56px" />
  </div>
  <div v-else class="hunt">
    <section class="work">
      <p class="soft">
        {{ view.setBy ? `Set by ${view.setBy}` : 'Practice'
        }}<template v-if="view.bay"> · bay {{ view.bay }}</template
        ><template v-if="!isMine"> · {{ view.name }}</template>
      </p>
      <h1>{{ view.title }}</h1>
      <div class="stitched waiting">
        <b>What was reported</b>
        <p v-for="line in view.symptoms" :key="line">{{ line }}</p>
        <p v-if="view.symptoms.length === 0">
          Everything works. A test found something out of order, or somebody felt a tingle.
        </p>
      </div>
      <template v-if="view.isDone && view.verdict">
        <h2>
          {{ view.verdict.met ? 'Found, and proved' : 'Not yet' }}
          <span class="mono">{{ Math.round(view.verdict.mark * 10) / 10 }} of 10</span>
        </h2>
        <p class="secret" data-testid="secret">
          It was: <b>{{ view.secret }}</b>.
        </p>
        <SearchMarks :marks="view.verdict.marks" />
        <NuxtLink to="/practice">Back to practice</NuxtLink>
      </template>
      <template v-else-if="isMine">
        <div class="row acts" :aria-busy="isBusy">
          <el-button size="large" @click="step({ do: 'look' })">Look</el-button>
          <el-button
            v-if="!view.isIsolated"
            size="large"
            type="primary"
            data-testid="isolate"
            @click="step({ do: 'isolate' })"
            >Isolate, lock, prove dead</el-button
          >
          <el-button v-else size="large" @click="step({ do: 'restore' })">Energise again</el-button>
          <span class="tag" :class="view.isIsolated ? 'met' : 'stop'">{{
            view.isIsolated ? 'isolated' : 'live'
          }}</span>
        </div>
        <div class="panel">
          <div class="row spread">
            <h2>Measure</h2>
            <el-radio-group v-model="stage" aria-label="Dead or live"
              ><el-radio-button value="dead">Dead</el-radio-button
              ><el-radio-button value="live">Live</el-radio-button></el-radio-group
            >
          </div>
          <p v-if="last" class="display mono" role="status">{{ last.words }}</p>
          <TestChoice :tests="view.tests" :is-dead="stage === 'dead'" :is-busy="isBusy" @measure="measure" />
        </div>
        <form class="row think" @submit.prevent="think">
          <el-input
            v-model="thought"
            size="large"
            maxlength="400"
            name="thought"
            placeholder="What does that rule out? What next, and why?"
            aria-label="Reasoning"
          /><el-button size="large" native-type="submit" :disabled="!thought.trim()">Note it</el-button>
        </form>
        <div class="panel">
          <h2>Conclude and repair</h2>
          <div class="row">
            <el-select
              v-model="code"
              filterable
              placeholder="What is it?"
              size="large"
              style="width: 260px"
              data-testid="conclude-code"
              ><el-option
                v-for="choice in view.choices"
                :key="choice.code"
                :value="choice.code"
                :label="choice.name"
            /></el-select>
            <el-select
              v-model="place"
              filterable
              placeholder="Where?"
              size="large"
              style="width: 330px"
              :disabled="!code"
              data-testid="conclude-place"
              ><el-option v-for="spot in places" :key="spot.key" :value="spot.key" :label="spot.words"
            /></el-select>
          </div>
          <div class="row acts">
            <el-button
              size="large"
              :disabled="!code || !place"
              data-testid="conclude"
              @click="step({ do: 'conclude', code, place })"
              >That is it</el-button
            ><el-button
              size="large"
              :disabled="!view.log.some(({ words }) => words.startsWith('Concluded'))"
              data-testid="repair"
              @click="step({ do: 'repair' })"
              >Repair it</el-button
            ><span class="grow" /><el-button size="large" type="primary" data-testid="end" @click="end"
              >End and see the marks</el-button
            >
          </div>
          <p class="soft small">
            After the repair measure again what was out of tolerance. A repair is a claim until then.
          </p>
        </div>
      </template>
      <p v-else class="soft">{{ view.name }} is at it. {{ view.secret ? `Planted: ${view.secret}.` : '' }}</p>
    </section>
    <aside tabindex="0" aria-label="Log">
      <h2>Log</h2>
      <p v-if="view.log.length === 0" class="soft">
        Nothing yet. Look first; then isolate, and measure dead.
      </p>
      <ol>
        <li v-for="(line, i) in view.log" :key="i" :class="{ marked: line.mark }">
          <span class="mono soft">{{ time(line.seconds) }}</span> {{ line.words }}
        </li>
      </ol>
    </aside>
    <el-dialog
      :model-value="asking !== null"
      title="What does your tester show?"
      width="420px"
      @close="asking = null"
    >
      <form class="stack bay" @submit.prevent="enter">
        <p>
          {{ view.tests.find(({ key }) => key === asking)?.name }},
          {{ view.tests.find(({ key }) => key === asking)?.where }}
        </p>
        <el-input v-model="typed" size="large" name="reading" maxlength="60" aria-label="Reading" /><el-button
          type="primary"
          native-type="submit"
          :disabled="!typed.trim()"
          >Write it down</el-button
        >
      </form>
    </el-dialog>
  </div>
</template>

<style scoped>
.hunt {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  flex: 1;
  min-height: 0;
}
.work {
  padding: 18px 26px 28px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 14px;
}
aside {
  border-left: 1px solid var(--hem);
  background: var(--panel);
  padding: 18px 20px;
  overflow: auto;
}
ol {
  list-style: none;
  padding: 0;
}
li {
  padding: 6px 0;
  border-bottom: 1px solid var(--hem);
  line-height: 1.35;
}
.marked {
  border-left: 4px dashed var(--madder);
  padding-left: 8px;
}
.panel {
  background: var(--panel);
  border: 1px solid var(--hem);
  padding: 14px 18px;
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.acts {
  gap: 10px;
}
.acts .el-button,
.think .el-button {
  min-height: 52px;
}
.grow {
  flex: 1;
}
.display {
  font-size: 21px;
  font-weight: var(--heavy);
  padding: 10px 14px;
  background: var(--raised);
  border: 1.5px dashed var(--hem-strong);
}
.think :deep(.el-input) {
  flex: 1;
}
.secret {
  font-size: 18px;
}
@media (max-width: 960px) {
  .hunt {
    grid-template-columns: 1fr;
  }
  aside {
    border-left: 0;
  }
}
</style>

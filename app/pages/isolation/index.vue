<script setup lang="ts">
import { SECOND_SOURCES, type SecondSource } from '#core/isolation/model/act'
import { SECOND_SOURCE_NAME } from '#words/isolation'
import { LEVELS } from '#core/policies/isolation'
import type { ObservationItem, RegisterView } from '#schemas/isolation-views'

definePageMeta({ roles: ['instructor', 'assessor'] })
const { call } = useApi()
const { data: observations, problem, refresh } = useServer<ObservationItem[]>(() => 'observations')
const { data: register, refresh: refreshRegister } = useServer<RegisterView>(() => 'register')
/** Somebody asked for it from a bay, or a repeat is due: who and where are filled in. */
const { query } = useRoute()
const starting = ref(query.apprentice !== undefined)
const LEVEL = { 'first-weeks': 'First weeks', first: 'First level', second: 'Second level' } as const
const form = reactive({
  apprenticeId: (Number(query.apprentice) || null) as number | null,
  bay: Number(query.bay) || 1,
  circuit: '',
  level: 'first' as (typeof LEVELS)[number],
  phases: '1',
  permit: false,
  dependants: false,
  twoPoles: false,
  sources: [] as SecondSource[],
  workers: 1,
  serial: '',
  proofDate: '',
})

async function start() {
  try {
    const { id } = await call<{ id: number }>('POST', 'observations', {
      apprenticeId: form.apprenticeId,
      fields: {
        'head.bay': String(form.bay),
        'head.circuit': form.circuit.trim(),
        'head.level': form.level,
        'head.phases': form.phases,
        'head.permit': form.permit ? 'yes' : 'no',
        'head.dependants': form.dependants ? 'yes' : 'no',
        'head.twoPoles': form.twoPoles ? 'yes' : 'no',
        'head.sources': form.sources.join(' '),
        'head.workers': String(form.workers),
        'head.serial': form.serial.trim(),
        'head.proofDate': form.proofDate,
      },
    })
    // Who asked for it has somebody with them now.
    if (query.call)
      await call('POST', `calls/${Number(query.call)}`, { answer: 'seen', note: '' }).catch(() => {})
    await navigateTo(`/isolation/${id}`)
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div class="page">
    <div class="row spread head">
      <div>
        <h1>Safe isolation</h1>
        <p class="soft">Observed at the bay, step by step; padlocks, permits and repeats beside it.</p>
      </div>
      <el-button type="primary" size="large" @click="starting = true">Observe an isolation</el-button>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div class="halves">
      <section class="stack">
        <h2>Observations</h2>
        <div v-if="!observations" class="skeleton" style="height: 120px" />
        <p v-else-if="observations.length === 0" class="empty">
          Nobody has been observed yet. Start beside the bay, tablet in hand.
        </p>
        <NuxtLink
          v-for="observation in observations ?? []"
          :key="observation.id"
          :to="`/isolation/${observation.id}`"
          class="list-entry"
        >
          <b class="mono bay-no">{{ observation.bay || '–' }}</b><span class="what"
            ><b>{{ observation.apprentice }}</b
            ><span class="soft small"
              >{{ observation.circuit || 'circuit not named' }} · {{ dayTime(observation.startedAt) }} ·
              {{ observation.assessor }}</span
            ></span
          >
          <span
            class="tag"
            :class="observation.state === 'running' ? 'waiting' : observation.met ? 'met' : 'stop'"
            >{{ observation.state === 'running' ? 'in hand' : observation.met ? 'met' : 'not yet' }}</span
          >
        </NuxtLink>
      </section>
      <div v-if="register" class="stack wide">
        <section v-if="register.repeats.length" class="stack">
          <h2>Repeats booked</h2>
          <p v-for="repeat in register.repeats" :key="repeat.id" class="stitched stop">
            <b>{{ repeat.name }}</b>, {{ date(repeat.plannedFor) }}, bay {{ repeat.bay }}: {{ repeat.reason }}
          </p>
        </section>
        <LockRegister :register="register" @changed="refreshRegister" />
        <PermitRegister :register="register" @changed="refreshRegister" />
      </div>
    </div>
    <el-dialog v-model="starting" title="Observe an isolation" width="560px">
      <form class="stack" @submit.prevent="start">
        <label class="field"
          ><span>Apprentice</span
          ><el-select
            v-model="form.apprenticeId"
            filterable
            placeholder="Choose"
            aria-label="Apprentice"
            data-testid="observe-who"
            ><el-option
              v-for="apprentice in register?.apprentices ?? []"
              :key="apprentice.id"
              :value="apprentice.id"
              :label="`${apprentice.name}, ${apprentice.number}`" /></el-select
        ></label>
        <div class="row">
          <label class="field"
            ><span>Bay</span><el-input-number v-model="form.bay" :min="1" :max="99" aria-label="Bay" /></label
          ><label class="field grow"
            ><span>Circuit</span
            ><el-input v-model="form.circuit" maxlength="60" name="circuit" placeholder="Bench sockets"
          /></label>
        </div>
        <div class="row">
          <label class="field"
            ><span>Level</span
            ><el-radio-group v-model="form.level" aria-label="Level"
              ><el-radio-button v-for="level in LEVELS" :key="level" :value="level">{{
                LEVEL[level]
              }}</el-radio-button></el-radio-group
            ></label
          >
        </div>
        <div class="row">
          <el-radio-group v-model="form.phases" aria-label="Phases"
            ><el-radio-button value="1">Single phase</el-radio-button
            ><el-radio-button value="3">Three phase</el-radio-button></el-radio-group
          >
        </div>
        <div class="facts">
          <el-checkbox v-model="form.permit" label="The site asks for a permit" />
          <el-checkbox v-model="form.dependants" label="Somebody depends on the supply" />
          <el-checkbox v-model="form.twoPoles" label="Both poles must open (TT, IT)" />
        </div>
        <div class="row">
          <label class="field grow"
            ><span>Other sources at the point</span
            ><el-select
              v-model="form.sources"
              multiple
              data-testid="other-sources"
              placeholder="None known"
              aria-label="Other sources at the point"
              ><el-option
                v-for="source in SECOND_SOURCES"
                :key="source"
                :value="source"
                :label="SECOND_SOURCE_NAME[source]" /></el-select></label
          ><label class="field"
            ><span>People working behind it</span
            ><el-input-number v-model="form.workers" :min="1" :max="12" aria-label="People working behind it"
          /></label>
        </div>
        <div class="row">
          <label class="field grow"
            ><span>Indicator, serial number</span
            ><el-input v-model="form.serial" maxlength="40" name="serial" /></label
          ><label class="field"
            ><span>Last proof date</span
            ><DayPicker v-model="form.proofDate" label="Last proof date" clearable
          /></label>
        </div>
        <div class="row">
          <el-button type="primary" native-type="submit" :disabled="form.apprenticeId === null"
            >Begin</el-button
          ><el-button @click="starting = false">Back</el-button>
        </div>
      </form>
    </el-dialog>
  </div>
</template>

<style scoped>
.facts {
  display: flex;
  flex-wrap: wrap;
  column-gap: 18px;
}
.head {
  margin-bottom: 16px;
}
.halves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 32px;
  align-items: start;
}
.wide {
  gap: 26px;
}
.bay-no {
  font-size: 24px;
  min-width: 38px;
  color: var(--indigo-text);
}
.grow {
  flex: 1;
}
@media (max-width: 1000px) {
  .halves {
    grid-template-columns: 1fr;
  }
}
</style>

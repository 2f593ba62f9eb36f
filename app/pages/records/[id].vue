<script setup lang="ts">
import type { PersonRecord } from '#schemas/evidence-views'

/** One person: what is missing, in words, and behaviours in two taps. */
definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'verifier'] })
const id = Number(useRoute().params.id)
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, problem, refresh } = useServer<PersonRecord>(() => `people/${id}/record`)
const maySee = ['instructor', 'assessor'].includes(useSession().person!.role)
const picked = ref('')
const note = ref('')
const nameOf = (code: string) => data.value?.behaviours.find((one) => one.code === code)?.text ?? code
const countOf = (code: string) => data.value?.seen.filter(({ behaviour }) => behaviour === code).length ?? 0

const putDown = (behaviour: string, because = '') =>
  act(async () => {
    await call('POST', `people/${id}/behaviours`, { behaviour, note: because || note.value, attemptId: null })
    picked.value = ''
    note.value = ''
    await refresh()
  })
const takeBack = (seenId: number) =>
  act(async () => {
    await call('DELETE', `behaviours/${seenId}`)
    await refresh()
  })
</script>

<template>
  <div class="page stack">
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 240px" />
    <template v-else>
      <div class="row spread">
        <div>
          <h1>{{ data.person.name }}</h1>
          <p class="soft">
            <span class="mono">{{ data.person.number }}</span> · {{ data.person.cohort }}
          </p>
        </div>
        <div class="row">
          <a class="el-button" :href="`/api/people/${id}/archive`" download>Archive of this person</a>
          <NuxtLink class="el-button" to="/records">Group</NuxtLink>
        </div>
      </div>
      <UnitRecord
        v-for="unit in data.units"
        :key="unit.gap.unit.code"
        :standing="unit"
        :behaviours="data.behaviours"
      />
      <section v-if="data.behaviours.length" class="stack">
        <h2>Behaviours</h2>
        <div v-if="data.proposed.length && maySee" class="stitched waiting stack" data-testid="proposed">
          <p v-for="item in data.proposed" :key="item.behaviour" class="row spread">
            <span
              ><b>{{ nameOf(item.behaviour) }}</b> – the record says: {{ item.because }}. It counts when you
              say so.</span
            >
            <el-button :disabled="isBusy" @click="putDown(item.behaviour, item.because)"
              >I have seen it</el-button
            >
          </p>
        </div>
        <div class="chips">
          <button
            v-for="{ code, text } in data.behaviours"
            :key="code"
            type="button"
            class="chip"
            :disabled="!maySee"
            :aria-pressed="picked === code"
            :data-testid="`behaviour-${code}`"
            @click="picked = picked === code ? '' : code"
          >
            {{ text }} <b v-if="countOf(code)" class="mono">{{ countOf(code) }}</b>
          </button>
        </div>
        <div v-if="picked" class="row">
          <el-input
            v-model="note"
            class="note"
            placeholder="Where it showed, if you like"
            aria-label="Where it showed"
          />
          <el-button type="primary" :loading="isBusy" data-testid="put-down" @click="putDown(picked)"
            >Seen today</el-button
          >
        </div>
        <p v-for="seen in data.seen" :key="seen.id" class="small row">
          {{ nameOf(seen.behaviour) }}: {{ dayTime(seen.at) }}, {{ seen.by }}
          <span v-if="seen.note" class="soft">· {{ seen.note }}</span>
          <button v-if="maySee" type="button" class="text-button" @click="takeBack(seen.id)">Undo</button>
        </p>
      </section>
      <p class="soft small">Domestic here means: {{ data.domestic }}</p>
      <SealFoot />
    </template>
  </div>
</template>

<style scoped>
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.chip {
  min-height: 44px;
  padding: 6px 14px;
  border: 1.5px solid var(--hem-strong);
  border-radius: var(--ease);
  background: var(--panel);
  color: var(--ink);
  font-size: 15px;
  cursor: pointer;
}
.chip[aria-pressed='true'] {
  border-color: var(--indigo);
  background: var(--indigo-wash);
  color: var(--indigo-text);
}
.note {
  width: 360px;
}
</style>

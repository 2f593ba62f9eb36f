<script setup lang="ts">
import { STEP_KEYS } from '#core/design/step'
import { STEP_KINDS } from '#core/design/step-kinds'
import { STEP_TEXT } from '#core/texts/steps'
import type { StoredExercise, TaskSheet } from '#schemas/views'
import { QUANTITIES } from '#core/units/quantity'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'technician'] })
const id = useRoute().params.id
const { data: stored } = useServer<StoredExercise>(() => `exercises/${id}`)
const { data: sheets, problem, refresh } = useServer<TaskSheet[]>(() => `exercises/${id}/sheets`)
const print = () => window.print()
</script>

<template>
  <div class="page">
    <div class="row spread screen-only">
      <div><h1>Task sheets</h1><p class="soft">One A4 page each, with the apprentice’s own length and load.</p></div>
      <div class="row"><NuxtLink :to="`/exercises/${id}`"><el-button>Back</el-button></NuxtLink><el-button type="primary" @click="print">Print</el-button></div>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="sheets?.length === 0" class="empty"><h2>Nobody has this exercise yet</h2><p>Set it for a group first.</p></div>
    <article v-for="sheet in stored ? sheets ?? [] : []" :key="sheet.number" class="sheet">
      <header>
        <div><p class="soft">{{ stored!.exercise.code }} · Nakshi task sheet</p><h1>{{ stored!.exercise.title }}</h1></div>
        <div class="who"><p><b>{{ sheet.name }}</b> · {{ sheet.number }}</p><p class="bay-no">Bay {{ sheet.bay }}</p></div>
      </header>
      <p class="scenario">{{ stored!.exercise.scenario }}</p>
      <div class="columns">
        <section><h2>Given</h2><TaskFacts :task="sheet.task" /></section>
        <section>
          <h2>Your design</h2>
          <table class="grid-table">
            <tbody><tr v-for="key in STEP_KEYS" :key="key"><td>{{ STEP_TEXT[key].name }} <span class="sym">{{ STEP_KINDS[key].symbol }}</span></td><td class="blank">{{ QUANTITIES[STEP_KINDS[key].quantity].unit }}</td></tr></tbody>
          </table>
        </section>
      </div>
      <footer>
        <p><b>Before anything is energised:</b> dead tests complete, inspection done, permission of an assessor by name and time. Follow the rules of the centre, the current regulations and local codes; live work is supervised work.</p>
        <p class="soft">Training record, not a certificate for an installation in service.</p>
      </footer>
    </article>
  </div>
</template>

<style scoped>
.sheet { background: var(--raised); border: 1px solid var(--hem); padding: 30px 34px; margin: 18px auto; max-width: 840px; display: flex; flex-direction: column; gap: 14px; }
header { display: flex; justify-content: space-between; border-bottom: 2px dashed var(--hem-strong); padding-bottom: 10px; }
.who { text-align: right; }
.bay-no { font: 720 24px var(--mono); }
.columns { display: grid; grid-template-columns: 1fr 1fr; gap: 28px; }
.blank { text-align: right; width: 130px; border-bottom: 1px solid var(--soft) !important; color: var(--soft); }
footer { border-top: 1px solid var(--hem); padding-top: 10px; font-size: 13.5px; display: flex; flex-direction: column; gap: 4px; }
@media print { .sheet { border: 0; padding: 0; margin: 0; max-width: none; } }
</style>

<script setup lang="ts">
import type { TalkView } from '#schemas/picture-views'
import { kindText } from '#words/picture/kinds'

/** One apprentice, on a page to talk over: what is strong, what recurs, the next three steps. */
definePageMeta({ roles: ['instructor', 'assessor', 'verifier'] })
const id = useRoute().params.id
const { data, problem, refresh } = useServer<TalkView>(() => `people/${id}/talk`)
const print = () => window.print()
</script>

<template>
  <div class="page">
    <PageProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="skeleton" style="height: 400px" />
    <template v-else>
      <div class="row spread screen-only bar">
        <LinkButton to="/picture">Back to the group</LinkButton>
        <div class="row">
          <LinkButton :to="`/records/${data.person.id}`">The record</LinkButton>
          <el-button type="primary" @click="print">Print</el-button>
        </div>
      </div>
      <article class="talk">
        <h1>Progress review: {{ data.person.name }}</h1>
        <p class="soft">{{ data.person.number }}, {{ data.person.cohort }} · since {{ date(data.since) }}</p>
        <h2>Strengths</h2>
        <p v-if="data.strengths.length === 0">Nothing has been shown twice yet: there is time.</p>
        <ul v-else>
          <li v-for="text in data.strengths" :key="text">{{ text }}</li>
        </ul>
        <h2>What recurs</h2>
        <p v-if="data.recurring.length === 0">Nothing has gone wrong in the same way twice.</p>
        <ul v-else>
          <li v-for="one in data.recurring" :key="one.kind">
            {{ kindText(one.kind) }}: in {{ one.sheets }} of {{ one.of }} sheets
            <span class="screen-only">
              <NuxtLink
                v-for="(attempt, i) in one.attempts"
                :key="attempt"
                :to="`/marking/${attempt}`"
                class="tag plain"
                >sheet {{ i + 1 }}</NuxtLink
              ></span
            >
          </li>
        </ul>
        <h2>Next steps</h2>
        <p v-if="data.steps.length === 0">Every unit is closed.</p>
        <ol v-else data-testid="next-steps">
          <li v-for="text in data.steps" :key="text">{{ text }}</li>
        </ol>
        <h2>Sheets</h2>
        <table class="grid-table">
          <tbody>
            <tr v-for="sheet in data.sheets" :key="sheet.attempt">
              <td>{{ date(sheet.day) }}</td>
              <td>{{ sheet.code }} {{ sheet.title }}</td>
              <td class="num">{{ sheet.mark }} of {{ sheet.outOf }}</td>
              <td>
                <span class="tag" :class="sheet.met ? 'met' : 'wrong'">{{
                  sheet.met ? 'met' : 'not yet'
                }}</span>
              </td>
            </tr>
          </tbody>
        </table>
        <p class="line">Agreed:</p>
        <p class="line">Signed:</p>
        <SealFoot />
      </article>
    </template>
  </div>
</template>

<style scoped>
.bar {
  margin-bottom: 14px;
}
.talk {
  max-width: 800px;
  margin: 0 auto;
  font-size: 16px;
}
.talk h2 {
  margin: 20px 0 4px;
}
.line {
  margin-top: 34px;
  border-bottom: 1px solid var(--hem-strong);
}
</style>

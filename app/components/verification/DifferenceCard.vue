<script setup lang="ts">
import type { DifferenceView, VerificationView } from '#schemas/evidence-views'

/** Where two judged differently, step by step, and how it was settled. */
const { difference, maySettle } = defineProps<{ difference: DifferenceView; maySettle: boolean }>()
const emit = defineEmits<{ settled: [view: VerificationView] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const form = reactive({ how: 'talk' as 'talk' | 'third', stands: 'first' as 'first' | 'second', reason: '' })
const settle = () =>
  act(async () =>
    emit('settled', await call<VerificationView>('POST', `verification/${difference.secondId}/settle`, form)),
  )
const words = (met: boolean) => (met ? 'met' : 'not yet')
</script>

<template>
  <article class="stitched stack" data-testid="difference">
    <div class="row spread">
      <h3>{{ difference.exerciseTitle }} · {{ difference.person }}</h3>
      <NuxtLink :to="`/marking/${difference.attemptId}`">The sheet</NuxtLink>
    </div>
    <table class="grid-table">
      <thead>
        <tr>
          <th>Criterion</th>
          <th>{{ difference.first.by }}, {{ date(difference.first.at) }}</th>
          <th>{{ difference.second.by }}, {{ date(difference.second.at) }}</th>
          <th>Reason of the second</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in difference.criteria" :key="row.code" :class="{ differs: row.first !== row.second }">
          <td>
            <b class="mono">{{ row.code }}</b> {{ row.text }}
          </td>
          <td>
            <span class="tag" :class="row.first ? 'met' : 'wrong'">{{ words(row.first) }}</span>
          </td>
          <td>
            <span class="tag" :class="row.second ? 'met' : 'wrong'">{{ words(row.second) }}</span>
          </td>
          <td class="soft">{{ row.reason }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="difference.settled" class="small">
      Settled {{ difference.settled.how === 'talk' ? 'by talk' : 'by a third person' }},
      {{ difference.settled.by }}, {{ date(difference.settled.at) }}: the
      {{ difference.settled.stands }} stands.
      {{ difference.settled.reason }}
    </p>
    <div v-else-if="maySettle" class="row">
      <el-radio-group v-model="form.how" aria-label="How it was settled">
        <el-radio-button value="talk">We talked it through</el-radio-button>
        <el-radio-button value="third">I am a third person</el-radio-button>
      </el-radio-group>
      <el-radio-group v-model="form.stands" aria-label="Which stands">
        <el-radio-button value="first">The first stands</el-radio-button>
        <el-radio-button value="second">The second stands</el-radio-button>
      </el-radio-group>
      <el-input
        v-model="form.reason"
        class="reason"
        placeholder="Reason"
        aria-label="Reason"
        name="settle-reason"
      />
      <el-button type="primary" :disabled="!form.reason.trim()" :loading="isBusy" @click="settle"
        >Settle</el-button
      >
    </div>
    <p v-else class="soft small">Still open.</p>
  </article>
</template>

<style scoped>
.differs td {
  background: var(--turmeric-wash);
}
.reason {
  width: 320px;
}
</style>

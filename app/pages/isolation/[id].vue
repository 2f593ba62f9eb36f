<script setup lang="ts">
import { actWords } from '#words/isolation'
import { RULE_TEXT } from '#words/isolation-rules'
import type { ObservationDecisionBody } from '#schemas/isolation-requests'

definePageMeta({ layout: 'bay', roles: ['instructor', 'assessor'], key: (route) => String(route.params.id) })
const watchIt = useObservation(Number(useRoute().params.id))
const { view, problem, acts, head, soFar, atEnd, autosave } = watchIt
const isDeciding = ref(false)
const list = ref<HTMLElement | null>(null)
const opened = ref<string | null>(null)

const LEVEL = { 'first-weeks': 'first weeks', first: 'first level', second: 'second level' } as const
const broken = computed(() => soFar.value?.rules.filter(({ state }) => state === 'broken') ?? [])
watch(
  () => acts.value.length,
  () => nextTick(() => list.value?.scrollTo({ top: list.value.scrollHeight })),
)
async function decide(body: Omit<ObservationDecisionBody, 'version'>) {
  if (await watchIt.decide(body)) isDeciding.value = false
}
onMounted(watchIt.load)
</script>

<template>
  <div v-if="problem" class="page"><PageProblem :problem="problem" @retry="watchIt.load" /></div>
  <div v-else-if="!view || !atEnd" class="page stack">
    <div v-for="i in 4" :key="i" class="skeleton" style="height: 80px" />
  </div>
  <div v-else class="observe">
    <header class="top">
      <NuxtLink to="/isolation" class="back" aria-label="All observations">‹</NuxtLink>
      <div class="who">
        <h1>
          {{ view.apprentice }} <span class="sym">bay {{ head.bay }}</span>
        </h1>
        <p class="soft small">
          {{ head.circuit || 'circuit not named' }} · {{ LEVEL[head.level] }} ·
          {{ head.phases === 3 ? 'three phase, ten pairs' : 'single phase'
          }}{{ head.needsPermit ? ' · permit site' : '' }} · indicator {{ head.serial || '–'
          }}{{ head.proofDate ? `, proof ${date(head.proofDate)}` : '' }}
        </p>
      </div>
      <SaveWords v-if="view.state === 'running'" :autosave="autosave" />
      <template v-if="view.state === 'running'">
        <el-button @click="isDeciding = !isDeciding">{{ isDeciding ? 'Back' : 'Finish…' }}</el-button>
        <el-button type="danger" class="stop" data-testid="stop" @click="watchIt.tap('stop')">STOP</el-button>
      </template>
      <span v-else class="tag" :class="view.decision!.met ? 'met' : 'stop'"
        >{{ view.decision!.met ? 'met' : 'not yet' }}, {{ dayTime(view.decision!.at) }}</span
      >
    </header>
    <DecideIsolation
      v-if="isDeciding"
      :view="view"
      :verdict="atEnd"
      :is-busy="watchIt.isBusy.value"
      @decide="decide"
      @back="isDeciding = false"
    />
    <div v-else class="halves">
      <section class="left">
        <ActPad
          v-if="view.state === 'running'"
          :likely="watchIt.likely.value"
          :needs-permit="head.needsPermit"
          @tap="watchIt.tap"
        />
        <div v-else class="stack">
          <p class="stitched" :class="view.decision!.met ? 'met' : 'stop'">{{ view.decision!.feedback }}</p>
          <p class="soft">
            Decided by {{ view.decision!.by }}; {{ view.decision!.evidence.apprenticeSigned }} signed.{{
              view.decision!.evidence.reason
                ? ` Otherwise than proposed: ${view.decision!.evidence.reason}`
                : ''
            }}
          </p>
          <RuleList :verdict="view.decision!.evidence.verdict" />
        </div>
      </section>
      <aside class="right">
        <div
          v-for="rule in broken.filter(({ seriousness }) => seriousness === 'critical')"
          :key="rule.code"
          class="stitched stop"
        >
          <b>Critical: {{ RULE_TEXT[rule.code]?.name.toLowerCase() }}, not kept</b>
        </div>
        <div class="row spread">
          <h2>As it was done</h2>
          <span class="soft small">{{ acts.length }}</span>
        </div>
        <ol ref="list" class="list" tabindex="0" aria-label="As it was done" data-testid="acts">
          <li v-if="acts.length === 0" class="soft">
            Tap what you see. Nothing is asked of you in any order.
          </li>
          <li
            v-for="(act, i) in acts"
            :key="act.key"
            :class="{ undone: act.isUndone, stopped: act.act.kind === 'stop' }"
          >
            <button
              type="button"
              class="line"
              :aria-expanded="opened === act.key"
              @click="opened = opened === act.key ? null : act.key"
            >
              <span class="time">{{ clock(act.atIso) }}</span><span
                >{{ i + 1 }}. {{ actWords(act.act)
                }}<span v-if="act.remark" class="remark">{{ act.remark }}</span></span
              >
            </button>
            <div v-if="opened === act.key && view.state === 'running'" class="more">
              <el-input
                :model-value="act.remark"
                placeholder="Remark, typed or dictated"
                aria-label="Remark"
                maxlength="400"
                @update:model-value="watchIt.remark(act.key, $event)"
              />
              <el-button
                size="small"
                @click="act.isUndone ? watchIt.putBack(act.key) : watchIt.takeBack(act.key)"
                >{{ act.isUndone ? 'It was so' : 'Take back' }}</el-button
              >
            </div>
          </li>
        </ol>
        <p v-if="broken.length" class="small soft">
          Not kept so far: {{ broken.map(({ code }) => RULE_TEXT[code]?.name.toLowerCase()).join(' · ') }}
        </p>
        <p class="caution">
          You watch a person, not a screen. If anything is unsafe, stop it first and tap afterwards.
        </p>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.observe {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 0;
}
.top {
  display: flex;
  gap: 8px 14px;
  align-items: center;
  flex-wrap: wrap;
  padding: 8px 16px;
  background: var(--panel);
  border-bottom: 1px solid var(--hem);
}
.who {
  flex: 1 1 220px;
  min-width: 0;
}
.who h1 {
  font-size: 20px;
}
.back {
  font-size: 32px;
  line-height: 1;
  text-decoration: none;
  padding: 6px 12px;
}
.stop {
  font-weight: var(--heavy);
  font-size: 18px !important;
  letter-spacing: 0.06em;
  min-width: 128px;
}
.halves {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
  flex: 1;
  min-height: 0;
}
.left {
  padding: 14px 18px;
  overflow: auto;
}
.right {
  border-left: 1px solid var(--hem);
  background: var(--panel);
  padding: 14px 16px;
  display: flex;
  flex-direction: column;
  gap: 10px;
  min-height: 0;
}
.list {
  list-style: none;
  margin: 0;
  padding: 0;
  overflow: auto;
  flex: 1;
  border-top: 1.5px solid var(--ink);
  min-height: 180px;
}
.list > li {
  border-bottom: 1px solid var(--hem);
}
.line {
  all: unset;
  box-sizing: border-box;
  width: 100%;
  cursor: pointer;
  display: grid;
  grid-template-columns: 74px 1fr;
  gap: 8px;
  padding: 8px 4px;
  min-height: 48px;
  align-items: center;
  line-height: 1.3;
}
.line:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
}
.time {
  font: var(--strong) 13px var(--mono);
  color: var(--soft);
}
.remark {
  display: block;
  color: var(--indigo-text);
  font-size: 14px;
}
.undone .line {
  text-decoration: line-through;
  color: var(--soft);
}
.stopped {
  background: var(--madder-wash);
}
.more {
  display: flex;
  gap: 8px;
  padding: 4px 4px 10px;
}
@media (max-width: 1000px) {
  .halves {
    grid-template-columns: 1fr;
    overflow: auto;
  }
  .left,
  .list {
    overflow: visible;
  }
  .right {
    border-left: 0;
  }
  .top {
    flex-wrap: wrap;
  }
}
</style>

<script setup lang="ts">
import type { Place } from '#core/isolation/model/act'
import { INDICATOR_NAME } from '#words/isolation'
import type { RunView } from '#schemas/isolation-views'
import { bagDrawn } from '~/texts/isolation'

definePageMeta({
  layout: 'bay',
  roles: ['apprentice', 'instructor', 'assessor'],
  key: (route) => String(route.params.id),
})
const id = Number(useRoute().params.id)
const { call } = useApi()
const { data: view, problem, refresh } = useServer<RunView>(() => `isolation/runs/${id}`)
const picked = ref<string | null>(null)
const isBusy = ref(false)
const story = ref<HTMLElement | null>(null)

const here = computed(() => view.value?.moves.filter(({ group }) => group === 'here') ?? [])
const bag = computed(() => view.value?.moves.filter(({ group }) => group === 'bag') ?? [])
const deviceMoves = computed(
  () => view.value?.moves.filter(({ device }) => device !== null && device === picked.value) ?? [],
)
const minutes = computed(() => `${Math.floor((view.value?.seconds ?? 0) / 60)} min`)
/** A hand that is quicker than the server waits its turn; no tap is lost. */
let turn: Promise<void> = Promise.resolve()
const ask = (path: string, body?: () => unknown): Promise<void> =>
  (turn = turn.then(() => answer(path, body?.())))
async function answer(path: string, body: unknown) {
  isBusy.value = true
  try {
    view.value = await call<RunView>('POST', `isolation/runs/${id}/${path}`, body)
    await nextTick()
    story.value?.scrollTo({ top: story.value.scrollHeight })
  } catch (error) {
    const refusal = showProblem(error)
    if (refusal.code === 'stale') view.value = refusal.extra.theirs as RunView
  } finally {
    isBusy.value = false
  }
}
const move = (key: string) => ask('move', () => ({ version: view.value!.version, move: key }))
function walk(to: Place) {
  if (view.value?.state !== 'running' || to === view.value.place) return
  picked.value = null
  void move(`walk ${to}`)
}
async function again() {
  const home = await call<{ scenarios: { code: string; title: string }[] }>('GET', 'isolation')
  const code = home.scenarios.find(({ title }) => title === view.value!.title)!.code
  const { id: next } = await call<{ id: number }>('POST', 'isolation/runs', {
    scenario: code,
    mode: view.value!.mode,
  })
  await navigateTo(`/practice/isolation/${next}`)
}
</script>

<template>
  <div v-if="problem" class="page"><PageProblem :problem="problem" @retry="refresh" /></div>
  <div v-else-if="!view" class="page stack">
    <div v-for="i in 4" :key="i" class="skeleton" style="height: 90px" />
  </div>
  <RehearsalDebrief
    v-else-if="view.debrief"
    :title="view.title"
    :debrief="view.debrief"
    :minutes="minutes"
    @again="again"
  />
  <div v-else class="trainer">
    <section class="left">
      <header class="row spread">
        <div>
          <h1>{{ view.title }}</h1>
          <p class="job">“{{ view.job }}”</p>
        </div>
        <div class="row">
          <span v-if="view.holdsPermit" class="tag met">permit held</span>
          <span class="tag" :class="view.indicator ? 'plain' : 'waiting'">{{
            view.indicator ? `in hand: ${INDICATOR_NAME[view.indicator]}` : 'no indicator in hand'
          }}</span><span class="soft small">{{ minutes }}</span>
        </div>
      </header>
      <PlaceDrawn
        :place="view.place"
        :point-name="view.pointName"
        :point="view.point"
        :in-hand="view.indicator"
        @walk="walk"
      />
      <BoardDrawn
        v-if="view.devices.length"
        :devices="view.devices"
        :picked="picked"
        @pick="picked = picked === $event ? null : $event"
      />
      <IndicatorShown v-if="view.shown" :shown="view.shown" />
      <div class="acts" :class="{ busy: isBusy }">
        <button
          v-for="act in deviceMoves"
          :key="act.key"
          type="button"
          class="act device"
          @click="move(act.key)"
        >
          {{ act.words }}
        </button>
        <button v-for="act in here" :key="act.key" type="button" class="act" @click="move(act.key)">
          {{ act.words }}
        </button>
      </div>
      <details class="bag" :open="view.indicator === null">
        <summary>From the bag and the pocket</summary>
        <div class="acts">
          <button
            v-for="act in bag"
            :key="act.key"
            type="button"
            class="act"
            :class="{ thing: bagDrawn(act.key) }"
            @click="move(act.key)"
          >
            <svg v-if="bagDrawn(act.key)" class="drawn" viewBox="0 0 250 210" aria-hidden="true">
              <DrawnShapes :shapes="bagDrawn(act.key)!" />
            </svg>
            {{ act.words }}
          </button>
        </div>
      </details>
    </section>
    <aside class="right">
      <div v-if="view.hint" class="stitched waiting" data-testid="hint">
        <b>{{ view.hint.name }}</b>
        <p>{{ view.hint.next }}</p>
      </div>
      <h2>Your story</h2>
      <ol ref="story" class="story" tabindex="0" aria-label="Your story" aria-live="polite">
        <li v-for="(line, i) in view.lines" :key="i" :class="line.who">
          {{ line.who === 'say' ? `“${line.text}”` : line.text }}
        </li>
      </ol>
      <p class="soft small">
        {{ view.mode === 'assessment' ? 'Without hints. ' : '' }}Any safe order is right. Time is not counted.
      </p>
      <el-button type="primary" @click="ask('end')">I have finished</el-button>
    </aside>
  </div>
</template>

<style scoped>
.trainer {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 372px;
  flex: 1;
  min-height: 0;
}
.left {
  padding: 14px 18px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 12px;
}
.left h1 {
  font-size: 20px;
}
.job {
  font-style: normal;
  color: var(--soft);
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
.story {
  list-style: none;
  margin: 0;
  padding: 4px 0;
  overflow: auto;
  flex: 1;
  min-height: 160px;
  border-top: 1.5px solid var(--ink);
  font-size: 15px;
  line-height: 1.35;
}
.story li {
  padding: 5px 4px;
}
.story .say {
  color: var(--indigo-text);
  padding-left: 14px;
  border-left: 3px solid var(--indigo-wash);
}
.story .see {
  font-weight: var(--strong);
}
.acts {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  align-items: center;
}
.act {
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  min-height: 50px;
  padding: 8px 16px;
  border: 1.5px solid var(--indigo);
  border-radius: var(--ease);
  color: var(--indigo-text);
  font-weight: var(--strong);
  background: var(--raised);
  display: flex;
  align-items: center;
}
.act.thing {
  flex-direction: column;
  gap: 4px;
  width: 150px;
  text-align: center;
  line-height: 1.2;
}
.thing svg {
  width: 92px;
  background: none;
}
.act.device {
  background: var(--indigo-wash);
}
.act:hover {
  background: var(--indigo-wash);
}
.act:focus-visible {
  outline: 2.5px solid var(--turmeric);
  outline-offset: 1px;
}
.busy {
  opacity: 0.6;
}
.bag summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 36px;
}
@media (max-width: 1000px) {
  .trainer {
    grid-template-columns: minmax(0, 1fr);
    overflow: auto;
  }
  .left {
    overflow: visible;
  }
  .right {
    border-left: 0;
  }
}
</style>

<script setup lang="ts">
import { kindOf } from '#core/testing/kinds/kinds'
import { TERM_OF_TEST } from '#words/glossary/of-step'
import { readingText } from '#words/testing'
import type { BoardView } from '#schemas/schedule-views'
import { whereWords } from '~/texts/schedule'

/** One test after the other, for standing at the bay: what is set up, where the leads go, and one large box. */
const props = defineProps<{
  tests: ReturnType<typeof useBoardTests>
  board: BoardView
  read: (key: string) => string
  locked: boolean
  missing: readonly string[]
}>()
const emit = defineEmits<{ write: [key: string, text: string] }>()

const test = computed(() => props.tests.current.value!)
const kind = computed(() => kindOf(test.value.key))
const circuit = computed(() => props.board.circuits.find(({ id }) => id === test.value.circuit) ?? null)
/** The hand goes from test to test; the box of the new one takes what is typed next. */
const box = ref<{ focus: () => void }>()
watch(
  () => test.value.key,
  () => nextTick(() => box.value?.focus()),
)
const groups = computed(() =>
  [null, ...props.board.circuits]
    .map((one) => ({
      circuit: one,
      ...props.tests.progressOf(one),
      first: props.tests.line.value.find((own) => own.circuit === (one?.id ?? null)),
    }))
    .filter(({ first }) => first),
)
</script>

<template>
  <div class="one">
    <nav aria-label="Circuits">
      <button
        v-for="group in groups"
        :key="group.circuit?.id ?? 'supply'"
        type="button"
        :aria-current="(test.circuit ?? null) === (group.circuit?.id ?? null)"
        @click="tests.go(group.first!.key)"
      >
        <b>{{ group.circuit?.name ?? 'Supply and bonding' }}</b><span class="mono"
          >{{ group.filled }}/{{ group.of }}</span
        >
      </button>
      <el-checkbox
        class="every"
        :model-value="tests.everyPoint.value"
        label="every point, not the furthest alone"
        @change="tests.measureEvery(Boolean($event))"
      />
    </nav>
    <article v-if="test" :key="test.key" :aria-label="readingText(test.key).name">
      <section>
        <p class="soft where">
          {{ circuit?.name ?? 'Supply and bonding'
          }}<template v-if="circuit"> · {{ circuit.device }}</template> · {{ tests.place.value + 1 }} of
          {{ tests.line.value.length }}
        </p>
        <h2>
          <TermWord :term="TERM_OF_TEST[test.kind as keyof typeof TERM_OF_TEST] ?? ''">{{
            readingText(test.key).name
          }}</TermWord>
          <span class="sym mono">{{ kind.symbol }}</span>
        </h2>
        <p class="at">{{ whereWords(test) }}</p>
        <dl>
          <div>
            <dt>Instrument</dt>
            <dd>{{ test.setup.instrument }}</dd>
          </div>
          <div>
            <dt>Leads</dt>
            <dd>{{ test.setup.probes }}</dd>
          </div>
          <div v-if="test.setup.ready.length">
            <dt>Before</dt>
            <dd>
              <ul>
                <li v-for="step in test.setup.ready" :key="step">{{ step }}</li>
              </ul>
            </dd>
          </div>
        </dl>
        <p v-if="test.setup.caution" class="caution">{{ test.setup.caution }}</p>
      </section>
      <section class="hand">
        <TestEntry
          ref="box"
          :key="test.key"
          :test-key="test.key"
          :read="read"
          :locked="locked"
          :is-missing="missing.includes(test.key)"
          @write="(key, text) => emit('write', key, text)"
          @next="tests.step(1)"
        />
        <div class="row turn">
          <el-button size="large" :disabled="tests.place.value <= 0" @click="tests.step(-1)">Back</el-button>
          <el-button
            size="large"
            type="primary"
            :disabled="tests.place.value >= tests.line.value.length - 1"
            @click="tests.step(1)"
            >Next test</el-button
          >
        </div>
      </section>
    </article>
  </div>
</template>

<style scoped>
.one {
  display: grid;
  grid-template-columns: 264px minmax(0, 1fr);
  gap: 28px;
  min-height: 0;
}
nav {
  display: flex;
  flex-direction: column;
  gap: 4px;
  overflow: auto;
}
nav button {
  all: unset;
  cursor: pointer;
  min-height: 48px;
  padding: 0 12px;
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
  border-left: 4px solid transparent;
  line-height: 1.15;
}
nav button[aria-current='true'] {
  border-left-color: var(--indigo);
  background: var(--indigo-wash);
}
nav button:focus-visible {
  outline: 2.5px solid var(--indigo);
  outline-offset: -2px;
}
.every {
  min-height: 48px;
  padding: 6px 12px;
}
.every :deep(.el-checkbox__label) {
  white-space: normal;
  font-size: 14px;
  line-height: 1.2;
}
article {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 380px;
  gap: 32px;
  align-items: start;
}
section {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
/* What the hand needs stands beside the set-up, so that it is in sight on a tablet. */
.hand {
  border-left: 1.5px dashed var(--hem-strong);
  padding-left: 28px;
}
.where {
  font-size: 14.5px;
}
h2 {
  font-size: 27px;
  line-height: 1.1;
}
.sym {
  color: var(--indigo-text);
  font-size: 22px;
  margin-left: 6px;
}
.at {
  font-size: 18px;
  font-weight: var(--strong);
}
dl {
  display: grid;
  gap: 6px;
  margin: 4px 0;
}
dl div {
  display: grid;
  grid-template-columns: 104px 1fr;
  gap: 12px;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  font-weight: var(--strong);
}
ul {
  margin: 0;
  padding-left: 18px;
}
li {
  line-height: 1.45;
}
.turn {
  gap: 12px;
  flex-wrap: nowrap;
}
.turn .el-button {
  min-height: 56px;
  flex: 1;
  margin: 0;
}
@media (max-width: 1100px) {
  article {
    grid-template-columns: 1fr;
    gap: 14px;
  }
  .hand {
    border-left: 0;
    padding-left: 0;
  }
}
@media (max-width: 900px) {
  .one {
    grid-template-columns: 1fr;
  }
  nav {
    flex-direction: row;
  }
  nav button {
    white-space: nowrap;
  }
}
</style>

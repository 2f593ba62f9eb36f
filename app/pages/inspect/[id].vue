<script setup lang="ts">
import { GRADES, ITEM_GROUPS, type InspectionItem } from '#core/inspection/items'
import { GROUP_NAME } from '#words/inspection'

/**
 * Looking before testing: every terminal group, bar, blank, label and accessory of this bay, graded, with
 * remarks, torque and pictures.
 */
definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const id = Number(useRoute().params.id)
const inspection = useInspection(id)
const { view, field, write, conclusion, autosave } = inspection
const group = ref<(typeof ITEM_GROUPS)[number] | 'used'>('enclosure')
const groups = computed(() =>
  ITEM_GROUPS.filter((code) => view.value?.items.some((item) => item.group === code)).map((code) => {
    const items = view.value!.items.filter((item) => item.group === code)
    return {
      code,
      of: items.length,
      looked: items.filter(({ key }) => field(`see.${key}`) !== '').length,
      open: items.some(({ key }) => (GRADES as readonly string[]).includes(field(`see.${key}`))),
    }
  }),
)
const items = computed(() => (view.value?.items ?? []).filter((item) => item.group === group.value))
const allOk = () =>
  items.value.filter(({ key }) => field(`see.${key}`) === '').forEach(({ key }) => write(`see.${key}`, 'ok'))
const torqueOff = (item: InspectionItem) =>
  conclusion.value?.torque.some((candidate) => candidate.item.key === item.key && candidate.nm !== null)
onMounted(inspection.load)
</script>

<template>
  <div v-if="inspection.problem.value" class="page">
    <PageProblem :problem="inspection.problem.value" @retry="inspection.load" />
  </div>
  <div v-else-if="!view || !conclusion" class="page stack">
    <div v-for="i in 6" :key="i" class="skeleton" style="height: 60px" />
  </div>
  <div v-else class="inspect">
    <nav aria-label="Groups">
      <p class="soft">Bay {{ view.attempt.bay }} · {{ view.attempt.code }}<br />{{ view.attempt.name }}</p>
      <button
        v-for="part in groups"
        :key="part.code"
        type="button"
        :aria-current="group === part.code"
        @click="group = part.code"
      >
        <b
          >{{ GROUP_NAME[part.code]
          }}<span v-if="part.open" class="open" aria-label="observations">!</span></b
        ><span class="mono">{{ part.looked }}/{{ part.of }}</span>
      </button>
      <button type="button" :aria-current="group === 'used'" @click="group = 'used'">
        <b>Used and returned</b>
      </button>
      <div class="stitched" :class="conclusion.isSafeToTest ? 'met' : 'waiting'" data-testid="conclusion">
        <b>{{
          conclusion.isSafeToTest
            ? 'Nothing seen against testing'
            : conclusion.looked < conclusion.of
              ? `${conclusion.of - conclusion.looked} still to look at`
              : 'Not to be tested'
        }}</b>
        <p class="small">
          {{ conclusion.observations.length }}
          {{ conclusion.observations.length === 1 ? 'observation' : 'observations'
          }}<template v-if="conclusion.torque.length"
            >; torque of {{ conclusion.torque.length }} to record or correct</template
          >. It stands beside the request to energise.
        </p>
      </div>
      <p v-if="view.savedBy" class="small soft" data-testid="counts">
        {{
          view.savedBy.isAssessor
            ? `Gone over by ${view.savedBy.name}: it counts for the record.`
            : `Last changed by ${view.savedBy.name}. It counts for the record once an assessor has gone over it.`
        }}
      </p>
      <SaveWords :autosave="autosave" />
    </nav>
    <fieldset v-if="group !== 'used'" class="items" :disabled="!view.mayChange">
      <div class="row spread">
        <h1>{{ GROUP_NAME[group] }}</h1>
        <el-button v-if="view.mayChange" @click="allOk">The rest here is satisfactory</el-button>
      </div>
      <p class="caution">On dead work only. Covers off means isolated, locked and proved dead.</p>
      <InspectionItemCard
        v-for="item in items"
        :key="item.key"
        :item="item"
        :field="field"
        :locked="!view.mayChange"
        :is-torque-off="torqueOff(item) ?? false"
        @write="write"
      />
    </fieldset>
    <fieldset v-else class="items" :disabled="!view.mayChange">
      <h1>Used and returned</h1>
      <p class="soft">What the stores laid out, what was used, and what goes back.</p>
      <UsedTable :planned="view.planned" :minutes="view.attempt.minutes" :field="field" @write="write" />
    </fieldset>
    <LazyConflictChooser
      v-if="autosave.conflicts.value.length > 0"
      :conflicts="autosave.conflicts.value"
      :name-of="(name) => name"
      title="Another device changed the same item"
      @choose="autosave.choose"
    />
  </div>
</template>

<style scoped>
.inspect {
  display: grid;
  grid-template-columns: 280px minmax(0, 1fr);
  flex: 1;
  min-height: 0;
}
nav {
  border-right: 1px solid var(--hem);
  padding: 16px;
  display: flex;
  flex-direction: column;
  gap: 6px;
  overflow: auto;
}
nav button {
  all: unset;
  cursor: pointer;
  min-height: 50px;
  padding: 0 12px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  border-left: 4px solid transparent;
}
nav button[aria-current='true'] {
  border-left-color: var(--indigo);
  background: var(--indigo-wash);
}
nav button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.open {
  color: var(--madder-text);
  font-weight: var(--heavy);
  margin-left: 8px;
}
.items {
  border: 0;
  margin: 0;
  min-width: 0;
  padding: 16px 24px 32px;
  overflow: auto;
  display: flex;
  flex-direction: column;
  gap: 10px;
  background: var(--panel);
}
@media (max-width: 900px) {
  .inspect {
    grid-template-columns: 1fr;
  }
  nav {
    border-right: 0;
  }
}
</style>

<script setup lang="ts">
import type { GroupRecord } from '#schemas/marking-views'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'verifier'] })
const maySeeAccounts = useSession().person!.role !== 'administrator'
const { data: cohorts } = useCohorts()
const picked = ref<string | null>(null)
const cohort = computed(() => picked.value ?? cohorts.value?.[0] ?? null)
const { data, problem, refresh } = useServer<GroupRecord>(() =>
  cohort.value ? `records?cohort=${encodeURIComponent(cohort.value)}` : null,
)
const missing = (person: GroupRecord['people'][number]) =>
  person.units.reduce((sum, { steps }) => sum + steps, 0)
/** When the last unit closes at the present pace; nothing where one has no date. */
const closes = (person: GroupRecord['people'][number]): string => {
  const open = person.units.filter(({ steps }) => steps > 0)
  if (open.length === 0) return 'closed'
  const dates = open.map(({ closesAt }) => closesAt)
  return dates.includes(null) ? 'no date' : date(dates.sort().at(-1)!)
}
const chosen = ref<number | null>(null)
const shown = computed(() => data.value?.people.find(({ id }) => id === chosen.value))
/** The first criterion of each unit stands a little apart. */
const openers = computed(() => new Set(data.value?.units.map(({ criteria }) => criteria[0]!.code)))
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Records</h1>
        <p class="soft">
          A stitch for each occasion met, a knot where a criterion is complete, a loop where it is not yet.
          <NuxtLink to="/verification">Verification</NuxtLink> ·
          <NuxtLink v-if="maySeeAccounts" to="/accounts">Accounts of work elsewhere</NuxtLink>
        </p>
      </div>
      <el-select
        :model-value="cohort"
        style="width: 240px"
        aria-label="Group"
        data-testid="group"
        @update:model-value="picked = $event"
      >
        <el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name" />
      </el-select>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="cohorts?.length === 0" class="empty">
      <h2>No group yet</h2>
      <p>Import a roster under People.</p>
    </div>
    <div v-else-if="!data" class="stack">
      <div v-for="i in 8" :key="i" class="skeleton" style="height: 36px" />
    </div>
    <div v-else class="scroll" tabindex="0" aria-label="Record of the group">
      <table class="grid-table">
        <thead>
          <tr class="units">
            <th colspan="3" />
            <th v-for="unit in data.units" :key="unit.code" :colspan="unit.criteria.length" class="opens">
              {{ unit.title }}
            </th>
          </tr>
          <tr>
            <th>Apprentice</th>
            <th class="num">Missing</th>
            <th class="nowrap">Closes</th>
            <template v-for="unit in data.units" :key="unit.code"
              ><th
                v-for="(criterion, i) in unit.criteria"
                :key="criterion.code"
                :title="criterion.text"
                class="mono"
                :class="{ opens: i === 0 }"
              >
                {{ criterion.code }}
              </th></template
            >
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in data.people" :key="person.id">
            <td class="who">
              <NuxtLink :to="`/records/${person.id}`"
                ><b>{{ person.name }}</b></NuxtLink
              >
              <span class="sym">{{ person.number }}</span>
            </td>
            <td class="num">
              <button
                type="button"
                class="text-button"
                :aria-expanded="chosen === person.id"
                :aria-label="`What is missing of ${person.name}`"
                @click="chosen = chosen === person.id ? null : person.id"
              >
                <b>{{ missing(person) }}</b>
              </button>
            </td>
            <td class="soft nowrap">{{ closes(person) }}</td>
            <td
              v-for="item in person.coverage"
              :key="item.criterion.code"
              :class="{ opens: openers.has(item.criterion.code) }"
            >
              <OccasionStitch :step="18" :coverage="item" :label="`${person.name}, ${item.criterion.code}`" />
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <section v-if="shown" class="stitched stack" data-testid="missing">
      <h2>What {{ shown.name }} still needs</h2>
      <div class="missing">
        <div v-for="unit in shown.units.filter(({ steps }) => steps > 0)" :key="unit.code">
          <h3>{{ data?.units.find(({ code }) => code === unit.code)?.title }}</h3>
          <p v-for="says in unit.says" :key="says">{{ says }}</p>
        </div>
      </div>
    </section>
    <ClosingPlan v-if="data && cohort" :cohort="cohort" />
    <section v-if="data && cohort" class="stack" aria-label="Files">
      <h2>Files</h2>
      <div class="row">
        <a
          v-for="unit in data.units"
          :key="unit.code"
          class="el-button"
          :href="`/api/out/unit?cohort=${encodeURIComponent(cohort)}&unit=${encodeURIComponent(unit.code)}`"
          download
          >Report of unit {{ unit.code }} (CSV)</a
        >
        <a class="el-button" :href="`/api/out/xapi?cohort=${encodeURIComponent(cohort)}`" download
          >xAPI statements</a
        >
        <a class="el-button" href="/api/out/oneroster" download>OneRoster package</a>
      </div>
    </section>
    <SealFoot />
  </div>
</template>

<style scoped>
.missing {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(320px, 1fr));
  gap: 12px 28px;
}
.scroll {
  overflow-x: auto;
}
.nowrap {
  white-space: nowrap;
  padding-left: 12px;
}
.units th {
  border-bottom: 0;
  color: var(--indigo-text);
  font-weight: 680;
  font-size: 14.5px;
}
.who {
  white-space: nowrap;
  padding-right: 14px;
}
.who .sym {
  margin-left: 8px;
}
td,
th {
  padding-inline: 2px;
}
.opens {
  padding-left: 14px;
}
</style>

<script setup lang="ts">
import type { GroupRecord } from '#schemas/marking-views'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'verifier'] })
const { data: cohorts } = useCohorts()
const picked = ref<string | null>(null)
const cohort = computed(() => picked.value ?? cohorts.value?.[0] ?? null)
const { data, problem, refresh } = useServer<GroupRecord>(() =>
  cohort.value ? `records?cohort=${encodeURIComponent(cohort.value)}` : null,
)
const lines = (person: GroupRecord['people'][number]) =>
  person.coverage.reduce((sum, item) => sum + Math.min(item.met, item.wanted), 0)
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
            <th />
            <th v-for="unit in data.units" :key="unit.code" :colspan="unit.criteria.length" class="opens">
              {{ unit.title }}
            </th>
            <th />
          </tr>
          <tr>
            <th>Apprentice</th>
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
            <th class="num">Stitches</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in data.people" :key="person.id">
            <td class="who">
              <b>{{ person.name }}</b> <span class="sym">{{ person.number }}</span>
            </td>
            <td
              v-for="item in person.coverage"
              :key="item.criterion.code"
              :class="{ opens: openers.has(item.criterion.code) }"
            >
              <OccasionStitch :step="18" :coverage="item" :label="`${person.name}, ${item.criterion.code}`" />
            </td>
            <td class="num">
              <b>{{ lines(person) }}</b>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
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
td,
th {
  padding-inline: 2px;
}
.opens {
  padding-left: 14px;
}
</style>

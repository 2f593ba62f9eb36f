<script setup lang="ts">
import type { Behaviour } from '#core/assessment/outcomes/framework'
import type { UnitStanding } from '#schemas/evidence-views'
import { KIND_TEXT } from '#words/evidence/labels'
import { unitGapSays, unitStanding } from '#words/evidence/gap'

/** One unit of somebody: what is missing first, then every criterion with its occasions. */
const { standing } = defineProps<{ standing: UnitStanding; behaviours: readonly Behaviour[] }>()
const isOpen = ref(false)
</script>

<template>
  <section class="unit" :data-testid="`unit-${standing.gap.unit.code}`">
    <div class="row spread">
      <h2>{{ unitStanding(standing.gap) }}</h2>
      <p v-if="standing.gap.steps > 0" class="soft small">
        {{
          standing.closesAt
            ? `closes about ${date(standing.closesAt)} at the present pace`
            : 'no date yet: nothing has been gained in the last eight weeks'
        }}
      </p>
      <span v-else class="tag met">nothing missing</span>
    </div>
    <ul v-if="standing.gap.steps > 0" class="gaps" data-testid="gaps">
      <li v-for="says in unitGapSays(standing.gap, behaviours)" :key="says">{{ says }}</li>
    </ul>
    <button type="button" class="text-button" :aria-expanded="isOpen" @click="isOpen = !isOpen">
      {{ isOpen ? 'Hide what counts' : 'Show what counts' }}
    </button>
    <template v-if="isOpen">
      <div
        v-for="item in standing.coverage"
        :key="item.criterion.code"
        class="criterion"
        :data-testid="`criterion-${item.criterion.code}`"
      >
        <b class="mono code">{{ item.criterion.code }}</b>
        <OccasionStitch :coverage="item" />
        <div>
          <p class="text">{{ item.criterion.text }}</p>
          <p class="small soft">{{ item.criterion.bs7671 }}</p>
        </div>
        <div class="occasions">
          <p
            v-for="occasion in item.occasions"
            :key="occasion.decidedAt + occasion.exerciseCode"
            class="small"
          >
            <span class="tag" :class="occasion.met ? 'met' : 'wrong'">{{
              occasion.met ? 'met' : 'not yet'
            }}</span>
            {{ occasion.exerciseTitle }}, {{ dayTime(occasion.decidedAt) }}, {{ occasion.decidedBy }}
            <span class="soft">({{ occasion.kinds.map((kind) => KIND_TEXT[kind]).join(', ') }})</span>
          </p>
          <p v-if="item.occasionsInAll > item.occasions.length" class="small soft">
            The newest {{ item.occasions.length }} of {{ item.occasionsInAll }}; all of them are in the
            archive.
          </p>
        </div>
      </div>
    </template>
  </section>
</template>

<style scoped>
.unit {
  border-left: 6px solid var(--indigo);
  padding: 4px 0 10px 16px;
  display: grid;
  gap: 8px;
}
.gaps {
  margin: 0;
  padding-left: 20px;
  display: grid;
  gap: 4px;
  max-width: 90ch;
}
.gaps li::marker {
  color: var(--turmeric);
}
.text-button {
  justify-self: start;
}
.criterion {
  display: grid;
  grid-template-columns: 40px 84px minmax(240px, 1fr) minmax(260px, 1.1fr);
  gap: 16px;
  align-items: center;
  padding: 9px 4px;
  border-bottom: 1px solid var(--hem);
  min-height: 56px;
}
.text {
  line-height: 1.3;
  font-weight: var(--strong);
}
.code {
  color: var(--indigo-text);
}
.occasions {
  display: flex;
  flex-direction: column;
  gap: 3px;
}
@media (max-width: 900px) {
  .criterion {
    grid-template-columns: 40px 84px 1fr;
  }
  .occasions {
    grid-column: 3;
  }
}
</style>

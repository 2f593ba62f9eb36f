<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import type { GroupPicture } from '#schemas/picture-views'

/** Who has shown how much of which unit, and who will not close it in the term. */
const { picture } = defineProps<{ picture: GroupPicture }>()
/** From the cloth to indigo: how much is there is seen across a room, and written. */
const opacity = scaleLinear([0, 1], [0.05, 0.85])
const shareOf = (met: number, of: number) => (of === 0 ? 0 : met / of)
function closing(person: number, code: string) {
  const unit = picture.progress.find((one) => one.person === person)?.units.find((one) => one.code === code)
  if (!unit || unit.steps === 0) return { text: unit ? 'closed' : '', isLate: false }
  if (!unit.closesAt) return { text: 'no date', isLate: picture.termEnds !== null }
  const day = unit.closesAt.slice(0, 10)
  return { text: date(day), isLate: picture.termEnds !== null && day > picture.termEnds }
}
const late = computed(() =>
  picture.people.filter(({ id }) => picture.outcomes.some(({ code }) => closing(id, code).isLate)),
)
</script>

<template>
  <section class="stack" aria-label="Units and people">
    <h2>Who has shown what</h2>
    <p v-if="picture.termEnds === null" class="soft small">
      The calendar holds no term for today: add it under Dates to see who will not close in time.
    </p>
    <p v-else-if="late.length" class="caution" data-testid="late">
      At the present pace not closed by {{ date(picture.termEnds) }}:
      {{ late.map(({ name }) => name).join(', ') }}.
    </p>
    <p v-else class="soft small">At the present pace everybody closes by {{ date(picture.termEnds) }}.</p>
    <div class="scroll">
      <table class="grid-table matrix">
        <thead>
          <tr>
            <th>Person</th>
            <th v-for="outcome in picture.outcomes" :key="outcome.code" :title="outcome.title">
              {{ outcome.code }} {{ outcome.title }}
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="person in picture.people" :key="person.id">
            <td>
              <NuxtLink :to="`/talk/${person.id}`">{{ person.name }}</NuxtLink>
            </td>
            <td v-for="outcome in picture.outcomes" :key="outcome.code" class="cell">
              <template v-for="one in outcome.by.filter((by) => by.person === person.id)" :key="one.person">
                <span
                  class="fill"
                  :style="{
                    width: `${100 * shareOf(one.met, one.of)}%`,
                    opacity: opacity(shareOf(one.met, one.of)),
                  }"
                />
                <span class="figure"
                  ><b>{{ one.met }}</b> of {{ one.of }}
                  <span :class="{ late: closing(person.id, outcome.code).isLate }">{{
                    closing(person.id, outcome.code).text
                  }}</span></span
                >
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </section>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
.matrix th {
  max-width: 220px;
  overflow: hidden;
  text-overflow: ellipsis;
}
.cell {
  position: relative;
  min-width: 150px;
}
.fill {
  position: absolute;
  inset: auto auto 2px 4px;
  height: 4px;
  background: var(--indigo);
}
.figure {
  position: relative;
  font-size: 14px;
}
.late {
  color: var(--madder-text);
  font-weight: var(--strong);
}
</style>

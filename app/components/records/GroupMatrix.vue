<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import type { GroupRecord } from '#schemas/marking-views'

/** A group’s criteria as stitches: unit beside unit as far as the screen goes, the rest in bands below. */
const { record, chosen } = defineProps<{ record: GroupRecord; chosen: number | null }>()
const emit = defineEmits<{ choose: [person: number] }>()
const STEP = 18
/** Needle-holes beside a criterion’s last one, and the gap before a unit. */
const [AROUND, GAP] = [26, 14]
const NAMES = 300
const frame = ref<HTMLElement | null>(null)
const { width } = useElementSize(frame)
const wanted = computed(
  () => new Map(record.people[0]?.coverage.map((item) => [item.criterion.code, item.wanted]) ?? []),
)
type Unit = GroupRecord['units'][number]
const widthOf = ({ criteria }: Unit): number =>
  criteria.reduce((sum, { code }) => sum + STEP * (wanted.value.get(code) ?? 1) + AROUND, GAP)
const bands = computed(() =>
  width.value === 0 ? [[...record.units]] : bandsOf(record.units, widthOf, width.value - NAMES),
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
const itemsOf = (person: GroupRecord['people'][number], unit: Unit) =>
  unit.criteria.flatMap(({ code }) => person.coverage.find((item) => item.criterion.code === code) ?? [])
</script>

<template>
  <div ref="frame" class="stack scroll" tabindex="0" aria-label="Record of the group">
    <table v-for="(band, b) in bands" :key="b" class="grid-table">
      <thead>
        <tr class="units">
          <th :colspan="b === 0 ? 3 : 1" />
          <th v-for="unit in band" :key="unit.code" :colspan="unit.criteria.length" class="opens">
            {{ unit.title }}
          </th>
        </tr>
        <tr>
          <th>Apprentice</th>
          <template v-if="b === 0"
            ><th class="num">Missing</th>
            <th class="nowrap">Closes</th></template
          >
          <template v-for="unit in band" :key="unit.code"
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
        <tr v-for="person in record.people" :key="person.id">
          <td class="who">
            <NuxtLink :to="`/records/${person.id}`"
              ><b>{{ person.name }}</b></NuxtLink
            >
            <span v-if="b === 0" class="sym">{{ person.number }}</span>
          </td>
          <template v-if="b === 0"
            ><td class="num">
              <button
                type="button"
                class="text-button"
                :aria-expanded="chosen === person.id"
                :aria-label="`What is missing of ${person.name}`"
                @click="emit('choose', person.id)"
              >
                <b>{{ missing(person) }}</b>
              </button>
            </td>
            <td class="soft nowrap">{{ closes(person) }}</td></template
          >
          <template v-for="unit in band" :key="unit.code"
            ><td
              v-for="(item, i) in itemsOf(person, unit)"
              :key="item.criterion.code"
              :class="{ opens: i === 0 }"
            >
              <OccasionStitch
                :step="STEP"
                :coverage="item"
                :label="`${person.name}, ${item.criterion.code}`"
              /></td
          ></template>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
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
  font-weight: var(--heavy);
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

<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { changeOfKind, kindsOf, mondayOf, weeksOf, type Week } from '#core/statistics/weeks'
import type { GroupPicture, PictureSheet } from '#schemas/picture-views'
import { changeSays } from '#words/change'
import { isSlip, kindText } from '#words/picture/kinds'

/** What goes wrong over the weeks, kind by kind, with the days of lessons; a bar leads to its sheets. */
const { picture } = defineProps<{ picture: GroupPicture }>()
const emit = defineEmits<{
  sheets: [title: string, sheets: readonly PictureSheet[]]
  starter: [kind: string]
}>()
const MOST = 8
const isAll = ref(false)
const weeks = computed(() => weeksOf(picture.sheets))
const kinds = computed(() => kindsOf(picture.sheets).slice(0, isAll.value ? undefined : MOST))
const WIDTH = 430
const HEIGHT = 46
const x = computed(() => scaleLinear([0, Math.max(1, weeks.value.length)], [0, WIDTH]))
const most = computed(() =>
  Math.max(1, ...kinds.value.flatMap(({ kind }) => weeks.value.map((week) => countIn(week, kind)))),
)
const y = computed(() => scaleLinear([0, most.value], [0, HEIGHT - 8]))
const countIn = ({ sheets }: Week, kind: string) =>
  sheets.filter((sheet) => sheet.kinds.includes(kind)).length
const barsOf = (kind: string) =>
  weeks.value.map((week, i) => {
    const n = countIn(week, kind)
    return {
      week,
      n,
      x: x.value(i) + 1,
      width: Math.max(2, x.value(1) - 2),
      y: HEIGHT - y.value(n),
      height: y.value(n),
    }
  })
/** Where a day lies between the weeks. */
function placeOf(day: string): number {
  const first = Date.parse(`${weeks.value[0]!.monday}T00:00:00Z`)
  return x.value((Date.parse(`${day}T00:00:00Z`) - first) / (7 * 86_400_000))
}
const lessonsOf = (kind: string) => picture.lessons.filter(({ about }) => about === kind)
const saysOf = (kind: string) =>
  lessonsOf(kind).map((lesson) => ({
    lesson,
    change: changeOfKind(picture.sheets, kind, lesson.day),
    says: changeSays(changeOfKind(picture.sheets, kind, lesson.day), date(lesson.day), 'sheets with it'),
  }))
const TAG = { fewer: 'met', more: 'wrong', open: 'plain', tooFew: 'plain' } as const
const WORD = { fewer: 'fewer', more: 'more', open: 'no clear change', tooFew: 'too few to say' } as const
const sheetsOf = ({ monday }: Week, kind: string) =>
  picture.sheets.filter(({ day, kinds: all }) => all.includes(kind) && mondayOf(day) === monday)
const openWeek = (kind: string, week: Week) =>
  emit('sheets', `${kindText(kind)}, week of ${date(week.monday)}`, sheetsOf(week, kind))
const openAll = (kind: string) =>
  emit(
    'sheets',
    kindText(kind),
    picture.sheets.filter((sheet) => sheet.kinds.includes(kind)),
  )
</script>

<template>
  <section class="stack" aria-label="What goes wrong over the weeks">
    <div class="row spread">
      <h2>What goes wrong, week by week</h2>
      <el-checkbox v-if="kindsOf(picture.sheets).length > MOST" v-model="isAll" label="Every kind" />
    </div>
    <p v-if="kinds.length === 0" class="soft">
      Nothing went wrong in the {{ picture.sheets.length }} sheets that were decided since then.
    </p>
    <table v-else class="grid-table" data-testid="slip-weeks">
      <thead>
        <tr>
          <th>Kind</th>
          <th class="num">Sheets</th>
          <th>{{ date(weeks[0]!.monday) }} to {{ date(weeks.at(-1)!.monday) }}, a bar a week</th>
          <th>Since a lesson</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ kind, sheets } in kinds" :key="kind">
          <td>
            <button type="button" class="text-button" @click="openAll(kind)">{{ kindText(kind) }}</button>
          </td>
          <td class="num">{{ sheets }} of {{ picture.sheets.length }}</td>
          <td>
            <svg
              :viewBox="`0 0 ${WIDTH} ${HEIGHT + 2}`"
              :width="WIDTH"
              :height="HEIGHT + 2"
              role="img"
              :aria-label="`${kindText(kind)}: ${barsOf(kind)
                .map(({ n }) => n)
                .join(', ')} sheets, week by week`"
            >
              <line x1="0" :x2="WIDTH" :y1="HEIGHT" :y2="HEIGHT" class="base" />
              <rect
                v-for="bar in barsOf(kind)"
                :key="bar.week.monday"
                :x="bar.x"
                :y="bar.y"
                :width="bar.width"
                :height="bar.height"
                class="bar"
                @click="openWeek(kind, bar.week)"
              >
                <title>{{ date(bar.week.monday) }}: {{ bar.n }} of {{ bar.week.sheets.length }} sheets</title>
              </rect>
              <g v-for="lesson in lessonsOf(kind)" :key="lesson.id">
                <line
                  :x1="placeOf(lesson.day)"
                  :x2="placeOf(lesson.day)"
                  y1="0"
                  :y2="HEIGHT"
                  class="lesson"
                />
                <title>{{ lesson.title }}, {{ date(lesson.day) }}</title>
              </g>
            </svg>
          </td>
          <td>
            <p v-for="one in saysOf(kind)" :key="one.lesson.id" class="small" data-testid="lesson-says">
              <span class="tag" :class="TAG[one.change.is]">{{ WORD[one.change.is] }}</span> {{ one.says }}
              <NuxtLink v-if="one.lesson.starter" :to="`/exercises/${one.lesson.starter.id}`"
                >Starter {{ one.lesson.starter.code }}: {{ one.lesson.starter.withSlip }} of
                {{ one.lesson.starter.sheets }} with it</NuxtLink
              >
            </p>
            <button v-if="isSlip(kind)" type="button" class="text-button" @click="emit('starter', kind)">
              Teach it…
            </button>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
.base {
  stroke: var(--ink);
}
.bar {
  fill: var(--madder);
  cursor: pointer;
}
.bar:hover {
  fill: var(--turmeric);
}
.lesson {
  stroke: var(--indigo);
  stroke-width: 2.5;
  stroke-dasharray: 5 3;
}
</style>

<script setup lang="ts">
import { PAIRINGS } from '#core/planning/pairs'
import type { SessionView } from '#schemas/planning-views'
import type { PlanTask } from '#core/planning/session'
import { PAIRING_TEXT, learntSays, repeatSays } from '#words/planning/says'
import type { PlannedSessionTools } from '~/composables/usePlannedSession'

/** Who does what, alone or in pairs, and how long each part is reckoned with. */
const { tools, view } = defineProps<{ tools: PlannedSessionTools; view: SessionView }>()
const { session, change, remove, add, pair, names, code } = tools
const people = ref<number[]>([])
const exercise = ref<number | null>(null)
const PARTS = [
  ['design', 'Design'],
  ['build', 'Wiring'],
  ['dead', 'Dead tests'],
  ['live', 'Live tests'],
] as const
const used = computed(() =>
  view.exercises.filter(({ id }) => session.value.tasks.some((task) => task.exercise === id)),
)
/** Why it is done again, where the records say so. */
function whyRepeats({ people: who, exercise: id }: PlanTask): string {
  const known = view.open.find((one) => who.includes(one.person) && one.exercise === id)?.repeat
  return known ? repeatSays(known, date(known.at.slice(0, 10))) : ''
}
function put() {
  if (exercise.value === null) return
  for (const one of people.value) add([one], exercise.value)
  people.value = []
}
</script>

<template>
  <div class="stack">
    <div class="row stitched">
      <el-select
        v-model="people"
        multiple
        filterable
        collapse-tags
        collapse-tags-tooltip
        placeholder="People"
        aria-label="People"
        data-testid="plan-people"
        style="width: 300px"
      >
        <el-option v-for="one in view.people" :key="one.id" :value="one.id" :label="one.name" />
      </el-select>
      <el-select
        v-model="exercise"
        filterable
        placeholder="Exercise"
        aria-label="Exercise"
        data-testid="plan-exercise"
        style="width: 300px"
      >
        <el-option
          v-for="one in view.exercises"
          :key="one.id"
          :value="one.id"
          :label="`${one.code} ${one.title}`"
        />
      </el-select>
      <el-button :disabled="people.length === 0 || exercise === null" data-testid="plan-add" @click="put"
        >Add</el-button
      >
      <span class="grow" />
      <label class="row"
        >Together
        <el-select
          :model-value="session.pairing"
          aria-label="Together"
          data-testid="plan-pairing"
          style="width: 230px"
          @update:model-value="pair($event)"
        >
          <el-option v-for="one in PAIRINGS" :key="one" :value="one" :label="PAIRING_TEXT[one]" /> </el-select
      ></label>
    </div>
    <p v-for="one in used" :key="one.id" class="soft small">
      <b>{{ one.code }}</b>: {{ learntSays(one.learnt) }}
    </p>
    <p v-if="session.tasks.length === 0" class="empty">Nobody has a task in this session yet.</p>
    <table v-else class="grid-table" data-testid="plan-tasks">
      <thead>
        <tr>
          <th>Who</th>
          <th>Exercise</th>
          <th v-for="[part, name] in PARTS" :key="part" class="num">{{ name }}, min</th>
          <th>Repeat</th>
          <th>Locked</th>
          <th />
        </tr>
      </thead>
      <tbody>
        <tr v-for="task in session.tasks" :key="task.id">
          <td>{{ task.people.map(names.person).join(' and ') }}</td>
          <td>{{ code(task.exercise) }}</td>
          <td v-for="[part, name] in PARTS" :key="part" class="num">
            <el-input-number
              :model-value="task.minutes[part]"
              :min="0"
              :max="600"
              :step="5"
              size="small"
              controls-position="right"
              style="width: 92px"
              :aria-label="`${name} of ${names.task(task.id)}, minutes`"
              @update:model-value="
                change(task, { minutes: { ...task.minutes, [part]: Math.round($event ?? 0) } })
              "
            />
          </td>
          <td>
            <el-checkbox
              :model-value="task.isRepeat"
              :aria-label="`${names.task(task.id)} repeats`"
              @update:model-value="change(task, { isRepeat: $event === true })"
            />
            <span v-if="task.isRepeat" class="soft small">{{ whyRepeats(task) }}</span>
          </td>
          <td>
            <el-checkbox
              :model-value="task.isLocked"
              :aria-label="`${names.task(task.id)} stays where it is`"
              @update:model-value="change(task, { isLocked: $event === true })"
            />
          </td>
          <td><button type="button" class="text-button" @click="remove(task.id)">Remove</button></td>
        </tr>
      </tbody>
    </table>
  </div>
</template>

<style scoped>
.grow {
  flex: 1;
}
</style>

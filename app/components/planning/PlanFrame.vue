<script setup lang="ts">
import { idList } from '#core/planning/read-session'
import type { SessionView } from '#schemas/planning-views'
import type { PlannedSessionTools } from '~/composables/usePlannedSession'
import type { Fields } from '~/utils/document-shapes'

/** When, where and with what: the day, its hours, bays, desks, instruments, and who may stand beside live work. */
const { tools, view, fields } = defineProps<{
  tools: PlannedSessionTools
  view: SessionView
  fields: Fields
}>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
const { session, names } = tools
const put = (name: string, text: string | number | null | undefined) =>
  emit('write', name, String(text ?? ''))
const bays = computed(() =>
  [...new Set([...view.knownBays, ...session.value.frame.bays])].sort((a, b) => a - b),
)
/** One reason a bay, whatever of it is overdue. */
const overdue = computed(() => {
  const { frame, day } = session.value
  const late = view.bays.filter(({ bay, dueOn }) => frame.bays.includes(bay) && day !== '' && dueOn < day)
  return late.filter(({ bay }, i) => late.findIndex((other) => other.bay === bay) === i)
})
const windowOf = (id: number) => session.value.frame.assessors.find((one) => one.id === id)
const time = (minute: number) => names.time(minute)
const slots = computed(() =>
  Array.from({ length: Math.floor(session.value.frame.minutes / 30) + 1 }, (_, i) => i * 30),
)
function stand(id: number, from: number | null, to: number | null) {
  put(`assessor.${id}`, from === null || to === null || from >= to ? '' : `${from}-${to}`)
}
</script>

<template>
  <div class="frame">
    <section class="stack">
      <h2>When</h2>
      <label class="field"
        ><span>Title</span
        ><el-input
          :model-value="fields.title"
          name="session-title"
          maxlength="80"
          @update:model-value="put('title', $event)"
      /></label>
      <label class="field"
        ><span>Day</span
        ><DayPicker
          :model-value="session.day"
          @update:model-value="put('day', $event)"
          label="Day of the session"
          name="session-day"
      /></label>
      <div class="row">
        <label class="field"
          ><span>From</span
          ><el-time-select
            :model-value="session.from"
            start="07:00"
            step="00:15"
            end="21:00"
            aria-label="From"
            style="width: 130px"
            @update:model-value="put('from', $event)"
        /></label>
        <FigureField
          label="Minutes"
          :model-value="session.frame.minutes"
          :min="30"
          :max="720"
          :step="30"
          test-id="session-minutes"
          @update:model-value="put('minutes', $event)"
        />
        <label class="field"
          ><span>Grid, min</span
          ><el-select
            :model-value="String(session.frame.step)"
            aria-label="Grid, minutes"
            style="width: 90px"
            @update:model-value="put('step', $event)"
            ><el-option
              v-for="one in ['10', '15', '20', '30']"
              :key="one"
              :value="one"
              :label="one" /></el-select
        ></label>
      </div>
    </section>
    <section class="stack">
      <h2>Where</h2>
      <label class="field"
        ><span>Bays</span
        ><el-select
          :model-value="session.frame.bays"
          multiple
          filterable
          allow-create
          default-first-option
          aria-label="Bays"
          data-testid="session-bays"
          @update:model-value="
            put(
              'bays',
              idList($event.join(' '))
                .sort((a, b) => a - b)
                .join(' '),
            )
          "
          ><el-option v-for="bay in bays" :key="bay" :value="bay" :label="`bay ${bay}`" /></el-select
      ></label>
      <label v-for="one in overdue" :key="one.bay" class="field"
        ><span>Bay {{ one.bay }} is overdue since {{ date(one.dueOn) }}. Used because:</span
        ><el-input
          :model-value="fields[`reason.${one.bay}`]"
          :name="`reason-${one.bay}`"
          maxlength="200"
          @update:model-value="put(`reason.${one.bay}`, $event)"
      /></label>
      <FigureField
        label="Desks for designs"
        :model-value="session.frame.desks"
        :min="0"
        :max="200"
        @update:model-value="put('desks', $event)"
      />
    </section>
    <section class="stack">
      <h2>With</h2>
      <label class="field"
        ><span>Instruments</span
        ><el-select
          :model-value="session.wanted"
          multiple
          aria-label="Instruments"
          data-testid="session-instruments"
          @update:model-value="put('instruments', $event.join(' '))"
          ><el-option
            v-for="one in view.instruments"
            :key="one.id"
            :value="one.id"
            :label="`${one.name}, until ${date(one.dueOn)}`" /></el-select
      ></label>
      <h3>Supervising live work</h3>
      <div v-for="one in view.staff" :key="one.id" class="row assessor">
        <el-checkbox
          :model-value="windowOf(one.id) !== undefined"
          :label="one.name"
          @update:model-value="stand(one.id, $event === true ? 0 : null, session.frame.minutes)"
        />
        <template v-if="windowOf(one.id)">
          <el-select
            :model-value="windowOf(one.id)!.from"
            :aria-label="`${one.name} from`"
            style="width: 96px"
            @update:model-value="stand(one.id, $event, windowOf(one.id)!.to)"
            ><el-option v-for="minute in slots" :key="minute" :value="minute" :label="time(minute)"
          /></el-select>
          to
          <el-select
            :model-value="windowOf(one.id)!.to"
            :aria-label="`${one.name} to`"
            style="width: 96px"
            @update:model-value="stand(one.id, windowOf(one.id)!.from, $event)"
            ><el-option v-for="minute in slots" :key="minute" :value="minute" :label="time(minute)"
          /></el-select>
        </template>
      </div>
      <h3>Absent that day</h3>
      <el-select
        :model-value="session.frame.absent"
        multiple
        filterable
        placeholder="Nobody"
        aria-label="Absent that day"
        data-testid="session-absent"
        @update:model-value="put('absent', $event.join(' '))"
      >
        <el-option v-for="one in view.people" :key="one.id" :value="one.id" :label="one.name" />
      </el-select>
    </section>
  </div>
</template>

<style scoped>
.frame {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 20px 34px;
}
.assessor {
  min-height: 40px;
}
@media (max-width: 1000px) {
  .frame {
    grid-template-columns: 1fr;
  }
}
</style>

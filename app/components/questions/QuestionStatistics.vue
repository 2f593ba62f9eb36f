<script setup lang="ts">
import { TOO_FEW } from '#core/questions/statistics'
import type { QuestionsOfGroup } from '#schemas/question-views'
import { changeSays } from '#words/change'
import { TOPIC_NAME } from '#words/questions/labels'

/** Which questions fail in a group, and what a question tells about the people. */
const { data: cohorts } = useCohorts()
const cohort = ref('')
const taughtOn = ref('')
watch(cohorts, (all) => (cohort.value ||= all?.[0] ?? ''), { immediate: true })
const {
  data: group,
  problem,
  refresh,
} = useServer<QuestionsOfGroup>(() => {
  const day = taughtOn.value ? `&taughtOn=${taughtOn.value}` : ''
  return cohort.value ? `questions/group?cohort=${encodeURIComponent(cohort.value)}${day}` : null
})
const rows = computed(() =>
  [...(group.value?.items ?? [])].sort((a, b) => b.counts.notYet - a.counts.notYet || b.answers - a.answers),
)
const months = computed(() => {
  const topics = new Map<string, QuestionsOfGroup['months'][number][]>()
  for (const month of group.value?.months ?? [])
    topics.set(month.topic, [...(topics.get(month.topic) ?? []), month])
  return [...topics]
})
const share = (value: number | null) => (value === null ? 'too few to say' : value.toFixed(2))
</script>

<template>
  <div class="stack">
    <el-select v-model="cohort" aria-label="Group" style="width: 260px">
      <el-option v-for="name in cohorts ?? []" :key="name" :value="name" :label="name" />
    </el-select>
    <label class="row taught"
      >Compare before and after a lesson on
      <DayPicker v-model="taughtOn" label="Day of the lesson" name="taught-on" clearable />
    </label>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <p v-else-if="group && rows.length === 0" class="soft">Nobody of this group has been asked yet.</p>
    <template v-else-if="group">
      <ul v-if="group.changes.length" class="changes" data-testid="changes">
        <li v-for="{ topic, change } in group.changes" :key="topic" :class="change.is">
          <b>{{ TOPIC_NAME[topic] }}</b> {{ changeSays(change, date(taughtOn), 'unaided') }}
        </li>
      </ul>
      <p v-if="group.changes.length" class="soft small">
        The interval takes each answer as one of its own; where few people answered often, it is too narrow.
      </p>
      <div class="months">
        <div v-for="[topic, entries] in months" :key="topic" class="month">
          <b>{{ TOPIC_NAME[topic as keyof typeof TOPIC_NAME] }}</b>
          <span v-for="month in entries" :key="month.month" class="soft small"
            >{{ month.month }}: {{ Math.round(100 * month.unaided) }} % unaided of {{ month.answers }}</span
          >
        </div>
      </div>
      <el-table :data="rows" max-height="420">
        <el-table-column label="Question" prop="text" min-width="360" />
        <el-table-column label="Topic" width="180"
          ><template #default="{ row }">{{
            TOPIC_NAME[row.topic as keyof typeof TOPIC_NAME]
          }}</template></el-table-column
        >
        <el-table-column label="Unaided" prop="counts.unaided" width="90" align="right" />
        <el-table-column label="Prompted" prop="counts.prompted" width="100" align="right" />
        <el-table-column label="Not yet" prop="counts.notYet" width="90" align="right" />
        <el-table-column label="Facility" width="130" align="right"
          ><template #default="{ row }">{{ share(row.facility) }}</template></el-table-column
        >
        <el-table-column label="Discrimination" width="140" align="right"
          ><template #default="{ row }">{{ share(row.discrimination) }}</template></el-table-column
        >
      </el-table>
      <p class="soft small">
        Facility: 1 everybody knew it. Discrimination: near 1 those who know the rest know it; near 0 it tells
        nothing. Under {{ TOO_FEW }} answers neither is told.
      </p>
    </template>
  </div>
</template>

<style scoped>
.taught {
  gap: 10px;
}
.changes {
  list-style: none;
  padding: 0;
  display: grid;
  gap: 6px;
}
.changes li {
  border-left: 4px solid var(--hem);
  padding-left: 10px;
}
.changes .more {
  border-color: var(--leaf);
}
.changes .fewer {
  border-color: var(--madder);
}
.months {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(230px, 1fr));
  gap: 8px;
}
.month {
  display: grid;
  border-left: 4px solid var(--turmeric);
  padding-left: 10px;
}
</style>

<script setup lang="ts">
import type { WorkListItem } from '#schemas/views'
import { STAGE_WORDS } from '~/texts/stages'

definePageMeta({ layout: 'bay', roles: ['apprentice'] })

const { data, problem, refresh } = useServer<WorkListItem[]>(() => 'work', { isKept: true })
const words = (item: WorkListItem) =>
  item.stage === 'design' && item.answered === 0 ? 'not started' : STAGE_WORDS[item.stage].mine
</script>

<template>
  <div class="page">
    <h1>My tasks</h1>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="list"><div v-for="i in 3" :key="i" class="skeleton tall" /></div>
    <div v-else-if="data.length === 0" class="empty">
      <h2>No task yet</h2>
      <p>Your instructor gives you one. It appears here by itself.</p>
    </div>
    <div v-else class="list">
      <NuxtLink
        v-for="item in data"
        :key="item.id"
        :to="`/work/${item.id}`"
        class="task"
        prefetch-on="interaction"
        :data-testid="`task-${item.code}`"
      >
        <span class="bay-number"><small>bay</small>{{ item.bay }}</span>
        <span class="what"
          ><b>{{ item.title }}</b
          ><span class="soft">{{ item.code }}</span></span
        >
        <TaskStitches :stage="item.stage" :share="item.answered / item.steps" />
        <span
          class="tag"
          :class="item.stage === 'permission' ? 'waiting' : item.stage === 'released' ? 'met' : 'plain'"
          >{{ words(item) }}</span
        >
      </NuxtLink>
    </div>
  </div>
</template>

<style scoped>
.list {
  display: flex;
  flex-direction: column;
  gap: 12px;
  margin-top: 18px;
}
.tall {
  height: 84px;
}
.task {
  display: grid;
  grid-template-columns: 74px 1fr 190px 190px;
  gap: 18px;
  align-items: center;
  padding: 14px 20px;
  min-height: 84px;
  background: var(--panel);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
  color: inherit;
  text-decoration: none;
}
.task:hover {
  border-color: var(--indigo);
}
.bay-number {
  font: var(--heavy) 30px var(--mono);
  color: var(--indigo-text);
  display: flex;
  flex-direction: column;
  line-height: 1;
}
.bay-number small {
  font: var(--mid) 13px var(--font);
  color: var(--soft);
}
.what {
  display: flex;
  flex-direction: column;
  font-size: 17px;
}
.tag {
  justify-self: end;
  font-size: 14.5px;
  padding: 4px 10px;
}
@media (max-width: 760px) {
  .task {
    grid-template-columns: 60px 1fr;
  }
  .tag {
    justify-self: start;
  }
}
</style>

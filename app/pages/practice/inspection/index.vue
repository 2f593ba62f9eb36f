<script setup lang="ts">
import { SCENES, type SceneCode } from '#core/inspection/scenes/code'
import { SCENE_NAME } from '#words/inspection'
import type { RoundListItem } from '#schemas/workmanship-views'

definePageMeta({ layout: 'bay', roles: ['apprentice', 'instructor', 'assessor'] })
const { call } = useApi()
const { data, problem, refresh } = useServer<RoundListItem[]>(() => 'rounds')
async function start(scene: SceneCode) {
  try {
    const { id } = await call<{ id: number }>('POST', 'rounds', { scene })
    await navigateTo(`/practice/inspection/${id}`)
  } catch (error) {
    showProblem(error)
  }
}
</script>

<template>
  <div class="page stack">
    <h1>Inspection trainer</h1>
    <p class="soft lead">
      Look, mark what is not in order, say how serious it is. Every round is picked at random; there is always
      another one. A drawing is not a bay: at a real one the cover comes off only when it is isolated, locked
      and proved dead.
    </p>
    <div class="row">
      <el-button
        v-for="scene in SCENES"
        :key="scene"
        size="large"
        type="primary"
        :data-testid="`start-${scene}`"
        @click="start(scene)"
        >{{ SCENE_NAME[scene] }}</el-button
      >
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <h2 v-if="data?.length">Your rounds</h2>
    <NuxtLink
      v-for="round in data ?? []"
      :key="round.id"
      :to="`/practice/inspection/${round.id}`"
      class="list-entry"
      ><span class="grow"
        ><b>{{ SCENE_NAME[round.scene] }}</b> <span class="soft">{{ dayTime(round.startedAt) }}</span></span
      ><span
        class="tag"
        :class="round.percent === null ? 'waiting' : round.percent >= 80 ? 'met' : 'plain'"
        >{{ round.percent === null ? 'open' : `${round.percent} %` }}</span
      ></NuxtLink
    >
  </div>
</template>

<style scoped>
.lead {
  max-width: 72ch;
}
.grow {
  flex: 1;
}
.row :deep(.el-button) {
  min-height: 56px;
}
</style>

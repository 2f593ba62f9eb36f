<script setup lang="ts">
import type { FaultFindingHome, PlantBay, PlantPreviewView } from '#schemas/fault-finding-views'

/**
 * Planting faults: pointed at on the bay, computed before anybody looks for them, set for apprentices in the virtual or
 * a real bay.
 */
definePageMeta({ roles: ['instructor', 'assessor'] })
const { data: home, problem, refresh } = useServer<FaultFindingHome>(() => 'hunts')
const bayCode = ref('ring')
const { call } = useApi()
const {
  data: bay,
  problem: bayProblem,
  refresh: reload,
} = useServer<PlantBay>(() => `plants/${bayCode.value}`)
const plant = usePlant(bayCode, {
  bay,
  ask: (code, faults) => call<PlantPreviewView>('POST', 'plants/preview', { bay: code, faults }),
  tell: showProblem,
})
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Plant a fault</h1>
        <p class="soft">
          Point at a conductor, a terminal or a part. What it shows is computed before anybody looks for it.
        </p>
      </div>
      <el-select v-model="bayCode" aria-label="Bay" style="width: 320px"
        ><el-option v-for="rig in home?.bays ?? []" :key="rig.code" :value="rig.code" :label="rig.title"
      /></el-select>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <ServerProblem v-else-if="bayProblem" :problem="bayProblem" @retry="reload" />
    <div v-else class="columns">
      <div class="stack">
        <PlantDrawing :plant="plant" />
        <PlantShows :plant="plant" />
      </div>
      <div class="stack">
        <PlantFaults :plant="plant" />
        <PlantSet :plant="plant" :bay="bayCode" :home="home" @set="refresh" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 360px;
  gap: 24px;
  align-items: start;
}
@media (max-width: 1000px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>

<script setup lang="ts">
import { DEVICE_STANDARD } from '#core/regulations/breakers'
import type { StoresExercise } from '#schemas/views'
import { CABLE_NAME } from '~/texts/task-facts'

definePageMeta({ roles: ['technician', 'instructor'] })
const { data, problem, refresh } = useServer<StoresExercise[]>(() => 'stores')

type Bay = StoresExercise['bays'][number]
const cableOf = (bay: Bay) => `${CABLE_NAME[bay.cable]} ${bay.lineMm2}/${bay.cpcMm2} mm²`
const deviceOf = (bay: Bay) => `${DEVICE_STANDARD[bay.family]} ${bay.curve}${bay.ratingA}, ${bay.capacityA / 1e3} kA${bay.residualMA ? `, ${bay.residualMA} mA` : ''}`
function totals(bays: readonly Bay[]) {
  const cable = new Map<string, number>()
  const device = new Map<string, number>()
  for (const bay of bays) {
    cable.set(cableOf(bay), (cable.get(cableOf(bay)) ?? 0) + bay.lengthM)
    device.set(deviceOf(bay), (device.get(deviceOf(bay)) ?? 0) + 1)
  }
  return { cable: [...cable], device: [...device] }
}
const print = () => window.print()
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div><h1>Stores</h1><p class="soft">What each bay needs laid out. Lengths are the runs; add what your centre cuts off. Not for apprentices: it follows from the answers.</p></div>
      <el-button class="screen-only" @click="print">Print</el-button>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack"><div v-for="i in 6" :key="i" class="skeleton" style="height: 36px" /></div>
    <div v-else-if="data.length === 0" class="empty"><h2>No exercise has been set</h2><p>As soon as an instructor sets one for a group, its list is here.</p></div>
    <section v-for="exercise in data ?? []" :key="exercise.id" class="sheet">
      <h2>{{ exercise.code }} {{ exercise.title }}</h2>
      <div class="totals">
        <p v-for="[name, length] in totals(exercise.bays).cable" :key="name"><b class="mono">{{ length.toFixed(1) }} m</b> {{ name }}</p>
        <p v-for="[name, count] in totals(exercise.bays).device" :key="name"><b class="mono">{{ count }} ×</b> {{ name }}</p>
      </div>
      <table class="grid-table">
        <thead><tr><th>Bay</th><th>Apprentice</th><th>Cable</th><th class="num">Run</th><th>Device</th><th /></tr></thead>
        <tbody>
          <tr v-for="bay in exercise.bays" :key="bay.bay">
            <td><b class="mono">{{ bay.bay }}</b></td><td>{{ bay.name }}</td><td>{{ cableOf(bay) }}</td><td class="num">{{ bay.lengthM.toFixed(1) }} m</td><td>{{ deviceOf(bay) }}</td>
            <td><span v-if="bay.isDone" class="tag met">done, take back</span></td>
          </tr>
        </tbody>
      </table>
    </section>
  </div>
</template>

<style scoped>
section { margin-top: 6px; }
.totals { display: flex; flex-wrap: wrap; gap: 4px 26px; padding: 6px 0 10px; }
</style>

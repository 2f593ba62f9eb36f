<script setup lang="ts">
import { deviceWords } from '#core/design/materials/materials'
import type { StoresExercise, StoresItem } from '#schemas/views'
import { cableWords } from '~/texts/cables'
import { PART_NAME } from '~/texts/parts'

/** What one group needs laid out for an exercise: cable from the drums, devices, tools, bay by bay. */
const { item } = defineProps<{ item: StoresItem }>()
const cohorts = computed(() => item.groups.map(({ cohort }) => cohort))
const wanted = ref('')
const {
  data: exercise,
  problem,
  refresh,
} = useServer<StoresExercise>(
  () => `stores/${item.id}?cohort=${encodeURIComponent(wanted.value || cohorts.value[0]!)}`,
)

function deviceTotals({ bays }: StoresExercise): [string, number][] {
  const totals = new Map<string, number>()
  for (const device of bays.filter(({ isDone }) => !isDone).flatMap(({ materials }) => materials.devices))
    totals.set(deviceWords(device), (totals.get(deviceWords(device)) ?? 0) + 1)
  return [...totals]
}
function partTotals({ bays }: StoresExercise): [string, number][] {
  const totals = new Map<string, number>()
  for (const part of bays.filter(({ isDone }) => !isDone).flatMap(({ materials }) => materials.parts)) {
    const name = `${PART_NAME[part.part]}${part.detail ? `, ${part.detail}` : ''}`
    totals.set(name, (totals.get(name) ?? 0) + part.count)
  }
  return [...totals]
}
</script>

<template>
  <section class="sheet">
    <div class="row spread">
      <h2>{{ item.code }} {{ item.title }}</h2>
      <GroupPick
        class="screen-only"
        :cohorts="cohorts"
        :cohort="exercise?.cohort ?? cohorts[0]!"
        @pick="wanted = $event"
      />
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!exercise" class="skeleton" style="height: 120px" />
    <template v-else>
      <div class="session">
        <div>
          <h3>Cable for the session</h3>
          <p v-if="exercise.cables.length === 0" class="soft">Everybody is done: take the lengths back.</p>
          <div v-for="cable in exercise.cables" :key="cableWords(cable)" class="cable">
            <p>
              <b class="mono">{{ cable.totalM }} m</b> {{ cableWords(cable) }}
            </p>
            <div
              v-for="(drum, i) in cable.drums"
              :key="i"
              class="drum"
              :title="drum.pieces.map((piece) => `${piece.forWhom} ${piece.lengthM} m`).join(', ')"
            >
              <span
                v-for="piece in drum.pieces"
                :key="piece.forWhom + piece.lengthM"
                :style="{ flexGrow: piece.lengthM }"
                >{{ piece.forWhom.replace('bay ', '') }}: {{ piece.lengthM }}</span
              >
              <span class="left" :style="{ flexGrow: drum.leftM }">{{ drum.leftM }}</span>
              <b>{{ drum.label ?? `new, ${drum.lengthM} m` }}</b>
            </div>
          </div>
        </div>
        <div>
          <h3>Devices and parts</h3>
          <p v-for="[name, count] in [...deviceTotals(exercise), ...partTotals(exercise)]" :key="name">
            <b class="mono">{{ count }} ×</b> {{ name }}
          </p>
          <h3>Tools and protection</h3>
          <p>{{ [...exercise.tools, ...exercise.protection].join(', ') }}</p>
        </div>
      </div>
      <details>
        <summary>Bay by bay</summary>
        <table class="grid-table">
          <thead>
            <tr>
              <th>Bay</th>
              <th>Apprentice</th>
              <th>Circuit</th>
              <th>Cable</th>
              <th class="num">Length</th>
              <th>Device</th>
              <th />
            </tr>
          </thead>
          <tbody>
            <template v-for="bay in exercise.bays" :key="bay.bay">
              <tr v-for="(cable, i) in bay.materials.cables" :key="cable.circuit">
                <td>
                  <b v-if="i === 0" class="mono">{{ bay.bay }}</b>
                </td>
                <td>{{ i === 0 ? bay.name : '' }}</td>
                <td>{{ bay.scopes[cable.circuit] }}</td>
                <td>{{ cableWords(cable) }}</td>
                <td class="num">{{ cable.lengthM }} m</td>
                <td>{{ deviceWords(bay.materials.devices[i]!) }}</td>
                <td><span v-if="bay.isDone && i === 0" class="tag met">done, take back</span></td>
              </tr>
            </template>
          </tbody>
        </table>
      </details>
    </template>
  </section>
</template>

<style scoped>
section {
  margin-top: 6px;
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.session {
  display: grid;
  grid-template-columns: 1.4fr 1fr;
  gap: 30px;
}
@media (max-width: 760px) {
  .session {
    grid-template-columns: minmax(0, 1fr);
  }
}
h3 {
  margin: 6px 0 4px;
}
.cable {
  margin-bottom: 10px;
}
.drum {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  align-items: center;
  font: var(--strong) 12.5px var(--mono);
  margin-top: 3px;
}
.drum span {
  background: var(--indigo-wash);
  border-left: 3px solid var(--indigo);
  padding: 2px 5px;
  min-width: max-content;
  flex-basis: 0;
  white-space: nowrap;
}
.drum .left {
  background: transparent;
  border: 1px dashed var(--hem-strong);
  color: var(--soft);
}
.drum b {
  font-weight: var(--mid);
  color: var(--soft);
  white-space: nowrap;
  padding-left: 8px;
  width: 96px;
  flex: none;
}
summary {
  cursor: pointer;
  font-weight: var(--strong);
  color: var(--indigo-text);
  min-height: 32px;
}
@media (max-width: 1000px) {
  .session {
    grid-template-columns: 1fr;
  }
}
</style>

<script setup lang="ts">
import type { Spot } from '#core/survey/plan/geometry'
import { FIXTURE_KINDS, ROOM_KINDS, WAYS, type Plan } from '#core/survey/plan/plan'
import { leastIp, type Conditions } from '#core/survey/plan/protection'
import { measureRoute } from '#core/survey/plan/route'
import { zoneAt } from '#core/survey/plan/zones'
import { USES } from '#core/regulations/supply'
import { FIXTURE_TEXT, ROOM_TEXT, WAY_TEXT, ipSays } from '#words/survey/items'
import { USE_NAME } from '#words/names'
import { cornersOf, cornersText } from '~/utils/plan-texts'

/** What is picked on the plan, with everything that can be said of it; also by keyboard alone. */
const { box, plan, conditions } = defineProps<{ box: string; plan: Plan; conditions: Conditions }>()
const emit = defineEmits<{ change: [parts: Record<string, unknown>]; remove: []; lead: [] }>()
const part = computed(() => box.split('.')[0]!)
const id = computed(() => box.split('.')[1]!)
const room = computed(() => plan.rooms.find((one) => one.id === id.value))
const point = computed(() => plan.points.find((one) => one.id === id.value))
const route = computed(() => plan.routes.find((one) => one.id === id.value))
const fixture = computed(() => plan.fixtures.find((one) => one.id === id.value))
const door = computed(() => plan.doors.find((one) => one.id === id.value))
const measure = computed(() => route.value && measureRoute(plan, route.value))
const zone = computed(() => point.value && zoneAt(plan, point.value, point.value.heightM))
const HEADS: Readonly<Record<string, string>> = {
  room: 'Room',
  point: 'Point',
  route: 'Route of a circuit',
  fixture: 'Bath or shower',
  door: 'Door',
  wall: 'Wall',
}
const corners = computed(
  (): readonly Spot[] => room.value?.corners ?? fixture.value?.corners ?? route.value?.via ?? [],
)
function writeCorners(text: string) {
  const spots = cornersOf(text)
  if (spots) emit('change', route.value ? { via: spots } : { corners: spots })
}
const nextPoint = (pointId: string, isOn: boolean) =>
  emit('change', {
    points: isOn
      ? [...route.value!.points, pointId]
      : route.value!.points.filter((known) => known !== pointId),
  })
</script>

<template>
  <section class="stitched thing" data-testid="plan-thing">
    <div class="row spread wide">
      <h2>{{ HEADS[part] }}</h2>
      <button type="button" class="text-button" @click="emit('remove')">Remove</button>
    </div>
    <label v-if="room || point || route" class="field"
      ><span>Name</span
      ><el-input
        :model-value="(room ?? point ?? route)!.name"
        name="thing-name"
        @update:model-value="emit('change', { name: $event })"
    /></label>
    <template v-if="room">
      <label class="field"
        ><span>Kind</span
        ><el-select
          :model-value="room.kind"
          data-testid="room-kind"
          @update:model-value="emit('change', { kind: $event })"
          ><el-option
            v-for="kind in ROOM_KINDS"
            :key="kind"
            :value="kind"
            :label="ROOM_TEXT[kind]" /></el-select
      ></label>
      <FigureField
        label="Warmest it gets, °C"
        :model-value="room.ambientC"
        :min="-10"
        :max="80"
        test-id="room-ambient"
        @update:model-value="emit('change', { ambientC: $event })"
      />
      <FigureField
        label="Height, m"
        :model-value="room.heightM"
        :min="0.5"
        :max="30"
        :step="0.1"
        @update:model-value="emit('change', { heightM: $event })"
      />
      <el-checkbox
        :model-value="room.isInsulated"
        label="Insulated above and in its chases"
        @update:model-value="emit('change', { isInsulated: $event === true })"
      />
    </template>
    <label v-if="fixture" class="field"
      ><span>Which</span
      ><el-select :model-value="fixture.kind" @update:model-value="emit('change', { kind: $event })"
        ><el-option
          v-for="kind in FIXTURE_KINDS"
          :key="kind"
          :value="kind"
          :label="FIXTURE_TEXT[kind]" /></el-select
    ></label>
    <FigureField
      v-if="door"
      label="Width, m"
      :model-value="door.widthM"
      :min="0.3"
      :max="12"
      :step="0.1"
      @update:model-value="emit('change', { widthM: $event })"
    />
    <label v-if="point || route" class="field"
      ><span>For</span
      ><el-select :model-value="(point ?? route)!.use" @update:model-value="emit('change', { use: $event })"
        ><el-option v-for="use in USES" :key="use" :value="use" :label="USE_NAME[use]" /></el-select
    ></label>
    <FigureField
      v-if="point"
      label="Height above the floor, m"
      :model-value="point.heightM"
      :min="-3"
      :max="30"
      :step="0.05"
      @update:model-value="emit('change', { heightM: $event })"
    />
    <p v-if="point && zone !== undefined && zone !== 'outside'" class="caution">In zone {{ zone }}.</p>
    <p v-if="point" class="soft small">{{ ipSays(leastIp(plan, conditions, point)) }}</p>
    <template v-if="route">
      <label class="field"
        ><span>Wiring method</span
        ><el-select
          :model-value="route.way"
          data-testid="route-way"
          @update:model-value="emit('change', { way: $event })"
          ><el-option v-for="way in WAYS" :key="way" :value="way" :label="WAY_TEXT[way]" /></el-select
      ></label>
      <FigureField
        label="Height of the route, m"
        :model-value="route.pathHeightM"
        :min="-3"
        :max="30"
        :step="0.1"
        test-id="route-height"
        @update:model-value="emit('change', { pathHeightM: $event })"
      />
      <FigureField
        label="Load, W"
        :model-value="route.loadW"
        :min="1"
        :max="200000"
        :step="100"
        @update:model-value="emit('change', { loadW: $event })"
      />
      <fieldset class="points">
        <legend>Points, in the order in which they are met</legend>
        <el-checkbox
          v-for="one in plan.points"
          :key="one.id"
          :model-value="route.points.includes(one.id)"
          :label="one.name"
          @update:model-value="nextPoint(one.id, $event === true)"
        />
      </fieldset>
      <el-button data-testid="along-walls" @click="emit('lead')">Lead it along the walls</el-button>
      <p v-if="measure" class="mono" data-testid="route-length">
        <b>{{ measure.lengthM.toFixed(1) }} m</b>: {{ measure.levelM.toFixed(1) }} m along,
        {{ measure.riseM.toFixed(1) }} m up and down
      </p>
      <p v-else class="soft small">
        It is measured as soon as the plan has a scale and a board, and the route a point.
      </p>
    </template>
    <label v-if="room || fixture || route" class="field"
      ><span>{{ route ? 'Bends' : 'Corners' }}, as across,down</span
      ><el-input :model-value="cornersText(corners)" name="corners" @change="writeCorners"
    /></label>
  </section>
</template>

<style scoped>
.thing {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  align-items: end;
}
.thing > * {
  min-width: 0;
}
.thing :deep(.el-input-number) {
  width: 100%;
}
.wide,
.thing > p,
.thing > .el-button,
.points {
  grid-column: 1 / -1;
}
.points {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-direction: column;
}
legend {
  font-weight: var(--strong);
  padding: 0;
}
</style>

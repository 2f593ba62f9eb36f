<script setup lang="ts">
import { CABLE_KINDS, type CableKind } from '#core/regulations/cables/cable'
import type { DrumView, SessionItem, StockView } from '#schemas/planning-views'
import { CABLE_NAME } from '#words/names'
import { cableText } from '#words/planning/says'

/** What is on the drums: issued, returned, wasted, counted; what to order, and what it has cost. */
const { call } = useApi()
const { isBusy, act } = useAct()
const { data, problem, refresh } = useServer<StockView>(() => 'stock')
const MOVES = { issued: 'Issue', returned: 'Return', waste: 'Waste', counted: 'Count' } as const
const MOVED = {
  bought: 'bought',
  issued: 'issued',
  returned: 'returned',
  waste: 'waste',
  counted: 'counted',
} as const
const picked = ref<DrumView | null>(null)
const { data: sessions } = useServer<SessionItem[]>(() => 'planning')
const move = reactive({
  kind: 'issued' as keyof typeof MOVES,
  metres: 10,
  note: '',
  sessionId: null as number | null,
})
const fresh = reactive({
  kind: 'flat-twin-earth' as CableKind,
  phases: 1,
  size: 2.5,
  label: '',
  metres: 100,
  pence: 80,
})

const name = cableText
const pounds = (pence: number) => `£${(pence / 100).toFixed(2)}`
const send = (path: string, body: unknown, method: 'POST' | 'PUT' = 'POST') =>
  act(async () => {
    data.value = await call<StockView>(method, path, body)
    picked.value = null
    move.note = ''
  })
const addDrum = () =>
  send('stock/drums', {
    cable: `${fresh.kind} ${fresh.phases} ${fresh.size}`,
    label: fresh.label,
    metres: fresh.metres,
    costPence: fresh.pence,
  })
</script>

<template>
  <section class="stack" aria-label="On the drums">
    <h2>On the drums</h2>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <template v-else-if="data">
      <table v-if="data.lines.length" class="grid-table" data-testid="stock">
        <thead>
          <tr>
            <th>Cable</th>
            <th>Drums</th>
            <th class="num">Left</th>
            <th class="num">Order below</th>
            <th class="num">Used</th>
            <th class="num">Waste</th>
            <th class="num">Cost of what was used</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in data.lines" :key="line.cable">
            <td>{{ name(line.cable) }}</td>
            <td>
              <button
                v-for="drum in line.drums"
                :key="drum.id"
                type="button"
                class="text-button"
                :aria-pressed="picked?.id === drum.id"
                @click="picked = drum"
              >
                {{ drum.label }}: {{ drum.leftM.toFixed(1) }} m
              </button>
            </td>
            <td class="num">
              <b>{{ line.leftM.toFixed(1) }} m</b>
              <span v-if="line.leftM < line.orderAtM" class="tag waiting beside">order</span>
            </td>
            <td class="num">
              <el-input-number
                :model-value="line.orderAtM"
                :min="0"
                :max="100000"
                :step="10"
                size="small"
                controls-position="right"
                style="width: 104px"
                :aria-label="`Order ${name(line.cable)} below, m`"
                @change="send('stock/order', { cable: line.cable, metres: $event ?? 0 }, 'PUT')"
              />
            </td>
            <td class="num">{{ line.usedM.toFixed(1) }} m</td>
            <td class="num">{{ line.wasteM.toFixed(1) }} m</td>
            <td class="num">{{ pounds(line.costPence) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-else class="soft">No drum is in the register yet. Add the first one.</p>
      <form
        v-if="picked"
        class="row stitched"
        novalidate
        @submit.prevent="send(`stock/${picked.id}/move`, { ...move })"
      >
        <b>{{ picked.label }}, {{ picked.leftM.toFixed(1) }} m</b>
        <el-radio-group v-model="move.kind" aria-label="What happened">
          <el-radio-button v-for="(text, kind) in MOVES" :key="kind" :value="kind">{{
            text
          }}</el-radio-button>
        </el-radio-group>
        <el-input-number
          v-model="move.metres"
          :min="0"
          :max="100000"
          :step="1"
          aria-label="Metres"
          data-testid="move-metres"
        />
        m
        <el-input
          v-model="move.note"
          placeholder="For whom, or why"
          aria-label="For whom, or why"
          maxlength="200"
          style="width: 220px"
        />
        <el-select
          v-model="move.sessionId"
          clearable
          placeholder="Session"
          aria-label="Session"
          style="width: 220px"
          ><el-option
            v-for="one in sessions ?? []"
            :key="one.id"
            :value="one.id"
            :label="`${one.title}, ${one.day ? date(one.day) : 'no day yet'}`"
        /></el-select>
        <el-button native-type="submit" type="primary" :loading="isBusy" data-testid="move-drum"
          >Record it</el-button
        >
      </form>
      <details>
        <summary>A new drum</summary>
        <form class="row" novalidate @submit.prevent="addDrum">
          <el-select v-model="fresh.kind" aria-label="Cable" style="width: 240px"
            ><el-option v-for="kind in CABLE_KINDS" :key="kind" :value="kind" :label="CABLE_NAME[kind]"
          /></el-select>
          <el-select v-model="fresh.phases" aria-label="Phases" style="width: 140px"
            ><el-option :value="1" label="single phase" /><el-option :value="3" label="three phase"
          /></el-select>
          <el-input-number v-model="fresh.size" :min="1" :max="150" :step="0.5" aria-label="Size, mm²" /> mm²
          <el-input
            v-model="fresh.label"
            placeholder="Label on the drum"
            aria-label="Label on the drum"
            name="drum-label"
            maxlength="60"
            style="width: 160px"
          />
          <el-input-number
            v-model="fresh.metres"
            :min="1"
            :max="100000"
            :step="10"
            aria-label="Metres on it"
          />
          m
          <el-input-number
            v-model="fresh.pence"
            :min="0"
            :max="100000"
            :step="5"
            aria-label="Pence a metre"
          />
          p/m
          <el-button
            native-type="submit"
            :disabled="!fresh.label.trim()"
            :loading="isBusy"
            data-testid="add-drum"
            >Add</el-button
          >
        </form>
      </details>
      <details v-if="data.moves.length">
        <summary>What came and went last</summary>
        <p v-for="one in data.moves" :key="one.id" class="small">
          {{ dayTime(one.at) }} · {{ one.drum }} {{ MOVED[one.kind as keyof typeof MOVED] }}
          {{ one.metres.toFixed(1) }} m · {{ one.by }}<template v-if="one.note">, {{ one.note }}</template
          ><template v-if="one.session">, {{ one.session }}</template>
        </p>
      </details>
    </template>
  </section>
</template>

<style scoped>
.beside {
  margin-left: 8px;
}
summary {
  cursor: pointer;
  font-weight: var(--strong);
  min-height: 32px;
  color: var(--indigo-text);
}
</style>

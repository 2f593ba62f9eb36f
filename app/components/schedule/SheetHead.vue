<script setup lang="ts">
import type { BoardView } from '#schemas/schedule-views'

/**
 * With which instrument, leads nulled or not, and from where readings come: by hand, from a file, from an
 * instrument on this machine.
 */
const props = defineProps<{
  board: BoardView
  attempt: number
  read: (key: string) => string
  locked: boolean
  isDead: boolean
}>()
const TEST_VOLTAGES = ['250', '500', '1000']
const emit = defineEmits<{ write: [key: string, text: string]; file: [] }>()
const instrument = computed(() =>
  props.board.instruments.find(({ name }) => name === props.read('set:instrument')),
)
const today = new Date().toISOString().slice(0, 10)
const isOverdue = computed(() => instrument.value !== undefined && instrument.value.dueOn < today)
</script>

<template>
  <div class="head">
    <label class="field"
      ><span>Instrument</span>
      <el-select
        :model-value="read('set:instrument')"
        :disabled="locked"
        placeholder="Choose"
        style="width: 172px"
        data-testid="instrument"
        @update:model-value="emit('write', 'set:instrument', $event)"
      >
        <el-option
          v-for="tester in board.instruments"
          :key="tester.id"
          :value="tester.name"
          :label="`${tester.name} · ${tester.serial}`"
        />
      </el-select>
    </label>
    <label class="field"
      ><span>Leads nulled at</span
      ><el-input
        :model-value="read('set:leads')"
        :disabled="locked"
        name="set:leads"
        maxlength="20"
        placeholder="0.08 Ω"
        style="width: 92px"
        @update:model-value="emit('write', 'set:leads', $event)"
    /></label>
    <template v-if="isDead">
      <label class="field"
        ><span>Test voltage</span
        ><el-select
          :model-value="read('set:irVolt')"
          :disabled="locked"
          clearable
          placeholder="V d.c."
          style="width: 88px"
          data-testid="insulation-volt"
          @update:model-value="emit('write', 'set:irVolt', $event ?? '')"
          ><el-option
            v-for="volt in TEST_VOLTAGES"
            :key="volt"
            :value="volt"
            :label="`${volt} V`" /></el-select></label
      ><label class="field"
        ><span>Disconnected for it</span
        ><el-input
          :model-value="read('set:irOut')"
          :disabled="locked"
          name="set:irOut"
          maxlength="120"
          placeholder="lamps, SPD"
          style="width: 150px"
          @update:model-value="emit('write', 'set:irOut', $event)"
      /></label>
    </template>
    <p v-if="isOverdue" class="tag stop" data-testid="overdue">
      calibration was due {{ date(instrument!.dueOn) }}
    </p>
    <p v-else-if="instrument" class="soft small">calibrated until {{ date(instrument.dueOn) }}</p>
    <span class="grow" />
    <p
      v-if="board.stream.port"
      class="soft small stream"
      title="An instrument on this machine, or its bridge, sends readings line by line to this port."
    >
      stream: port <b class="mono">{{ board.stream.port }}</b>, sheet
      <b class="mono" data-testid="stream-code">{{ attempt }} {{ board.stream.code }}</b>
    </p>
    <el-button :disabled="locked" @click="emit('file')">Readings from a file</el-button>
  </div>
</template>

<style scoped>
.head {
  display: flex;
  gap: 8px 16px;
  align-items: end;
  flex-wrap: wrap;
}
.field {
  display: grid;
  gap: 2px;
  font-size: 13.5px;
  color: var(--soft);
}
.grow {
  flex: 1;
}
.stream {
  line-height: 1.25;
  padding-bottom: 6px;
}
p {
  padding-bottom: 6px;
}
.tag.stop {
  padding-bottom: 2px;
  margin-bottom: 4px;
}
</style>

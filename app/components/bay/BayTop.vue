<script setup lang="ts">
import type { BayView } from '#schemas/bay-views'
import type { BayFileAct } from '~/composables/useBayFiles'
import { MODE_NAME, type BayMode } from '~/texts/bay'

/** Over a bay: its name, what the hand does, whether it is saved, and what is done with all of it. */
const { isBare } = defineProps<{
  view: BayView
  mode: BayMode
  isBare: boolean
  autosave: ReturnType<typeof useKeptText>
  isChecking: boolean
}>()
const emit = defineEmits<{ turn: [mode: BayMode]; check: []; more: [what: BayFileAct] }>()
const modes = computed(() =>
  (Object.keys(MODE_NAME) as BayMode[]).filter((mode) => isBare || mode !== 'mount'),
)
</script>

<template>
  <header class="top">
    <NuxtLink to="/practice" class="back" aria-label="All bays">‹</NuxtLink>
    <div class="title">
      <h1>{{ view.title }}</h1>
      <span class="soft small">{{ view.about }}</span>
    </div>
    <ChoiceRow
      label="What the hand does"
      :choices="modes"
      :chosen="mode"
      :name-of="(mode) => MODE_NAME[mode]"
      @choose="emit('turn', $event)"
    />
    <SaveWords :autosave="autosave" />
    <el-dropdown trigger="click" :persistent="false" @command="emit('more', $event)">
      <el-button>More</el-button>
      <template #dropdown>
        <el-dropdown-menu>
          <el-dropdown-item v-if="view.canBeWired" command="wired">{{
            isBare ? 'Take it mounted and wired' : 'Take it ready wired'
          }}</el-dropdown-item>
          <el-dropdown-item command="strip">{{
            isBare ? 'Empty the enclosure' : 'Take every conductor out'
          }}</el-dropdown-item>
          <template v-if="view.canBeBare && !view.isBare">
            <el-dropdown-item v-if="isBare" command="mounted">Begin with the board mounted</el-dropdown-item>
            <el-dropdown-item v-else command="bare">Begin with a bare enclosure</el-dropdown-item>
          </template>
          <el-dropdown-item command="listing">Save the network (SPICE)</el-dropdown-item>
          <el-dropdown-item command="rig">Save the bay as a file</el-dropdown-item>
        </el-dropdown-menu>
      </template>
    </el-dropdown>
    <el-button type="primary" :loading="isChecking" @click="emit('check')">Check</el-button>
  </header>
</template>

<style scoped>
.top {
  display: flex;
  gap: 8px 14px;
  align-items: center;
  flex-wrap: wrap;
  padding: 8px 16px;
  border-bottom: 1px solid var(--hem);
  background: var(--panel);
}
.title {
  flex: 1 1 240px;
  min-width: 0;
}
.title h1 {
  font-size: 20px;
}
.back {
  font-size: 32px;
  line-height: 1;
  text-decoration: none;
  padding: 6px 12px;
}
</style>

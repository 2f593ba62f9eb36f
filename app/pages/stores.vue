<script setup lang="ts">
import type { StoresItem } from '#schemas/views'

definePageMeta({ roles: ['technician', 'instructor'] })
const { data, problem, refresh } = useServer<StoresItem[]>(() => 'stores')
const print = () => window.print()
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Stores</h1>
        <p class="soft">
          What each bay needs laid out and what the session takes from the drums. Not for apprentices: it
          follows from the answers.
        </p>
      </div>
      <el-button class="screen-only" @click="print">Print</el-button>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack">
      <div v-for="i in 6" :key="i" class="skeleton" style="height: 36px" />
    </div>
    <div v-else-if="data.length === 0" class="empty">
      <h2>Nobody has an exercise in hand</h2>
      <p>As soon as an instructor sets one for a group, its list is here.</p>
    </div>
    <DrumStock />
    <InstrumentRegister />
    <RunStores />
    <ExerciseStores v-for="item in data ?? []" :key="item.id" :item="item" />
  </div>
</template>

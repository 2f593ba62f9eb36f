<script setup lang="ts">
import type { Stage } from '#core/attempt/stages'
import type { MarkingListItem } from '#schemas/views'
import { STAGE_WORDS } from '~/texts/stages'

definePageMeta({ roles: ['instructor', 'assessor'] })

const { data, problem, refresh } = useServer<MarkingListItem[]>(() => 'marking')
const waiting = computed(() => data.value?.filter((item) => item.stage === 'handedIn').length ?? 0)
const open = (item: MarkingListItem) => navigateTo(`/marking/${item.id}`)

useShortcuts([{ keys: 'Enter', label: 'Enter', name: 'open the first sheet to be marked', run: () => void (data.value?.[0] && open(data.value[0])) }])
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Marking</h1>
        <p class="soft">{{ waiting === 0 ? 'Nothing waits for a decision.' : waiting === 1 ? 'One sheet waits for a decision.' : `${waiting} sheets wait for a decision.` }}</p>
      </div>
      <el-button v-if="waiting" type="primary" @click="open(data![0]!)">Start with the first</el-button>
    </div>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack"><div v-for="i in 5" :key="i" class="skeleton" style="height: 40px" /></div>
    <div v-else-if="data.length === 0" class="empty"><h2>No sheet has been handed in</h2><p>Design, dead tests, permission, live tests: after that it lands here with marks proposed.</p></div>
    <el-table v-else :data="data" row-key="id" @row-click="open">
      <el-table-column label="Apprentice" min-width="190"><template #default="{ row }"><NuxtLink :to="`/marking/${row.id}`"><b>{{ row.name }}</b></NuxtLink></template></el-table-column>
      <el-table-column label="Exercise" min-width="240"><template #default="{ row }">{{ row.code }} {{ row.title }}</template></el-table-column>
      <el-table-column label="Bay" prop="bay" width="70" />
      <el-table-column label="Handed in" width="150"><template #default="{ row }">{{ row.handedInAt ? dayTime(row.handedInAt) : '' }}</template></el-table-column>
      <el-table-column label="Proposed" width="120"><template #default="{ row }"><b class="mono">{{ row.mark }}</b> of {{ row.outOf }}</template></el-table-column>
      <el-table-column label="" width="210">
        <template #default="{ row }">
          <span class="tag" :class="row.met ? 'met' : 'wrong'">{{ row.met ? 'met' : 'not yet' }}</span>
          <span v-if="row.critical" class="tag stop" style="margin-left: 6px">critical</span>
        </template>
      </el-table-column>
      <el-table-column label="Stage" width="130"><template #default="{ row }"><span class="tag" :class="row.stage === 'handedIn' ? 'waiting' : 'plain'">{{ STAGE_WORDS[row.stage as Stage].theirs }}</span></template></el-table-column>
    </el-table>
  </div>
</template>

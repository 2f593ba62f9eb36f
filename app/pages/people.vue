<script setup lang="ts">
import type { PersonView, SignInSlip } from '#schemas/views'

definePageMeta({ roles: ['administrator', 'instructor', 'assessor'] })
const session = useSession()
const { call } = useApi()
const { data, problem, refresh } = usePeople()
const isAdministrator = computed(() => session.person?.role === 'administrator')
const importing = ref(false)
const slips = ref<readonly SignInSlip[]>([])
const search = ref('')
const shown = computed(() => {
  const words = search.value.trim().toLowerCase()
  return (data.value ?? []).filter((person) =>
    `${person.name} ${person.number} ${person.cohort} ${person.role}`.toLowerCase().includes(words),
  )
})

async function reset(person: PersonView) {
  const isMeant = await isSure(
    `${person.name} is signed out everywhere and needs the new password.`,
    'Give a new password?',
    { yes: 'Give it', no: 'Back' },
  )
  if (!isMeant) return
  try {
    slips.value = [await call<SignInSlip>('POST', `people/${person.id}/password`)]
  } catch (error) {
    showProblem(error)
  }
}
async function imported(made: readonly SignInSlip[]) {
  importing.value = false
  slips.value = made
  await refresh()
}
</script>

<template>
  <div class="page stack">
    <div class="row spread screen-only">
      <div>
        <h1>People</h1>
        <p class="soft">{{ data?.length ?? '…' }} on the roster</p>
      </div>
      <div class="row">
        <el-input
          v-model="search"
          placeholder="Name, number or group"
          clearable
          style="width: 260px"
          aria-label="Search"
        />
        <el-button v-if="isAdministrator" type="primary" @click="importing = !importing"
          >Import a roster</el-button
        >
      </div>
    </div>
    <FirstSteps v-if="isAdministrator && !importing" class="screen-only" @roster="importing = true" />
    <RosterImport v-if="importing" class="screen-only" @imported="imported" @close="importing = false" />
    <SignInSlips v-if="slips.length" :slips="slips" @close="slips = []" />
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack">
      <div v-for="i in 6" :key="i" class="skeleton" style="height: 40px" />
    </div>
    <div v-else-if="data.length < 2" class="empty screen-only">
      <h2>Only you are here</h2>
      <p>Import a roster: a CSV file with the columns number, name, group and role.</p>
    </div>
    <el-table v-else :data="shown" row-key="id" class="screen-only" max-height="640">
      <el-table-column prop="number" label="Number" width="120"
        ><template #default="{ row }"
          ><span class="mono">{{ row.number }}</span></template
        ></el-table-column
      >
      <el-table-column prop="name" label="Name" min-width="200" sortable
        ><template #default="{ row }"
          ><b>{{ row.name }}</b></template
        ></el-table-column
      >
      <el-table-column prop="cohort" label="Group" min-width="180" sortable />
      <el-table-column prop="role" label="Role" width="150" sortable />
      <el-table-column label="Password" width="200"
        ><template #default="{ row }"
          ><span v-if="row.isDisabled" class="tag stop">disabled</span
          ><span v-else-if="row.mustChange" class="tag waiting">one-time, not used yet</span
          ><span v-else class="soft">their own</span></template
        ></el-table-column
      >
      <el-table-column v-if="isAdministrator" label="" width="140"
        ><template #default="{ row }"
          ><PersonMenu
            v-if="row.id !== session.person?.id"
            :person="row as PersonView"
            @reset="reset(row as PersonView)"
            @changed="refresh()" /></template
      ></el-table-column>
    </el-table>
  </div>
</template>

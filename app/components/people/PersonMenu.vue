<script setup lang="ts">
import type { PersonView } from '#schemas/views'

/** What an administrator does with one person; what cannot be taken back asks twice. */
const props = defineProps<{ person: PersonView }>()
const emit = defineEmits<{ reset: []; changed: [] }>()
const { call } = useApi()

async function run(work: () => Promise<unknown>) {
  try {
    await work()
  } catch (error) {
    showProblem(error)
  }
  emit('changed')
}

const sure = (text: string, title: string, yes: string) => isSure(text, title, { yes, no: 'Back' })

async function disable() {
  const { id, name } = props.person
  const text = `${name} is signed out everywhere and cannot sign in. What they did stays.`
  if (await sure(text, 'Disable?', 'Disable')) await run(() => call('POST', `people/${id}/disable`))
}

/** All that is held of somebody, as one file. */
const takeOut = () =>
  run(async () => {
    const document = await call('POST', `people/${props.person.id}/data`)
    saveFile(JSON.stringify(document, null, 2), `${props.person.number}.json`, 'application/json')
  })

/** The groups of somebody of the staff are being chosen. */
const isNaming = ref(false)
function named() {
  isNaming.value = false
  emit('changed')
}

async function erase() {
  const { id, name, number } = props.person
  const typed = await typedToBeSure(
    `Name and number of ${name} go for good. Decisions and signed records stay, without ` +
      `the name. Take their data out first if they asked for it. Type ${number} to go on.`,
    'Erase this person?',
    { yes: 'Erase', no: 'Back' },
  )
  if (typed !== null) await run(() => call('POST', `people/${id}/erase`, { confirm: typed }))
}

function pick(what: 'reset' | 'disable' | 'enable' | 'data' | 'erase' | 'groups') {
  if (what === 'reset') emit('reset')
  if (what === 'disable') void disable()
  if (what === 'enable') void run(() => call('POST', `people/${props.person.id}/enable`))
  if (what === 'data') void takeOut()
  if (what === 'groups') isNaming.value = true
  if (what === 'erase') void erase()
}
</script>

<template>
  <el-dropdown trigger="click" @command="pick">
    <el-button text size="small" :data-testid="`person-${person.number}`">Change…</el-button>
    <template #dropdown>
      <el-dropdown-menu>
        <el-dropdown-item v-if="!person.isDisabled" command="reset">New password</el-dropdown-item>
        <el-dropdown-item v-if="!person.isDisabled" command="disable">Disable</el-dropdown-item>
        <el-dropdown-item v-else command="enable">Enable again</el-dropdown-item>
        <el-dropdown-item v-if="person.role !== 'apprentice'" command="groups">Groups…</el-dropdown-item>
        <el-dropdown-item command="data">All their data in one file</el-dropdown-item>
        <el-dropdown-item v-if="person.isDisabled" command="erase" divided>Erase…</el-dropdown-item>
      </el-dropdown-menu>
    </template>
  </el-dropdown>
  <GroupsDialog v-if="isNaming" :person="person" @close="isNaming = false" @changed="named" />
</template>

<script setup lang="ts">
import { inOrder } from '#core/in-order'
import type { MarkingListItem } from '#schemas/marking-views'

definePageMeta({ roles: ['instructor', 'assessor', 'verifier'] })

const { call } = useApi()
const { data, problem, refresh } = useServer<MarkingListItem[]>(() => 'marking')
const waiting = computed(() => data.value?.filter((item) => item.stage === 'handedIn').length ?? 0)
const decided = computed(() => data.value?.filter((item) => item.stage === 'decided') ?? [])
/** One link for each exercise of the pile, with its sheets counted in one walk. */
const exercises = computed(() => {
  const byId = new Map<number, { readonly id: number; readonly code: string; count: number }>()
  for (const { exerciseId: id, code } of data.value ?? []) {
    const known = byId.get(id)
    if (known) known.count += 1
    else byId.set(id, { id, code, count: 1 })
  }
  return [...byId.values()].sort((a, b) => inOrder(a.code, b.code))
})
const isBusy = ref(false)
/** A page of the pile is one look. */
const PAGE = 20
const { page, pages, shown, atHere, inHand, move } = useInPages(() => data.value ?? [], PAGE)
/** Turning its pages comes after the first of them has been painted. */
const { isWhole: isThere } = useGradually(() => (data.value ? 2 : 1), 1)
const open = (item: MarkingListItem | undefined) => item && navigateTo(`/marking/${item.id}`)

/** Gives back every sheet that is decided; what changed since stays and says so. */
const mayMark = useSession().person!.role !== 'verifier'
async function releaseAll() {
  const ids = decided.value.map(({ id }) => id)
  if (ids.length === 0) return
  const isMeant = await isSure(
    `${ids.length} ${ids.length === 1 ? 'sheet goes' : 'sheets go'} back to the apprentices with marks and ` +
      'feedback. This cannot be taken back.',
    'Release all decided sheets?',
    { yes: 'Release', no: 'Not yet' },
  )
  if (!isMeant) return
  isBusy.value = true
  try {
    const { released, left } = await call<{ released: number; left: readonly { id: number; why: string }[] }>(
      'POST',
      'marking/release',
      { ids },
    )
    const names = left.map(({ id, why }) => `${data.value?.find((item) => item.id === id)?.name}: ${why}`)
    ElMessage({
      type: left.length ? 'warning' : 'success',
      message: [`${released} released.`, ...names].join(' '),
      duration: 7000,
      showClose: true,
    })
  } catch (error) {
    showProblem(error)
  }
  await refresh()
  isBusy.value = false
}

useShortcuts([
  { keys: 'j', label: 'J', name: 'next sheet of the pile', run: () => move(1) },
  { keys: 'k', label: 'K', name: 'sheet before', run: () => move(-1) },
  { keys: 'Enter', label: 'Enter', name: 'open the sheet in hand', run: () => void open(inHand.value) },
  { keys: 'Shift+R', label: 'Shift R', name: 'release all decided sheets', run: () => void releaseAll() },
])
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Marking</h1>
        <p class="soft">
          {{
            waiting === 0
              ? 'Nothing waits for a decision.'
              : waiting === 1
                ? 'One sheet waits for a decision.'
                : `${waiting} sheets wait for a decision.`
          }}
        </p>
      </div>
      <div class="row">
        <el-button
          v-if="decided.length && mayMark"
          :loading="isBusy"
          data-testid="release-all"
          @click="releaseAll"
          >Release {{ decided.length }} decided</el-button
        >
        <el-button v-if="waiting" type="primary" @click="open(data![0])">Start with the first</el-button>
      </div>
    </div>
    <p v-if="exercises.length" class="groups">
      <span class="soft">What the group gets wrong:</span>
      <NuxtLink v-for="exercise in exercises" :key="exercise.id" :to="`/marking/groups/${exercise.id}`"
        >{{ exercise.code }}
        <span class="soft"
          >({{ exercise.count }} {{ exercise.count === 1 ? 'sheet' : 'sheets' }})</span
        ></NuxtLink
      >
    </p>
    <ServerProblem v-if="problem" :problem="problem" @retry="refresh" />
    <div v-else-if="!data" class="stack">
      <div v-for="i in 5" :key="i" class="skeleton" style="height: 40px" />
    </div>
    <div v-else-if="data.length === 0" class="empty">
      <h2>No sheet has been handed in</h2>
      <p>When a design or its readings are handed in, the sheet lands here with marks proposed.</p>
    </div>
    <MarkingPile v-else :rows="shown" :at="atHere" @open="open" />
    <el-pagination
      v-if="pages > 1 && data && isThere"
      v-model:current-page="page"
      :page-size="PAGE"
      :total="data.length"
      layout="prev, pager, next"
      aria-label="Pages of the pile"
    />
  </div>
</template>

<style scoped>
.groups {
  display: flex;
  gap: 16px;
  flex-wrap: wrap;
  font-size: 14.5px;
}
</style>

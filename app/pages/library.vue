<script setup lang="ts">
import { EDITIONS } from '#core/regulations/editions'
import type { WorkListItem } from '#schemas/views'

definePageMeta({ roles: ['instructor', 'assessor', 'administrator', 'technician', 'apprentice', 'verifier'] })
const { edition, ask } = useRoute().query
const session = useSession()
const isApprentice = computed(() => session.person?.role === 'apprentice')
const { data: work } = useServer<WorkListItem[]>(() => (isApprentice.value ? 'work' : null))
/** A centre may close the library while a design of an assessment is being worked. */
const closedBy = computed(() =>
  work.value?.find((item) => item.library === 'closed' && item.stage === 'design'),
)
const isReady = computed(() => !isApprentice.value || work.value !== null)
</script>

<template>
  <div class="page stack">
    <div class="row spread">
      <div>
        <h1>Reference library</h1>
        <p class="soft">The tables and rules that every design here is worked from, in four editions.</p>
      </div>
      <LinkButton to="/advisers" class="wrapping"
        >Do I need an RCD? What does an addition require?</LinkButton
      >
    </div>
    <div v-if="!isReady" class="skeleton" style="height: 300px" />
    <p v-else-if="closedBy" class="stitched waiting">
      Your centre has closed the library while you work on {{ closedBy.code }}, {{ closedBy.title }}. It opens
      again when you have handed in that design. Use the printed tables.
    </p>
    <LibraryBrowser
      v-else
      :edition="EDITIONS.find((candidate) => candidate === edition)"
      :ask="typeof ask === 'string' ? ask : ''"
    />
  </div>
</template>

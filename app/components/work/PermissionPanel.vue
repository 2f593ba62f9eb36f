<script setup lang="ts">
import type { Stage } from '#core/exercise/attempt/stages'
import type { StageEvent } from '#schemas/marking-views'

defineProps<{ events: readonly StageEvent[]; stage: Stage }>()
const CHECKS = [
  'Covers on, tools clear',
  'Everybody at the bay informed',
  'Dead test results at hand',
  'Key and lock with you',
]
</script>

<template>
  <div class="panel stack">
    <h1>Permission to energise</h1>
    <template v-if="stage === 'permission'">
      <div class="stitched waiting" data-testid="waiting">
        <h2>Your assessor has been told</h2>
        <p>Stay at the bay. Nothing is energised before somebody has given permission by name.</p>
      </div>
      <p class="soft">While you wait:</p>
      <ul>
        <li v-for="check in CHECKS" :key="check">{{ check }}</li>
      </ul>
    </template>
    <PermissionNote v-else-if="stage === 'dead' || stage === 'live'" :events="events" :stage="stage" />
    <p v-else-if="stage === 'design'" class="stitched">
      First the design, then the dead tests. Then you ask here.
    </p>
    <PermissionNote v-else :events="events" :stage="stage" />
    <p v-if="stage === 'dead'" class="soft">Complete the dead tests and ask from there.</p>
  </div>
</template>

<style scoped>
.panel {
  max-width: 620px;
  padding-bottom: 24px;
}
li {
  min-height: 32px;
}
</style>

<script setup lang="ts">
import type { Stage } from '#core/exercise/attempt/stages'
import type { StageEvent } from '#schemas/marking-views'

/** What the assessor last said about energising: who, when, and what to put right. */
const props = defineProps<{ events: readonly StageEvent[]; stage: Stage }>()
const last = computed(() =>
  props.events.findLast((event) => ['permit', 'refuse', 'withdraw', 'expire'].includes(event.act)),
)
</script>

<template>
  <div v-if="last?.act === 'refuse' && stage === 'dead'" class="stitched stop" data-testid="refusal">
    <h3>Not yet: {{ last.by }}, {{ dayTime(last.at) }}</h3>
    <p>{{ last.note }}</p>
  </div>
  <div
    v-else-if="(last?.act === 'withdraw' || last?.act === 'expire') && stage === 'dead'"
    class="stitched stop"
    data-testid="withdrawn"
  >
    <h3>
      {{ last.act === 'withdraw' ? `STOP: ${last.by}` : 'The permission has run out' }},
      {{ dayTime(last.at) }}
    </h3>
    <p>{{ last.note }}</p>
  </div>
  <div v-else-if="last?.act === 'permit'" class="stitched met" data-testid="permission-given">
    <b>{{ last.by }}</b> gave permission to energise, {{ dayTime(last.at) }}
    <p v-if="last.note">{{ last.note }}</p>
  </div>
</template>

<script setup lang="ts">
import type { Behaviour } from '#core/assessment/outcomes/framework'
import type { LockView } from '#schemas/isolation-views'
import type { FloorPatch } from '#schemas/views'

/** One bay with everybody and everything at it. */
const { people, locks } = defineProps<{
  bay: number
  people: readonly FloorPatch[]
  whatOf: (patch: FloorPatch) => string
  now: string
  locks: readonly LockView[]
  behaviours: readonly Behaviour[]
}>()
const emit = defineEmits<{ stop: [attemptId: number] }>()
/** A bay is what is most urgent at it. */
const state = computed(
  () => (['live', 'permission'] as const).find((one) => people.some(({ stage }) => stage === one)) ?? 'quiet',
)
</script>

<template>
  <article class="bay-patch" :class="`is-${state}`" :data-testid="`bay-${bay}`">
    <header>
      <b class="number" :aria-label="`Bay ${bay}`">{{ bay }}</b>
      <span v-for="lock in locks" :key="lock.id" class="lock"
        >padlock <b class="mono">{{ lock.padlock }}</b> on {{ lock.device }}, {{ lock.name }}</span
      >
    </header>
    <FloorPerson
      v-for="patch in people"
      :key="patch.id"
      :patch="patch"
      :what="whatOf(patch)"
      :now="now"
      :behaviours="behaviours"
      @stop="emit('stop', patch.id)"
    />
  </article>
</template>

<style scoped>
.bay-patch {
  background: var(--panel);
  border: 1px solid var(--hem);
  border-radius: var(--ease);
  padding: 10px 14px 12px;
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-height: 148px;
}
.is-permission {
  border: 2px dashed var(--turmeric);
  background: var(--raised);
}
.is-live {
  border: 2px solid var(--madder);
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 10px;
  flex-wrap: wrap;
}
.number {
  font: var(--heavy) 30px/1 var(--mono);
  color: var(--indigo-text);
}
.lock {
  font-size: 13.5px;
  line-height: 1.25;
  text-align: right;
}
</style>

<script setup lang="ts">
/** The circuits and boards of a sheet side by side, each with how far it is filled. */
defineProps<{
  scopes: readonly { id: string; name: string; answered: number; steps: number; hasMissing: boolean }[]
  current: string
}>()
const emit = defineEmits<{ pick: [scope: string] }>()
const STITCHES = 5
</script>

<template>
  <div class="scopes" role="tablist" aria-label="Circuits and boards">
    <button
      v-for="scope in scopes"
      :key="scope.id"
      type="button"
      role="tab"
      :aria-selected="scope.id === current"
      :class="{ on: scope.id === current, missing: scope.hasMissing }"
      @click="emit('pick', scope.id)"
    >
      <b>{{ scope.name }}</b>
      <svg viewBox="0 0 60 8" width="60" height="8" aria-hidden="true">
        <template v-for="i in STITCHES" :key="i">
          <rect
            v-if="i <= Math.floor((STITCHES * scope.answered) / scope.steps)"
            :x="(i - 1) * 12"
            y="2"
            width="9"
            height="4"
            rx="2"
          />
          <template v-else>
            <circle :cx="(i - 1) * 12 + 2" cy="4" r="1.4" />
            <circle :cx="(i - 1) * 12 + 8" cy="4" r="1.4" />
          </template>
        </template>
      </svg>
      <span class="visually-hidden">{{ scope.answered }} of {{ scope.steps }} answered</span>
    </button>
  </div>
</template>

<style scoped>
.scopes {
  position: relative;
  display: flex;
  gap: 6px;
  overflow-x: auto;
  padding-bottom: 4px;
}
button {
  all: unset;
  cursor: pointer;
  min-height: 48px;
  padding: 4px 14px;
  border: 1px solid var(--hem);
  border-radius: var(--ease);
  display: flex;
  flex-direction: column;
  justify-content: center;
  gap: 3px;
  white-space: nowrap;
  background: var(--raised);
}
button:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.on {
  border: 2px solid var(--indigo);
  background: var(--indigo-wash);
}
.missing {
  border-color: var(--madder);
}
b {
  font-size: 14.5px;
  font-weight: var(--strong);
}
rect {
  fill: var(--indigo);
}
circle {
  fill: var(--hem-strong);
}
</style>

<script setup lang="ts">
import { VueDraggable } from 'vue-draggable-plus'
import type { FrameworkDraft } from '~/composables/useFrameworkDraft'

/** Units with their criteria and quotas: dragged, or moved with the arrows; one is open at a time. */
type DraftUnit = FrameworkDraft['units'][number]
const units = defineModel<DraftUnit[]>({ required: true })
const { chosen, mayChange } = defineProps<{ chosen: string; mayChange: boolean; inUse: readonly string[] }>()
const emit = defineEmits<{
  choose: [key: string]
  addCriterion: [unit: DraftUnit]
  addQuota: [unit: DraftUnit, kind: 'set' | 'share' | 'behaviours']
}>()
const said = ref('')
function move<T extends { code: string }>(list: T[], i: number, by: -1 | 1): void {
  const to = i + by
  if (to < 0 || to >= list.length) return
  list.splice(to, 0, ...list.splice(i, 1))
  said.value = `${list[to]!.code} is now number ${to + 1}`
}
const remove = (list: unknown[], i: number) => list.splice(i, 1)
</script>

<template>
  <VueDraggable v-model="units" tag="ol" handle=".grip" :animation="120" :disabled="!mayChange" class="tree">
    <li v-for="(unit, u) in units" :key="u" class="unit">
      <div class="row spread line">
        <span class="row">
          <span v-if="mayChange" class="grip" aria-hidden="true">⠿</span>
          <button
            type="button"
            class="pick"
            :class="{ on: chosen === `unit ${u}` }"
            @click="emit('choose', `unit ${u}`)"
          >
            <b class="mono">{{ unit.code }}</b> {{ unit.title || 'untitled' }}
          </button>
        </span>
        <span v-if="mayChange" class="moves">
          <button
            type="button"
            class="text-button"
            :aria-label="`${unit.code}: up`"
            @click="move(units, u, -1)"
          >
            ↑
          </button>
          <button
            type="button"
            class="text-button"
            :aria-label="`${unit.code}: down`"
            @click="move(units, u, 1)"
          >
            ↓
          </button>
          <button
            type="button"
            class="text-button"
            :aria-label="`Remove unit ${unit.code}`"
            @click="remove(units, u)"
          >
            Remove
          </button>
        </span>
      </div>
      <VueDraggable
        v-model="unit.criteria"
        tag="ol"
        group="criteria"
        handle=".grip"
        :animation="120"
        :disabled="!mayChange"
        class="leaves"
      >
        <li v-for="(criterion, c) in unit.criteria" :key="criterion.code + c" class="row spread line">
          <span class="row">
            <span v-if="mayChange" class="grip" aria-hidden="true">⠿</span>
            <button
              type="button"
              class="pick"
              :class="{ on: chosen === `criterion ${u} ${c}` }"
              :data-testid="`pick-${criterion.code}`"
              @click="emit('choose', `criterion ${u} ${c}`)"
            >
              <b class="mono">{{ criterion.code }}</b> {{ criterion.text || 'no words yet' }}
              <span v-if="criterion.isCritical" class="tag stop">critical</span>
              <span v-if="inUse.includes(criterion.code)" class="tag plain">in use</span>
            </button>
          </span>
          <span v-if="mayChange" class="moves">
            <button
              type="button"
              class="text-button"
              :aria-label="`${criterion.code}: up`"
              @click="move(unit.criteria, c, -1)"
            >
              ↑
            </button>
            <button
              type="button"
              class="text-button"
              :aria-label="`${criterion.code}: down`"
              @click="move(unit.criteria, c, 1)"
            >
              ↓
            </button>
            <button
              type="button"
              class="text-button"
              :aria-label="`Remove ${criterion.code}`"
              @click="remove(unit.criteria, c)"
            >
              Remove
            </button>
          </span>
        </li>
      </VueDraggable>
      <div v-for="(quota, q) in unit.quotas" :key="quota.code + q" class="row spread line quota">
        <button
          type="button"
          class="pick"
          :class="{ on: chosen === `quota ${u} ${q}` }"
          @click="emit('choose', `quota ${u} ${q}`)"
        >
          <b class="mono">{{ quota.code }}</b> {{ quota.text || 'no words yet' }}
          <span class="tag waiting">quota</span>
        </button>
        <button
          v-if="mayChange"
          type="button"
          class="text-button"
          :aria-label="`Remove quota ${quota.code}`"
          @click="remove(unit.quotas, q)"
        >
          Remove
        </button>
      </div>
      <div v-if="mayChange" class="row adds">
        <button
          type="button"
          class="text-button"
          :data-testid="`add-criterion-${unit.code}`"
          @click="emit('addCriterion', unit)"
        >
          + Criterion
        </button>
        <button type="button" class="text-button" @click="emit('addQuota', unit, 'set')">
          + Set of things
        </button>
        <button type="button" class="text-button" @click="emit('addQuota', unit, 'share')">
          + Share of jobs
        </button>
        <button type="button" class="text-button" @click="emit('addQuota', unit, 'behaviours')">
          + Behaviours
        </button>
      </div>
    </li>
  </VueDraggable>
  <p class="visually-hidden" aria-live="polite">{{ said }}</p>
</template>

<style scoped>
.tree,
.leaves {
  list-style: none;
  margin: 0;
  padding: 0;
}
.unit {
  border-left: 6px solid var(--indigo);
  padding-left: 12px;
  margin-bottom: 18px;
}
.leaves,
.quota,
.adds {
  padding-left: 22px;
}
.line,
.line > .row {
  flex-wrap: nowrap;
}
.line {
  border-bottom: 1px solid var(--hem);
  min-height: 40px;
}
.pick {
  all: unset;
  cursor: pointer;
  padding: 4px 6px;
  line-height: 1.35;
}
.pick:focus-visible {
  outline: 2.5px solid var(--indigo);
}
.pick.on {
  background: var(--indigo-wash);
  color: var(--indigo-text);
}
.grip {
  cursor: grab;
  color: var(--soft);
}
.moves {
  display: flex;
  gap: 6px;
  white-space: nowrap;
}
</style>

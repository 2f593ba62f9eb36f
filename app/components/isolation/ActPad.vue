<script setup lang="ts">
import type { Act, ActKind } from '#core/isolation/model/act'
import { ACT_TEXT } from '#words/isolation'
import { PAD, VARIANTS } from '~/texts/observed-acts'

/** Likely acts as large buttons, every other one a smaller one; the second tap says how it went. */
const props = defineProps<{ likely: readonly ActKind[]; needsPermit: boolean }>()
const emit = defineEmits<{ tap: [kind: ActKind, parts: Partial<Act>] }>()
const asking = ref<ActKind | null>(null)
const groups = computed(() =>
  PAD.map(({ name, kinds }) => ({
    name,
    kinds: kinds.filter((kind) => props.needsPermit || (kind !== 'permit' && kind !== 'handBack')),
  })),
)

function first(kind: ActKind) {
  if (VARIANTS[kind]) asking.value = asking.value === kind ? null : kind
  else emit('tap', kind, {})
}
function second(parts: Partial<Act>) {
  emit('tap', asking.value!, parts)
  asking.value = null
}
</script>

<template>
  <div class="pad">
    <div class="likely" aria-label="Likely next" role="group">
      <button
        v-for="kind in likely"
        :key="kind"
        type="button"
        class="big"
        :class="{ asking: asking === kind }"
        :data-act="kind"
        @click="first(kind)"
      >
        {{ ACT_TEXT[kind] }}
      </button>
    </div>
    <div v-if="asking" class="variants" role="group" :aria-label="ACT_TEXT[asking]">
      <b>{{ ACT_TEXT[asking] }}:</b>
      <button
        v-for="variant in VARIANTS[asking]"
        :key="variant.name"
        type="button"
        :class="{ bad: variant.isBad }"
        @click="second(variant.act)"
      >
        {{ variant.name }}
      </button>
      <button type="button" class="none" @click="asking = null">not this</button>
    </div>
    <section v-for="group in groups" :key="group.name" class="group">
      <h3>{{ group.name }}</h3>
      <div>
        <button
          v-for="kind in group.kinds"
          :key="kind"
          type="button"
          class="small-act"
          :class="{ asking: asking === kind, bad: kind === 'leaveKey' || kind === 'removeOthersLock' }"
          :data-act-small="kind"
          @click="first(kind)"
        >
          {{ ACT_TEXT[kind] }}
        </button>
      </div>
    </section>
  </div>
</template>

<style scoped>
.pad {
  display: flex;
  flex-direction: column;
  gap: 10px;
}
.likely {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
button {
  font: var(--strong) 16px var(--font);
  cursor: pointer;
  border-radius: var(--ease);
  color: var(--indigo-text);
  background: var(--raised);
  border: 1.5px solid var(--indigo);
  padding: 6px 14px;
}
.big {
  min-height: 76px;
  font-size: 19px;
  font-weight: var(--heavy);
  background: var(--indigo);
  color: var(--on-indigo);
}
.big.asking {
  outline: 4px solid var(--turmeric);
}
.small-act.asking {
  background: var(--indigo-wash);
}
.variants {
  display: flex;
  gap: 8px;
  flex-wrap: wrap;
  align-items: center;
  border: 2px dashed var(--turmeric);
  background: var(--turmeric-wash);
  padding: 10px 12px;
  border-radius: var(--ease);
}
.variants button {
  min-height: 58px;
}
.variants .bad,
.small-act.bad {
  border-color: var(--madder);
  color: var(--madder-text);
  border-style: dashed;
}
.variants .none {
  border-color: transparent;
  background: none;
  font-weight: var(--mid);
}
.group {
  display: grid;
  grid-template-columns: 92px 1fr;
  gap: 8px;
  align-items: start;
}
.group h3 {
  padding-top: 12px;
  color: var(--soft);
  font-size: 14.5px;
}
.group > div {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.small-act {
  min-height: 48px;
  font-size: 15px;
  padding: 4px 11px;
  border-color: var(--hem-strong);
}
button:focus-visible {
  outline: 3px solid var(--turmeric);
  outline-offset: 1px;
}
</style>

<script setup lang="ts">
import type { IsolationVerdict } from '#core/isolation/judge'
import { RULE_TEXT } from '#words/isolation-rules'
import { ruleSource } from '#words/isolation-sources'
import { SERIOUSNESS_NAME } from '#words/seriousness'

/** Every constraint that was called for: broken ones first, with why, what to do next time and what it rests on. */
const props = defineProps<{ verdict: IsolationVerdict; showOpen?: boolean }>()
const broken = computed(() => props.verdict.rules.filter(({ state }) => state === 'broken'))
const kept = computed(() => props.verdict.rules.filter(({ state }) => state === 'kept'))
const open = computed(() =>
  props.showOpen ? props.verdict.rules.filter(({ state }) => state === 'open') : [],
)
</script>

<template>
  <div class="rules">
    <article
      v-for="rule in broken"
      :key="rule.code"
      class="broken"
      :class="rule.seriousness"
      :data-rule="rule.code"
    >
      <p>
        <span
          class="tag"
          :class="rule.seriousness === 'critical' ? 'stop' : rule.seriousness === 'fault' ? 'waiting' : ''"
          >{{ SERIOUSNESS_NAME.isolation[rule.seriousness] }}</span
        >
        <b>Not kept: {{ RULE_TEXT[rule.code]?.name.toLowerCase() }}</b
        ><span v-if="rule.at !== null" class="sym"> at {{ rule.at + 1 }}</span>
      </p>
      <p class="why"><TermText :text="RULE_TEXT[rule.code]?.why ?? ''" /></p>
      <p class="next">{{ RULE_TEXT[rule.code]?.next }}</p>
      <p class="soft small source">{{ ruleSource(rule.code) }}</p>
    </article>
    <p v-if="open.length" class="soft small">
      Still to come: {{ open.map(({ code }) => RULE_TEXT[code]?.name.toLowerCase()).join(' · ') }}
    </p>
    <ul v-if="kept.length" class="kept" aria-label="Kept">
      <li v-for="rule in kept" :key="rule.code" :title="ruleSource(rule.code)">
        <span class="dash" aria-hidden="true" />{{ RULE_TEXT[rule.code]?.name }}
      </li>
    </ul>
  </div>
</template>

<style scoped>
.rules {
  display: flex;
  flex-direction: column;
  gap: 8px;
}
.broken {
  border-left: 4px dotted var(--hem-strong);
  padding: 6px 12px;
  background: var(--raised);
}
.broken.critical {
  border-left: 5px solid var(--madder);
  background: var(--madder-wash);
}
.broken.fault {
  border-left: 5px dashed var(--turmeric);
}
.why {
  color: var(--soft);
  font-size: 14.5px;
  line-height: 1.35;
}
.next {
  font-weight: var(--strong);
  font-size: 14.5px;
  line-height: 1.35;
}
.kept {
  list-style: none;
  margin: 0;
  padding: 0;
  columns: 2;
  column-gap: 24px;
  font-size: 14.5px;
}
.kept li {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 3px 0;
  break-inside: avoid;
}
.dash {
  flex: none;
  width: 20px;
  height: 4px;
  border-radius: 2px;
  background: var(--leaf);
}
</style>

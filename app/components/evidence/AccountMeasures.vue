<script setup lang="ts">
import { MEASURES, type MeasureKind } from '#core/assessment/portfolio/measure'
import { MEASURE_TEXT, measureSays } from '#words/evidence/account'
import { measuredIn } from '~/composables/useAccount'
import type { Fields } from '~/utils/document-shapes'

/** What was measured on the job, typed as data; judged where a limit is known. */
const { fields, isReadOnly = false } = defineProps<{ fields: Fields; isReadOnly?: boolean }>()
const emit = defineEmits<{ write: [name: string, text: string] }>()
const kind = ref<MeasureKind>('clipSpacing')
const value = ref<number>()
const across = ref<number>()
const isVertical = ref(false)
const list = computed(() => measuredIn(fields))
function tagOf(isWithin: boolean | null): string {
  if (isWithin === null) return 'plain'
  return isWithin ? 'met' : 'wrong'
}
const hasDirection = computed(() => kind.value === 'clipSpacing' || kind.value === 'saddleSpacing')
function add() {
  const text = [kind.value, value.value, across.value ?? 0, ...(isVertical.value ? ['vertical'] : [])].join(
    ' ',
  )
  emit('write', `measure.${crypto.randomUUID()}`, text)
  value.value = undefined
}
</script>

<template>
  <section v-if="!isReadOnly || list.length" class="stack" aria-label="Measurements">
    <h2>Measured on the job</h2>
    <p v-for="one in list" :key="one.token" class="row small">
      <b>{{ MEASURE_TEXT[one.kind].name }}</b>
      <span class="mono">{{ one.value }} {{ MEASURE_TEXT[one.kind].unit }}</span>
      <span v-if="one.across" class="soft">{{ MEASURE_TEXT[one.kind].across }} {{ one.across }}</span>
      <span v-if="measureSays(one.verdict, one.kind)" class="tag" :class="tagOf(one.verdict.isWithin)">{{
        measureSays(one.verdict, one.kind)
      }}</span>
      <button
        v-if="!isReadOnly"
        type="button"
        class="text-button"
        @click="emit('write', `measure.${one.token}`, '')"
      >
        Remove
      </button>
    </p>
    <div v-if="!isReadOnly" class="row">
      <el-select v-model="kind" class="kind" aria-label="What was measured" data-testid="measure-kind">
        <el-option v-for="one in MEASURES" :key="one" :value="one" :label="MEASURE_TEXT[one].name" />
      </el-select>
      <el-input-number
        v-model="value"
        :min="0"
        :controls="false"
        :placeholder="MEASURE_TEXT[kind].unit"
        :aria-label="`Value in ${MEASURE_TEXT[kind].unit}`"
      />
      <el-input-number
        v-if="MEASURE_TEXT[kind].across"
        v-model="across"
        :min="0"
        :controls="false"
        class="across"
        :placeholder="MEASURE_TEXT[kind].across"
        :aria-label="MEASURE_TEXT[kind].across"
      />
      <el-checkbox v-if="hasDirection" v-model="isVertical">vertical</el-checkbox>
      <el-button :disabled="value === undefined" @click="add">Add</el-button>
    </div>
  </section>
</template>

<style scoped>
.kind {
  width: 250px;
}
.across {
  width: 170px;
}
</style>

<script setup lang="ts">
import type { DatedItem } from '#schemas/planning-views'

/** A bay was inspected, or its RCD tested: put down once, with the day of the next, and the label for it. */
defineProps<{ known: readonly DatedItem[] }>()
const emit = defineEmits<{ kept: [dates: DatedItem[]] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const form = reactive({ bay: 1, kind: 'rcd' as 'rcd' | 'inspection', doneOn: today(), dueOn: '', note: '' })
/** Usual times between tests, months; common practice, no source: the centre's own rules come first. */
const MONTHS = { rcd: 3, inspection: 12 } as const
const next = computed(() => {
  const day = new Date(`${form.doneOn || today()}T00:00:00Z`)
  day.setUTCMonth(day.getUTCMonth() + MONTHS[form.kind])
  return day.toISOString().slice(0, 10)
})
const sticker = ref<{ bay: number; kind: string; doneOn: string; dueOn: string } | null>(null)
const keep = () =>
  act(async () => {
    const body = { ...form, dueOn: form.dueOn || next.value }
    emit('kept', await call<DatedItem[]>('POST', 'dates/bays', body))
    sticker.value = { bay: body.bay, kind: body.kind, doneOn: body.doneOn, dueOn: body.dueOn }
  })
/** The label alone is printed. */
function print() {
  const { classList } = document.documentElement
  classList.add('sticker-only')
  window.print()
  classList.remove('sticker-only')
}
</script>

<template>
  <section class="stitched stack">
    <h2>A bay was tested</h2>
    <div class="row">
      <label class="field"
        ><span>Bay</span
        ><el-input-number v-model="form.bay" :min="1" :max="999" aria-label="Bay" data-testid="check-bay"
      /></label>
      <label class="field"
        ><span>What</span
        ><el-select v-model="form.kind" aria-label="What" data-testid="check-kind" style="width: 150px"
          ><el-option value="rcd" label="RCD test" /><el-option
            value="inspection"
            label="Inspection" /></el-select
      ></label>
    </div>
    <label class="field"><span>Done on</span><DayPicker v-model="form.doneOn" label="Done on" /></label>
    <label class="field"
      ><span>Next by</span
      ><DayPicker v-model="form.dueOn" label="Next by" clearable :placeholder="date(next)"
    /></label>
    <el-button type="primary" :loading="isBusy" data-testid="keep-check" @click="keep">Record it</el-button>
    <div v-if="sticker" class="sticker" data-testid="sticker">
      <p>Bay {{ sticker.bay }} · {{ sticker.kind === 'rcd' ? 'RCD tested' : 'inspected' }}</p>
      <p>
        <b>{{ date(sticker.doneOn) }}</b>
      </p>
      <p>
        next by <b>{{ date(sticker.dueOn) }}</b>
      </p>
    </div>
    <button v-if="sticker" type="button" class="text-button" @click="print">Print the label</button>
  </section>
</template>

<style scoped>
.sticker {
  border: 2px solid var(--ink);
  border-radius: 6px;
  padding: 10px 14px;
  width: 230px;
  background: var(--raised);
}
</style>

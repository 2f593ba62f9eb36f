<script setup lang="ts">
import type { DatedItem, ReadDay } from '#schemas/planning-views'
import type { PersonView } from '#schemas/views'

/** Terms, holidays and absences: typed, or read from a calendar file and looked at first. */
const emit = defineEmits<{ kept: [dates: DatedItem[]] }>()
const { call } = useApi()
const { isBusy, act } = useAct()
const ALL = { term: 'Term', closed: 'Centre closed', absence: 'Somebody is away' } as const
/** Whoever does not see people puts nobody’s absence down. */
const KINDS: Readonly<Partial<typeof ALL>> =
  useSession().person!.role === 'technician' ? { term: ALL.term, closed: ALL.closed } : ALL
const kind = ref<keyof typeof ALL>('term')
const person = ref<number | null>(null)
const { data: people } = useServer<PersonView[]>(() => (kind.value === 'absence' ? 'people' : null))
const typed = reactive({ title: '', span: [] as string[] })
const read = ref<ReadDay[]>([])
const chosen = ref<number[]>([])
const list = computed(() => read.value.filter((_, i) => chosen.value.includes(i)))

const takeIn = (file: File) =>
  act(async () => {
    read.value = await call<ReadDay[]>('POST', 'dates/read', { ics: await file.text() })
    chosen.value = read.value.map((_, i) => i)
    if (read.value.length === 0)
      ElMessage({
        type: 'info',
        message: 'This calendar holds nothing between last year and the year after next.',
        showClose: true,
      })
  })
const keep = (days: readonly ReadDay[]) =>
  act(async () => {
    const personId = kind.value === 'absence' ? person.value : null
    const entries = days.map(({ title, fromDay, toDay }) => ({
      title,
      fromDay,
      toDay,
      kind: kind.value,
      personId,
    }))
    emit('kept', await call<DatedItem[]>('POST', 'dates/entries', { entries }))
    read.value = []
    chosen.value = []
    typed.title = ''
    typed.span = []
  })
const isReady = computed(() => kind.value !== 'absence' || person.value !== null)
</script>

<template>
  <section class="stitched stack">
    <h2>Terms, holidays, absences</h2>
    <label class="field"
      ><span>What</span
      ><el-select v-model="kind" aria-label="What" data-testid="entry-kind"
        ><el-option v-for="(text, key) in KINDS" :key="key" :value="key" :label="text" /></el-select
    ></label>
    <label v-if="kind === 'absence'" class="field"
      ><span>Who</span
      ><el-select v-model="person" filterable aria-label="Who"
        ><el-option v-for="one in people ?? []" :key="one.id" :value="one.id" :label="one.name" /></el-select
    ></label>
    <label class="field"
      ><span>Title</span><el-input v-model="typed.title" name="entry-title" maxlength="160"
    /></label>
    <label class="field"
      ><span>From, to</span
      ><el-date-picker
        v-model="typed.span"
        type="daterange"
        format="DD/MM/YYYY"
        value-format="YYYY-MM-DD"
        start-placeholder="dd/mm/yyyy"
        end-placeholder="dd/mm/yyyy"
    /></label>
    <div class="row">
      <el-button
        type="primary"
        :disabled="!typed.title.trim() || typed.span?.length !== 2 || !isReady"
        :loading="isBusy"
        @click="keep([{ title: typed.title, fromDay: typed.span[0]!, toDay: typed.span[1]! }])"
        >Keep</el-button
      >
      <FileButton accept=".ics,text/calendar" @file="takeIn">From a calendar file…</FileButton>
    </div>
    <template v-if="read.length">
      <el-checkbox-group v-model="chosen" class="read" data-testid="read-days">
        <el-checkbox v-for="(one, i) in read" :key="i" :value="i">
          {{ date(one.fromDay)
          }}<template v-if="one.toDay !== one.fromDay"> to {{ date(one.toDay) }}</template
          >, {{ one.title }}
        </el-checkbox>
      </el-checkbox-group>
      <el-button
        type="primary"
        :disabled="list.length === 0 || !isReady"
        :loading="isBusy"
        data-testid="keep-days"
        @click="keep(list)"
        >Keep these {{ list.length }} as {{ ALL[kind].toLowerCase() }}</el-button
      >
    </template>
  </section>
</template>

<style scoped>
.read {
  display: flex;
  flex-direction: column;
  max-height: 320px;
  overflow: auto;
}
</style>

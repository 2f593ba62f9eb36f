import { computed, ref, watch } from 'vue'
import type { Criterion, Framework, Quota, Unit } from '#core/assessment/outcomes/framework'

type Mutable<T> = { -readonly [K in keyof T]: T[K] extends readonly (infer U)[] ? Mutable<U>[] : T[K] }
export type FrameworkDraft = Mutable<Framework>

const copy = (framework: Framework): FrameworkDraft => JSON.parse(JSON.stringify(framework)) as FrameworkDraft

const blankCriterion = (code: string): Criterion => ({
  code,
  text: '',
  bs7671: '',
  occasions: 2,
  evidence: ['reading.zs'],
  kinds: [],
  needs: [],
  isCritical: false,
})
const QUOTAS: { readonly [K in Quota['kind']]: (code: string) => Extract<Quota, { kind: K }> } = {
  set: (code) => ({ kind: 'set', code, text: '', of: 'wiringSystem', least: 3, compulsory: [], each: 1 }),
  share: (code) => ({
    kind: 'share',
    code,
    text: '',
    settings: ['commercial', 'industrial'],
    moreThan: 0.5,
    jobs: 3,
  }),
  behaviours: (code) => ({ kind: 'behaviours', code, text: '', least: 1 }),
}

/** A code that none of these has: the stem and the next number. */
export function freeCode(stem: string, taken: readonly string[]): string {
  const known = new Set(taken.map((code) => code.toLowerCase()))
  let n = 1
  while (known.has(`${stem}${n}`.toLowerCase())) n += 1
  return `${stem}${n}`
}

/** A framework as it is worked on: nothing is in force before it is put there. */
export function useFrameworkDraft(start: () => Framework | null) {
  const draft = ref<FrameworkDraft | null>(null)
  const base = ref('')
  watch(
    start,
    (framework) => {
      draft.value = framework && copy(framework)
      base.value = JSON.stringify(framework)
    },
    { immediate: true },
  )
  const isChanged = computed(() => draft.value !== null && JSON.stringify(draft.value) !== base.value)
  const codes = () =>
    draft.value!.units.flatMap(({ criteria, quotas }) => [...criteria, ...quotas].map(({ code }) => code))

  return {
    draft,
    isChanged,
    addUnit(): void {
      const taken = draft.value!.units.map(({ code }) => code)
      const code = freeCode('U', taken)
      const unit: Unit = { code, title: '', criteria: [blankCriterion(`${code}.1`)], quotas: [] }
      draft.value!.units.push(copyOf(unit))
    },
    addCriterion(unit: { code: string; criteria: unknown[] }): void {
      unit.criteria.push(copyOf(blankCriterion(freeCode(unit.code, codes()))))
    },
    addQuota(unit: { code: string; quotas: unknown[] }, kind: Quota['kind']): void {
      unit.quotas.push(copyOf(QUOTAS[kind](freeCode(`${unit.code}Q`, codes()))))
    },
    addBehaviour(): void {
      const taken = draft.value!.behaviours.map(({ code }) => code)
      draft.value!.behaviours.push({ code: freeCode('B', taken), text: '' })
    },
    take(framework: Framework): void {
      draft.value = copy(framework)
    },
    discard(): void {
      draft.value = start() && copy(start()!)
    },
  }
}
const copyOf = <T>(value: T): Mutable<T> => JSON.parse(JSON.stringify(value)) as Mutable<T>

import type { TrustPolicy } from '#core/policies/trust'

type NumberKey = { [K in keyof TrustPolicy]: TrustPolicy[K] extends number ? K : never }[keyof TrustPolicy]

/** Figures by which a centre guards and keeps things, with the largest that makes sense. */
export const TRUST_NUMBERS: readonly {
  readonly key: NumberKey
  readonly name: string
  readonly why: string
  readonly most: number
}[] = [
  {
    key: 'proofMinutes',
    name: 'Ask again before signing, after minutes',
    why: 'PIN, passkey or password before permitting, deciding or closing. 0 asks every time. STOP never asks.',
    most: 720,
  },
  {
    key: 'lockMinutes',
    name: 'Lock an untouched page, after minutes',
    why: 'What was typed stays. 0 never locks; the wall display never does, nor a page without a network.',
    most: 720,
  },
  {
    key: 'keepPracticeYears',
    name: 'Keep practice, years',
    why: 'Rehearsals, searches, trainer rounds and predictions: nobody’s evidence. 0 keeps them for ever.',
    most: 50,
  },
  {
    key: 'keepPhotographYears',
    name: 'Keep photographs, years',
    why: 'Of work that was inspected. 0 keeps them for ever.',
    most: 50,
  },
  {
    key: 'keepLeaverYears',
    name: 'Keep the names of leavers, years',
    why: 'After they were disabled. Decisions and signed records stay without the name. 0 keeps them for ever.',
    most: 50,
  },
  {
    key: 'samplePercent',
    name: 'Second marking by chance, of a hundred decisions',
    why: 'Besides those at risk: new assessors and exercises, critical breaches, borderline, changed proposals.',
    most: 100,
  },
]

export const STAFF_GROUPS: Readonly<Record<TrustPolicy['staffGroups'], string>> = {
  all: 'Staff see the work of every group',
  own: 'Staff see the groups that they are named for; STOP works for every bay',
}

/** A choice as it stands in the history, such as `proofMinutes`, `5`; undefined where it is none of these. */
export function trustWords(key: string, value: string): string | undefined {
  if (key === 'staffGroups') return STAFF_GROUPS[value as TrustPolicy['staffGroups']]
  const figure = TRUST_NUMBERS.find((one) => one.key === key)
  return figure && `${figure.name}: ${value}`
}

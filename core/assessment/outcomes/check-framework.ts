import { criteriaOf, type Framework, type Quota, type SetQuota, type SetSort } from './framework'
import { kindOfKey, type EvidenceKind } from './kinds'
import { CABLE_TYPES, EQUIPMENT, WIRING_SYSTEMS, type Shown } from './shows'

/** Everything that a quota of a sort may name. */
export const MEMBERS_OF: Readonly<Record<SetSort, readonly string[]>> = {
  wiringSystem: WIRING_SYSTEMS,
  cable: CABLE_TYPES,
  equipment: EQUIPMENT,
}

/** An exercise as far as the framework is concerned. */
export interface EvidencingExercise {
  readonly code: string
  readonly criteria: readonly string[]
  readonly shown: Shown
}

/** What is wrong with a framework: it cannot be used so. */
export type FrameworkFault =
  | {
      readonly code: 'twice'
      readonly what: 'unit' | 'criterion' | 'quota' | 'behaviour'
      readonly of: string
    }
  | { readonly code: 'unknownMember'; readonly of: string; readonly member: string }
  | { readonly code: 'tooMany'; readonly of: string; readonly least: number; readonly most: number }
  | { readonly code: 'noSettings'; readonly of: string }
  | { readonly code: 'needNotAllowed'; readonly of: string; readonly kind: EvidenceKind }

/** What somebody should know before they rely on it. */
export type FrameworkNote =
  | { readonly code: 'noExercise'; readonly of: string }
  | { readonly code: 'noKind'; readonly of: string; readonly kind: EvidenceKind }
  | { readonly code: 'exercisesTooFew'; readonly of: string; readonly least: number; readonly shown: number }
  | { readonly code: 'memberNowhere'; readonly of: string; readonly member: string }

const repeated = (codes: readonly string[]): string[] => [
  ...new Set(codes.filter((code, i) => codes.findIndex((other) => sameCode(other, code)) < i)),
]
const sameCode = (a: string, b: string): boolean => a.toLowerCase() === b.toLowerCase()

/** Faults of a framework by itself; empty where it can be used. */
export function frameworkFaults(framework: Framework): FrameworkFault[] {
  const twice = (what: Extract<FrameworkFault, { code: 'twice' }>['what'], codes: readonly string[]) =>
    repeated(codes).map((of): FrameworkFault => ({ code: 'twice', what, of }))
  const criteria = criteriaOf(framework)
  const quotas = framework.units.flatMap((unit) => unit.quotas)
  return [
    ...twice(
      'unit',
      framework.units.map(({ code }) => code),
    ),
    ...twice(
      'criterion',
      criteria.map(({ code }) => code),
    ),
    ...twice(
      'quota',
      quotas.map(({ code }) => code),
    ),
    ...twice(
      'behaviour',
      framework.behaviours.map(({ code }) => code),
    ),
    ...criteria.flatMap(({ code: of, kinds, needs }) =>
      needs
        .filter((kind) => kinds.length > 0 && !kinds.includes(kind))
        .map((kind): FrameworkFault => ({ code: 'needNotAllowed', of, kind })),
    ),
    ...quotas.flatMap((quota) => quotaFaults(quota, framework)),
  ]
}

function quotaFaults(quota: Quota, { behaviours }: Framework): FrameworkFault[] {
  const tooMany = (most: number): FrameworkFault[] =>
    'least' in quota && quota.least > most
      ? [{ code: 'tooMany', of: quota.code, least: quota.least, most }]
      : []
  switch (quota.kind) {
    case 'share':
      return quota.settings.length === 0 ? [{ code: 'noSettings', of: quota.code }] : []
    case 'behaviours':
      return tooMany(behaviours.length)
    case 'set': {
      const members = MEMBERS_OF[quota.of]
      const unknown = quota.compulsory.filter((member) => !members.includes(member))
      return [
        ...tooMany(members.length),
        ...unknown.map((member): FrameworkFault => ({ code: 'unknownMember', of: quota.code, member })),
      ]
    }
  }
}

/** Kinds that the workplace alone can bring. */
const FROM_WORKPLACE: readonly EvidenceKind[] = ['witnessed', 'simulated']

/** What the centre's exercises leave open: a criterion or a quota that nothing here evidences. */
export function frameworkNotes(
  framework: Framework,
  exercises: readonly EvidencingExercise[],
): FrameworkNote[] {
  const evidenced = new Set(exercises.flatMap(({ criteria }) => criteria))
  const notes = criteriaOf(framework).flatMap(({ code: of, evidence, needs, kinds }): FrameworkNote[] => {
    const elsewhere = evidence.some((key) => /^(isolation|run|question)\./.test(key))
    const brought = new Set(evidence.map(kindOfKey))
    const lacking = needs.filter((kind) => !brought.has(kind) && !FROM_WORKPLACE.includes(kind))
    const none = kinds.length > 0 && !kinds.some((kind) => brought.has(kind))
    return [
      ...(evidenced.has(of) || elsewhere ? [] : [{ code: 'noExercise', of } as const]),
      ...[...lacking, ...(none ? kinds.slice(0, 1) : [])].map(
        (kind) => ({ code: 'noKind', of, kind }) as const,
      ),
    ]
  })
  const sets = framework.units.flatMap(({ quotas }) => quotas).filter((quota) => quota.kind === 'set')
  return [...notes, ...sets.flatMap((quota) => setNotes(quota, exercises))]
}

function setNotes(quota: SetQuota, exercises: readonly EvidencingExercise[]): FrameworkNote[] {
  const shown = new Set(
    exercises.flatMap(
      ({ shown: { wiringSystems, cables, equipment } }): readonly string[] =>
        ({ wiringSystem: wiringSystems, cable: cables, equipment })[quota.of],
    ),
  )
  return [
    ...quota.compulsory
      .filter((member) => !shown.has(member))
      .map((member) => ({ code: 'memberNowhere', of: quota.code, member }) as const),
    ...(shown.size < quota.least
      ? [{ code: 'exercisesTooFew', of: quota.code, least: quota.least, shown: shown.size } as const]
      : []),
  ]
}

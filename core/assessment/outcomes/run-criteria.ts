import type { RunPart } from '../../containment/parts-met'
import type { EvidenceKey } from './evidence-key'
import type { Criterion } from './framework'

/** The criteria that rest on these parts; those of which a part was not measured are not judged. */
export function runCriteria(
  criteria: readonly Criterion[],
  isMet: Readonly<Partial<Record<RunPart, boolean | null>>>,
): { readonly code: string; readonly met: boolean }[] {
  return criteria.flatMap(({ code, evidence }) => {
    const parts = evidence
      .filter((key): key is EvidenceKey & `run.${RunPart}` => key.startsWith('run.'))
      .map((key) => isMet[key.slice('run.'.length) as RunPart] ?? null)
    return parts.length === 0 || parts.includes(null) ? [] : [{ code, met: parts.every(Boolean) }]
  })
}

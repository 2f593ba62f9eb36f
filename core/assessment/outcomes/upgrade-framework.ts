import type { Criterion, Framework, Unit } from './framework'

type FormerCriterion = Pick<Criterion, 'code' | 'text' | 'bs7671' | 'occasions' | 'evidence'>
/** A framework of version 1: one kind of evidence and the same exercise once. */
export interface FormerFramework {
  readonly format: 'nakshi.framework'
  readonly version: 1
  readonly code: string
  readonly title: string
  readonly units: readonly (Pick<Unit, 'code' | 'title'> & {
    readonly criteria: readonly FormerCriterion[]
  })[]
}

export const USUAL_DOMESTIC =
  'A dwelling and what serves it alone. The supply, stairs and boards that dwellings share are not domestic.'

/** Reads a stored framework in the present form; a present one stays as it is. */
export function upgradeFramework(document: Framework | FormerFramework): Framework {
  if (document.version === 2) return document
  return {
    ...document,
    version: 2,
    separate: 'job',
    domestic: USUAL_DOMESTIC,
    behaviours: [],
    units: document.units.map((unit) => ({
      ...unit,
      quotas: [],
      criteria: unit.criteria.map((criterion) => ({ ...criterion, kinds: [], needs: [], isCritical: false })),
    })),
  }
}

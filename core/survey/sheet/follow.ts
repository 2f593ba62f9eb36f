import { DEFAULT_POLICY } from '../../policies/policy'
import type { DesignRules } from '../../design/walk'
import type { BookChange } from '../../regulations/book/change'
import { PRESENT_EDITION } from '../../regulations/editions'
import { referenceDesign, type CircuitDesign } from '../../design/reference'
import { readForm } from '../../exercise/form/read-form'
import { exerciseFormOf, laidRoutes } from './feed'
import { contradictionsOf, type Contradiction } from './contradictions'
import type { SurveySheet } from './sheet'

/** What a survey makes of the circuit of one route. */
export interface Followed {
  readonly route: string
  readonly name: string
  readonly lengthM: number
  /** Design current, A; factors; conductor, mm²; voltage drop, V: null where the design does not come so far. */
  readonly ib: number | null
  readonly ca: number | null
  readonly cg: number | null
  readonly ci: number | null
  readonly csaMm2: number | null
  readonly voltDropV: number | null
  /** What decided the conductor. */
  readonly governs: CircuitDesign['governs'] | null
  /** The step at which the design stops; null where it comes to its end. */
  readonly stopsAt: string | null
}

const RULES: DesignRules = {
  edition: PRESENT_EDITION,
  measuredZs: DEFAULT_POLICY.measuredZs,
  warmDrop: DEFAULT_POLICY.warmDrop,
}
const HEAD = { code: 'S-1', title: 'Survey', scenario: '', criteria: '' }

/** The circuits that follow from the routes of a survey, worked through; none where no exercise can be made of it. */
export function followSurvey(sheet: SurveySheet, changes: readonly BookChange[] = []): Followed[] {
  const laid = laidRoutes(sheet.plan)
  if (laid.length === 0) return []
  const { installation, problems } = readForm(exerciseFormOf(sheet, HEAD), DEFAULT_POLICY)
  if (!installation) return []
  const { circuits } = referenceDesign(installation, { ...RULES, changes })
  return laid.map(({ route, measure }, i) => {
    const design = circuits.find(({ scope }) => scope === `c${i + 1}`)
    const value = (key: keyof CircuitDesign['values']) => design?.values[key] ?? null
    return {
      route: route.id,
      name: route.name,
      lengthM: measure.lengthM,
      ib: value('ib'),
      ca: value('ca'),
      cg: value('cg'),
      ci: value('ci'),
      csaMm2: value('csa'),
      voltDropV: value('voltDrop'),
      governs: design && !design.stopped ? design.governs : null,
      stopsAt: stopOf(design, `c${i + 1}.length` in problems),
    }
  })
}

/** A length that no circuit may have is a stop as well. */
function stopOf(design: CircuitDesign | undefined, isLengthRefused: boolean): string | null {
  if (design) return design.stopped?.at ?? null
  return isLengthRefused ? 'length' : null
}

/** Routes whose circuit cannot be designed: too long for the voltage drop or the fault loop of any cable. */
export const tooLongRoutes = (followed: readonly Followed[]): Contradiction[] =>
  followed.flatMap(({ route, name, lengthM, stopsAt }) =>
    stopsAt ? [{ code: 'tooLong', route: name || route, lengthM, at: stopsAt } as const] : [],
  )

/** Everything that contradicts itself, with what the designs of its routes say. */
export const allContradictions = (sheet: SurveySheet): Contradiction[] => [
  ...contradictionsOf(sheet),
  ...tooLongRoutes(followSurvey(sheet)),
]

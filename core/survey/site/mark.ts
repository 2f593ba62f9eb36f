import { DECLARED_ZE_OHM, type Arrangement } from '../../regulations/supply'
import { parseQuantity } from '../../units/parse'
import { measureRoute } from '../plan/route'
import { scaleOf } from '../plan/plan'
import { itemOf, type ItemKey, type Objective } from '../sheet/checklist'
import { gapsOfSurvey } from '../sheet/complete'
import type { Contradiction } from '../sheet/contradictions'
import { allContradictions } from '../sheet/follow'
import type { SurveySheet } from '../sheet/sheet'
import type { Site, SiteFact, SiteRoute } from './site'

export const SURVEY_VERDICTS = ['found', 'carried', 'assumed', 'wrong', 'missed'] as const
/**
 * `carried`: wrong, but right from their own earlier reading. `assumed`: put down without having looked, asked or
 * measured, whether it happens to be right or not.
 */
export type SurveyVerdict = (typeof SURVEY_VERDICTS)[number]

export interface FactMark {
  readonly key: ItemKey
  readonly objective: Objective
  readonly verdict: SurveyVerdict
  readonly theirs: string
  readonly right: string
}
export interface RouteMark {
  readonly name: string
  readonly verdict: SurveyVerdict
  /** m; null where no such route is drawn. */
  readonly theirs: number | null
  readonly right: number
}
export interface SurveyMarks {
  readonly facts: readonly FactMark[]
  readonly routes: readonly RouteMark[]
  /** What they leave standing in their own survey. */
  readonly contradictions: readonly Contradiction[]
  /** Objectives whose conclusion is written, and those that are asked for. */
  readonly concluded: readonly Objective[]
  readonly open: readonly Objective[]
  readonly counts: Readonly<Record<SurveyVerdict, number>>
}

/** A figure read on site may depart by this share and still be the one that is there. */
const FIGURE_TOLERANCE = 0.05
/** A length off a plan may depart by this share; common practice, no source. */
export const LENGTH_TOLERANCE = 0.1

/**
 * Marks a survey against its site: each fact and each route found, wrong, missed, or assumed without looking; what is
 * wrong only because of an earlier reading is carried and named as such.
 */
export function markSurvey(site: Site, sheet: SurveySheet, done: ReadonlySet<string>): SurveyMarks {
  const facts = site.facts.map((fact) => markFact(site, fact, sheet, done))
  const routes = site.routes.map((route) => markRoute(site, route, sheet))
  const open = new Set(gapsOfSurvey(sheet).map(({ objective }) => objective))
  const counts = { found: 0, carried: 0, assumed: 0, wrong: 0, missed: 0 }
  for (const { verdict } of [...facts, ...routes]) counts[verdict] += 1
  return {
    facts,
    routes,
    contradictions: allContradictions(sheet),
    concluded: site.objectives.filter((objective) => !open.has(objective)),
    open: site.objectives.filter((objective) => open.has(objective)),
    counts,
  }
}

function markFact(site: Site, fact: SiteFact, sheet: SurveySheet, done: ReadonlySet<string>): FactMark {
  const answer = sheet.answers.get(fact.key)!
  const { objective } = itemOf(fact.key)
  const mark = (verdict: SurveyVerdict): FactMark => ({
    key: fact.key,
    objective,
    verdict,
    theirs: answer.text,
    right: fact.value,
  })
  if (answer.text === '') return mark('missed')
  const hasLooked = site.isReal || fact.by.length === 0 || fact.by.some((act) => done.has(act))
  if (!hasLooked || answer.source === 'assumed') return mark('assumed')
  if (isSame(fact, answer.text, answer.value)) return mark('found')
  return mark(followsTheirs(site, fact, sheet) ? 'carried' : 'wrong')
}

function isSame({ key, value }: SiteFact, text: string, read: number | undefined): boolean {
  const { is, quantity } = itemOf(key)
  // Free words are for a person to judge: that something was put down is all that can be told.
  if (is === 'words') return true
  if (!quantity) return text === value
  const right = parseQuantity(value, quantity)
  return right.ok && read !== undefined && Math.abs(read - right.value) <= FIGURE_TOLERANCE * right.value
}

const PIPE_OF: Readonly<Partial<Record<ItemKey, ItemKey>>> = {
  'earth.bondWater': 'services.water',
  'earth.bondGas': 'services.gas',
}

/** Wrong, but what follows from another thing that they read wrongly. */
function followsTheirs(site: Site, { key }: SiteFact, { answers }: SurveySheet): boolean {
  const theirs = answers.get('intake.arrangement')!.text as Arrangement
  const right = site.facts.find((fact) => fact.key === 'intake.arrangement')?.value
  const isMisread = theirs !== right
  if (key === 'earth.ze' && isMisread) return answers.get('earth.ze')!.value === DECLARED_ZE_OHM[theirs]
  const pipe = PIPE_OF[key]
  if (!pipe) return false
  const theirPipe = answers.get(pipe)!.text
  const rightPipe = site.facts.find((fact) => fact.key === pipe)?.value
  return theirPipe !== rightPipe && theirPipe !== 'metal' && answers.get(key)!.text === 'not-needed'
}

function markRoute(site: Site, { name, lengthM }: SiteRoute, { plan }: SurveySheet): RouteMark {
  const theirs = plan.routes.find((route) => sameName(route.name, name))
  const measure = theirs && measureRoute(plan, theirs)
  const mark = (verdict: SurveyVerdict): RouteMark => ({
    name,
    verdict,
    theirs: measure?.lengthM ?? null,
    right: lengthM,
  })
  if (!measure) return mark('missed')
  const isNear = (length: number) => Math.abs(length - lengthM) <= LENGTH_TOLERANCE * lengthM
  if (isNear(measure.lengthM)) return mark('found')
  // Right on the plan, only drawn to their own scale.
  const onTrueScale = (measure.levelM / scaleOf(plan)!) * site.metresPerUnit + measure.riseM
  return mark(isNear(onTrueScale) ? 'carried' : 'wrong')
}

const sameName = (a: string, b: string): boolean =>
  a.trim().toLowerCase().replace(/\s+/g, ' ') === b.trim().toLowerCase().replace(/\s+/g, ' ')

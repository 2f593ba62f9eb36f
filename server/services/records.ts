import type { Framework } from '#core/assessment/outcomes/framework'
import { LRUCache } from 'lru-cache'
import { closings, standingsOf, type Evidence } from '#core/assessment/outcomes/gap'
import { unitGapBriefly } from '#words/evidence/gap'
import { writeResults, type ResultRow } from '#schemas/results-csv'
import type { GroupGapRow, PersonRecord, UnitStanding } from '#schemas/evidence-views'
import type { GroupRecord } from '#schemas/marking-views'
import type { SeenBehaviour } from '../repos/behaviours'
import type { Person } from '../repos/people'
import { allow, found, seesGroup } from './access'
import { proposedFor } from './behaviours'
import type { Context } from './context'
import {
  frameworkInForce,
  occasionsOf,
  occasionsOfGroup,
  ownOccasions,
  type EvidencedOccasion,
} from './evidence'
import { Problem } from './problem'

/** The apprentice's own record, by unit; only what has been released to them. */
export function ownRecord(context: Context, actor: Person): PersonRecord {
  allow(actor, 'work.own')
  return recordOf(context, actor, ownOccasions(context, actor.id))
}

/** The record of one person, for staff who work with their group; whole with every occasion of five years. */
export function personRecord(
  context: Context,
  actor: Person,
  personId: number,
  { isWhole = false }: { readonly isWhole?: boolean } = {},
): PersonRecord {
  allow(actor, 'records.see')
  const person = context.repos.people.byId(personId)
  if (person?.role !== 'apprentice' || !seesGroup(actor, person.cohort)) throw new Problem('notFound')
  return {
    ...recordOf(context, person, occasionsOf(context, personId), isWhole ? Infinity : MOST_SHOWN),
    proposed: proposedFor(context, person),
  }
}

function recordOf(
  context: Context,
  { id, name, number, cohort }: Person,
  occasions: readonly EvidencedOccasion[],
  most = MOST_SHOWN,
): PersonRecord {
  const framework = frameworkInForce(context)
  const seen = context.repos.behaviours.ofPerson(id)
  return {
    person: { id, name, number, cohort },
    units: standings(framework, evidenceOf(occasions, seen), context.now, most),
    behaviours: framework.behaviours,
    seen: seen.map(({ id: seenId, behaviour, note, by, at }) => ({ id: seenId, behaviour, note, by, at })),
    proposed: [],
    domestic: framework.domestic,
  }
}

const evidenceOf = (occasions: readonly EvidencedOccasion[], seen: readonly SeenBehaviour[]): Evidence => ({
  occasions,
  behaviours: new Set(seen.map(({ behaviour }) => behaviour)),
})

function standings(framework: Framework, evidence: Evidence, now: string, most: number): UnitStanding[] {
  const all = standingsOf(framework, evidence)
  const dates = closings(
    framework,
    all.map(({ gap }) => gap),
    evidence,
    now,
  )
  return all.map(({ gap, coverage }) => ({
    gap,
    coverage: coverage.map((item) => ({
      ...item,
      occasions: newest(item.occasions, most),
      occasionsInAll: item.occasions.length,
    })),
    closesAt: dates.get(gap.unit.code) ?? null,
  }))
}

/** After years a criterion has a hundred occasions; a page shows the newest, and every one that is not met yet. */
const MOST_SHOWN = 12
function newest<O extends { readonly decidedAt: string; readonly met: boolean }>(
  occasions: readonly O[],
  most: number,
): O[] {
  if (occasions.length <= most) return [...occasions]
  const sorted = [...occasions].sort((a, b) => (a.decidedAt < b.decidedAt ? 1 : -1))
  const kept = new Set([...sorted.slice(0, most), ...sorted.filter(({ met }) => !met).slice(0, most)])
  return occasions.filter((occasion) => kept.has(occasion))
}

/** Rows of a group by person, kept with what they were made from: a group is looked at far more often than it gains. */
const ROWS = new WeakMap<
  Context['repos']['attempts'],
  LRUCache<number, { readonly from: string; readonly row: GroupGapRow }>
>()
const MOST_ROWS = 3000

/** The record of a group: every apprentice against every criterion, and what each unit still lacks. */
export function groupRecord(context: Context, actor: Person, cohort: string): GroupRecord {
  allow(actor, 'records.see')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const { repos, now } = context
  const framework = frameworkInForce(context)
  const rows = ROWS.get(repos.attempts) ?? new LRUCache({ max: MOST_ROWS })
  ROWS.set(repos.attempts, rows)
  const people = repos.people.inCohort(cohort)
  const marks = repos.evidenceMarks.ofCohort(cohort)
  const version = `${repos.centre.frameworkId()} ${now.slice(0, 10)}`
  const fromOf = ({ id, name }: Person) => `${version} ${name} ${marks.get(id)}`
  const changed = people.filter((person) => rows.get(person.id)?.from !== fromOf(person))
  // One who has gained is read alone; a whole group is read at once.
  const evidence = changed.length > FEW ? groupEvidence(context, cohort) : null
  for (const person of changed) {
    const own =
      evidence?.(person.id) ??
      evidenceOf(occasionsOf(context, person.id), repos.behaviours.ofPerson(person.id))
    rows.set(person.id, { from: fromOf(person), row: gapRow(framework, person, own, now) })
  }
  return { units: framework.units, people: people.map(({ id }) => rows.get(id)!.row) }
}
/** So many are read one by one. */
const FEW = 3

function groupEvidence(context: Context, cohort: string): (personId: number) => Evidence {
  const occasions = occasionsOfGroup(context, cohort)
  const seen = new Map<number, SeenBehaviour[]>()
  for (const behaviour of context.repos.behaviours.ofCohort(cohort))
    seen.set(behaviour.personId, [...(seen.get(behaviour.personId) ?? []), behaviour])
  return (id) => evidenceOf(occasions.get(id) ?? [], seen.get(id) ?? [])
}

function gapRow(
  framework: Framework,
  { id, number, name }: Person,
  evidence: Evidence,
  now: string,
): GroupGapRow {
  const units = standings(framework, evidence, now, MOST_SHOWN)
  return {
    id,
    number,
    name,
    // A matrix shows how often, and whether one is open; the occasions stand on the person’s own page.
    coverage: units.flatMap((unit) =>
      unit.coverage.map((item) => ({
        ...item,
        occasions: item.occasions.filter(({ met }) => !met).slice(0, 1),
      })),
    ),
    units: units.map(({ gap, closesAt: at }) => ({
      code: gap.unit.code,
      steps: gap.steps,
      says: unitGapBriefly(gap, framework.behaviours),
      closesAt: at,
    })),
  }
}

export function listCohorts({ repos }: Context, actor: Person): string[] {
  allow(actor, 'cohorts.see')
  return [
    ...new Set(
      repos.people
        .all()
        .map((person) => person.cohort)
        .filter((cohort) => cohort !== '' && seesGroup(actor, cohort)),
    ),
  ].sort()
}

/** The results of one exercise as CSV. */
export function exportResults(
  { repos }: Context,
  actor: Person,
  exerciseId: number,
): { readonly name: string; readonly csv: string } {
  allow(actor, 'results.export')
  const { exercise } = found(repos.exercises.byId(exerciseId))
  const attempts = repos.attempts.byExercise(exerciseId).filter(({ cohort }) => seesGroup(actor, cohort))
  const decisions = repos.decisions.latestOf(attempts.map(({ id }) => id))
  const rows = attempts.map((attempt): ResultRow => {
    const decision = decisions.get(attempt.id)
    const criteria = decision?.evidence.proposal.criteria ?? []
    return {
      exercise: exercise.code,
      number: attempt.personNumber,
      name: attempt.personName,
      group: attempt.cohort,
      bay: attempt.bay,
      stage: attempt.stage,
      mark: decision?.mark,
      outOf: decision?.outOf,
      met: decision?.met,
      criteriaMet: criteria.filter((criterion) => criterion.met).map((criterion) => criterion.code),
      criteriaOpen: criteria.filter((criterion) => !criterion.met).map((criterion) => criterion.code),
      decidedBy: decision?.by ?? '',
      decidedAt: decision?.at ?? '',
    }
  })
  return { name: `${exercise.code}-results.csv`, csv: writeResults(rows) }
}

import { frameworkFaults, frameworkNotes } from '#core/assessment/outcomes/check-framework'
import { criteriaOf, type Framework } from '#core/assessment/outcomes/framework'
import { shownByTask } from '#core/assessment/outcomes/shows'
import type { FrameworkBody, FrameworkFileBody } from '#schemas/evidence-requests'
import type { FrameworkView } from '#schemas/evidence-views'
import { FrameworkSchema, presentFramework } from '#schemas/framework'
import { validate } from '#schemas/validate'
import threeUnits from '../../frameworks/three-units.json'
import workshop from '../../frameworks/workshop-unit.json'
import { readFrameworkCsv, writeFrameworkCsv } from '#schemas/framework-csv'
import { frameworkFaultSays } from '#words/evidence/framework'
import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { Problem } from './problem'
import { refuseUnseen, seenOf } from './seen'

/** The framework with what the centre's exercises leave open, and who put which version in force. */
export function showFramework(context: Context, actor: Person): FrameworkView {
  allow(actor, 'centre.see')
  const { repos } = context
  const framework = frameworkInForce(context)
  const exercises = repos.exercises
    .all()
    .map(({ exercise }) => ({
      code: exercise.code,
      criteria: exercise.criteria,
      shown: shownByTask(exercise.installation, exercise.tests),
    }))
  return {
    framework,
    notes: frameworkNotes(framework, exercises),
    inUse: [...usedCriteria(context)].sort(),
    versions: repos.centre.frameworkVersions(),
    seen: seenOf(framework),
  }
}

/** Codes of the framework in force that the record or an exercise speaks of. */
function usedCriteria({ repos }: Pick<Context, 'repos'>): Set<string> {
  const present = repos.centre.presentCriterion()
  const asked = repos.exercises.all().flatMap(({ exercise }) => exercise.criteria)
  const codes = [...repos.centre.evidencedCriteria(), ...asked].map(present)
  return new Set(codes.filter((code) => code !== null))
}

/**
 * Puts a framework in force. Evidence is never left behind in silence: for each criterion in use that is gone, the
 * mapping says which took its place, or that it counts for nothing from now on.
 */
export function putFramework(
  context: Context,
  actor: Person,
  { value, seen, mapping = {} }: FrameworkBody,
): FrameworkView {
  allow(actor, 'centre.change')
  const { repos, now } = context
  const faults = frameworkFaults(value)
  if (faults.length > 0) refuse(faults.map(frameworkFaultSays))
  repos.transaction(() => {
    const old = repos.centre.framework()
    if (old) {
      refuseUnseen(seen, seenOf(old), () => showFramework(context, actor))
      refuseLost(usedCriteria(context), value, mapping)
    }
    repos.centre.putFramework(value, { mapping: onlyGone(old, value, mapping), by: actor.id, at: now })
    repos.audit.add(now, actor.id, 'frameworkLoaded', value.code)
  })
  return showFramework(context, actor)
}

const refuse = (messages: readonly string[]): never => {
  throw new Problem('frameworkNotRight', { fields: messages.map((message) => ({ field: 'units', message })) })
}

function refuseLost(
  inUse: ReadonlySet<string>,
  next: Framework,
  mapping: Readonly<Record<string, string | null>>,
): void {
  const kept = new Set(criteriaOf(next).map(({ code }) => code))
  const lost = [...inUse].filter((code) => !kept.has(code) && !(code in mapping))
  const astray = Object.values(mapping).filter((code) => code !== null && !kept.has(code))
  if (lost.length > 0)
    throw new Problem('frameworkNeedsMapping', {
      fields: [{ field: 'mapping', message: `says nothing of ${lost.sort().join(', ')}` }],
      extra: { lost },
    })
  if (astray.length > 0)
    refuse([`The new framework has no ${astray.join(', ')}: map to a criterion that it has.`])
}

/** What has gone and was mapped; a code that stays needs no mapping. */
function onlyGone(
  old: Framework | undefined,
  next: Framework,
  mapping: Readonly<Record<string, string | null>>,
): Record<string, string | null> {
  const kept = new Set(criteriaOf(next).map(({ code }) => code))
  const before = new Set((old ? criteriaOf(old) : []).map(({ code }) => code))
  return Object.fromEntries(Object.entries(mapping).filter(([code]) => before.has(code) && !kept.has(code)))
}

export function exportFramework(context: Context, actor: Person, as: 'json' | 'csv') {
  allow(actor, 'centre.see')
  const framework = frameworkInForce(context)
  return as === 'csv'
    ? {
        name: `${framework.code}.csv`,
        type: 'text/csv; charset=utf-8',
        content: writeFrameworkCsv(framework),
      }
    : {
        name: `${framework.code}.json`,
        type: 'application/json',
        content: `${JSON.stringify(framework, null, 2)}\n`,
      }
}

/** Reads a framework from a file, to be looked at before it is put in force; nothing is changed. */
export function readFramework(actor: Person, file: FrameworkFileBody): Framework {
  allow(actor, 'centre.change')
  if ('csv' in file) {
    const read = readFrameworkCsv(file.csv)
    if (read.ok) return read.framework
    return refuse(read.problems.map(({ line, message }) => `line ${line}: ${message}`))
  }
  const checked = validate(FrameworkSchema, presentFramework(parsedOrNull(file.json)))
  return checked.ok
    ? (checked.value as Framework)
    : refuse(checked.problems.map(({ field, message }) => `${field || 'the file'} ${message}`))
}

function parsedOrNull(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return null
  }
}

const SAMPLES: Readonly<Record<string, unknown>> = { 'three-units': threeUnits, workshop }

/** A framework that comes with the product, to begin from. Throws notFound. */
export function sampleFramework(actor: Person, name: string): Framework {
  allow(actor, 'centre.change')
  return found(SAMPLES[name]) as Framework
}

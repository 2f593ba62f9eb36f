import { billOf } from '#core/containment/bill'
import { criteriaOf, type Criterion } from '#core/assessment/outcomes/framework'
import { runProblems } from '#core/containment/check'
import { cutStock } from '#core/containment/cutting'
import { readRun, straightIds } from '#core/containment/form'
import { judgeRun } from '#core/containment/measure'
import { runCriteria } from '#core/assessment/outcomes/run-criteria'
import { runVerdicts } from '#core/containment/parts-met'
import { sizeOf, stockMm } from '#core/containment/containment-run'
import { supportsOf } from '#core/containment/supports'
import { tubesOf } from '#core/containment/tubes'
import type {
  MeasureCloseBody,
  MeasurementView,
  RunFieldsBody,
  RunListItem,
  RunView,
  StoresRun,
} from '#schemas/workmanship-views'
import type { StoredMeasurement, StoredRun } from '../repos/runs'
import type { Person } from '../repos/people'
import { allow, found, may, mayWith, open, seesGroup, type Belonging } from './access'
import { groupOf, seenPeople } from './groups'
import { saveIfCurrent } from './save-current'
import type { Context } from './context'
import { Problem } from './problem'
import { needProof } from './proof'

/** Runs of the centre: everybody may look at those of the staff, an apprentice's own are theirs. */
export function listRuns({ repos }: Context, actor: Person): RunListItem[] {
  allow(actor, 'run.use')
  return repos.runs
    .all()
    .filter((run) => isShown({ repos }, actor, run))
    .map((run) => ({
      id: run.id,
      name: run.fields.name?.trim() || 'Run',
      maker: run.maker,
      isMine: run.madeBy === actor.id,
      savedAt: run.savedAt,
      straights: straightIds(run.fields).length,
      measured: repos.runs.measurementsOf(run.id).filter(({ closedAt }) => closedAt !== null).length,
    }))
}

const belonging =
  ({ repos }: Pick<Context, 'repos'>) =>
  ({ madeBy }: StoredRun): Belonging => ({
    ownerId: madeBy,
    cohort: groupOf(repos, madeBy),
    isOfStaff: repos.people.byId(madeBy)!.role !== 'apprentice',
  })
const isShown = (context: Pick<Context, 'repos'>, actor: Person, run: StoredRun): boolean =>
  mayWith(actor, 'run.open', belonging(context)(run))

export function createRun(
  { repos, now }: Context,
  actor: Person,
  fields: RunFieldsBody['fields'],
): { readonly id: number } {
  allow(actor, 'run.use')
  return { id: repos.runs.insert(actor.id, fields, now) }
}

function shownRun(context: Context, actor: Person, id: number): StoredRun {
  return open(actor, 'run.open', context.repos.runs.byId(id), belonging(context))
}

/** Staff change each other's runs; an apprentice changes their own. */
const mayChange = (context: Context, actor: Person, run: StoredRun): boolean =>
  mayWith(actor, 'run.change', belonging(context)(run))

export function showRun(context: Context, actor: Person, id: number): RunView {
  const run = shownRun(context, actor, id)
  const mayMeasure = may(actor, 'attempt.mark')
  const seen = seenPeople(context.repos, actor)
  return {
    id,
    maker: run.maker,
    mayChange: mayChange(context, actor, run),
    mayMeasure,
    fields: run.fields,
    version: run.version,
    savedAt: run.savedAt,
    measurements: context.repos.runs
      .measurementsOf(id)
      .filter(
        ({ personId, closedAt }) =>
          (mayMeasure && seen(personId)) || (personId === actor.id && closedAt !== null),
      )
      .map((measurement) => ({
        id: measurement.id,
        person: measurement.person,
        assessor: measurement.assessor,
        isClosed: measurement.closedAt !== null,
        savedAt: measurement.savedAt,
      })),
  }
}

export const saveRun = (
  context: Context,
  actor: Person,
  id: number,
  { version, fields }: RunFieldsBody,
): { readonly version: number; readonly savedAt: string } =>
  saveIfCurrent(context, {
    sent: version,
    read: () => shownRun(context, actor, id),
    check: (run) => {
      if (!mayChange(context, actor, run)) throw new Problem('notAllowed')
    },
    write: () => context.repos.runs.save(id, version, fields, context.now),
    theirs: () => showRun(context, actor, id),
  })

/** Tubes and fittings of every run of the staff that can be made as it stands. */
export function storesOfRuns({ repos }: Context, actor: Person): StoresRun[] {
  allow(actor, 'stores.see')
  return repos.runs
    .all()
    .filter(({ madeBy }) => repos.people.byId(madeBy)!.role !== 'apprentice')
    .flatMap(({ id, fields }): StoresRun[] => {
      const { sheet } = readRun(fields)
      if (!sheet || runProblems(sheet.run, sheet.former, sheet.mostRightAngles).length > 0) return []
      const tubes = tubesOf(sheet.run, sheet.former)
      const stock = stockMm(sheet.run)
      const { bars, wasteMm } = cutStock(
        Array.from({ length: sheet.bays }, () =>
          tubes.map(({ name, cutMm }) => ({ name, lengthMm: Math.round(cutMm) })),
        ).flat(),
        stock,
      )
      return [
        {
          id,
          name: sheet.run.name,
          bays: sheet.bays,
          what: `${sheet.run.material === 'pvc' ? 'PVC' : 'steel'} ${sheet.run.made} ${sizeOf(sheet.run).words}`,
          tubes: bars.length,
          stockMm: stock,
          leftPercent: Math.round((100 * wasteMm) / Math.max(1, bars.length * stock)),
          bill: billOf(sheet, tubes, supportsOf(sheet.run, sheet.former)),
        },
      ]
    })
}

/** Begins to measure somebody's run against the drawing as it is now. */
export function startMeasurement(
  context: Context,
  actor: Person,
  runId: number,
  personId: number,
): { readonly id: number } {
  allow(actor, 'attempt.mark')
  const run = shownRun(context, actor, runId)
  if (!readRun(run.fields).sheet) throw new Problem('runUnreadable')
  const group = groupOf(context.repos, personId)
  if (group === undefined || !seesGroup(actor, group)) throw new Problem('notFound')
  return { id: context.repos.runs.measure(runId, personId, actor.id, run.fields) }
}

/** For those who mark; for the apprentice once it is closed. */
function shownMeasurement(context: Context, actor: Person, id: number): StoredMeasurement {
  return open(actor, 'measurement.open', context.repos.runs.measurement(id), (measured) => ({
    ownerId: measured.personId,
    cohort: groupOf(context.repos, measured.personId),
    isReleased: measured.closedAt !== null,
  }))
}

export function showMeasurement(context: Context, actor: Person, id: number): MeasurementView {
  const { personId: _person, ...measured } = shownMeasurement(context, actor, id)
  return {
    ...measured,
    mayChange: measured.closedAt === null && may(actor, 'attempt.mark'),
    criteria: runFramework(context),
    decision: context.repos.runs.decision(id) ?? null,
  }
}

export function saveMeasurement(
  context: Context,
  actor: Person,
  id: number,
  { version, fields }: RunFieldsBody,
): { readonly version: number; readonly savedAt: string } {
  allow(actor, 'attempt.mark')
  return saveIfCurrent(context, {
    sent: version,
    read: () => shownMeasurement(context, actor, id),
    check: refuseClosed,
    write: () => context.repos.runs.saveMeasurement(id, version, fields, context.now),
    theirs: () => showMeasurement(context, actor, id),
  })
}

function refuseClosed({ closedAt }: StoredMeasurement): void {
  if (closedAt !== null) throw new Problem('measurementClosed')
}

const runFramework = ({ repos }: Pick<Context, 'repos'>): Criterion[] => {
  const framework = repos.centre.framework()
  return framework
    ? criteriaOf(framework).filter(({ evidence }) => evidence.some((key) => key.startsWith('run.')))
    : []
}

/**
 * Closes it as decided by part; it goes to the record, the apprentice sees it, and nothing of it changes any
 * more.
 */
export function closeMeasurement(
  context: Context,
  actor: Person,
  id: number,
  { version, parts, reason }: MeasureCloseBody,
): MeasurementView {
  allow(actor, 'attempt.mark')
  needProof(context)
  const { repos, now } = context
  // What is decided must be what was on the screen.
  saveIfCurrent(context, {
    sent: version,
    read: () => shownMeasurement(context, actor, id),
    check: refuseClosed,
    write: (stored) => {
      const decided = decidedParts(stored, parts, reason)
      const criteria = runCriteria(runFramework(context), decided)
      const decision = { parts: decided, reason: reason.trim() }
      if (!repos.runs.close(id, { personId: stored.personId, by: actor.id, at: now, ...decision, criteria }))
        throw new Problem('measurementClosed')
      repos.audit.add(now, actor.id, 'runMeasured', `measurement ${id}`)
    },
    theirs: () => showMeasurement(context, actor, id),
  })
  return showMeasurement(context, actor, id)
}

/** As proposed, or otherwise with a reason. A part of which something was not taken is not judged. */
function decidedParts(stored: StoredMeasurement, parts: MeasureCloseBody['parts'], reason: string) {
  const sheet = found(readRun(stored.runFields).sheet)
  const proposed = runVerdicts(judgeRun(sheet.run, sheet.former, stored.fields, sheet.toleranceMm), sheet)
  const judged = proposed.filter(({ isMet }) => isMet !== null)
  const decided = Object.fromEntries(judged.map(({ part, isMet }) => [part, parts[part] ?? isMet!]))
  const isOtherwise = judged.some(({ part, isMet }) => decided[part] !== isMet)
  if (isOtherwise && reason.trim().length < 3)
    throw new Problem('otherwiseReason', {
      fields: [{ field: 'reason', message: 'why it is decided otherwise.' }],
    })
  return decided
}

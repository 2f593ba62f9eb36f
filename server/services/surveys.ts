import { criteriaOf } from '#core/assessment/outcomes/framework'
import { readSheet } from '#core/survey/sheet/sheet'
import { gapsOfSurvey } from '#core/survey/sheet/complete'
import { markSurvey, type SurveyMarks } from '#core/survey/site/mark'
import { partText } from '#core/survey/plan/read-plan'
import { shownOf, type Site } from '#core/survey/site/site'
import type { SurveyBody, SurveyDecisionBody, SurveySetBody } from '#schemas/survey-requests'
import type { SurveyItem, SurveyView } from '#schemas/survey-views'
import type { Person } from '../repos/people'
import type { StoredSurvey, SurveyHandIn } from '../repos/surveys'
import { allow, found, may, openOf, seesGroup } from './access'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { Problem } from './problem'
import { needProof } from './proof'
import { pictureOfAct } from './site-picture'
import { saveIfCurrent } from './save-current'
import { siteOf } from './sites'

/** The person's own surveys, and for those who mark what apprentices of their groups have handed in. */
export function listSurveys({ repos }: Context, actor: Person): SurveyItem[] {
  allow(actor, 'survey.write')
  const own = repos.surveys.ofPerson(actor.id)
  const others = may(actor, 'attempt.mark')
    ? repos.surveys.handedIn().filter(({ cohort }) => seesGroup(actor, cohort))
    : []
  const all = [...own, ...others]
  const handIns = repos.surveys.lastHandIns(all.map(({ id }) => id))
  const last = new Map(handIns.map((one) => [one.surveyId, one]))
  const decided = repos.surveys.lastDecisions(handIns.map(({ id }) => id))
  return all.map(({ id, person, cohort, personId, site, fields }) => {
    const handIn = last.get(id)
    return {
      id,
      person,
      cohort,
      title: fields.title || (site?.title ?? ''),
      site: site?.code ?? null,
      isOwn: personId === actor.id,
      handedInAt: handIn?.at ?? null,
      met: (handIn && decided.get(handIn.id)) ?? null,
    }
  })
}

/** Begins a survey of a site, or of a real place; one that is there already is gone on with. */
export function startSurvey(context: Context, actor: Person, code: string | null): { readonly id: number } {
  allow(actor, 'survey.write')
  const { repos, now } = context
  const site = code === null ? null : found(siteOf(context, code))
  const fields = site ? blankSurvey(site) : {}
  return repos.transaction(() => {
    const id = repos.surveys.insert({ personId: actor.id, site, fields }, now, null)
    if (id !== null) return { id }
    return { id: found(repos.surveys.ofPerson(actor.id).find((one) => one.site?.code === code)).id }
  })
}

/**
 * A survey to begin with: what the site is for, and its walls and doors as somebody has drawn them, without a
 * scale.
 */
const blankSurvey = ({ title, objectives, plan }: Site): Record<string, string> => ({
  title,
  'report.objectives': objectives.join(' '),
  ...Object.fromEntries(plan.walls.map((wall) => [`wall.${wall.id}`, partText(wall)])),
  ...Object.fromEntries(plan.doors.map(({ name: _, ...door }) => [`door.${door.id}`, partText(door)])),
})

/** Gives a site to everybody in a group who does not have it yet; how many. */
export function setSurvey(
  context: Context,
  actor: Person,
  { site: code, cohort }: SurveySetBody,
): { readonly given: number } {
  allow(actor, 'survey.set')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const { repos, now } = context
  const site = found(siteOf(context, code))
  const people = repos.people.inCohort(cohort)
  if (people.length === 0) throw new Problem('cohortEmpty')
  const fields = blankSurvey(site)
  return repos.transaction(() => {
    const given = people.filter(
      ({ id }) => repos.surveys.insert({ personId: id, site, fields }, now, actor.id) !== null,
    ).length
    if (given === 0) throw new Problem('cohortDone')
    repos.audit.add(now, actor.id, 'surveySet', `${code} for ${given} in ${cohort}`)
    return { given }
  })
}

export const openSurvey = ({ repos }: Pick<Context, 'repos'>, actor: Person, id: number): StoredSurvey =>
  openOf(actor, 'survey.open', repos.surveys.byId(id))

export const showSurvey = (context: Context, actor: Person, id: number): SurveyView =>
  viewOf(context, actor, openSurvey(context, actor, id))

function viewOf(context: Context, actor: Person, survey: StoredSurvey): SurveyView {
  const { repos } = context
  const { id, person, site, version, savedAt } = survey
  const isOwn = survey.personId === actor.id
  const isMarker = !isOwn && may(actor, 'attempt.mark')
  const handIns = repos.surveys.handIns(id)
  const last = handIns.at(-1)
  const acts = new Map(site?.acts.map((act) => [act.id, act]))
  return {
    id,
    person,
    isOwn,
    site: site && shownOf(site),
    // What is being written is its writer's; others read what was handed in.
    fields: isOwn ? survey.fields : (last?.fields ?? {}),
    version,
    savedAt,
    seen: repos.surveys.acts(id).map(({ act, at }) => {
      const done = acts.get(act)
      return { act, at, shows: done?.shows ?? '', picture: site && done ? pictureOfAct(site, done) : null }
    }),
    handIns: handIns.map(({ id: handInId, at }) => ({ id: handInId, at })),
    decisions: repos.surveys.decisions(id),
    marks: isMarker && last ? marksOf(context, survey, last) : null,
    criteria: isMarker ? criteriaOf(frameworkInForce(context)).map(({ code, text }) => ({ code, text })) : [],
    exercises: may(actor, 'exercise.see') ? repos.surveys.exercisesFrom(id) : [],
  }
}

/** Against the site as it was set; of a real place only what the survey says of itself. */
function marksOf({ repos }: Context, { id, site }: StoredSurvey, { fields }: SurveyHandIn): SurveyMarks {
  const done = new Set(repos.surveys.acts(id).map(({ act }) => act))
  const sheet = readSheet(fields)
  return markSurvey(site ?? { ...NO_SITE, objectives: sheet.objectives }, sheet, done)
}
const NO_SITE = {
  format: 'nakshi.site',
  version: 1,
  code: '',
  title: '',
  story: '',
  isReal: true,
  plan: { walls: [], doors: [], fixtures: [], labels: [], board: { x: 0, y: 0 } },
  metresPerUnit: 1,
  acts: [],
  facts: [],
  routes: [],
} as const

export function saveSurvey(context: Context, actor: Person, id: number, { version, fields }: SurveyBody) {
  const { repos, now } = context
  return saveIfCurrent(context, {
    sent: version,
    read: () => openOf(actor, 'survey.change', repos.surveys.byId(id)),
    write: () => repos.surveys.save(id, version, fields, now),
    theirs: (stored) => viewOf(context, actor, stored),
  })
}

/** Does something at an invented site: what it shows is told from then on. */
export function actAtSite(context: Context, actor: Person, id: number, act: string): SurveyView['seen'] {
  const { repos, now } = context
  return repos.transaction(() => {
    const survey = openOf(actor, 'survey.change', repos.surveys.byId(id))
    found(survey.site?.acts.find((one) => one.id === act))
    repos.surveys.act(id, act, now)
    return viewOf(context, actor, survey).seen
  })
}

/** Freezes the survey as it stands. One in which nothing has been put down is refused. */
export function handInSurvey(context: Context, actor: Person, id: number, version: number): SurveyView {
  const { repos, now } = context
  return repos.transaction(() => {
    const survey = openOf(actor, 'survey.change', repos.surveys.byId(id))
    if (survey.version !== version)
      throw new Problem('stale', { extra: { theirs: viewOf(context, actor, survey) } })
    const sheet = readSheet(survey.fields)
    if (gapsOfSurvey(sheet).length === sheet.objectives.length && !survey.fields['report.summary'])
      throw new Problem('surveyEmpty')
    repos.surveys.handIn(id, survey.fields, now)
    return viewOf(context, actor, survey)
  })
}

/** Decides on a survey as it was handed in; its marks stay with the decision as they stood. */
export function decideSurvey(
  context: Context,
  actor: Person,
  id: number,
  body: SurveyDecisionBody,
): SurveyView {
  needProof(context)
  allow(actor, 'attempt.mark')
  const { repos, now } = context
  return repos.transaction(() => {
    const survey = openSurvey(context, actor, id)
    if (survey.personId === actor.id) throw new Problem('notAllowed')
    const last = repos.surveys.handIns(id).at(-1)
    if (last?.id !== body.handInId) throw new Problem('surveyGone')
    if (!body.met && !body.feedback.trim()) throw new Problem('surveyNeedsReason')
    const known = new Set(criteriaOf(frameworkInForce(context)).map(({ code }) => code))
    const unknown = body.criteria.filter((code) => !known.has(code))
    if (unknown.length > 0)
      throw new Problem('bodyNotRight', {
        fields: unknown.map((code) => ({
          field: code,
          message: 'is no criterion of the framework in force.',
        })),
      })
    repos.surveys.decide({
      ...body,
      personId: survey.personId,
      marks: marksOf(context, survey, last),
      byId: actor.id,
      at: now,
    })
    repos.audit.add(now, actor.id, 'surveyDecided', `survey ${id}`)
    return viewOf(context, actor, survey)
  })
}

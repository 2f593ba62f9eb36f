import { PRACTICE_BAY_TEXT } from '#words/practice'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { PRACTICE_BAYS, practiceBay } from '#core/bay/practice/bays'
import { buildRig } from '#core/bay/build/build'
import { compareRigs } from '#core/bay/compare/compare'
import { rigProblems } from '#core/bay/model/check'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { applyWiring, bareRig, givenWires, routesOf, wiringFields } from '#core/bay/model/wiring'
import { differenceWords } from '#words/differences'
import { rigSentence } from '#words/rig-problems'
import type { BayBody } from '#schemas/requests'
import type { BayCheck, BayListItem, BayView } from '#schemas/bay-views'
import type { Person } from '../repos/people'
import type { StoredBay } from '../repos/bays'
import { allow, ownAttempt } from './access'
import { saveIfCurrent } from './save-current'
import type { Context } from './context'
import { Problem } from './problem'

/** A bay with the wiring that was meant, which stays on the server for tasks. */
interface Source {
  readonly title: string
  readonly about: string
  readonly intended: Rig
  readonly canBeWired: boolean
}

/** The bay behind a key, if this person may have it. A task's bay opens when its design has been handed in. */
function sourceOf({ repos }: Pick<Context, 'repos'>, actor: Person, key: string): Source {
  allow(actor, 'bay.use')
  const [kind, id = ''] = [key.slice(0, key.indexOf('-')), key.slice(key.indexOf('-') + 1)]
  if (kind === 'practice') {
    const bay = practiceBay(id)
    if (!bay) throw new Problem('notFound')
    return { ...PRACTICE_BAY_TEXT[bay.code], intended: bay.rig(), canBeWired: true }
  }
  if (kind !== 'task') throw new Problem('notFound')
  const attempt = ownAttempt(actor, repos.attempts.byId(Number(id)))
  if (attempt.stage === 'design') throw new Problem('bayNotYet')
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const assignment = assignmentOf(exercise, attempt.installation)
  const intended = buildRig(assignment.installation, designOf(assignment), exercise.title)
  if (!intended) throw new Problem('unsolvable')
  return { title: exercise.title, about: `${exercise.code}, bay ${attempt.bay}`, intended, canBeWired: false }
}

const madeIn = (stored: StoredBay | undefined): number | null =>
  stored
    ? Object.entries(stored.fields).filter(([name, text]) => name.startsWith('wire.') && text !== '').length
    : null

/** The person's own tasks that are past the design, then the bays to practise on. */
export function listBays({ repos }: Context, actor: Person): BayListItem[] {
  allow(actor, 'bay.use')
  const stored = repos.bays.all(actor.id)
  const item = (key: string, title: string, about: string): BayListItem => ({
    key,
    title,
    about,
    made: madeIn(stored.get(key)),
    savedAt: stored.get(key)?.savedAt ?? null,
  })
  const tasks =
    actor.role !== 'apprentice'
      ? []
      : repos.attempts
          .byPerson(actor.id)
          .filter(({ stage }) => stage !== 'design')
          .map((attempt) => {
            const { exercise } = repos.exercises.byId(attempt.exerciseId)!
            return item(`task-${attempt.id}`, exercise.title, `${exercise.code}, bay ${attempt.bay}`)
          })
  return [
    ...tasks,
    ...PRACTICE_BAYS.map(({ code }) =>
      item(`practice-${code}`, PRACTICE_BAY_TEXT[code].title, PRACTICE_BAY_TEXT[code].about),
    ),
  ]
}

export function showBay(context: Context, actor: Person, key: string): BayView {
  return viewOf(sourceOf(context, actor, key), context.repos.bays.of(actor.id, key), key)
}

function viewOf(
  { title, about, intended, canBeWired }: Source,
  stored: StoredBay | undefined,
  key: string,
): BayView {
  return {
    key,
    title,
    about,
    bare: bareRig(intended),
    routes: routesOf(intended),
    fields: stored?.fields ?? {},
    version: stored?.version ?? 0,
    savedAt: stored?.savedAt ?? null,
    canBeWired,
  }
}

export function saveBay(context: Context, actor: Person, key: string, { version, fields }: BayBody) {
  const { repos, now } = context
  const kept = Object.fromEntries(Object.entries(fields).filter(([, text]) => text !== ''))
  return saveIfCurrent(context, {
    sent: version,
    read: () => {
      const source = sourceOf(context, actor, key)
      return {
        source,
        stored: repos.bays.of(actor.id, key),
        version: repos.bays.of(actor.id, key)?.version ?? 0,
      }
    },
    write: () => repos.bays.save(actor.id, key, version, kept, now),
    theirs: ({ source, stored }) => viewOf(source, stored, key),
  })
}

/** The wiring that was meant, for a bay to practise on. */
export function wiredBay(
  context: Context,
  actor: Person,
  key: string,
): { readonly fields: Record<string, string> } {
  const source = sourceOf(context, actor, key)
  if (!source.canBeWired) throw new Problem('notAllowed')
  return { fields: wiringFields(source.intended) }
}

/** As built against as meant. How often somebody checked is counted. */
export function checkBay({ repos }: Context, actor: Person, key: string): BayCheck {
  const { intended } = sourceOf({ repos }, actor, key)
  const stored = repos.bays.of(actor.id, key)
  const built = applyWiring(bareRig(intended), routesOf(intended), stored?.fields ?? {})
  const problems = rigProblems(built).map(rigSentence)
  repos.bays.countCheck(actor.id, key)
  const asked = intended.wires.length - givenWires(intended).length
  const parts = indexParts(intended)
  const found = problems.length > 0 ? [] : compareRigs(intended, built)
  const missing = found.reduce((sum, { code, params }) => {
    if (code === 'missing') return sum + 1
    return code === 'unfinished' ? sum + Number(params.count) : sum
  }, 0)
  const moved = found.filter(
    ({ wire, code, seriousness }) =>
      wire !== null &&
      seriousness !== 'note' &&
      code !== 'extra' &&
      code !== 'bridge' &&
      code !== 'thinner' &&
      code !== 'colour',
  ).length
  return {
    problems,
    asked,
    made: problems.length > 0 ? 0 : Math.max(0, asked - missing - moved),
    differences: found.map((difference) => ({
      seriousness: difference.seriousness,
      ...differenceWords(difference, parts),
      wire: difference.wire,
      at: difference.at,
    })),
  }
}

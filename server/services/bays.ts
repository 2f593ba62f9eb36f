import { PRACTICE_BAY_TEXT } from '#words/practice'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { PRACTICE_BAYS, practiceBay } from '#core/bay/practice/bays'
import { buildRig } from '#core/bay/build/build'
import { compareRigs } from '#core/bay/compare/compare'
import { rigProblems } from '#core/bay/model/check'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import {
  applyWiring,
  bareRig,
  givenWires,
  intakeWires,
  routesOf,
  wiringFields,
  type WiringFields,
} from '#core/bay/model/wiring'
import { FROM_BARE, canBeBare } from '#core/bay/mount/box'
import { mountingLacks, type MountingLack } from '#core/bay/mount/check'
import { mountOn, mountingFields, wiredOn } from '#core/bay/mount/mounted'
import { differenceWords } from '#words/differences'
import { mountingWords } from '#words/mounting'
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
  readonly isBare: boolean
}

/** The bay behind a key, if this person may have it. A task's bay opens when its design has been handed in. */
function sourceOf({ repos }: Pick<Context, 'repos'>, actor: Person, key: string): Source {
  allow(actor, 'bay.use')
  const [kind, id = ''] = [key.slice(0, key.indexOf('-')), key.slice(key.indexOf('-') + 1)]
  if (kind === 'practice') {
    const bay = practiceBay(id)
    if (!bay) throw new Problem('notFound')
    return {
      ...PRACTICE_BAY_TEXT[bay.code],
      intended: bay.rig(),
      canBeWired: true,
      isBare: bay.isBare ?? false,
    }
  }
  if (kind !== 'task') throw new Problem('notFound')
  const attempt = ownAttempt(actor, repos.attempts.byId(Number(id)))
  if (attempt.stage === 'design') throw new Problem('bayNotYet')
  const { exercise } = repos.exercises.byId(attempt.exerciseId)!
  const assignment = assignmentOf(exercise, attempt.installation)
  const intended = buildRig(assignment.installation, designOf(assignment), exercise.title)
  if (!intended) throw new Problem('unsolvable')
  const about = `${exercise.code}, bay ${attempt.bay}`
  return { title: exercise.title, about, intended, canBeWired: false, isBare: false }
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
  { title, about, intended, canBeWired, isBare }: Source,
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
    isBare,
    canBeBare: canBeBare(intended),
  }
}

/** Does this bay begin with an empty enclosure: always, or because whoever wires it chose so? */
const beginsBare = ({ isBare, intended }: Source, fields: WiringFields): boolean =>
  isBare || (fields[FROM_BARE] === 'yes' && canBeBare(intended))

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
  const { intended } = source
  const stored = context.repos.bays.of(actor.id, key)?.fields ?? {}
  if (!beginsBare(source, stored)) return { fields: wiringFields(intended) }
  // Spare places are closed by what is mounted, not by the ways of the finished board.
  const wired = Object.entries(wiringFields(intended, intakeWires(intended))).filter(
    ([name]) => !name.startsWith('blank.'),
  )
  return {
    fields: {
      ...Object.fromEntries(wired),
      ...mountingFields(intended),
      ...(source.isBare ? {} : { [FROM_BARE]: 'yes' }),
    },
  }
}

/** As built against as meant. How often somebody checked is counted. */
export function checkBay({ repos }: Context, actor: Person, key: string): BayCheck {
  const source = sourceOf({ repos }, actor, key)
  const { intended } = source
  const fields = repos.bays.of(actor.id, key)?.fields ?? {}
  const isBare = beginsBare(source, fields)
  const routes = routesOf(intended)
  const built = isBare
    ? wiredOn(mountOn(intended, fields).rig, routes, fields)
    : applyWiring(bareRig(intended), routes, fields)
  const problems = rigProblems(built).map(rigSentence)
  repos.bays.countCheck(actor.id, key)
  const came = isBare ? intakeWires(intended) : givenWires(intended)
  const asked = intended.wires.length - came.length
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
    differences: [
      ...found.map((difference) => ({
        seriousness: difference.seriousness,
        ...differenceWords(difference, parts),
        wire: difference.wire,
        at: difference.at,
      })),
      ...(isBare ? mountingLacks(intended, fields).map(lackView) : []),
    ],
  }
}

const lackView = (lack: MountingLack): BayCheck['differences'][number] => ({
  seriousness: 'fault',
  ...mountingWords(lack),
  wire: null,
  at: [lack.where],
})

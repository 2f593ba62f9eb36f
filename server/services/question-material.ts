import { setTimeout } from 'node:timers/promises'
import { LRUCache } from 'lru-cache'
import { designOf } from '#core/exercise/assignment'
import { judgeIsolation } from '#core/isolation/judge'
import { observedActs, siteOfHead } from '#core/isolation/observation'
import type { JobMaterial, OwnError } from '#core/questions/material'
import type { Question } from '#core/questions/question'
import { sceneOf } from '#core/inspection/scene'
import { defectText } from '#words/scene-spots'
import { jobQuestions } from '#words/questions/job/index'
import type { Attempt } from '../repos/attempts'
import type { Context } from './context'
import { heavy } from '../heavy/pool'
import { assignmentFor } from './assignment'
import { besideOf } from './group-ready'
import { groupsOf } from './kept-marks'
import { markedOf } from './marked'
import { bayOf, keepBays } from './test-sheet'

type Repos = Pick<Context, 'repos'>
const MOST_ERRORS = 12
/** Observed isolations and trainer rounds that are looked back at. */
const LAST_RUNS = 3

/** Everything that may be asked about: the job as designed, built and measured, and what went wrong in it. */
export function materialOf(context: Repos, attempt: Attempt): JobMaterial {
  const { edition, policy, book, installation, asks } = assignmentFor(context, attempt)
  const bay = attempt.stage === 'design' ? undefined : bayOf(context, attempt)
  const design = bay?.design ?? designOf({ edition, policy, book, installation })
  const wanted = new Set(asks.circuits)
  const tested = bay ? new Set(bay.schedule.flatMap(({ circuit }) => circuit ?? [])) : wanted
  return {
    edition,
    intake: installation.intake,
    // At the design stage answers of the sheet are not to be heard before it is handed in.
    circuits: design.circuits.filter(({ scope }) => wanted.has(scope) || tested.has(scope)),
    boards: design.boards,
    tests: (bay?.schedule ?? []).map((test) => ({
      ...test,
      expected: bay!.expected.get(test.key),
      typed: attempt.readings[test.key] ?? '',
    })),
    readings: attempt.readings,
    rig: bay?.rig ?? null,
    errors: errorsOf(context, attempt),
  }
}

function errorsOf(context: Repos, attempt: Attempt): OwnError[] {
  return [
    ...sheetErrors(context, attempt),
    ...isolationErrors(context, attempt),
    ...inspectionErrors(context, attempt),
  ].slice(0, MOST_ERRORS)
}

/** Slips of the design once it is handed in, and findings of the readings. */
function sheetErrors(context: Repos, attempt: Attempt): OwnError[] {
  if (attempt.stage === 'design') return []
  const { design, readings } = markedOf(context, attempt)
  return [
    ...design.flatMap(({ scope, step, typed, working, source, verdict, findings }): OwnError[] => {
      const finding = findings[0]
      return verdict === 'wrong' && typed && finding
        ? [{ from: 'design', scope, step, typed, working, source, finding }]
        : []
    }),
    ...readings.flatMap(({ reading, typed, verdict, findings }): OwnError[] => {
      const finding = findings.find(({ seriousness }) => seriousness !== 'note') ?? findings[0]
      return verdict === 'wrong' && typed && finding ? [{ from: 'reading', reading, typed, finding }] : []
    }),
  ]
}

/** Rules that were broken or left out when this person was observed last. */
function isolationErrors({ repos }: Repos, { personId }: Attempt): OwnError[] {
  const last = repos.observations.lastOf(personId, LAST_RUNS)[0]
  if (!last) return []
  const acts = observedActs(last.fields)
    .filter(({ isUndone }) => !isUndone)
    .map(({ act }) => act)
  return judgeIsolation(acts, siteOfHead(last.fields, last.policy), true)
    .rules.filter(({ state }) => state === 'broken')
    .map(({ code }) => ({ from: 'isolation', rule: code }))
}

/** Defects that the inspection trainer planted and this person did not find. */
const inspectionErrors = ({ repos }: Repos, { personId }: Attempt): OwnError[] => {
  const missed = repos.inspections
    .roundsOf(personId)
    .slice(0, LAST_RUNS)
    .flatMap(({ scene, seed, score, manner }) =>
      manner === null || score === null ? [] : [{ score, made: sceneOf(scene, seed, manner) }],
    )
    .flatMap(({ score, made }) =>
      made.defects
        .filter(({ spot }) => score.missed.includes(spot))
        .map(({ kind, look }) => defectText(kind, look)),
    )
  return [...new Set(missed)].map((what) => ({ from: 'inspection', what }))
}

/** Between two jobs whoever asks for something else is answered: what they ask takes a few turns of the thread, ms. */
const BREATH_MS = 3

/** Questions of a job by the versions of what they are made from. */
const QUESTIONS = new WeakMap<Context['repos']['attempts'], LRUCache<string, readonly Question[]>>()
const MOST_KEPT = 400
const WHAT_IF = new LRUCache<string, readonly Question[]>({ max: 200 })
const versionOf = (attempt: Attempt): string => `${attempt.id} ${attempt.version} ${attempt.stage}`

function questionsKept({ repos }: Repos): LRUCache<string, readonly Question[]> {
  const kept = QUESTIONS.get(repos.attempts) ?? new LRUCache<string, readonly Question[]>({ max: MOST_KEPT })
  QUESTIONS.set(repos.attempts, kept)
  return kept
}

export function questionsAbout(context: Repos, attempt: Attempt): readonly Question[] {
  const errors = errorsOf(context, attempt).length
  const key = `${versionOf(attempt)} ${errors}`
  const kept = questionsKept(context)
  const known = kept.get(key)
  if (known) return known
  const made = jobQuestions(materialOf(context, attempt))
  kept.set(key, made)
  kept.set(`${versionOf(attempt)} latest`, made)
  return made
}

/** Questions about a job where they have been made: a list of a group waits for none. */
export const knownQuestions = (context: Repos, attempt: Attempt): readonly Question[] | undefined =>
  questionsKept(context).get(`${versionOf(attempt)} latest`)

/**
 * Has the questions about these jobs made, one job after the other, so that everybody else gets in between. What goes
 * wrong is tried again by whoever asks next.
 */
export async function readyQuestions({ repos }: Repos, attempts: readonly Attempt[]): Promise<void> {
  const isMade = (attempt: Attempt) => knownQuestions({ repos }, attempt) !== undefined
  for (const group of groupsOf(attempts.filter((attempt) => !isMade(attempt)))) {
    await keepBays({ repos }, besideOf({ repos }, group[0]!))
    for (const attempt of group) {
      // Somebody else may have had it made meanwhile.
      if (!isMade(attempt)) questionsAbout({ repos }, attempt)
      await setTimeout(BREATH_MS)
    }
  }
}

/** What would happen if, computed away from the server’s thread; kept with what the bay is made of. */
export async function whatIfAbout(context: Context, attempt: Attempt): Promise<readonly Question[]> {
  const { exercise } = context.repos.exercises.byId(attempt.exerciseId)!
  const key = JSON.stringify([attempt.installation, exercise.edition, exercise.book])
  const known = WHAT_IF.get(key)
  if (known) return known
  const { errors: _errors, readings: _readings, tests: _tests, ...material } = materialOf(context, attempt)
  const made = await heavy(context, 'whatIfQuestions', { ...material, errors: [], readings: {}, tests: [] })
  WHAT_IF.set(key, made)
  return made
}

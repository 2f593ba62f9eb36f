import { randomInt } from 'node:crypto'
import { drawSpot } from '#core/inspection/draw'
import { type SceneCode } from '#core/inspection/scenes/code'
import { scoreRound, sceneOf, type Scene } from '#core/inspection/scene'
import { builtCircuits, designOf } from '#core/exercise/assignment'
import { deviceWords, materialsOf } from '#core/design/materials/materials'
import { defectText, spotName } from '#words/scene-spots'
import type {
  InspectionBody,
  InspectionView,
  PlannedUse,
  RoundEndBody,
  RoundListItem,
  RoundView,
} from '#schemas/workmanship-views'
import type { Attempt } from '../repos/attempts'
import type { StoredInspection, StoredRound } from '../repos/inspections'
import type { Person } from '../repos/people'
import { allow, may, openOf } from './access'
import { saveIfCurrent } from './save-current'
import { assignmentFor } from './assignment'
import type { Context } from './context'
import { isAssessors, itemsFor } from './inspection-work'
import { keepMarks } from './kept-marks'
import { Problem } from './problem'

/** The attempt of one's own, or any for those who mark; wired, so that there is something to look at. */
function inspected(context: Context, actor: Person, id: number): Attempt {
  const attempt = openOf(actor, 'inspection.open', context.repos.attempts.byId(id))
  if (attempt.stage === 'design' || assignmentFor(context, attempt).tests === null)
    throw new Problem('notFound')
  return attempt
}

export function showInspection(context: Context, actor: Person, id: number): InspectionView {
  const attempt = inspected(context, actor, id)
  const { exercise } = context.repos.exercises.byId(attempt.exerciseId)!
  const { fields, version, savedAt, savedBy } = storedInspection(context, id)
  return {
    attempt: {
      id,
      name: attempt.personName,
      bay: attempt.bay,
      code: exercise.code,
      title: exercise.title,
      minutes: exercise.minutes,
    },
    items: itemsFor(context, attempt),
    planned: plannedUse(context, attempt),
    fields,
    version,
    savedAt,
    savedBy:
      savedBy === null
        ? null
        : {
            name: context.repos.people.byId(savedBy)!.name,
            isAssessor: isAssessors(context, { fields, version, savedAt, savedBy }),
          },
    mayChange: mayInspect(actor, attempt),
  }
}

const CLOSED: readonly string[] = ['handedIn', 'decided', 'released']
/** The apprentice until the work is handed in, those who mark until it is given back. */
const mayInspect = (actor: Person, { stage }: Attempt): boolean =>
  may(actor, 'attempt.mark') ? stage !== 'released' : !CLOSED.includes(stage)

/** Lengths and devices that the stores laid out for this bay. */
function plannedUse(context: Pick<Context, 'repos'>, attempt: Attempt): PlannedUse[] {
  const assignment = assignmentFor(context, attempt)
  const { cables, devices, parts } = materialsOf(designOf(assignment), builtCircuits(assignment))
  const counted = new Map<string, number>()
  for (const device of devices) counted.set(deviceWords(device), (counted.get(deviceWords(device)) ?? 0) + 1)
  for (const part of parts)
    counted.set(
      `${part.part}${part.detail ? `, ${part.detail}` : ''}`,
      (counted.get(`${part.part}${part.detail ? `, ${part.detail}` : ''}`) ?? 0) + part.count,
    )
  return [
    ...cables.map((cable, i): PlannedUse => ({
      key: `cable${i + 1}`,
      name: `${cable.kind.replaceAll('-', ' ')} ${cable.lineMm2}/${cable.cpcMm2} mm²`,
      planned: cable.lengthM,
      unit: 'm',
    })),
    ...[...counted].map(([name, count], i): PlannedUse => ({
      key: `part${i + 1}`,
      name,
      planned: count,
      unit: 'pieces',
    })),
  ]
}

/** As it stands; empty before anybody has begun. */
const storedInspection = ({ repos }: Pick<Context, 'repos'>, id: number): StoredInspection =>
  repos.inspections.byAttempt(id) ?? NOT_BEGUN
const NOT_BEGUN: StoredInspection = { fields: {}, version: 1, savedAt: null, savedBy: null }

export const saveInspection = (
  context: Context,
  actor: Person,
  id: number,
  { version, fields }: InspectionBody,
): { readonly version: number; readonly savedAt: string } =>
  saveIfCurrent(context, {
    sent: version,
    read: () => {
      if (!mayInspect(actor, inspected(context, actor, id))) throw new Problem('inspectionClosed')
      return storedInspection(context, id)
    },
    write: () => {
      const isSaved = context.repos.inspections.save(id, version, fields, actor.id, context.now)
      if (isSaved) keepMarks(context, id)
      return isSaved
    },
    theirs: () => showInspection(context, actor, id),
  })

const MOST_SEED = 1_000_000

export function listRounds({ repos }: Context, actor: Person): RoundListItem[] {
  allow(actor, 'inspection.use')
  return repos.inspections
    .roundsOf(actor.id)
    .map(({ id, scene, score, startedAt }) => ({ id, scene, percent: score?.percent ?? null, startedAt }))
}

export function startRound(
  { repos, now }: Context,
  actor: Person,
  scene: SceneCode,
): { readonly id: number } {
  allow(actor, 'inspection.use')
  return { id: repos.inspections.startRound(actor.id, scene, randomInt(MOST_SEED), now) }
}

function ownRound({ repos }: Context, actor: Person, id: number): { round: StoredRound; scene: Scene } {
  const round = openOf(actor, 'round.open', repos.inspections.round(id))
  if (round.manner === null) throw new Problem('roundOlder')
  return { round, scene: sceneOf(round.scene, round.seed, round.manner) }
}

/** The drawn scene: how every spot looks, and not which of them is wrong. */
export function showRound(context: Context, actor: Person, id: number): RoundView {
  const { round, scene } = ownRound(context, actor, id)
  return {
    id,
    scene: round.scene,
    ground: scene.ground,
    spots: scene.spots.map((spot) => {
      const { id: spotId, x, y, w, h } = spot
      return { id: spotId, x, y, w, h, name: spotName(spot), shapes: drawSpot(spot) }
    }),
    questions: scene.questions.map(({ answer: _answer, ...question }) => question),
    over:
      round.score === null
        ? null
        : {
            score: round.score,
            marked: [...round.found.spots],
            defects: scene.defects.map(({ spot, kind, look, grade }) => ({
              spot,
              name: spotName(scene.spots.find((candidate) => candidate.id === spot)!),
              words: defectText(kind, look),
              grade,
            })),
            answers: scene.questions.map(({ key, ask, answer }) => ({
              ask,
              answer,
              given: round.found.answers[key] ?? '',
            })),
          },
  }
}

export function endRound(
  context: Context,
  actor: Person,
  id: number,
  { spots, answers }: RoundEndBody,
): RoundView {
  const { scene } = ownRound(context, actor, id)
  const known = new Set(scene.spots.map((spot) => spot.id))
  const once = [
    ...new Map(spots.filter(({ spot }) => known.has(spot)).map((spot) => [spot.spot, spot])).values(),
  ]
  if (
    !context.repos.inspections.endRound(
      id,
      { spots: once, answers },
      scoreRound(scene, once, answers),
      context.now,
    )
  )
    throw new Problem('runOver')
  return showRound(context, actor, id)
}

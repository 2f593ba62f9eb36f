import { randomLcg } from 'd3-random'
import type { Shapes } from '../drawing/shape'
import type { Grade } from './items'
import { gradesOf, rightLook, soundLooks, wrongLooks, type SpotKind } from './looks'
import { boardGround, boardSpots } from './scenes/board'
import { INTAKE_ARRANGEMENTS, intakeGround, intakeSpots, type IntakeKind } from './scenes/intake'
import { SCENE_RIGS, THREE_PHASE_RIG } from './scenes/rigs'
import type { SceneCode } from './scenes/code'
import { roomGround, roomSpots, WALL_MATERIALS } from './scenes/room'
import type { Bare, Spot } from './scenes/spot'
import { threePhaseGround, threePhaseSpots } from './scenes/three-phase'

export interface Defect {
  readonly spot: string
  readonly kind: SpotKind
  readonly look: string
  readonly grade: Grade
  /** Other grades that a careful person may give. */
  readonly alsoRight: readonly Grade[]
}

export interface Question {
  readonly key: string
  readonly ask: 'earthing' | 'meterOwner' | 'seal' | 'tailsOwner'
  readonly choices: readonly string[]
  readonly answer: string
}

export interface Scene {
  readonly code: SceneCode
  /** What stands behind everything that can be looked at. */
  readonly ground: Shapes
  readonly spots: readonly Spot[]
  readonly defects: readonly Defect[]
  readonly questions: readonly Question[]
}

const LEAST_DEFECTS = 4
const MOST_DEFECTS = 8
/** Spots that look untidy and yet are sound, beside the defects. */
const DECOYS = 2

interface Place {
  readonly bare: readonly Bare[]
  readonly ground: Shapes
  readonly questions: readonly Question[]
}
type Draw = (count: number) => number

/** Scenes are made anew from their seed, each in the manner in which it was first shown. */
export const SCENE_MANNERS = [2, 3] as const
export type SceneManner = (typeof SCENE_MANNERS)[number]
export const MANNER_NOW: SceneManner = 3
/** Boards that there were to look at. */
const RIGS_IN: Readonly<Record<SceneManner, number>> = { 2: 2, 3: SCENE_RIGS.length }

function placeOf(code: SceneCode, manner: SceneManner, draw: Draw): Place {
  if (code === 'board') {
    const rig = SCENE_RIGS[draw(RIGS_IN[manner])]!()
    return {
      bare: boardSpots(rig),
      ground: boardGround(rig, draw(2) === 0 ? 'metal' : 'plastic'),
      questions: [],
    }
  }
  if (code === 'threePhase') {
    const rig = THREE_PHASE_RIG()
    return {
      bare: threePhaseSpots(rig),
      ground: threePhaseGround(rig, draw(2) === 0 ? 'metal' : 'plastic'),
      questions: [],
    }
  }
  if (code === 'room')
    return { bare: roomSpots(WALL_MATERIALS[draw(2)]!), ground: roomGround(), questions: [] }
  const kind: IntakeKind = {
    arrangement: INTAKE_ARRANGEMENTS[draw(3)]!,
    age: draw(2) === 0 ? 'old' : 'modern',
    phases: draw(3) === 0 ? 3 : 1,
    isLooped: draw(4) === 0,
    isDivided: draw(2) === 0,
    hasServices: true,
  }
  return { bare: intakeSpots(kind), ground: intakeGround(kind), questions: intakeQuestions(kind.arrangement) }
}

/** A place to look at, with defects and a few untidy but sound spots picked at random. The same seed gives the same. */
export function sceneOf(code: SceneCode, seed: number, manner: SceneManner = MANNER_NOW): Scene {
  const random = randomLcg(((seed % 1_000_003) + 0.5) / 1_000_003)
  const draw: Draw = (count) => Math.min(count - 1, Math.floor(random() * count))
  const { bare, ground, questions } = placeOf(code, manner, draw)
  const looksAt = (one: Bare, of: (kind: SpotKind) => readonly string[]) =>
    of(one.kind).filter((look) => !one.never.includes(look))
  const wrong = picked(bare, LEAST_DEFECTS + draw(MOST_DEFECTS - LEAST_DEFECTS + 1), draw, (one) =>
    looksAt(one, wrongLooks),
  )
  const rest = bare.filter(({ id }) => !wrong.has(id))
  const decoys = picked(rest, DECOYS, draw, (one) => looksAt(one, soundLooks))
  const spots = bare.map((one): Spot => ({
    ...one,
    look: wrong.get(one.id) ?? decoys.get(one.id) ?? rightLook(one.kind),
  }))
  const defects = spots.flatMap(({ id, kind, look }): Defect[] => {
    const [grade, ...alsoRight] = gradesOf(kind, look)
    return grade ? [{ spot: id, kind, look, grade, alsoRight }] : []
  })
  return { code, ground, spots, defects, questions }
}

/** So many spots, each with one of its looks; fewer where there are not so many. */
function picked(
  bare: readonly Bare[],
  count: number,
  draw: Draw,
  looksOf: (one: Bare) => readonly string[],
): ReadonlyMap<string, string> {
  const left = bare.filter((one) => looksOf(one).length > 0)
  const chosen = new Map<string, string>()
  while (chosen.size < count && left.length > 0) {
    const [one] = left.splice(draw(left.length), 1)
    const looks = looksOf(one!)
    chosen.set(one!.id, looks[draw(looks.length)]!)
  }
  return chosen
}

function intakeQuestions(arrangement: IntakeKind['arrangement']): Question[] {
  return [
    { key: 'earthing', ask: 'earthing', choices: ['TN-S', 'TN-C-S', 'TT'], answer: arrangement },
    {
      key: 'meter',
      ask: 'meterOwner',
      choices: ['the consumer', 'the supplier', 'the distributor'],
      answer: 'the supplier',
    },
    {
      key: 'tails',
      ask: 'tailsOwner',
      choices: ['the consumer', 'the supplier', 'the distributor'],
      answer: 'the consumer',
    },
    {
      key: 'seal',
      ask: 'seal',
      choices: ['cut it and write it down', 'leave it and call the owner', 'pull the fuse'],
      answer: 'leave it and call the owner',
    },
  ]
}

/** What somebody marked. */
export interface FoundSpot {
  readonly spot: string
  readonly grade: Grade
  readonly remark: string
}

export interface RoundScore {
  readonly found: readonly string[]
  /** Found, with another grade. */
  readonly wronglyGraded: readonly string[]
  readonly missed: readonly string[]
  /** Marked, with nothing wrong there. */
  readonly false: readonly string[]
  readonly wrongAnswers: readonly string[]
  /** 0 to 100: each defect found counts whole, wrongly graded half, a false one takes half of one away. */
  readonly percent: number
}

export function scoreRound(
  { defects, questions }: Scene,
  marked: readonly FoundSpot[],
  answers: Readonly<Record<string, string>> = {},
): RoundScore {
  const byDefect = new Map(defects.map((defect) => [defect.spot, defect]))
  const isRight = ({ spot, grade }: FoundSpot) => {
    const defect = byDefect.get(spot)!
    return defect.grade === grade || defect.alsoRight.includes(grade)
  }
  const on = marked.filter(({ spot }) => byDefect.has(spot))
  const found = on.filter(isRight).map(({ spot }) => spot)
  const wronglyGraded = on.filter((foundSpot) => !isRight(foundSpot)).map(({ spot }) => spot)
  const missed = defects
    .filter(({ spot }) => !marked.some((foundSpot) => foundSpot.spot === spot))
    .map(({ spot }) => spot)
  const wrong = marked.filter(({ spot }) => !byDefect.has(spot)).map(({ spot }) => spot)
  const wrongAnswers = questions.filter(({ key, answer }) => answers[key] !== answer).map(({ key }) => key)
  const all = defects.length + questions.length
  const got =
    found.length + wronglyGraded.length / 2 + questions.length - wrongAnswers.length - wrong.length / 2
  return {
    found,
    wronglyGraded,
    missed,
    false: wrong,
    wrongAnswers,
    percent: Math.round(Math.max(0, got / all) * 100),
  }
}

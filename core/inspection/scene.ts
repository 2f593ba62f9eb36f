import { randomLcg } from 'd3-random'
import { practiceBay } from '../bay/practice/bays'
import type { DevicePart, Rig } from '../bay/model/rig'
import type { Grade } from './items'

/** What a spot of a drawn board may look like; the first is as it should be. */
export const LOOKS = {
  way: ['blank', 'gap'],
  device: ['clean', 'copper', 'insulation', 'strands'],
  label: ['text', 'none'],
  top: ['closed', 'open'],
  side: ['closed', 'open'],
  entry: ['grommet', 'none'],
  neutral: ['own', 'other'],
  earth: ['sleeved', 'bare', 'loose'],
  tails: ['clamped', 'loose'],
  notice: ['there', 'none'],
  chart: ['there', 'none'],
  bond: ['right', 'none', 'thin'],
  cutout: ['sealed', 'broken'],
  meter: ['whole', 'cracked'],
  main: ['right', 'damaged'],
  isolator: ['marked', 'unmarked'],
} as const satisfies Record<string, readonly string[]>
export type SpotKind = keyof typeof LOOKS

export interface Spot {
  readonly id: string
  readonly kind: SpotKind
  /** Which of its kind: a device by its name, a side, a number; null where there is one alone. */
  readonly of: string | null
  /** Drawn here, in units of the scene. */
  readonly x: number
  readonly y: number
  readonly w: number
  readonly h: number
  readonly look: string
}

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
  readonly code: string
  readonly spots: readonly Spot[]
  readonly defects: readonly Defect[]
  readonly questions: readonly Question[]
}

/**
 * How serious each look is; schools differ by a step here and there, which `alsoRight` allows. Common
 * practice, no source.
 */
const GRADE_OF: Readonly<Record<string, readonly [Grade, ...Grade[]]>> = {
  'way gap': ['danger'],
  'device copper': ['potential', 'danger'],
  'device insulation': ['potential'],
  'device strands': ['potential', 'improve'],
  'label none': ['improve'],
  'top open': ['potential'],
  'side open': ['potential'],
  'entry none': ['potential'],
  'neutral other': ['potential'],
  'earth bare': ['improve'],
  'earth loose': ['potential', 'danger'],
  'tails loose': ['improve', 'potential'],
  'notice none': ['improve'],
  'chart none': ['improve'],
  'bond none': ['potential'],
  'bond thin': ['improve', 'potential'],
  'cutout broken': ['further'],
  'meter cracked': ['further', 'danger'],
  'main damaged': ['danger', 'potential'],
  'isolator unmarked': ['improve'],
}

export const SCENES = ['board', 'intake'] as const
export type SceneCode = (typeof SCENES)[number]
const LEAST_DEFECTS = 3
const MOST_DEFECTS = 6

/** A board or an intake with defects picked at random. The same seed gives the same scene. */
export function sceneOf(code: SceneCode, seed: number): Scene {
  const random = randomLcg(((seed % 1_000_003) + 0.5) / 1_000_003)
  const draw = (count: number) => Math.min(count - 1, Math.floor(random() * count))
  const arrangement = (['TN-S', 'TN-C-S', 'TT'] as const)[draw(3)]!
  const bare =
    code === 'board' ? boardSpots(practiceBay(BOARDS[draw(BOARDS.length)]!)!.rig()) : intakeSpots(arrangement)
  const count = LEAST_DEFECTS + draw(MOST_DEFECTS - LEAST_DEFECTS + 1)
  const chosen = new Set<number>()
  while (chosen.size < Math.min(count, bare.length)) chosen.add(draw(bare.length))
  const spots = bare.map((spot, i): Spot => {
    const looks: readonly string[] = LOOKS[spot.kind]
    return { ...spot, look: chosen.has(i) ? looks[1 + draw(looks.length - 1)]! : looks[0]! }
  })
  const defects = spots.flatMap(({ id, kind, look }): Defect[] => {
    const grades = GRADE_OF[`${kind} ${look}`]
    return grades ? [{ spot: id, kind, look, grade: grades[0], alsoRight: grades.slice(1) }] : []
  })
  return { code, spots, defects, questions: code === 'intake' ? intakeQuestions(arrangement) : [] }
}

type Bare = Omit<Spot, 'look'>
/** Boards of the practice bays: which ways are taken, and which stand behind an RCD, comes from their model. */
const BOARDS = ['split', 'heaters', 'own', 'ring'] as const
const FIRST_X = 150
const SLOT = 70

/** Drawn here: left, top, width, height. */
type Box = readonly [x: number, y: number, w: number, h: number]

const spot = (id: string, kind: SpotKind, of: string | null, [x, y, w, h]: Box): Bare => ({
  id,
  kind,
  of,
  x,
  y,
  w,
  h,
})

/** Everything that can be looked at on a board, laid out from the model of its bay. */
function boardSpots(rig: Rig): Bare[] {
  const frame = rig.boards[0]!
  const devices = rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board === frame.id,
  )
  const ways = devices.filter(({ role }) => role === 'way')
  const shared = devices.filter(({ role }) => role === 'residual')
  const slot = (i: number) => FIRST_X + i * SLOT + 6
  const ofWay = (way: number) => slot(shared.length + way - 1)
  const spare = Array.from({ length: frame.ways }, (_, i) => i + 1).filter(
    (way) => !ways.some((device) => device.way === way),
  )
  return [
    ...Array.from({ length: 4 }, (_, i) =>
      spot(`top${i + 1}`, 'top', String(i + 1), [190 + i * 130, 42, 46, 20]),
    ),
    spot('side1', 'side', 'left', [62, 180, 20, 46]),
    spot('side2', 'side', 'right', [758, 180, 20, 46]),
    spot('entry1', 'entry', 'tails', [120, 486, 60, 26]),
    spot('entry2', 'entry', 'cables', [600, 486, 100, 26]),
    spot('main', 'isolator', null, [92, 190, 46, 90]),
    ...shared.map((device, i) => spot(device.id, 'device', device.name, [slot(i), 190, 54, 90])),
    ...ways.flatMap((device, i) => [
      spot(device.id, 'device', device.name, [ofWay(device.way!), 190, 54, 90]),
      spot(`label${device.way}`, 'label', device.name, [ofWay(device.way!), 288, 54, 22]),
      spot(`n${device.way}`, 'neutral', device.name, [180 + i * 100, 348, 70, 34]),
      spot(`e${device.way}`, 'earth', device.name, [180 + i * 100, 420, 70, 34]),
    ]),
    ...spare.map((way) => spot(`spare${way}`, 'way', String(way), [ofWay(way), 190, 54, 90])),
    spot('tails', 'tails', null, [96, 400, 40, 80]),
    ...(devices.some(({ residual }) => residual) ? [spot('notice', 'notice', null, [600, 84, 140, 40])] : []),
    spot('chart', 'chart', null, [430, 84, 150, 40]),
  ]
}

/** What is drawn must not be named: the route of the earthing conductor by a letter. */
const ROUTE = { 'TN-S': 'a', 'TN-C-S': 'b', TT: 'c' } as const

function intakeSpots(arrangement: 'TN-S' | 'TN-C-S' | 'TT'): Bare[] {
  return [
    spot('cutout', 'cutout', null, [110, 300, 120, 120]),
    spot('meter', 'meter', null, [300, 180, 140, 130]),
    spot('tail1', 'main', 'meter', [220, 230, 90, 60]),
    spot('tail2', 'main', 'board', [440, 230, 110, 60]),
    spot('board', 'isolator', 'board', [560, 170, 150, 150]),
    spot('bondwater', 'bond', 'water', [520, 420, 160, 50]),
    spot('bondgas', 'bond', 'gas', [520, 480, 160, 40]),
    spot(`earthing-${ROUTE[arrangement]}`, 'earth', null, [250, 400, 200, 60]),
    spot('label', 'label', null, [690, 420, 60, 24]),
  ]
}

function intakeQuestions(arrangement: 'TN-S' | 'TN-C-S' | 'TT'): Question[] {
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

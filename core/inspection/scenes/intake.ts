import { earthClamp, pipe, valve, type Age } from '../../drawing/intake'
import { path, put, rect, rounded, words, type Shapes } from '../../drawing/shape'
import { SCENE_H, SCENE_W, spot, type Bare, type Box } from './spot'

export const INTAKE_ARRANGEMENTS = ['TN-S', 'TN-C-S', 'TT'] as const
/** An intake to look at: what is delivered how, and how old it is. */
export interface IntakeKind {
  readonly arrangement: (typeof INTAKE_ARRANGEMENTS)[number]
  readonly age: Age
  readonly phases: 1 | 3
  /** Two cut-outs in one: the cable goes on to the neighbour. */
  readonly isLooped: boolean
  /** Tails divided in a block before two switches. */
  readonly isDivided: boolean
  /** Water and gas come in beside it. */
  readonly hasServices: boolean
}

/** What is drawn must not be named: the route of the earthing conductor by a letter. */
const ROUTE = { 'TN-S': 'a', 'TN-C-S': 'b', TT: 'c' } as const
export const CUT_OUT = { x: 150, y: 380 }
const METER = { x: 420, y: 210 }

const MODERN_CABLE = { 'TN-S': 'armour', 'TN-C-S': 'armour', TT: 'plastic' } as const

/** Everything that can be looked at at an intake. */
export function intakeSpots({ arrangement, age, phases, isDivided, hasServices }: IntakeKind): Bare[] {
  const wide = phases === 3 ? 214 : 130
  return [
    spot('backing', 'backing', null, [90, 60, 240, 130]),
    spot('cable', 'cableEnd', null, [CUT_OUT.x + wide / 2 - 34, CUT_OUT.y + 150, 68, 160], {
      cable: age === 'old' ? 'lead' : MODERN_CABLE[arrangement],
    }),
    spot('cutout', 'cutout', null, [CUT_OUT.x, CUT_OUT.y, wide, 150], { age, phases }),
    spot('tail1', 'tail', 'meter', [CUT_OUT.x + wide - 60, 230, 260, 150], { from: 'cutout', phases, wide }),
    spot('meter', 'meter', null, [METER.x, METER.y, 150, 170], {
      reading: phases === 3 ? '21 806' : '04 371',
    }),
    ...(isDivided ? [spot('block', 'block', null, [660, 300, 110, 90])] : []),
    spot('tail2', 'tail', 'board', [METER.x + 70, 380, 230, 120], {
      from: 'meter',
      phases,
      wide,
      to: isDivided ? 660 : 830,
    }),
    spot('board', 'switchBox', 'board', [830, 250, 110, 150], {
      text: phases === 3 ? 'Main switch|three-phase' : 'Main switch|all circuits',
    }),
    spot('met', 'earthTerminal', null, [620, 560, 216, 60]),
    { ...earthingSpot(arrangement, wide), reach: EARTHING_REACH[arrangement](wide) },
    ...(hasServices ? BONDS : []),
    spot('notice', 'warning', null, [640, 96, 190, 50], {
      text: 'Isolate here first.|Lock, then prove dead.',
    }),
    spot('place', 'place', null, [280, 590, 140, 160]),
  ]
}

const BONDS: readonly Bare[] = [
  {
    ...spot('bondwater', 'bond', 'water', [926, 540, 130, 74], { pipeX: 960, metX: 740, lane: 520 }),
    reach: [730, 530, 340, 130],
  },
  {
    ...spot('bondgas', 'bond', 'gas', [1066, 570, 134, 74], { pipeX: 1090, metX: 780, lane: 640 }),
    reach: [770, 560, 430, 130],
  },
]

/** Where the earthing conductor is tapped: at its end that comes from the supply or the electrode. */
function earthingSpot(arrangement: IntakeKind['arrangement'], wide: number): Bare {
  const at: Readonly<Record<IntakeKind['arrangement'], Box>> = {
    'TN-S': [CUT_OUT.x + wide / 2 + 14, 580, 150, 70],
    'TN-C-S': [CUT_OUT.x + wide - 44, 534, 180, 70],
    TT: [450, 620, 110, 130],
  }
  return spot(`earthing-${ROUTE[arrangement]}`, 'earthing', null, at[arrangement], {
    route: ROUTE[arrangement],
    wide,
  })
}
const EARTHING_REACH: Readonly<Record<IntakeKind['arrangement'], (wide: number) => Box>> = {
  'TN-S': (wide) => [CUT_OUT.x + wide / 2 - 30, 570, 500, 90],
  'TN-C-S': (wide) => [CUT_OUT.x + wide - 60, 490, 420, 110],
  TT: () => [460, 570, 170, 150],
}

const SERVICES: Shapes = [
  put(960, 440, pipe(290, 'copper')),
  put(960, 690, valve()),
  put(1090, 440, pipe(290, 'steel')),
  put(1090, 690, valve()),
  words(960, 430, 'water'),
  words(1090, 430, 'gas'),
]

/** What stands behind: wall, backing board, pipes with their valves, the neighbour's cable. */
export function intakeGround({
  isLooped,
  isDivided,
  phases,
  arrangement,
  age,
  hasServices,
}: IntakeKind): Shapes {
  return [
    rect('wall', 0, 0, SCENE_W, SCENE_H),
    rounded(3, rect(age === 'old' ? 'timber' : 'moulding dim', 80, 50, 900, 490)),
    path('line thin', `M0 724H${SCENE_W}`),
    ...(isLooped ? [path('sheath armour', 'M170 724V620Q150 600 120 600V724', 26)] : []),
    ...(isDivided
      ? Array.from({ length: phases === 3 ? 4 : 2 }, (_, i) =>
          path('sheath grey', `M${700 + i * 14} 390V${420 + i * 18}H${850 + i * 14}V398`, 12),
        )
      : []),
    ...(hasServices ? SERVICES : []),
    ...(arrangement === 'TT'
      ? [put(490, 690, [path('brass', 'M0 0V70', 10), ...earthClamp('cable', 10, false)])]
      : []),
  ]
}

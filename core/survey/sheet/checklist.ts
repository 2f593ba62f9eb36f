/** What a survey is asked to find out; each item answers an objective. */
export const OBJECTIVES = [
  'wishes',
  'building',
  'dates',
  'influences',
  'services',
  'intake',
  'earthing',
  'special',
  'routes',
] as const
export type Objective = (typeof OBJECTIVES)[number]

export const BUILDINGS = [
  'dwelling',
  'commercial',
  'industrial',
  'agricultural',
  'caravan-park',
  'marina',
  'filling-station',
] as const
export type Building = (typeof BUILDINGS)[number]

const choice = <const T extends readonly string[]>(objective: Objective, choices: T) =>
  ({ is: 'choice', objective, choices }) as const
const figure = (
  objective: Objective,
  quantity: 'temperature' | 'rating' | 'resistance' | 'faultCurrent' | 'area',
  min: number,
  max: number,
) => ({ is: 'number', objective, quantity, min, max }) as const
const words = (objective: Objective) => ({ is: 'words', objective }) as const
const day = (objective: Objective) => ({ is: 'day', objective }) as const
/** There, not there. */
const THERE = ['yes', 'no'] as const
const PIPE = ['metal', 'plastic', 'none'] as const

/** Everything that a survey writes down besides the plan, in the order in which one walks. */
export const ITEMS = {
  'people.met': words('wishes'),
  'people.expects': words('wishes'),
  'people.stays': words('wishes'),
  'building.kind': choice('building', BUILDINGS),
  'building.work': choice('building', ['new', 'addition', 'alteration', 'rewire']),
  'building.lasts': choice('building', ['permanent', 'temporary']),
  'building.purpose': words('building'),
  'building.existing': words('building'),
  'access.ways': words('building'),
  'access.protection': words('building'),
  'trades.others': words('dates'),
  'trades.firstFix': day('dates'),
  'trades.plaster': day('dates'),
  'trades.finish': day('dates'),
  'conditions.ambient': figure('influences', 'temperature', 0, 80),
  'conditions.moisture': choice('influences', ['dry', 'damp', 'splashes', 'jets']),
  'conditions.dust': choice('influences', ['none', 'some', 'heavy', 'combustible']),
  'conditions.water': choice('influences', ['none', 'after-rain', 'standing']),
  'conditions.knocks': choice('influences', ['low', 'medium', 'high']),
  'conditions.chemicals': choice('influences', ['none', 'cleaning', 'solvents', 'corrosive']),
  'conditions.daylight': choice('influences', ['good', 'poor', 'none']),
  'services.water': choice('services', PIPE),
  'services.gas': choice('services', PIPE),
  'services.heating': words('services'),
  'services.lifts': choice('services', THERE),
  'services.alarms': words('services'),
  'services.data': words('services'),
  'services.lightning': choice('services', THERE),
  'services.other': choice('services', ['none', 'solar', 'generator', 'battery', 'traction']),
  'intake.arrangement': choice('intake', ['TN-S', 'TN-C-S', 'TT']),
  'intake.phases': choice('intake', ['1', '3']),
  'intake.mainFuse': figure('intake', 'rating', 40, 400),
  'intake.cutout': choice('intake', ['distributor', 'supplier', 'consumer']),
  'intake.meter': choice('intake', ['distributor', 'supplier', 'consumer']),
  'intake.tails': figure('intake', 'area', 4, 150),
  'intake.seals': choice('intake', ['whole', 'broken', 'missing']),
  'intake.condition': words('intake'),
  'earth.ze': figure('earthing', 'resistance', 0, 2000),
  'earth.zeBy': choice('earthing', ['declared', 'measured']),
  'earth.ipf': figure('earthing', 'faultCurrent', 50, 100_000),
  'earth.conductor': figure('earthing', 'area', 1, 150),
  'earth.bondWater': choice('earthing', ['bonded', 'not-bonded', 'not-needed']),
  'earth.bondGas': choice('earthing', ['bonded', 'not-bonded', 'not-needed']),
  'special.location': choice('special', ['none', 'bath-or-shower', 'outdoors', 'explosive', 'confined']),
} as const
export type ItemKey = keyof typeof ITEMS
export const ITEM_KEYS = Object.keys(ITEMS) as readonly ItemKey[]

export interface Item {
  readonly is: 'choice' | 'number' | 'words' | 'day'
  readonly objective: Objective
  readonly choices?: readonly string[]
  readonly quantity?: 'temperature' | 'rating' | 'resistance' | 'faultCurrent' | 'area'
  readonly min?: number
  readonly max?: number
}
export const itemOf = (key: ItemKey): Item => ITEMS[key]

/** How something came to be known. */
export const SOURCES = ['looked', 'asked', 'measured', 'drawing', 'assumed'] as const
export type SurveySource = (typeof SOURCES)[number]

import type { ItemKey, Objective, SurveySource } from '#core/survey/sheet/checklist'
import type { ActKind } from '#core/survey/site/site'
import type { SurveyVerdict } from '#core/survey/site/mark'
import type { FixtureKind, RoomKind, Way } from '#core/survey/plan/plan'
import type { LeastIp } from '#core/survey/plan/protection'

/** What is asked, and its groups on the checklist. */
export const ITEM_TEXT: Readonly<Record<ItemKey, string>> = {
  'people.met': 'Who was met',
  'people.expects': 'What they expect',
  'people.stays': 'What is to stay as it is',
  'building.kind': 'Type of building',
  'building.work': 'New or existing',
  'building.lasts': 'Permanent or temporary',
  'building.purpose': 'What it is used for',
  'building.existing': 'What is installed already',
  'access.ways': 'Access, and what it needs',
  'access.protection': 'Protective equipment',
  'trades.others': 'Other trades',
  'trades.firstFix': 'First fix done by',
  'trades.plaster': 'Plaster or lining on',
  'trades.finish': 'Ready by',
  'conditions.ambient': 'Warmest it gets',
  'conditions.moisture': 'Moisture',
  'conditions.dust': 'Dust',
  'conditions.water': 'Standing water',
  'conditions.knocks': 'Mechanical impact',
  'conditions.chemicals': 'Chemicals',
  'conditions.daylight': 'Daylight',
  'services.water': 'Water pipe',
  'services.gas': 'Gas pipe',
  'services.heating': 'Heating',
  'services.lifts': 'Lift',
  'services.alarms': 'Alarms',
  'services.data': 'Telephone and data',
  'services.lightning': 'Lightning protection',
  'services.other': 'Other supplies',
  'intake.arrangement': 'Earthing arrangement',
  'intake.phases': 'Phases',
  'intake.mainFuse': 'Main fuse',
  'intake.cutout': 'The cut-out belongs to',
  'intake.meter': 'The meter belongs to',
  'intake.tails': 'Meter tails',
  'intake.seals': 'Seals',
  'intake.condition': 'Condition, anything wrong',
  'earth.ze': 'Ze',
  'earth.zeBy': 'Ze comes from',
  'earth.ipf': 'Prospective fault current',
  'earth.conductor': 'Earthing conductor',
  'earth.bondWater': 'Bonding of the water pipe',
  'earth.bondGas': 'Bonding of the gas pipe',
  'special.location': 'Special location',
}

export const OBJECTIVE_TEXT: Readonly<Record<Objective, string>> = {
  wishes: 'What is wanted, and by whom',
  building: 'The building and how to work in it',
  dates: 'Dates that other trades force',
  influences: 'What the place does to equipment',
  services: 'Other services',
  intake: 'The intake: whose, which, how large',
  earthing: 'Earthing and bonding',
  special: 'Special locations',
  routes: 'Rooms, points and routes, measured',
}

/** Words of the choices; what is not here says itself. */
const CHOICE_TEXT: Readonly<Record<string, string>> = {
  'caravan-park': 'caravan park',
  'filling-station': 'filling station',
  new: 'new installation',
  whole: 'intact',
  'after-rain': 'after rain',
  'bath-or-shower': 'location with a bath or shower',
  'not-bonded': 'not bonded',
  'not-needed': 'none needed',
  battery: 'battery storage',
  solar: 'solar panels',
  traction: 'traction supply',
  combustible: 'combustible',
  cleaning: 'cleaning agents',
  explosive: 'explosive atmosphere',
  confined: 'confined, conducting',
}
export const choiceText = (choice: string): string => CHOICE_TEXT[choice] ?? choice

export const SOURCE_TEXT: Readonly<Record<SurveySource, string>> = {
  looked: 'looked at',
  asked: 'asked',
  measured: 'measured',
  drawing: 'from a drawing',
  assumed: 'assumed',
}
export const ACT_TEXT: Readonly<Record<ActKind, string>> = { look: 'Look', ask: 'Ask', measure: 'Measure' }

export const VERDICT_TEXT: Readonly<Record<SurveyVerdict, string>> = {
  found: 'found',
  carried: 'right for their earlier reading',
  assumed: 'assumed without looking',
  wrong: 'wrong',
  missed: 'missed',
}

export const ROOM_TEXT: Readonly<Record<RoomKind, string>> = {
  general: 'dry room',
  bath: 'location with a bath or shower',
  damp: 'damp room',
  dusty: 'dusty room',
  outdoors: 'outdoors',
}
export const FIXTURE_TEXT: Readonly<Record<FixtureKind, string>> = {
  bath: 'bath',
  'shower-tray': 'shower with tray',
  'shower-floor': 'shower without tray',
  basin: 'wash basin',
}
export const IP_TEXT: Readonly<Record<LeastIp['because'][number], string>> = {
  zone: 'zone of a bath or shower',
  outdoors: 'outdoors',
  jets: 'water jets',
  splashes: 'splashes',
  damp: 'dripping water',
  dust: 'dust',
  fingers: 'fingers',
}
export const ipSays = ({ ip, because }: LeastIp): string =>
  `at least ${ip}: ${because.map((one) => IP_TEXT[one]).join(', ')}`
/** Where a hidden cable is expected along a wall, from what stands on it. */
export const levelSays = (points: readonly { readonly name: string; readonly heightM: number }[]): string =>
  `Hidden cables here: beside the ceiling, straight above or below a point, or level with ${points
    .map(({ name, heightM }) => `${name || 'a point'} at ${heightM} m`)
    .join(', ')}`
export const WAY_TEXT: Readonly<Record<Way, string>> = {
  surface: 'clipped on the surface',
  trunking: 'in trunking',
  'ceiling-void': 'above the ceiling',
  chase: 'concealed in the wall',
  buried: 'in the ground',
}

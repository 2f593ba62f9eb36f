import { firstPlan } from '#core/planning/first-plan'
import { placementText, readSession } from '#core/planning/read-session'
import { partText } from '#core/survey/plan/read-plan'
import type { Route } from '#core/survey/plan/plan'
import type { Repos } from '../server/repos'
import type { Person } from '../server/repos/people'
import type { Context } from '../server/services/context'
import { checkBay, keepDays } from '../server/services/dates'
import { saveSession, showSession, startSession } from '../server/services/planning'
import { addDrum, moveDrum, setOrderPoint } from '../server/services/stock'
import { saveSurvey, showSurvey, startSurvey } from '../server/services/surveys'

const GROUP = 'Thursday level 2'

/** The term round the workshop: calendar, tests of bays, drums, next Thursday's session, a survey. */
export function playTerm(repos: Repos, at: (minutesAgo: number) => Context, now: Date): void {
  const who = (number: string): Person => repos.people.byNumber(number)!
  const [instructor, technician] = [who('I-201'), who('S-302')]
  const day = (days: number) => new Date(now.getTime() + days * 86_400_000).toISOString().slice(0, 10)
  keepDays(at(90), instructor, {
    entries: [
      { kind: 'term', personId: null, fromDay: day(-70), toDay: day(45), title: 'Term' },
      {
        kind: 'closed',
        personId: null,
        fromDay: day(20),
        toDay: day(21),
        title: 'Stocktaking of the college',
      },
    ],
  })
  const check = (bay: number, kind: 'rcd' | 'inspection', done: number, due: number) =>
    checkBay(at(80), technician, { bay, kind, doneOn: day(done), dueOn: day(due), note: '' })
  for (const bay of [1, 2, 3, 5, 6]) check(bay, 'rcd', -30 - bay, 60 - bay)
  check(4, 'rcd', -100, -8)
  check(1, 'inspection', -200, 165)
  playDrums(at, technician)
  playSession(repos, at, instructor, nextThursday(now))
  playSurvey(at, who('S-301'))
}

/** The Thursday after this one's week: a day that is still to come. */
function nextThursday(now: Date): string {
  const ahead = ((4 - now.getUTCDay() + 7) % 7) + 7
  return new Date(now.getTime() + ahead * 86_400_000).toISOString().slice(0, 10)
}

function playDrums(at: (minutesAgo: number) => Context, technician: Person): void {
  const flat = 'flat-twin-earth 1 2.5'
  addDrum(at(70), technician, { cable: flat, label: 'F 7', metres: 100, costPence: 84 })
  addDrum(at(70), technician, { cable: 'flat-twin-earth 1 1.5', label: 'F 8', metres: 100, costPence: 61 })
  const { lines } = addDrum(at(70), technician, {
    cable: 'singles-in-trunking 1 4',
    label: 'S 3',
    metres: 50,
    costPence: 48,
  })
  const drum = lines.find(({ cable }) => cable === flat)!.drums[0]!.id
  const move = (kind: 'issued' | 'returned' | 'waste', metres: number, note: string) =>
    moveDrum(at(60), technician, drum, { kind, metres, sessionId: null, note })
  move('issued', 74, 'bays 1 to 5')
  move('returned', 6.5, 'bay 4')
  move('waste', 2, 'cut wrong')
  setOrderPoint(at(60), technician, { cable: flat, metres: 50 })
}

function playSession(
  repos: Repos,
  at: (minutesAgo: number) => Context,
  instructor: Person,
  day: string,
): void {
  const { id } = startSession(at(50), instructor, { cohort: GROUP, tasks: [] })
  const { fields } = showSession(at(50), instructor, id)
  const good = repos.instruments.all().filter(({ dueOn }) => dueOn >= day)
  const dated: Record<string, string> = { ...fields, day, title: 'Thursday workshop', bays: '1 2 3 5 6 7 8' }
  const session = readSession(dated, (instrument) => good.some((one) => one.id === instrument))
  const plan = firstPlan({ frame: session.frame, tasks: session.tasks, fixed: [] })
  const places = Object.fromEntries(plan.map((one) => [`place.${one.task}`, placementText(one)]))
  saveSession(at(49), instructor, id, { version: 1, fields: { ...dated, ...places } })
}

const spot = (x: number, y: number) => ({ x, y })
const ROUTES: readonly Route[] = [
  {
    id: 'light',
    name: 'Spray room lighting',
    use: 'lighting',
    way: 'trunking',
    pathHeightM: 3,
    via: [spot(680, 40)],
    points: ['lamps'],
    loadW: 600,
  },
  {
    id: 'fan',
    name: 'Extract fan',
    use: 'motor',
    way: 'trunking',
    pathHeightM: 3,
    via: [spot(680, 40), spot(40, 40)],
    points: ['fan'],
    loadW: 1100,
  },
  {
    id: 'sockets',
    name: 'Mixing store sockets',
    use: 'sockets',
    way: 'trunking',
    pathHeightM: 3,
    via: [spot(680, 400)],
    points: ['sockets'],
    loadW: 3500,
  },
]

/** The paint shop, surveyed as far as its routes. */
function playSurvey(at: (minutesAgo: number) => Context, surveyor: Person): void {
  const { id } = startSurvey(at(40), surveyor, 'paint-shop')
  const room = (name: string, ambientC: number, from: number, to: number) =>
    JSON.stringify({
      name,
      kind: 'dusty',
      corners: [spot(from, 40), spot(to, 40), spot(to, 400), spot(from, 400)],
      heightM: 4,
      ambientC,
      isInsulated: false,
    })
  const point = (name: string, use: string, x: number, y: number, heightM: number) =>
    JSON.stringify({ name, use, x, y, heightM })
  const known = {
    'building.kind': 'industrial',
    'conditions.dust': 'combustible',
    'intake.arrangement': 'TN-S',
    'intake.phases': '1',
    'intake.mainFuse': '100',
    'earth.ze': '0.42',
    'earth.ipf': '0.55 kA',
  }
  saveSurvey(at(39), surveyor, id, {
    version: 1,
    fields: {
      ...showSurvey(at(39), surveyor, id).fields,
      ...Object.fromEntries(Object.entries(known).map(([key, text]) => [`item.${key}`, text])),
      ...Object.fromEntries(Object.keys(known).map((key) => [`source.${key}`, 'looked'])),
      'plan.known': JSON.stringify({ from: spot(440, 400), to: spot(680, 400), metres: 6 }),
      'plan.board': JSON.stringify({ x: 680, y: 120, heightM: 1.5 }),
      'room.spray': room('Spray room', 40, 40, 440),
      'room.store': room('Mixing store', 25, 440, 680),
      'point.lamps': point('Lamps', 'lighting', 240, 40, 2.8),
      'point.fan': point('Fan', 'motor', 40, 220, 2.2),
      'point.sockets': point('Sockets', 'sockets', 560, 400, 1.2),
      ...Object.fromEntries(ROUTES.map((route) => [`route.${route.id}`, partText(route)])),
    },
  })
}

import { randomInt } from 'node:crypto'
import { AIMS, faultsFor } from '#core/testing/fault-finding/aims'
import { stateAfter, type HuntStep } from '#core/testing/fault-finding/steps'
import { isAnswer, judgeHunt } from '#core/testing/fault-finding/judge'
import { heavy } from '../heavy/pool'
import { symptomSentences } from '#words/fault-finding'
import { symptomsOf } from '#core/testing/fault-finding/symptom'
import { PRACTICE_BAYS, practiceBay } from '#core/bay/practice/bays'
import { isDead } from '#core/testing/kinds/kinds'
import { applyFaults, possibleFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { scheduleOf, type ScheduleTest } from '#core/testing/plan/schedule'
import { TESTER, showTest } from '#core/testing/tester'
import { FAULT_TEXT, placeWords } from '#words/faults'
import { outcomeWords, testWords, readingText } from '#words/testing'
import type {
  FaultChoice,
  HuntHome,
  HuntListItem,
  HuntStepBody,
  HuntView,
  PlantBay,
  PlantBody,
  PlantPreviewBody,
  PlantPreviewView,
} from '#schemas/hunt-views'
import type { Hunt } from '../repos/hunts'
import type { Person } from '../repos/people'
import { allow, found, may, mayWith, openOf } from './access'
import { saveIfCurrent } from './save-current'
import type { Context } from './context'
import { Problem } from './problem'

const HUNT_BAYS = ['ring', 'heaters', 'split']
const RULES = { edition: '18-A2', rcdTests: 'edition' } as const
/** Faults that no test shows are no exercise; so many are tried. */
const MOST_TRIES = 20

export function huntHome({ repos }: Context, actor: Person): HuntHome {
  allow(actor, 'hunt.practise')
  return {
    aims: AIMS.map(({ code, name }) => ({ code, name })),
    bays: PRACTICE_BAYS.filter(({ code }) => HUNT_BAYS.includes(code)).map(({ code, title }) => ({
      code,
      title,
    })),
    own: repos.hunts.byPerson(actor.id).map(listed),
    set: may(actor, 'hunt.set') ? repos.hunts.allSet().map(listed) : [],
  }
}

const listed = (hunt: Hunt): HuntListItem => ({
  id: hunt.id,
  title: hunt.title,
  name: hunt.personName,
  setBy: hunt.setBy,
  place: hunt.place,
  bay: hunt.bay,
  isDone: hunt.endedAt !== null,
  madeAt: hunt.madeAt,
  met: hunt.verdict?.met ?? null,
})

const huntRig = (code: string): Rig => {
  if (!HUNT_BAYS.includes(code)) throw new Problem('notFound')
  return practiceBay(code)!.rig()
}

/** A fault of the chosen aim, picked at random among those that a test shows. */
export async function startHunt(
  { repos, now }: Context,
  actor: Person,
  { bay, aim: aimCode }: { readonly bay: string; readonly aim: string },
): Promise<{ readonly id: number }> {
  allow(actor, 'hunt.practise')
  const rig = huntRig(bay)
  const aim = found(AIMS.find(({ code }) => code === aimCode))
  const faults = faultsFor(rig, aim)
  for (let i = 0; i < MOST_TRIES; i += 1) {
    const fault = faults[randomInt(faults.length)]!
    const preview = await heavy('previewPlant', rig, [fault])
    if (preview && preview.rank !== null)
      return {
        id: repos.hunts.insert({
          personId: actor.id,
          setBy: null,
          madeAt: now,
          place: 'virtual',
          bay: null,
          title: `${aim.name}: ${practiceBay(bay)!.title}`,
          rig,
          faults: [fault],
        }),
      }
  }
  throw new Problem('notFound')
}

/** Every fault that could be planted in a bay, by what it teaches. */
export function plantBay(_: Context, actor: Person, code: string): PlantBay {
  allow(actor, 'hunt.set')
  const rig = huntRig(code)
  const at = new Map(possibleFaults(rig).map(({ kind, place }) => [`${kind.code} ${place.key}`, place.at]))
  return {
    code,
    title: practiceBay(code)!.title,
    aims: AIMS.map((aim) => ({
      code: aim.code,
      name: aim.name,
      faults: faultsFor(rig, aim).map((fault) => ({
        ...fault,
        name: FAULT_TEXT[fault.code]!.name,
        where: placeWords(rig, at.get(`${fault.code} ${fault.place}`)!),
      })),
    })),
  }
}

export async function previewHunt(
  _: Context,
  actor: Person,
  { bay, faults }: PlantPreviewBody,
): Promise<PlantPreviewView> {
  allow(actor, 'hunt.set')
  const rig = huntRig(bay)
  const preview = await heavy('previewPlant', rig, faults)
  if (!preview)
    throw new Problem('notFound', {
      sentence: 'One of these faults has no such place any more when the other one is there. Choose others.',
    })
  const tests = new Map(scheduleOf(rig, RULES).map((test) => [test.key, test]))
  return {
    ...preview,
    symptoms: symptomSentences(rig, preview.symptoms),
    readings: preview.readings.flatMap(({ test: key, sound, faulty }) => {
      const test = tests.get(key)
      return test
        ? [
            {
              name: testWords(rig, test),
              sound: outcomeWords(test.kind, sound),
              faulty: outcomeWords(test.kind, faulty),
            },
          ]
        : []
    }),
  }
}

/** Sets a search for these apprentices: in the virtual bay, or in a real one where somebody has put the faults in. */
export function plantHunt(
  { repos, now }: Context,
  actor: Person,
  { bay, faults, people, place, bayNumber }: PlantBody,
): { readonly set: number } {
  allow(actor, 'hunt.set')
  const rig = huntRig(bay)
  if (!applyFaults(rig, faults).ok) throw new Problem('notFound')
  return repos.transaction(() => {
    for (const id of people) {
      const person = found(repos.people.byId(id))
      repos.hunts.insert({
        personId: person.id,
        setBy: actor.id,
        madeAt: now,
        place,
        bay: place === 'bay' ? bayNumber : null,
        title: practiceBay(bay)!.title,
        rig,
        faults,
      })
    }
    repos.audit.add(now, actor.id, 'faultPlanted', `${people.length} apprentices, ${bay}`)
    return { set: people.length }
  })
}

const ownHunt = ({ repos }: Pick<Context, 'repos'>, actor: Person, id: number): Hunt =>
  openOf(actor, 'faultFinding.open', repos.hunts.byId(id))

export const showHunt = (context: Context, actor: Person, id: number): HuntView =>
  viewOf(ownHunt(context, actor, id), actor)

/** One step of the search. In the virtual bay the reading is computed here, so that the fault never leaves the server. */
export function stepHunt(
  context: Context,
  actor: Person,
  id: number,
  { version, step }: HuntStepBody,
): HuntView {
  saveIfCurrent(context, {
    sent: version,
    read: () => ownHunt(context, actor, id),
    check: (hunt) => refuseStep(actor, hunt, step),
    write: (hunt) => context.repos.hunts.saveLog(id, version, [...hunt.log, madeStep(context, hunt, step)]),
    theirs: (hunt) => viewOf(hunt, actor),
  })
  return showHunt(context, actor, id)
}

function refuseStep(actor: Person, hunt: Hunt, step: HuntStepBody['step']): void {
  if (!mayWith(actor, 'faultFinding.step', { ownerId: hunt.personId })) throw new Problem('notAllowed')
  if (hunt.endedAt !== null) throw new Problem('huntOver')
  if (step.do === 'test' && !tested(hunt.rig, step.test)) throw new Problem('moveNotHere')
}

function madeStep({ now }: Context, hunt: Hunt, step: HuntStepBody['step']): HuntStep {
  const atS = Math.max(0, Math.round((Date.parse(now) - Date.parse(hunt.madeAt)) / 1e3))
  if (step.do !== 'test') return { ...step, atS }
  return { ...step, read: hunt.place === 'virtual' ? readAt(hunt, step.test) : step.read, atS }
}

export function endHunt(context: Context, actor: Person, id: number): HuntView {
  const hunt = ownHunt(context, actor, id)
  if (!mayWith(actor, 'faultFinding.step', { ownerId: hunt.personId })) throw new Problem('notAllowed')
  context.repos.hunts.end(id, context.now, judgeHunt(hunt.rig, hunt.faults, hunt.log))
  return showHunt(context, actor, id)
}

const tested = (rig: Rig, key: string): ScheduleTest | undefined =>
  scheduleOf(rig, RULES).find((test) => test.key === key)

/** What the tester shows: as the bay is, or as it is after a repair that hit the fault. */
function readAt(hunt: Hunt, key: string): string {
  const test = tested(hunt.rig, key)
  if (!test) throw new Problem('moveNotHere')
  const { isIsolated, isRepaired, conclusion } = stateAfter(hunt.log)
  if (isDead(key) && !isIsolated) return 'refused: live'
  if (!isDead(key) && isIsolated) return 'no supply'
  const isRight = conclusion !== null && isAnswer(hunt.rig, hunt.faults, conclusion)
  const built = isRepaired && isRight ? hunt.rig : applied(hunt)
  const error = ((hunt.log.length * 37) % 13) / 13 - 0.5
  return showTest(built, test, { ...TESTER, conductorC: 20, error }) ?? 'no reading'
}

function applied({ rig, faults }: Hunt): Rig {
  const made = applyFaults(rig, faults)
  if (!made.ok)
    throw new Problem('runOver', {
      sentence: 'This bay was made with an older catalogue and cannot be told again. Start another one.',
    })
  return made.rig
}

function viewOf(hunt: Hunt, actor: Person): HuntView {
  const { rig, log } = hunt
  const isDone = hunt.endedAt !== null
  const { verdict } = hunt
  const choices = choicesFor(rig)
  const secret =
    isDone || hunt.personId !== actor.id
      ? hunt.faults
          .map(({ code, place }) => {
            const own = choices.find((one) => one.code === code)
            return `${FAULT_TEXT[code]?.name ?? code}, ${own?.places.find(({ key }) => key === place)?.words ?? place}`
          })
          .join('; ')
      : null
  const parts = indexParts(rig)
  const state = stateAfter(log)
  return {
    id: hunt.id,
    version: hunt.version,
    title: hunt.title,
    name: hunt.personName,
    setBy: hunt.setBy,
    place: hunt.place,
    bay: hunt.bay,
    isDone,
    symptoms: symptomSentences(rig, symptomsOf(applied(hunt), rig)),
    isIsolated: state.isIsolated,
    isRepaired: state.isRepaired,
    choices,
    verdict,
    secret,
    tests: scheduleOf(rig, RULES)
      .filter(({ kind }) => kind !== 'rcdButton')
      .map((test) => ({
        key: test.key,
        name: readingText(test.key).name,
        where: test.point ? (parts.get(test.point)?.name ?? test.point) : 'at the board',
        circuit: circuitName(rig, test.circuit),
        isDead: test.isDead,
      })),
    log: log.map((step, i) => ({
      words: stepWords(rig, choices, step),
      seconds: step.atS,
      mark: verdict?.marks.find(({ at, state: is }) => at === i && is !== 'kept')?.rule ?? null,
    })),
  }
}

const circuitName = (rig: Rig, circuit: string | null): string =>
  circuit ? (rig.runs.find(({ id }) => id === `${circuit}run`)?.name ?? circuit) : 'Supply and bonding'

function choicesFor(rig: Rig): FaultChoice[] {
  const wanted = new Set(AIMS.flatMap(({ faults }) => faults))
  const byCode = new Map<string, { key: string; words: string }[]>()
  for (const { kind, place } of possibleFaults(rig))
    if (wanted.has(kind.code))
      byCode.set(kind.code, [
        ...(byCode.get(kind.code) ?? []),
        { key: place.key, words: placeWords(rig, place.at) },
      ])
  return [...byCode].map(([code, places]) => ({ code, name: FAULT_TEXT[code]!.name, places }))
}

function stepWords(rig: Rig, choices: readonly FaultChoice[], step: HuntStep): string {
  switch (step.do) {
    case 'look':
      return 'Looked: nothing burnt, nothing hanging out, covers on'
    case 'isolate':
      return 'Isolated, locked off, proved dead'
    case 'restore':
      return 'Energised again'
    case 'repair':
      return 'Repaired what the conclusion names'
    case 'think':
      return `“${step.text}”`
    case 'test': {
      const test = tested(rig, step.test)
      return `${test ? testWords(rig, test) : step.test}: ${step.read}`
    }
    case 'conclude': {
      const one = choices.find(({ code }) => code === step.code)
      return `Concluded: ${one?.name ?? step.code}, ${one?.places.find(({ key }) => key === step.place)?.words ?? step.place}`
    }
  }
}

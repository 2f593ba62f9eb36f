import { randomInt } from 'node:crypto'
import { AIMS, faultsFor } from '#core/testing/fault-finding/aims'
import { heavy } from '../heavy/pool'
import { AIM_NAME, PRACTICE_BAY_TEXT } from '#words/practice'
import { symptomSentences } from '#words/fault-finding'
import { practiceBay } from '#core/bay/practice/bays'
import { applyFaults, possibleFaults } from '#core/bay/faults/catalogue'
import { scheduleOf } from '#core/testing/plan/schedule'
import { FAULT_TEXT, placeWords } from '#words/faults'
import { outcomeWords, testWords } from '#words/testing'
import type { PlantBay, PlantBody, PlantPreviewBody, PlantPreviewView } from '#schemas/fault-finding-views'
import type { Person } from '../repos/people'
import { allow, found, seesGroup } from './access'
import type { Context } from './context'
import { Problem } from './problem'

import { FAULT_FINDING_RULES, faultFindingRig } from './fault-finding-bays'

/** Faults that no test shows are no exercise; so many are tried. */
const MOST_TRIES = 20

/** A fault of the chosen aim, picked at random among those that a test shows. */
export async function startFaultFinding(
  context: Context,
  actor: Person,
  { bay, aim: aimCode }: { readonly bay: string; readonly aim: string },
): Promise<{ readonly id: number }> {
  const { repos, now } = context
  allow(actor, 'faultFinding.practise')
  const rig = faultFindingRig(bay)
  const aim = found(AIMS.find(({ code }) => code === aimCode))
  const faults = faultsFor(rig, aim)
  if (faults.length === 0)
    throw new Problem('notFound', { sentence: 'This bay has no place for such a fault. Choose another bay.' })
  for (let i = 0; i < MOST_TRIES; i += 1) {
    const fault = faults[randomInt(faults.length)]!
    const preview = await heavy(context, 'previewPlant', rig, [fault])
    if (preview && preview.rank !== null)
      return {
        id: repos.faultFindings.insert({
          personId: actor.id,
          setBy: null,
          madeAt: now,
          place: 'virtual',
          bay: null,
          title: `${AIM_NAME[aim.code]}: ${PRACTICE_BAY_TEXT[practiceBay(bay)!.code].title}`,
          rig,
          faults: [fault],
        }),
      }
  }
  throw new Problem('notFound')
}

/** Every fault that could be planted in a bay, by what it teaches. */
export function plantBay(_: Context, actor: Person, code: string): PlantBay {
  allow(actor, 'faultFinding.set')
  const rig = faultFindingRig(code)
  const at = new Map(possibleFaults(rig).map(({ kind, place }) => [`${kind.code} ${place.key}`, place.at]))
  return {
    code,
    title: PRACTICE_BAY_TEXT[practiceBay(code)!.code].title,
    rig,
    aims: AIMS.map(({ code: aim }) => ({ code: aim, name: AIM_NAME[aim] })),
    faults: AIMS.flatMap((aim) =>
      faultsFor(rig, aim).map(({ code: fault, place }) => {
        const names = at.get(`${fault} ${place}`)!
        const { name } = FAULT_TEXT[fault]!
        return { code: fault, place, name, where: placeWords(rig, names), at: names, aim: aim.code }
      }),
    ),
  }
}

export async function previewFaultFinding(
  context: Context,
  actor: Person,
  { bay, faults }: PlantPreviewBody,
): Promise<PlantPreviewView> {
  allow(actor, 'faultFinding.set')
  const rig = faultFindingRig(bay)
  const preview = await heavy(context, 'previewPlant', rig, faults)
  if (!preview)
    throw new Problem('notFound', {
      sentence: 'One of these faults has no such place any more when the other one is there. Choose others.',
    })
  const tests = new Map(scheduleOf(rig, FAULT_FINDING_RULES).map((test) => [test.key, test]))
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

/**
 * Sets a search for these apprentices: in the virtual bay, or in a real one where somebody has put the faults
 * in.
 */
export function plantFaultFinding(
  { repos, now }: Context,
  actor: Person,
  { bay, faults, people, place, bayNumber }: PlantBody,
): { readonly set: number } {
  allow(actor, 'faultFinding.set')
  const rig = faultFindingRig(bay)
  if (!applyFaults(rig, faults).ok) throw new Problem('notFound')
  return repos.transaction(() => {
    for (const id of people) {
      const person = found(repos.people.byId(id))
      if (!seesGroup(actor, person.cohort)) throw new Problem('notFound')
      repos.faultFindings.insert({
        personId: person.id,
        setBy: actor.id,
        madeAt: now,
        place,
        bay: place === 'bay' ? bayNumber : null,
        title: PRACTICE_BAY_TEXT[practiceBay(bay)!.code].title,
        rig,
        faults,
      })
    }
    repos.audit.add(now, actor.id, 'faultPlanted', `${people.length} apprentices, ${bay}`)
    return { set: people.length }
  })
}

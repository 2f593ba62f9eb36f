import { createHash } from 'node:crypto'
import { LRUCache } from 'lru-cache'
import { AIMS } from '#core/testing/fault-finding/aims'
import { stateAfter, type FaultFindingStep } from '#core/testing/fault-finding/steps'
import { reportSentences } from '#words/fault-finding'
import { symptomsOf } from '#core/testing/fault-finding/symptom'
import { applyFaults, possibleFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { indexParts } from '#core/bay/model/terminals'
import { scheduleOf } from '#core/testing/plan/schedule'
import { FAULT_TEXT, placeWords } from '#words/faults'
import { testWords, readingText } from '#words/testing'
import type { FaultChoice, FaultFindingView } from '#schemas/fault-finding-views'
import type { FaultFinding } from '../repos/fault-findings'
import type { Person } from '../repos/people'
import { Problem } from './problem'

import { FAULT_FINDING_RULES, testAt } from './fault-finding-bays'

export function bayAsBuilt({ rig, faults }: FaultFinding): Rig {
  const faulted = applyFaults(rig, faults)
  if (!faulted.ok)
    throw new Problem('runOver', {
      sentence: 'This bay was made with an older catalogue and cannot be told again. Start another one.',
    })
  return faulted.rig
}

export function faultFindingView(search: FaultFinding, actor: Person): FaultFindingView {
  const { id, version, title, personName: name, setBy, place, bay, rig, log, verdict } = search
  const choices = choicesFor(rig)
  const isDone = search.endedAt !== null
  const { isIsolated, isRepaired } = stateAfter(log)
  return {
    id,
    version,
    title,
    name,
    setBy,
    place,
    bay,
    isDone,
    symptoms: reportOf(search),
    isIsolated,
    isRepaired,
    choices,
    verdict,
    secret: isDone || search.personId !== actor.id ? secretOf(search, choices) : null,
    tests: testChoices(rig),
    log: log.map((step, i) => ({
      words: stepWords(rig, choices, step),
      seconds: step.atS,
      mark: verdict?.marks.find(({ at, state: is }) => at === i && is !== 'kept')?.rule ?? null,
    })),
  }
}

/**
 * A bay with its faults behaves the same each time that somebody looks at it. By what it is made of: numbers of
 * searches that the centre has removed are given out again.
 */
const REPORTS = new LRUCache<string, string[]>({ max: 200 })

/** What was reported: computed once, from what the bay does. */
function reportOf(search: FaultFinding): string[] {
  const content = JSON.stringify([search.rig, search.faults])
  const key = createHash('sha256').update(content).digest('base64')
  const known = REPORTS.get(key)
  if (known) return known
  const report = reportSentences(search.rig, symptomsOf(bayAsBuilt(search), search.rig))
  REPORTS.set(key, report)
  return report
}

/** What had been planted, in words. */
const secretOf = ({ faults }: FaultFinding, choices: readonly FaultChoice[]): string =>
  faults
    .map(({ code, place }) => {
      const faultChoice = choices.find((faultChoice) => faultChoice.code === code)
      const where = faultChoice?.places.find(({ key }) => key === place)?.words ?? place
      return `${FAULT_TEXT[code]?.name ?? code}, ${where}`
    })
    .join('; ')

/** Tests that can be asked for. */
function testChoices(rig: Rig): FaultFindingView['tests'] {
  const parts = indexParts(rig)
  return scheduleOf(rig, FAULT_FINDING_RULES).map(({ key, point, circuit, isDead: dead }) => ({
    key,
    name: readingText(key).name,
    where: point ? (parts.get(point)?.name ?? point) : 'at the board',
    circuit: circuitName(rig, circuit),
    isDead: dead,
  }))
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

function stepWords(rig: Rig, choices: readonly FaultChoice[], step: FaultFindingStep): string {
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
      const test = testAt(rig, step.test)
      return `${test ? testWords(rig, test) : step.test}: ${step.read}`
    }
    case 'conclude': {
      const faultChoice = choices.find(({ code }) => code === step.code)
      const where = faultChoice?.places.find(({ key }) => key === step.place)?.words
      return `Concluded: ${faultChoice?.name ?? step.code}, ${where ?? step.place}`
    }
  }
}

import { stepWords } from '#core/design/model/step-kinds'
import { stepOf, type NodeKey } from '#core/design/model/step-keys'
import { followFrom } from '#core/design/follow'
import { askedNodes, designOf, rulesOf, type Assignment } from '#core/exercise/assignment'
import type { Answers } from '#core/assessment/marking/answer'
import { isDead } from '#core/testing/kinds/kinds'
import type { Readings } from '#core/testing/readings'
import { presentKeys } from '#core/testing/upgrade'
import { buildRig } from '#core/bay/build/build'
import { applyFaults } from '#core/bay/faults/catalogue'
import type { Fault } from '#core/bay/faults/fault'
import { scheduleOf } from '#core/testing/plan/schedule'
import { TESTER, testBay } from '#core/testing/tester'

/** How far somebody of the demo has come, and what they got wrong on the way. */
export interface Chapter {
  readonly number: string
  readonly exercise: 'T-01' | 'T-02' | 'T-04' | 'T-05'
  readonly upTo:
    | 'nothing'
    | 'halfDesign'
    | 'dead'
    | 'halfDead'
    | 'permission'
    | 'refused'
    | 'live'
    | 'handedIn'
    | 'decided'
    | 'released'
  /** Values they wrote in place of the right ones; later steps follow from them. */
  readonly slips?: Readonly<Partial<Record<NodeKey, number>>>
  /** Answers that do not follow from anything before. */
  readonly typed?: Answers
  readonly readings?: Readings
  /** Of a whole board: faults that are in their bay, and how the tester's leads were nulled. */
  readonly bay?: { readonly faults: readonly Fault[]; readonly nulledOhm: number }
  /** The bay whose readings they copied. */
  readonly copies?: string
}

/** For the demo alone; a real centre gives one-time passwords. */
export const DEMO_PASSWORD = 'tram-depot-14'
/** Everybody's PIN in the demo. */
export const DEMO_PIN = '2468'

export const STORY: readonly Chapter[] = [
  { number: 'T-401', exercise: 'T-01', upTo: 'released' },
  { number: 'T-402', exercise: 'T-01', upTo: 'released', typed: { 'c1.voltDrop': '0.40 V' } },
  { number: 'T-403', exercise: 'T-01', upTo: 'released' },
  { number: 'T-404', exercise: 'T-01', upTo: 'halfDead' },
  { number: 'T-405', exercise: 'T-01', upTo: 'released', slips: { 'c1.cg': 0.8 } },
  { number: 'T-406', exercise: 'T-01', upTo: 'released' },
  { number: 'T-407', exercise: 'T-01', upTo: 'handedIn', readings: { r1r2: '0.09' } },
  { number: 'T-408', exercise: 'T-01', upTo: 'released', typed: { 'c1.zs': '0.81' } },
  { number: 'T-409', exercise: 'T-01', upTo: 'decided' },
  { number: 'T-410', exercise: 'T-01', upTo: 'released' },

  { number: 'T-401', exercise: 'T-02', upTo: 'released' },
  { number: 'T-402', exercise: 'T-02', upTo: 'halfDesign' },
  {
    number: 'T-405',
    exercise: 'T-02',
    upTo: 'handedIn',
    slips: { 'c1.ib': 9.59, 'c1.ca': 0.87 },
    typed: { 'c1.residual': 'none' },
  },
  { number: 'T-406', exercise: 'T-02', upTo: 'live' },
  { number: 'T-408', exercise: 'T-02', upTo: 'refused', readings: { polarity: '✗' } },
  { number: 'T-409', exercise: 'T-02', upTo: 'handedIn', copies: 'T-403', typed: { 'c1.zs': '0.50' } },
  { number: 'T-410', exercise: 'T-02', upTo: 'halfDesign' },
  { number: 'T-404', exercise: 'T-02', upTo: 'nothing' },
  { number: 'T-403', exercise: 'T-02', upTo: 'permission' },
  { number: 'T-407', exercise: 'T-02', upTo: 'permission', readings: { irNE: '0.4 MΩ' } },

  // √3 left out early on, the ring calculated as a radial, no RCD for a concealed cable.
  { number: 'M-501', exercise: 'T-04', upTo: 'handedIn' },
  {
    number: 'M-502',
    exercise: 'T-04',
    upTo: 'handedIn',
    slips: { 'c5.ib': 40.35 },
    typed: { 'c1.voltDrop': '23.5 V', 'c3.residual': 'none' },
  },
  { number: 'M-503', exercise: 'T-04', upTo: 'halfDesign' },

  // A whole board: leads not nulled at bay 2, an open leg of the ring's cpc at bay 3.
  { number: 'U-601', exercise: 'T-05', upTo: 'halfDead', bay: { faults: [], nulledOhm: 0.08 } },
  { number: 'U-602', exercise: 'T-05', upTo: 'permission', bay: { faults: [], nulledOhm: 0 } },
  {
    number: 'U-603',
    exercise: 'T-05',
    upTo: 'refused',
    bay: { faults: [{ code: 'earthOpen', place: 'x26' }], nulledOhm: 0.08 },
  },
  { number: 'U-604', exercise: 'T-05', upTo: 'handedIn', bay: { faults: [], nulledOhm: 0.08 } },
  { number: 'U-605', exercise: 'T-05', upTo: 'dead' },
]

/** A whole board measured with the simulated tester, the bay as this chapter has it. */
export function boardReadings(
  assignment: Assignment,
  bay: number,
  { faults, nulledOhm }: NonNullable<Chapter['bay']>,
  isWithLive: boolean,
): Readings {
  const rig = buildRig(assignment.installation, designOf(assignment), 'bay')
  const faulted = rig && applyFaults(rig, faults)
  if (!rig || !faulted?.ok) throw new Error('The demo has a bay that cannot be built')
  const schedule = scheduleOf(rig, {
    edition: assignment.edition,
    rcdTests: assignment.policy.residualTests ?? 'edition',
  })
  const taken = [
    ...testBay(
      faulted.rig,
      schedule.filter(({ isDead: dead, kind }) => kind !== 'r2Long' && (dead || isWithLive)),
      { ...TESTER, nulledOhm, leadsOhm: nulledOhm === 0 ? 0.19 : TESTER.leadsOhm, seed: bay },
    ),
  ]
  const checks = {
    'set:instrument': nulledOhm === 0 ? 'Multi 2' : 'Multi 1',
    'set:readyDead': 'isolated inspected earth out people',
  }
  return {
    ...checks,
    ...(nulledOhm > 0 ? { 'set:leads': '0.08 Ω' } : {}),
    ...Object.fromEntries(taken.map(({ test, shown }) => [test.key, shown])),
  }
}

/** Boxes that are open before the permission. */
export const isBeforeLive = (key: string): boolean => key.startsWith('set:') || isDead(key)

/** Answers as somebody types them who reasons correctly from their slips. */
export function typedAnswers(assignment: Assignment, chapter: Pick<Chapter, 'slips' | 'typed'>): Answers {
  const values = followFrom(assignment.installation, rulesOf(assignment), chapter.slips ?? {})
  const typed = askedNodes(assignment).flatMap((node) => {
    const value = values[node]
    return value === undefined ? [] : [[node, stepWords(stepOf(node), value)] as const]
  })
  return { ...Object.fromEntries(typed), ...chapter.typed }
}

/** Readings as an instrument shows them at this bay, a little off the calculated values. */
export function typedReadings(assignment: Assignment, bay: number): Readings {
  const design = designOf(assignment).circuits.find(({ scope }) => scope === assignment.tests)
  if (!design || design.stopped) throw new Error('The demo has a task without a solution')
  const scatter = 1 + (((bay * 7) % 5) - 2) / 100
  const r1r2 = design.values.r1r2! * scatter
  const ze = design.task.supply.zeOhm * (2 - scatter)
  const byKind: Readings = {
    r1r2: r1r2.toFixed(2),
    irLN: '>999',
    irLE: '>999',
    irNE: bay % 3 === 0 ? '640' : '>999',
    polarity: '✓',
    ze: ze.toFixed(2),
    zs: (ze + r1r2 + 0.01).toFixed(2),
    ...(design.task.residualA === null ? {} : { rcdTime: String(18 + ((bay * 5) % 9)) }),
  }
  return presentKeys(byKind, assignment.installation, assignment.tests)
}

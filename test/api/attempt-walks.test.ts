/* An attempt under acts of everybody in any order, with hands that are late or wrong: what must hold after each. */
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { isDead, type ReadingKey } from '#core/testing/kinds/kinds'
import { PERMISSION_MINUTES } from '#core/exercise/attempt/permission'
import type { Stage } from '#core/exercise/attempt/stages'
import type { Readings } from '#core/testing/readings'
import { typedAnswers, typedReadings } from '../../demo/story'
import type { Person } from '../../server/repos/people'
import { assignmentFor } from '../../server/services/assignment'
import { showFloor } from '../../server/services/floor'
import { askPermission, handInDesign, handInReadings } from '../../server/services/hand-in'
import { decide, release, saveMarking, showMarking } from '../../server/services/marking'
import { decidePermission, withdrawPermission } from '../../server/services/permission'
import { saveWork } from '../../server/services/work-save'
import { showWork } from '../../server/services/work'
import { NOW, aCentre, aSetExercise } from '../support/centre'
import { refusedAtOnce } from '../support/refusal'

/** Where an attempt may go from where: the order of work of the trade, written down once more. */
const WAYS: Readonly<Record<Stage, readonly Stage[]>> = {
  design: ['dead'],
  dead: ['permission'],
  permission: ['live', 'dead'],
  live: ['dead', 'handedIn'],
  handedIn: ['decided'],
  decided: ['released'],
  released: [],
}
const WHO = ['apprentice', 'other', 'assessor', 'instructor', 'technician', 'verifier'] as const
const ACTS = [
  ...['typeDesign', 'typeDead', 'typeLive', 'handInDesign', 'ask', 'permit', 'refuse', 'stop', 'stopAll'],
  ...['handIn', 'mark', 'decide', 'release', 'wait'],
] as const
type Act = (typeof ACTS)[number]

interface Move {
  readonly act: Act
  readonly by: (typeof WHO)[number]
  /** The screen that acts stands so many versions behind. */
  readonly behind: number
  readonly minutes: number
}
/** Mostly the right person at the right time, so that walks get anywhere. */
const move: fc.Arbitrary<Move> = fc.record({
  act: fc.constantFrom(...ACTS) as fc.Arbitrary<Act>,
  by: fc.oneof(
    { arbitrary: fc.constant('right' as never), weight: 7 },
    { arbitrary: fc.constantFrom(...WHO), weight: 2 },
  ),
  behind: fc.oneof({ arbitrary: fc.constant(0), weight: 8 }, { arbitrary: fc.constant(1), weight: 1 }),
  minutes: fc.integer({ min: 1, max: PERMISSION_MINUTES + 20 }),
})
/** The way through, act by act, in which the moves of chance are strewn. */
const THROUGH: readonly Act[] = [
  ...([
    'typeDesign',
    'handInDesign',
    'typeDead',
    'ask',
    'permit',
    'typeLive',
    'handIn',
    'decide',
    'release',
  ] as const),
]
const walk = fc
  .tuple(fc.array(fc.tuple(fc.nat(THROUGH.length), move), { maxLength: 14 }), fc.nat(2))
  .map(([strewn, again]): Move[] => {
    const way = Array.from({ length: again + 1 }, () => THROUGH).flat()
    return way.flatMap((act, i) => [
      ...strewn.flatMap(([at, one]) => (at === i % THROUGH.length ? [one] : [])),
      { act, by: 'right' as never, behind: 0, minutes: 1 },
    ])
  })

/** One attempt of one centre, and a hand that does what a move says. */
function aWalk() {
  const centre = aCentre()
  const { attemptId: id } = aSetExercise(centre)
  const { repos } = centre
  let minutes = 0
  const at = () => new Date(Date.parse(NOW) + minutes * 60_000).toISOString()
  const context = () => ({ ...centre.context, now: at() })
  const attempt = () => repos.attempts.byId(id)!
  const assignment = assignmentFor(centre.context, attempt())
  const answers = typedAnswers(assignment, {})
  const all: Readings = typedReadings(assignment, attempt().bay)
  const only = (dead: boolean): Readings =>
    Object.fromEntries(Object.entries(all).filter(([key]) => isDead(key as ReadingKey) === dead))
  const version = (behind: number) => attempt().version - behind
  const type = (actor: Person, behind: number, typed: { answers?: object; readings?: Readings }) =>
    saveWork(context(), actor, id, {
      version: version(behind),
      answers: { ...attempt().answers, ...typed.answers },
      readings: { ...attempt().readings, ...typed.readings },
    })
  const seenNow = (actor: Person) => showMarking(context(), actor, id)

  const doing: Readonly<Record<Act, (actor: Person, move: Move) => unknown>> = {
    typeDesign: (actor, { behind }) => type(actor, behind, { answers }),
    typeDead: (actor, { behind }) => type(actor, behind, { readings: only(true) }),
    typeLive: (actor, { behind }) => type(actor, behind, { readings: only(false) }),
    handInDesign: (actor, { behind }) => handInDesign(context(), actor, id, version(behind)),
    ask: (actor, { behind }) => askPermission(context(), actor, id, version(behind)),
    permit: (actor) => decidePermission(context(), actor, id, { granted: true, reason: '' }),
    refuse: (actor) => decidePermission(context(), actor, id, { granted: false, reason: 'R2 is missing' }),
    stop: (actor) => withdrawPermission(context(), actor, id, ''),
    stopAll: (actor) => withdrawPermission(context(), actor, null, ''),
    handIn: (actor, { behind }) => handInReadings(context(), actor, id, version(behind)),
    mark: (actor, { behind }) => {
      const { draft } = seenNow(actor)
      const overrides = [
        { item: 'design.c1.ib' as const, verdict: 'right' as const, reason: 'read from the plate' },
      ]
      return saveMarking(context(), actor, id, { version: draft.version - behind, overrides, feedback: null })
    },
    decide: (actor) => {
      const { draft, seen } = seenNow(actor)
      return decide(context(), actor, id, { version: draft.version, seen })
    },
    release: (actor) => release(context(), actor, id),
    wait: (_, { minutes: more }) => void (minutes += more),
  }
  const OF_STAFF: readonly Act[] = ['permit', 'refuse', 'stop', 'stopAll', 'mark', 'decide', 'release']
  const rightOne = (act: Act): Person => (OF_STAFF.includes(act) ? centre.assessor : centre.apprentice)
  return {
    ...{ centre, id, context, attempt, at, all },
    decisions: () => centre.db.prepare('SELECT * FROM decision ORDER BY id').all(),
    run: (one: Move) => {
      const actor = (WHO as readonly string[]).includes(one.by) ? centre[one.by] : rightOne(one.act)
      return { actor, refused: refusedAtOnce(() => doing[one.act](actor, one)) }
    },
  }
}

type Walk = ReturnType<typeof aWalk>
const looked = ({ attempt, decisions }: Walk) => ({ ...attempt(), decisions: decisions() })
type Before = ReturnType<typeof looked>

const changed = (a: Readings, b: Readings): string[] =>
  Object.keys({ ...a, ...b }).filter((key) => (a[key as ReadingKey] ?? '') !== (b[key as ReadingKey] ?? ''))
const isLive = (key: string): boolean => !key.includes(':') && !isDead(key as ReadingKey)

/** Is a permission in force by what was written down: given, and since then neither taken back nor run out? */
function isPermitted({ centre, id, at }: Walk): boolean {
  const events = centre.repos.attempts.events(id)
  const last = events.findLast(({ act }) => ['permit', 'refuse', 'withdraw', 'expire'].includes(act))
  const sinceMs = last ? Date.parse(at()) - Date.parse(last.at) : Infinity
  return last?.act === 'permit' && sinceMs < PERMISSION_MINUTES * 60_000
}

function check(
  walk: Walk,
  one: Move,
  before: Before,
  was: { readonly actor: Person; readonly refused: string },
) {
  const after = looked(walk)
  const whose = was.actor.id === walk.centre.other.id ? ' (another)' : ''
  const said = `${one.act} by ${was.actor.role}${whose}: ${was.refused}`
  const moved = before.stage !== after.stage
  // The way: step by step, or several where a permission ran out on the way.
  if (moved) expect(WAYS[before.stage], `${said}: to ${after.stage}`).toContain(after.stage)
  // What was not allowed has changed nothing; that a permission ran out may be written down.
  if (was.refused !== 'none') {
    expect({ ...after, stage: before.stage, version: 0 }, said).toEqual({ ...before, version: 0 })
    expect(moved && after.stage !== 'dead', said).toBe(false)
  }
  // Only hands that may: the sheet is typed by its own person, stages of staff are moved by staff.
  const typed = changed(before.readings, after.readings)
  const isTyped =
    typed.length > 0 || changed(before.answers as Readings, after.answers as Readings).length > 0
  if (isTyped) expect(was.actor.id, said).toBe(walk.centre.apprentice.id)
  if (moved && ['live', 'decided', 'released'].includes(after.stage))
    expect(['assessor', 'instructor'], said).toContain(was.actor.role)
  // Nothing live outside a permission; the design stands once it is handed in.
  if (typed.some(isLive)) expect(before.stage === 'live' && isPermitted(walk), said).toBe(true)
  if (before.stage !== 'design') expect(after.answers, said).toEqual(before.answers)
  if (isTyped) expect(after.version, said).toBeGreaterThan(before.version)
  // A decision that was signed stands for ever.
  expect(after.decisions.slice(0, before.decisions.length), said).toEqual(before.decisions)
  expect(after.decisions.length - before.decisions.length, said).toBe(
    one.act === 'decide' && was.refused === 'none' ? 1 : 0,
  )
}

/** What a permission that has run out looks like from everywhere, whether or not anybody has written it down. */
function checkScreens(walk: Walk) {
  const { centre, context, id, attempt } = walk
  const own = showWork(context(), centre.apprentice, id)
  const isOpen = attempt().stage === 'live' && isPermitted(walk)
  expect(own.stage === 'live').toBe(isOpen)
  const patch = showFloor(context(), centre.instructor).patches.find((one) => one.id === id)
  if (patch) expect(patch.stage).toBe(own.stage)
}

describe('any walk through an exercise', () => {
  it('keeps the order of work, whoever does what when', () => {
    const ends = new Set<Stage>()
    fc.assert(
      fc.property(walk, (moves) => {
        const walked = aWalk()
        for (const one of moves) {
          const before = looked(walked)
          check(walked, one, before, walked.run(one))
          checkScreens(walked)
        }
        ends.add(walked.attempt().stage)
      }),
      { numRuns: 40 },
    )
    // The walks get somewhere, or nothing was tried.
    expect(ends.has('released')).toBe(true)
  }, 120_000)

  it('STOP at any moment leaves nothing live, and what was measured stays', () => {
    fc.assert(
      fc.property(walk, fc.nat(12), (moves, at) => {
        const walked = aWalk()
        for (const one of moves.slice(0, at)) walked.run(one)
        const before = looked(walked)
        walked.run({ act: 'stopAll', by: 'instructor', behind: 0, minutes: 1 })
        expect(walked.attempt().stage).toBe(before.stage === 'live' ? 'dead' : before.stage)
        expect(walked.attempt().readings).toEqual(before.readings)
        const { refused } = walked.run({ act: 'typeLive', by: 'apprentice', behind: 0, minutes: 1 })
        if (before.stage === 'live' && changed(before.readings, walked.all).some(isLive))
          expect(refused).toBe('liveLocked')
      }),
      { numRuns: 25 },
    )
  }, 60_000)
})

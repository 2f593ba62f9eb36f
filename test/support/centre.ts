import type { Database } from 'better-sqlite3'
import type { Role } from '#core/exercise/roster'
import framework from '../../frameworks/workshop-unit.json'
import type { Framework } from '#core/assessment/outcomes/framework'
import { openDatabase } from '../../server/db/open'
import { createRepos, type Repos } from '../../server/repos'
import type { Person } from '../../server/repos/people'
import type { Context } from '../../server/services/context'
import { createExercise } from '../../server/services/exercises'
import { setAtOnce } from '../../server/services/set-exercise'
import { askPermission, handInDesign, handInReadings } from '../../server/services/hand-in'
import { decidePermission } from '../../server/services/permission'
import { saveWork } from '../../server/services/work-save'
import { assignmentFor } from '../../server/services/assignment'
import { typedAnswers, typedReadings, type Chapter } from '../../demo/story'
import { isDead, type ReadingKey } from '#core/testing/kinds/kinds'
import { presentKeys } from '#core/testing/upgrade'
import type { Readings } from '#core/testing/readings'
import { anExercise } from './task'

export const NOW = '2026-11-12T14:00:00.000Z'

/** Every migration, applied once for all centres of a process. */
let migrated: Buffer | undefined
function anEmptyDatabase(): Database {
  migrated ??= openDatabase(':memory:').serialize()
  return openDatabase(migrated)
}

/** A centre in memory with one person of each role and two apprentices in one group. */
export function aCentre() {
  const db = anEmptyDatabase()
  const repos = createRepos(db)
  repos.centre.putFramework(framework as Framework)
  const person = (number: string, role: Role, cohort = ''): Person => {
    const id = repos.people.insert(
      { number, name: `${role} ${number}`, role, cohort },
      'scrypt$x$x',
      false,
      NOW,
    )
    return repos.people.byId(id)!
  }
  const people = {
    administrator: person('A-1', 'administrator'),
    instructor: person('I-1', 'instructor'),
    assessor: person('S-1', 'assessor'),
    technician: person('C-1', 'technician'),
    verifier: person('V-1', 'verifier'),
    apprentice: person('T-1', 'apprentice', 'Thursday'),
    other: person('T-2', 'apprentice', 'Thursday'),
  }
  const context: Context = { repos, now: NOW }
  return { db, repos, context, ...people }
}

export type Centre = ReturnType<typeof aCentre>

/** Sets the usual exercise for the group and returns the first apprentice's attempt. */
export function aSetExercise(centre: Centre): { exerciseId: number; attemptId: number } {
  const stored = createExercise(centre.context, centre.instructor, anExercise())
  setAtOnce(centre.context, centre.instructor, { id: stored.id, version: stored.version, cohort: 'Thursday' })
  return { exerciseId: stored.id, attemptId: centre.repos.attempts.byPerson(centre.apprentice.id)[0]!.id }
}

const versionOf = (repos: Repos, id: number) => repos.attempts.byId(id)!.version

/** Takes an attempt to a stage as its apprentice would, with the slips asked for. */
export function bringTo(
  centre: Centre,
  id: number,
  stage: 'dead' | 'permission' | 'live' | 'handedIn',
  parts: Pick<Chapter, 'slips' | 'typed' | 'readings'> = {},
): void {
  const { context, repos, apprentice, assessor } = centre
  const attempt = repos.attempts.byId(id)!
  const assignment = assignmentFor(context, attempt)
  const answers = typedAnswers(assignment, parts)
  const readings: Readings = {
    ...typedReadings(assignment, attempt.bay),
    ...presentKeys(parts.readings ?? {}, assignment.installation, assignment.tests),
  }
  const dead = Object.fromEntries(Object.entries(readings).filter(([key]) => isDead(key as ReadingKey)))
  saveWork(context, apprentice, id, { version: versionOf(repos, id), answers, readings: {} })
  handInDesign(context, apprentice, id, versionOf(repos, id))
  if (stage === 'dead') return
  saveWork(context, apprentice, id, { version: versionOf(repos, id), answers, readings: dead })
  askPermission(context, apprentice, id, versionOf(repos, id))
  if (stage === 'permission') return
  decidePermission(context, assessor, id, { granted: true, reason: '' })
  if (stage === 'live') return
  saveWork(context, apprentice, id, { version: versionOf(repos, id), answers, readings })
  handInReadings(context, apprentice, id, versionOf(repos, id))
}

import type { Database } from 'better-sqlite3'
import { createAttemptsRepo } from './attempts'
import { createAuditRepo } from './audit'
import { createCentreRepo } from './centre'
import { createCommentsRepo } from './comments'
import { createDecisionsRepo } from './decisions'
import { createExercisesRepo } from './exercises'
import { createPeopleRepo } from './people'

/** Every repository over one connection; statements are prepared once. */
export function createRepos(db: Database) {
  return {
    people: createPeopleRepo(db),
    exercises: createExercisesRepo(db),
    attempts: createAttemptsRepo(db),
    decisions: createDecisionsRepo(db),
    centre: createCentreRepo(db),
    comments: createCommentsRepo(db),
    audit: createAuditRepo(db),
    /** Runs `work` in one short write transaction. */
    transaction: <T>(work: () => T): T => db.transaction(work).immediate(),
  }
}

export type Repos = ReturnType<typeof createRepos>

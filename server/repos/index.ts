import type { Database } from 'better-sqlite3'
import { createAccountsRepo } from './accounts'
import { createAppealsRepo } from './appeals'
import { createBehavioursRepo } from './behaviours'
import { createSecondMarkingsRepo } from './second-markings'
import { createAttemptLists } from './attempt-lists'
import { createAttemptsRepo } from './attempts'
import { createAuditRepo } from './audit'
import { createBaysRepo } from './bays'
import { createBookRepo } from './book'
import { createCallsRepo } from './calls'
import { createCentreRepo } from './centre'
import { createCommentsRepo } from './comments'
import { createDecisionsRepo } from './decisions'
import { createIsolationRunsRepo } from './isolation-runs'
import { createDiscussionsRepo } from './discussions'
import { createFaultFindingsRepo } from './fault-findings'
import { createTestRecordsRepo } from './test-records'
import { createInspectionsRepo } from './inspections'
import { createRunsRepo } from './runs'
import { createInstrumentsRepo } from './instruments'
import { createKeptMarksRepo } from './kept-marks'
import { createLocksRepo } from './locks'
import { createObservationsRepo } from './observations'
import { createEvidenceMarksRepo } from './evidence-marks'
import { createExercisesRepo } from './exercises'
import { createPeopleRepo } from './people'
import { createPasskeysRepo } from './passkeys'
import { createLayoutsRepo } from './layouts'
import { createPictureRepo } from './picture'
import { createPlanningRepo } from './planning'
import { createStockRepo } from './stock'
import { createPersonDataRepo } from './person-data'
import { createPredictionsRepo } from './predictions'
import { createQuestionsRepo } from './questions'
import { createGlossaryRepo } from './glossary'
import { createReadingChangesRepo } from './reading-changes'
import { createRetentionRepo } from './retention'
import { createSealRepo } from './seal'
import { createSessionsRepo } from './sessions'
import { createSurveysRepo } from './surveys'

/** Every repository over one connection; statements are prepared once. */
export function createRepos(db: Database) {
  return {
    people: createPeopleRepo(db),
    evidenceMarks: createEvidenceMarksRepo(db),
    exercises: createExercisesRepo(db),
    accounts: createAccountsRepo(db),
    appeals: createAppealsRepo(db),
    attempts: { ...createAttemptsRepo(db), ...createAttemptLists(db) },
    behaviours: createBehavioursRepo(db),
    decisions: createDecisionsRepo(db),
    discussions: createDiscussionsRepo(db),
    calls: createCallsRepo(db),
    centre: createCentreRepo(db),
    comments: createCommentsRepo(db),
    bays: createBaysRepo(db),
    book: createBookRepo(db),
    picture: createPictureRepo(db),
    planning: createPlanningRepo(db),
    stock: createStockRepo(db),
    predictions: createPredictionsRepo(db),
    isolationRuns: createIsolationRunsRepo(db),
    observations: createObservationsRepo(db),
    locks: createLocksRepo(db),
    faultFindings: createFaultFindingsRepo(db),
    testRecords: createTestRecordsRepo(db),
    runs: createRunsRepo(db),
    inspections: createInspectionsRepo(db),
    instruments: createInstrumentsRepo(db),
    layouts: createLayoutsRepo(db),
    keptMarks: createKeptMarksRepo(db),
    passkeys: createPasskeysRepo(db),
    personData: createPersonDataRepo(db),
    questions: createQuestionsRepo(db),
    glossary: createGlossaryRepo(db),
    readingChanges: createReadingChangesRepo(db),
    retention: createRetentionRepo(db),
    seal: createSealRepo(db),
    secondMarkings: createSecondMarkingsRepo(db),
    sessions: createSessionsRepo(db),
    surveys: createSurveysRepo(db),
    audit: createAuditRepo(db),
    /** Runs `work` in one short write transaction. */
    transaction: <T>(work: () => T): T => db.transaction(work).immediate(),
  }
}

export type Repos = ReturnType<typeof createRepos>

import type { Question } from '#core/questions/question'
import type { JobMaterial } from '#core/questions/material'
import { BOARD_QUESTIONS } from './board'
import { CABLE_QUESTIONS } from './cable'
import { ERROR_QUESTIONS } from './errors'
import { questionOf, type JobGenerator } from './generator'
import { ISOLATION_QUESTIONS } from './isolation'
import { IF_DONE_QUESTIONS } from './if-done'
import { IF_FAULTY_QUESTIONS } from './if-faulty'
import { NEXT_TEST_QUESTIONS } from './next-tests'
import { OWN_READING_QUESTIONS } from './own-readings'
import { SUPPLY_QUESTIONS } from './supply'

export const JOB_GENERATORS: readonly JobGenerator[] = [
  ...CABLE_QUESTIONS,
  ...BOARD_QUESTIONS,
  ...SUPPLY_QUESTIONS,
  ...NEXT_TEST_QUESTIONS,
  ...OWN_READING_QUESTIONS,
  ...ISOLATION_QUESTIONS,
  ...ERROR_QUESTIONS,
  ...IF_DONE_QUESTIONS,
  ...IF_FAULTY_QUESTIONS,
]

/** Everything that can be asked about this job without simulating it. Under 20 ms. */
export const jobQuestions = (job: JobMaterial): Question[] => questionsBy(job, false)
/** What would happen if: computed at the bay of this job, hundreds of milliseconds. */
export const whatIfQuestions = (job: JobMaterial): Question[] => questionsBy(job, true)

const questionsBy = (job: JobMaterial, isSimulated: boolean): Question[] =>
  JOB_GENERATORS.filter((generator) => generator.isSimulated === isSimulated).flatMap((generator) =>
    generator.make(job).map(([about, made]) => questionOf(generator, about, made)),
  )

import type { ProblemCode } from '#words/problems'
import { Problem } from '../../server/services/problem'

/** The code of the refusal, so that a test reads as a sentence. */
export async function refusal(work: () => unknown): Promise<ProblemCode | 'none'> {
  try {
    await work()
    return 'none'
  } catch (error) {
    return codeOf(error)
  }
}

/** The same of work that is done at once. */
export function refusedAtOnce(work: () => unknown): ProblemCode | 'none' {
  try {
    work()
    return 'none'
  } catch (error) {
    return codeOf(error)
  }
}

function codeOf(error: unknown): ProblemCode {
  if (error instanceof Problem) return error.code
  throw error
}

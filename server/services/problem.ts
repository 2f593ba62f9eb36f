import { PROBLEMS, type ProblemCode } from '#words/problems'

/** One field and what is wrong with it. */
export interface FieldProblem {
  readonly field: string
  readonly message: string
}

/** A refusal that was foreseen. `extra` is shown to the person and carries no secrets. */
export class Problem extends Error {
  readonly code: ProblemCode
  readonly status: number
  readonly fields: readonly FieldProblem[]
  readonly extra: Readonly<Record<string, unknown>>

  constructor(
    code: ProblemCode,
    details: { fields?: readonly FieldProblem[]; extra?: Record<string, unknown>; sentence?: string } = {},
  ) {
    super(details.sentence ?? PROBLEMS[code].sentence)
    this.code = code
    this.status = PROBLEMS[code].status
    this.fields = details.fields ?? []
    this.extra = details.extra ?? {}
  }
}

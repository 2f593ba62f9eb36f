import type { ProblemCode } from '#words/problems'

/** A refusal of the server, in words a person can act on. */
export class ApiProblem extends Error {
  constructor(
    readonly status: number,
    readonly code: ProblemCode | 'offline',
    title: string,
    readonly fields: readonly { field: string; message: string }[] = [],
    readonly extra: Readonly<Record<string, unknown>> = {},
  ) {
    super(title)
  }
}

/** How far something has come that takes longer than a moment. */
export interface Progress {
  readonly done: number
  readonly of: number
}

const running = new Map<number, Progress>()

/** Runs it and keeps how far it has come, for whoever's session asks; forgotten when it is over. */
export async function withProgress<T>(
  session: number | undefined,
  work: (tell: (progress: Progress) => void) => Promise<T>,
): Promise<T> {
  try {
    return await work((progress) => session !== undefined && running.set(session, progress))
  } finally {
    if (session !== undefined) running.delete(session)
  }
}

export const progressOf = (session: number | undefined): Progress | null =>
  (session === undefined ? undefined : running.get(session)) ?? null

/** Work that waits until what was just touched has been drawn; asked for again before that, it is done once. */
export interface LaterWork {
  readonly ask: () => void
  /** Does at once what has been asked for and not been done. */
  readonly catchUp: () => void
  readonly drop: () => void
}

export function aTaskLater(work: () => void): LaterWork {
  let task: ReturnType<typeof setTimeout> | undefined
  const drop = (): void => {
    clearTimeout(task)
    task = undefined
  }
  const doIt = (): void => {
    drop()
    work()
  }
  return {
    ask: () => void (task ??= setTimeout(doIt)),
    catchUp: () => void (task !== undefined && doIt()),
    drop,
  }
}

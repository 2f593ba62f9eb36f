/** One stage of the thread across a page. */
export interface ThreadStage {
  readonly key: string
  readonly name: string
  readonly note?: string
  readonly state: 'done' | 'signed' | 'now' | 'todo' | 'shut'
  /** 0 to 1, for the stage being worked on. */
  readonly progress?: number
}

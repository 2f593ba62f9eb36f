/** What somebody did while looking for a fault, in order. Seconds since the beginning. */
export type FaultFindingStep =
  | { readonly do: 'look'; readonly atS: number }
  | { readonly do: 'isolate' | 'restore' | 'repair'; readonly atS: number }
  /** A test of the schedule, and what was read. */
  | { readonly do: 'test'; readonly test: string; readonly read: string; readonly atS: number }
  | { readonly do: 'think'; readonly text: string; readonly atS: number }
  | { readonly do: 'conclude'; readonly code: string; readonly place: string; readonly atS: number }

export interface FaultFindingState {
  readonly isIsolated: boolean
  readonly isRepaired: boolean
  readonly conclusion: { readonly code: string; readonly place: string } | null
}

/** Where a search stands. The circuit is found energised; a repair puts right what the conclusion names. */
export function stateAfter(log: readonly FaultFindingStep[]): FaultFindingState {
  let state: FaultFindingState = { isIsolated: false, isRepaired: false, conclusion: null }
  for (const step of log) {
    if (step.do === 'isolate' || step.do === 'restore')
      state = { ...state, isIsolated: step.do === 'isolate' }
    else if (step.do === 'conclude') state = { ...state, conclusion: { code: step.code, place: step.place } }
    else if (step.do === 'repair') state = { ...state, isRepaired: true }
  }
  return state
}

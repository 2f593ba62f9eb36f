/** Refusals about calls from the bays. */
export const FLOOR_PROBLEMS = {
  callAnswered: { status: 409, sentence: 'Somebody has answered this already. Look at what they said.' },
  callNeedsNote: { status: 400, sentence: 'Say what is missing: they put it right from your words.' },
} as const

/** How a centre asks questions at the bay. */
export interface QuestionPolicy {
  /** What an answer with a prompt counts for: as met, or it is noted and the criterion stays open. */
  readonly prompted: 'met' | 'noted'
  /** Nobody is asked what a neighbour was asked so lately, minutes. */
  readonly earshotMinutes: number
}

/**
 * A prompt is part of asking well, and somebody who then explains it has shown it. Common practice, no source;
 * centres that want it unaided choose `noted`.
 */
export const DEFAULT_QUESTIONS: QuestionPolicy = { prompted: 'met', earshotMinutes: 10 }

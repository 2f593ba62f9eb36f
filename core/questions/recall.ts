import { FSRS, Rating as Grade, createEmptyCard, generatorParameters, type Card } from 'ts-fsrs'

/** How somebody did with a question, at the bay or in a rehearsal. */
export const RECALLS = ['good', 'helped', 'lost'] as const
export type Recall = (typeof RECALLS)[number]

export interface Review {
  /** ISO 8601 UTC. */
  readonly at: string
  readonly recall: Recall
}

/** Unaided is good, with a prompt it was hard, not known it begins again. */
const GRADES = { good: Grade.Good, helped: Grade.Hard, lost: Grade.Again } as const

/** The published default weights; nothing at random, so that the same answers give the same day. */
const SCHEDULER = new FSRS(generatorParameters({ enable_fuzz: false, enable_short_term: false }))

export interface RecallState {
  /** ISO 8601 UTC. */
  readonly dueAt: string
  /** Days in which the chance to know it falls to nine in ten. */
  readonly stabilityDays: number
  /** 1 (easy) to 10. */
  readonly difficulty: number
  readonly reviews: number
}

/**
 * Where somebody stands with one question after these reviews, oldest first; null before the first.
 * Source: FSRS by the ts-fsrs package, default weights.
 */
export function recallState(reviews: readonly Review[]): RecallState | null {
  const card = cardAfter(reviews)
  return (
    card && {
      dueAt: card.due.toISOString(),
      stabilityDays: card.stability,
      difficulty: card.difficulty,
      reviews: card.reps,
    }
  )
}

function cardAfter(reviews: readonly Review[]): Card | null {
  let card: Card | null = null
  for (const { at, recall } of reviews) {
    const now = new Date(at)
    card = SCHEDULER.next(card ?? createEmptyCard(now), now, GRADES[recall]).card
  }
  return card
}

export const isDue = (state: RecallState | null, now: string): boolean => !state || state.dueAt <= now

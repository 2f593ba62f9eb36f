import type { Person } from '../repos/people'
import { closingProblem } from '../services/closing'
import type { Context } from '../services/context'
import { listExercises } from '../services/exercises'
import { showFirstSteps } from '../services/first-steps'
import { showFloor } from '../services/floor'
import { markingPile } from '../services/marking'
import { showNeeds } from '../services/needs'
import { listPeople } from '../services/people'
import { groupPicture } from '../services/picture'
import { showBank } from '../services/question-bank'
import { listRounds } from '../services/question-rounds'
import { groupRecord, listCohorts } from '../services/records'
import { listStores } from '../services/stores'
import { showVerification } from '../services/verification'

/** Screens that are made from many people's work: none of them changes anything. */
export const LOOKS = {
  asking: listRounds,
  closing: closingProblem,
  cohorts: listCohorts,
  exercises: listExercises,
  firstSteps: showFirstSteps,
  floor: showFloor,
  groupRecord,
  needs: showNeeds,
  people: listPeople,
  picture: groupPicture,
  pile: markingPile,
  questions: showBank,
  stores: listStores,
  verification: showVerification,
}
export type LookName = keyof typeof LOOKS

/** What a look takes besides who looks and when. */
export type More<N extends LookName> =
  Parameters<(typeof LOOKS)[N]> extends [Context, Person, ...infer R] ? R : never

/** A screen that somebody asks for. */
export interface Look {
  readonly name: LookName
  readonly actor: Person
  /** ISO 8601 UTC. */
  readonly now: string
  readonly more: readonly unknown[]
}

/** Makes a screen from what has been saved. Throws a `Problem` for whoever may not see it. */
export const makeLook = async ({ repos }: Pick<Context, 'repos'>, { name, actor, now, more }: Look) =>
  (LOOKS[name] as (context: Context, actor: Person, ...more: readonly unknown[]) => unknown)(
    { repos, now },
    actor,
    ...more,
  )

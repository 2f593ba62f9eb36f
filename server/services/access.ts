import type { Role } from '#core/exercise/roster'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { Problem } from './problem'

/** Everything that somebody may or may not do, in one table. Object-level rules stand below it. */
const ROLES_BY_ACTION = {
  'people.see': ['administrator', 'instructor', 'assessor'],
  'people.change': ['administrator'],
  'centre.see': ['administrator', 'instructor', 'assessor'],
  'centre.change': ['administrator'],
  'exercise.see': ['administrator', 'instructor', 'assessor', 'technician'],
  'exercise.change': ['instructor'],
  'floor.see': ['instructor', 'assessor'],
  'energise.permit': ['instructor', 'assessor'],
  'attempt.mark': ['instructor', 'assessor'],
  'records.see': ['instructor', 'assessor', 'administrator'],
  'results.export': ['instructor', 'assessor', 'administrator'],
  'stores.see': ['technician', 'instructor'],
  'instruments.see': ['administrator', 'instructor', 'assessor', 'technician', 'apprentice'],
  'instruments.keep': ['technician', 'instructor'],
  'paper.see': ['apprentice', 'instructor', 'assessor'],
  'work.own': ['apprentice'],
  'bay.use': ['apprentice', 'instructor', 'assessor'],
  'run.use': ['apprentice', 'instructor', 'assessor', 'technician'],
  'inspection.use': ['apprentice', 'instructor', 'assessor'],
  'hunt.practise': ['apprentice', 'instructor', 'assessor'],
  'hunt.set': ['instructor', 'assessor'],
  'isolation.practise': ['apprentice', 'instructor', 'assessor'],
  'isolation.observe': ['instructor', 'assessor'],
  'register.see': ['instructor', 'assessor'],
  'pin.choose': ['administrator', 'instructor', 'assessor', 'apprentice', 'technician'],
  'register.keep': ['instructor', 'assessor'],
} as const satisfies Record<string, readonly Role[]>

export type Action = keyof typeof ROLES_BY_ACTION

export const may = (actor: Person, action: Action): boolean =>
  (ROLES_BY_ACTION[action] as readonly Role[]).includes(actor.role)

/** Refuses unless the person's role allows the action. */
export function allow(actor: Person, action: Action): void {
  if (!may(actor, action)) throw new Problem('notAllowed')
}

/** The attempt, if it is the person's own; to anybody else it is not there. */
export function ownAttempt(actor: Person, attempt: Attempt | undefined): Attempt {
  allow(actor, 'work.own')
  if (!attempt || attempt.personId !== actor.id) throw new Problem('notFound')
  return attempt
}

export function found<T>(value: T | undefined): T {
  if (value === undefined) throw new Problem('notFound')
  return value
}

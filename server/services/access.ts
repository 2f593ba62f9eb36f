import type { Role } from '#core/exercise/roster'
import type { Attempt } from '../repos/attempts'
import type { Person } from '../repos/people'
import { Problem } from './problem'

/** Everything that somebody may or may not do, in one table. Object-level rules stand below it. */
const ROLES_BY_ACTION = {
  'people.see': ['administrator', 'instructor', 'assessor'],
  'people.change': ['administrator'],
  'staffScript.load': ['administrator', 'instructor', 'assessor', 'technician', 'verifier'],
  'sessions.keep': ['administrator'],
  'audit.see': ['administrator'],
  'backups.keep': ['administrator'],
  'centre.see': ['administrator', 'instructor', 'assessor', 'verifier'],
  'centre.change': ['administrator'],
  'exercise.see': ['administrator', 'instructor', 'assessor', 'technician', 'verifier'],
  'exercise.change': ['instructor'],
  'floor.see': ['instructor', 'assessor'],
  'energise.permit': ['instructor', 'assessor'],
  'attempt.mark': ['instructor', 'assessor'],
  /** A verifier looks at what was decided and changes nothing. */
  'attempt.see': ['instructor', 'assessor', 'verifier'],
  'firstSteps.see': ['administrator', 'instructor'],
  'cohorts.see': ['administrator', 'instructor', 'assessor', 'verifier'],
  'records.see': ['instructor', 'assessor', 'administrator', 'verifier'],
  'results.export': ['instructor', 'assessor', 'administrator', 'verifier'],
  'stores.see': ['technician', 'instructor'],
  'instruments.see': ['administrator', 'instructor', 'assessor', 'technician', 'apprentice'],
  'instruments.keep': ['technician', 'instructor'],
  'testRecord.see': ['apprentice', 'instructor', 'assessor', 'verifier'],
  'work.own': ['apprentice'],
  'bay.use': ['apprentice', 'instructor', 'assessor'],
  'run.use': ['apprentice', 'instructor', 'assessor', 'technician'],
  'inspection.use': ['apprentice', 'instructor', 'assessor'],
  'faultFinding.practise': ['apprentice', 'instructor', 'assessor'],
  'faultFinding.set': ['instructor', 'assessor'],
  'layout.see': ['apprentice', 'instructor', 'assessor'],
  'layout.set': ['instructor', 'assessor'],
  'question.ask': ['instructor', 'assessor'],
  /** The bank holds answers. */
  'question.see': ['instructor', 'assessor', 'verifier'],
  'question.change': ['instructor', 'assessor'],
  'question.rehearse': ['apprentice'],
  'book.see': ['administrator', 'instructor', 'assessor', 'apprentice', 'technician', 'verifier'],
  /** Holding values against the book, and what it says otherwise. */
  'book.keep': ['administrator', 'instructor', 'assessor'],
  'glossary.see': ['administrator', 'instructor', 'assessor', 'apprentice', 'technician', 'verifier'],
  'glossary.change': ['administrator', 'instructor'],
  'behaviour.see': ['instructor', 'assessor'],
  'account.write': ['apprentice'],
  'account.see': ['apprentice', 'instructor', 'assessor', 'verifier'],
  'session.see': ['instructor', 'assessor', 'technician', 'administrator'],
  'session.plan': ['instructor', 'assessor'],
  'dates.see': ['instructor', 'assessor', 'technician', 'administrator'],
  'dates.keep': ['instructor', 'assessor', 'technician', 'administrator'],
  'stock.keep': ['technician', 'instructor'],
  'group.see': ['instructor', 'assessor', 'verifier'],
  'lesson.keep': ['instructor', 'assessor'],
  'survey.write': ['apprentice', 'instructor', 'assessor'],
  'survey.set': ['instructor', 'assessor'],
  'verification.see': ['instructor', 'assessor', 'verifier', 'administrator'],
  'verification.judge': ['instructor', 'assessor'],
  'appeal.make': ['apprentice'],
  'appeal.answer': ['instructor', 'assessor'],
  'isolation.practise': ['apprentice', 'instructor', 'assessor'],
  'isolation.observe': ['instructor', 'assessor'],
  'register.see': ['instructor', 'assessor'],
  'pin.choose': ['administrator', 'instructor', 'assessor', 'apprentice', 'technician', 'verifier'],
  'register.keep': ['instructor', 'assessor'],
} as const satisfies Record<string, readonly Role[]>

export type Action = keyof typeof ROLES_BY_ACTION

export const may = (actor: Person, action: Action): boolean =>
  (ROLES_BY_ACTION[action] as readonly Role[]).includes(actor.role)

/** Refuses unless the person's role allows the action. */
export function allow(actor: Person, action: Action): void {
  if (!may(actor, action)) throw new Problem('notAllowed')
}

/**
 * Where the centre limits staff to their groups: is this one of them? The groups stand with the person; null is
 * everybody’s.
 */
export const seesGroup = (actor: Person, cohort: string): boolean =>
  actor.groups == null || actor.groups.includes(cohort)

/** Of whom a thing is, and of what else its rule depends on. */
export interface Belonging {
  /** Whose it is. */
  readonly ownerId: number
  /** The group of its owner, where it matters. */
  readonly cohort?: string | undefined
  /** Made by somebody of the staff: everybody may look. */
  readonly isOfStaff?: boolean
  /** Handed over to its owner. */
  readonly isReleased?: boolean
  /** It shows work of this person. */
  readonly showsWorkOf?: (personId: number) => boolean
}

type Rule = (actor: Person, thing: Belonging) => boolean
const isOwn: Rule = (actor, { ownerId }) => actor.id === ownerId
const inOwnGroup: Rule = (actor, { cohort }) => cohort === undefined || seesGroup(actor, cohort)
const marks: Rule = (actor, thing) => may(actor, 'attempt.mark') && inOwnGroup(actor, thing)
const looks: Rule = (actor, thing) => may(actor, 'attempt.see') && inOwnGroup(actor, thing)

/**
 * Who may open or change one thing, in one table; the action in front says which roles come as far. What
 * somebody may not open is not there for them.
 */
const OBJECT_RULES = {
  /** A sheet at work, and the bay of its task. */
  'work.open': ['work.own', isOwn],
  /** The records and the inspection of somebody's work. */
  'record.open': ['testRecord.see', (actor, thing) => isOwn(actor, thing) || looks(actor, thing)],
  'inspection.open': ['inspection.use', (actor, thing) => isOwn(actor, thing) || marks(actor, thing)],
  /** A round of the inspection trainer. */
  'round.open': ['inspection.use', isOwn],
  'photo.open': [
    'inspection.use',
    (actor, thing) => isOwn(actor, thing) || marks(actor, thing) || (thing.showsWorkOf?.(actor.id) ?? false),
  ],
  /** An account of work elsewhere: whoever wrote it, and those who mark or verify. */
  'account.open': ['account.see', (actor, thing) => isOwn(actor, thing) || looks(actor, thing)],
  'account.change': ['account.write', isOwn],
  /** A survey: whoever wrote it, and those who mark. */
  'survey.open': ['survey.write', (actor, thing) => isOwn(actor, thing) || marks(actor, thing)],
  'survey.change': ['survey.write', isOwn],
  'rehearsal.open': ['isolation.practise', isOwn],
  /** A fault-finding exercise: whoever looks for the fault, and those who set them. */
  'faultFinding.open': [
    'faultFinding.practise',
    (actor, thing) => isOwn(actor, thing) || (may(actor, 'faultFinding.set') && inOwnGroup(actor, thing)),
  ],
  'faultFinding.step': ['faultFinding.practise', isOwn],
  'run.open': [
    'run.use',
    (actor, thing) => isOwn(actor, thing) || marks(actor, thing) || thing.isOfStaff === true,
  ],
  'run.change': ['run.use', (actor, thing) => isOwn(actor, thing) || marks(actor, thing)],
  'measurement.open': [
    'run.use',
    (actor, thing) => marks(actor, thing) || (isOwn(actor, thing) && thing.isReleased === true),
  ],
} as const satisfies Record<string, readonly [Action, Rule]>

export type ObjectAction = keyof typeof OBJECT_RULES
export const OBJECT_ACTIONS = Object.keys(OBJECT_RULES) as readonly ObjectAction[]

/** May this person do this to this thing? */
export function mayWith(actor: Person, action: ObjectAction, thing: Belonging): boolean {
  const [role, rule] = OBJECT_RULES[action]
  return may(actor, role) && rule(actor, thing)
}

/**
 * The thing, if this person may do this to it; to anybody else it is not there. A role that never may is
 * refused as such.
 */
export function open<T>(
  actor: Person,
  action: ObjectAction,
  thing: T | undefined,
  belonging: (thing: T) => Belonging,
): T {
  const [role, rule] = OBJECT_RULES[action]
  allow(actor, role)
  if (thing === undefined || !rule(actor, belonging(thing))) throw new Problem('notFound')
  return thing
}

interface OfPerson {
  readonly personId: number
  readonly cohort?: string
}
const ofPerson = ({ personId, cohort }: OfPerson): Belonging => ({ ownerId: personId, cohort })
/** A thing of one person, by that person's rule. */
export const openOf = <T extends OfPerson>(actor: Person, action: ObjectAction, thing: T | undefined): T =>
  open(actor, action, thing, ofPerson)

/** The attempt, if it is the person's own; to anybody else it is not there. */
export const ownAttempt = (actor: Person, attempt: Attempt | undefined): Attempt =>
  openOf(actor, 'work.open', attempt)

/** The attempt, for staff who work with its group; to anybody else it is not there. */
export function attemptSeen(actor: Person, attempt: Attempt | undefined): Attempt {
  const seen = found(attempt)
  if (!seesGroup(actor, seen.cohort)) throw new Problem('notFound')
  return seen
}

export function found<T>(value: T | undefined): T {
  if (value === undefined) throw new Problem('notFound')
  return value
}

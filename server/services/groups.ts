import type { Person } from '../repos/people'
import { seesGroup } from './access'
import type { Context } from './context'

type Repos = Pick<Context['repos'], 'people'>

/** The group of an apprentice; undefined of staff, whose things belong to no group. */
export function groupOf({ people }: Repos, personId: number): string | undefined {
  const person = people.byId(personId)
  return person?.role === 'apprentice' ? person.cohort : undefined
}

/** Whose work this member of staff sees; one look at the register for a whole list. */
export function seenPeople({ people }: Repos, actor: Person): (id: number) => boolean {
  if (actor.groups == null) return () => true
  const hidden = new Set(
    people
      .all()
      .filter(({ role, cohort }) => role === 'apprentice' && !seesGroup(actor, cohort))
      .map(({ id }) => id),
  )
  return (id) => !hidden.has(id)
}

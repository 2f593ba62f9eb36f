import type { Person } from '../repos/people'
import { allow, found } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** The person, if the administrator may do this to them: nobody does it to themselves. */
function somebodyElse({ repos }: Context, actor: Person, id: number): Person {
  allow(actor, 'people.change')
  const person = found(repos.people.byId(id))
  if (person.id === actor.id) throw new Problem('notYourself')
  return person
}

/** Nobody can sign in as them any more, and they are set no new work. What they did stays. */
export function disablePerson(context: Context, actor: Person, id: number): void {
  const { repos, now } = context
  repos.transaction(() => {
    const person = somebodyElse(context, actor, id)
    repos.people.setDisabled(person.id, now)
    repos.sessions.endAll(person.id, now)
    repos.audit.add(now, actor.id, 'personDisabled', `person ${person.id}`)
  })
}

export function enablePerson(context: Context, actor: Person, id: number): void {
  const { repos, now } = context
  repos.transaction(() => {
    const person = somebodyElse(context, actor, id)
    if (repos.people.isErased(person.id)) throw new Problem('personErased')
    repos.people.setDisabled(person.id, null)
    repos.audit.add(now, actor.id, 'personEnabled', `person ${person.id}`)
  })
}

/** All that the centre holds of somebody, in one document. */
export function dataOfPerson({ repos, now }: Context, actor: Person, id: number) {
  allow(actor, 'people.change')
  const person = found(repos.people.byId(id))
  const tables = repos.personData.of(person.id)
  repos.audit.add(now, actor.id, 'dataGivenOut', `person ${person.id}`)
  return { format: 'nakshi.person', version: 1, at: now, number: person.number, tables }
}

/**
 * Takes name and number of somebody who is disabled out of the register; the number typed again confirms it.
 * Decisions, signed records and the audit stay, under “former”: the record of certification needs them.
 */
export function erasePerson(context: Context, actor: Person, id: number, confirm: string): void {
  const { repos, now } = context
  repos.transaction(() => {
    const person = somebodyElse(context, actor, id)
    if (!repos.people.isDisabled(person.id)) throw new Problem('disableFirst')
    if (confirm.trim().toLowerCase() !== person.number.toLowerCase())
      throw new Problem('bodyNotRight', {
        fields: [{ field: 'confirm', message: 'is not the number of this person.' }],
      })
    repos.people.erase(person.id, now)
    repos.audit.add(now, actor.id, 'personErased', `person ${person.id}`)
  })
}

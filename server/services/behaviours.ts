import { dayText } from '#words/day'
import type { BehaviourBody } from '#schemas/evidence-requests'
import type { PersonRecord } from '#schemas/evidence-views'
import type { Person } from '../repos/people'
import { allow, seesGroup } from './access'
import type { Context } from './context'
import { frameworkInForce } from './evidence'
import { Problem } from './problem'

/** Somebody of a group that the actor works with. */
function apprenticeSeen({ repos }: Context, actor: Person, id: number): Person {
  const person = repos.people.byId(id)
  if (person?.role !== 'apprentice' || !seesGroup(actor, person.cohort)) throw new Problem('notFound')
  return person
}

/** Puts down that a behaviour was seen: two taps at the bay. `id` takes it back. */
export function seeBehaviour(
  context: Context,
  actor: Person,
  personId: number,
  body: BehaviourBody,
): { readonly id: number } {
  allow(actor, 'behaviour.see')
  const { repos, now } = context
  const { behaviours } = frameworkInForce(context)
  if (!behaviours.some(({ code }) => code === body.behaviour))
    throw new Problem('bodyNotRight', {
      fields: [{ field: 'behaviour', message: 'is none of the framework in force' }],
    })
  return repos.transaction(() => {
    const person = apprenticeSeen(context, actor, personId)
    const id = repos.behaviours.add(
      { personId: person.id, behaviour: body.behaviour, note: body.note.trim(), at: now },
      actor.id,
      body.attemptId,
    )
    repos.audit.add(now, actor.id, 'behaviourSeen', `${body.behaviour}, person ${personId}`)
    return { id }
  })
}

/** Takes a tap back that was a mistake; what was put down stays with a trace. */
export function undoBehaviour(context: Context, actor: Person, id: number): void {
  allow(actor, 'behaviour.see')
  const { repos, now } = context
  repos.transaction(() => {
    const seen = repos.behaviours.byId(id)
    if (!seen) throw new Problem('notFound')
    apprenticeSeen(context, actor, seen.personId)
    repos.behaviours.undo(id, actor.id, now)
    repos.audit.add(now, actor.id, 'behaviourUndone', `${seen.behaviour}, person ${seen.personId}`)
  })
}

/** What a record may speak for, by words that a framework's behaviour may use. */
const SIGNS: readonly {
  readonly about: RegExp
  readonly find: (context: Context, person: Person) => string | null
}[] = [
  {
    about: /isolat/i,
    find: ({ repos }, { id }) => {
      const met = repos.observations.occasionsOf(id).filter((occasion) => occasion.met)
      return met.length > 0 ? `safe isolation observed on ${dayText(met[0]!.decidedAt.slice(0, 10))}` : null
    },
  },
  {
    about: /permission|energis|\basks?\b/i,
    find: ({ repos }, { id }) => {
      const bay = repos.behaviours.permittedAt(id)
      return bay === null ? null : `asked before energising bay ${bay}`
    },
  },
  {
    about: /tidy|clean|neat/i,
    find: ({ repos }, { id }) => {
      const bay = repos.behaviours.soundAt(id)
      return bay === null ? null : `nothing was found at the inspection of bay ${bay}`
    },
  },
]

/** Behaviours that the record speaks for and nobody has put down yet: never counted without a person. */
export function proposedFor(context: Context, person: Person): PersonRecord['proposed'] {
  const { behaviours } = frameworkInForce(context)
  const seen = new Set(context.repos.behaviours.ofPerson(person.id).map(({ behaviour }) => behaviour))
  return behaviours
    .filter(({ code }) => !seen.has(code))
    .flatMap(({ code, text }) => {
      const because = SIGNS.find(({ about }) => about.test(text))?.find(context, person) ?? null
      return because === null ? [] : [{ behaviour: code, because }]
    })
}

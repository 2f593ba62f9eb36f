import { fold, previewRoster, type RosterPreview } from '#core/exercise/roster'
import { readCsv, type CsvTable } from '#schemas/csv'
import { readOneRoster } from '#schemas/oneroster/read'
import type { SignInSlip } from '#schemas/views'
import type { Person } from '../repos/people'
import { allow, found, seesGroup } from './access'
import { goOn, type Context } from './context'
import { hashOneTime, MOST_AT_ONCE, oneTimePassword } from './passwords'
import { Problem } from './problem'

const HEADING_NAMES = { number: 'number', name: 'name', group: 'cohort', role: 'role' } as const
const REQUIRED = ['number', 'name', 'group']

export function listPeople({ repos }: Context, actor: Person): Person[] {
  allow(actor, 'people.see')
  const groups = repos.people.allGroups()
  return repos.people
    .all()
    .filter(({ role, cohort }) => role !== 'apprentice' || seesGroup(actor, cohort))
    .map(({ passwordHash: _hash, sessionEpoch: _epoch, ...person }) =>
      person.role === 'apprentice' ? person : { ...person, groups: groups.get(person.id) ?? [] },
    )
}

/** Names the groups that somebody of the staff works with; it counts where the centre limits staff to their own. */
export function setGroups(
  { repos, now }: Context,
  actor: Person,
  id: number,
  cohorts: readonly string[],
): void {
  allow(actor, 'people.change')
  repos.transaction(() => {
    const person = found(repos.people.byId(id))
    if (person.role === 'apprentice') throw new Problem('notFound')
    const known = new Map(repos.people.all().map(({ cohort }) => [fold(cohort), cohort]))
    const strange = cohorts.filter((cohort) => !known.has(fold(cohort)))
    if (strange.length > 0)
      throw new Problem('bodyNotRight', {
        fields: strange.map((cohort) => ({ field: cohort, message: 'is no group here.' })),
      })
    repos.people.setGroups(
      person.id,
      cohorts.map((cohort) => known.get(fold(cohort))!),
    )
    repos.audit.add(now, actor.id, 'groupsSet', `person ${person.id}: ${cohorts.join(', ') || 'none'}`)
  })
}

/** What the file would bring, without bringing it. */
export function previewRosterFile({ repos }: Context, actor: Person, file: Uint8Array): RosterPreview {
  allow(actor, 'people.change')
  const existing = new Set(repos.people.all().map((person) => fold(person.number)))
  const rows = isZip(file) ? packageRows(file) : tableRows(file)
  if (rows.length === 0) throw new Problem('rosterEmpty')
  return previewRoster(rows, existing)
}

const isZip = (file: Uint8Array): boolean => file[0] === 0x50 && file[1] === 0x4b

function packageRows(file: Uint8Array) {
  const read = readOneRoster(file)
  if (!read.ok) throw new Problem('rosterPackage', { fields: [{ field: 'file', message: read.reason }] })
  return read.people
}

const tableRows = (file: Uint8Array) =>
  readTable(file).rows.map(({ line, cells }) => {
    const row = { line, number: '', name: '', role: '', cohort: '' }
    for (const [heading, field] of Object.entries(HEADING_NAMES)) row[field] = cells[heading] ?? ''
    return row
  })

/** Imports the whole file or nothing; tells how many first passwords are made, which is what takes its time. */
export async function importRoster(
  context: Context,
  actor: Person,
  file: Uint8Array,
  tell: (progress: { readonly done: number; readonly of: number }) => void = () => {},
): Promise<SignInSlip[]> {
  const preview = previewRosterFile(context, actor, file)
  if (preview.bad.length > 0) throw new Problem('rosterHasBadRows', { extra: { preview } })
  const slips = await withFirstPasswords(context, preview.good, tell)
  const { repos, now } = context
  repos.transaction(() => {
    // Another import may have come between: the file is looked at again, and nothing of it is half brought in.
    const again = previewRosterFile(context, actor, file)
    if (again.bad.length > 0) throw new Problem('rosterHasBadRows', { extra: { preview: again } })
    for (const { person, hash } of slips) repos.people.insert(person, hash, true, now)
    repos.audit.add(now, actor.id, 'rosterImported', `${slips.length} people`)
  })
  return slips.map(({ person, password }) => ({
    number: person.number,
    name: person.name,
    cohort: person.cohort,
    password,
  }))
}

/** One after the other for each place that hashes: whoever signs in meanwhile waits for one of them, not for all. */
async function withFirstPasswords<P>(
  context: Context,
  people: readonly P[],
  tell: (progress: { readonly done: number; readonly of: number }) => void,
) {
  const slips: { readonly person: P; readonly password: string; readonly hash: string }[] = []
  const waiting = people.entries()
  let done = 0
  async function makeOn(): Promise<void> {
    for (const [i, person] of waiting) {
      goOn(context)
      const password = oneTimePassword()
      slips[i] = { person, password, hash: await hashOneTime(password) }
      tell({ done: (done += 1), of: people.length })
    }
  }
  await Promise.all(Array.from({ length: MOST_AT_ONCE }, makeOn))
  goOn(context)
  return slips
}

/** A new one-time password for somebody who has lost theirs; ends their sessions. */
export async function resetPassword(
  { repos, now }: Context,
  actor: Person,
  personId: number,
): Promise<SignInSlip> {
  allow(actor, 'people.change')
  found(repos.people.byId(personId))
  const password = oneTimePassword()
  const hash = await hashOneTime(password)
  return repos.transaction(() => {
    // Whoever has been erased meanwhile gets none.
    const person = found(repos.people.byId(personId))
    if (repos.people.isErased(person.id)) throw new Problem('personErased')
    repos.people.setPassword(person.id, hash, true)
    repos.audit.add(now, actor.id, 'passwordReset', `person ${person.id}`)
    return { number: person.number, name: person.name, cohort: person.cohort, password }
  })
}

function readTable(file: Uint8Array): CsvTable {
  let text: string
  try {
    text = new TextDecoder('utf-8', { fatal: true }).decode(file)
  } catch {
    throw new Problem('rosterEncoding')
  }
  let table: CsvTable
  try {
    table = readCsv(text)
  } catch {
    throw new Problem('rosterNotCsv')
  }
  if (REQUIRED.some((name) => !table.heading.includes(name))) throw new Problem('rosterHeading')
  return table
}

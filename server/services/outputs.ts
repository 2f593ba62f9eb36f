import { createHash } from 'node:crypto'
import { strToU8, zipSync } from 'fflate'
import { writeCsv } from '#schemas/csv'
import { writeOneRoster } from '#schemas/oneroster/write'
import { xapiStatements } from '#schemas/xapi'
import { unitGapSays, unitStanding } from '#words/evidence/gap'
import { KIND_TEXT } from '#words/evidence/labels'
import type { Person } from '../repos/people'
import { allow, seesGroup } from './access'
import type { Context } from './context'
import { frameworkInForce, occasionsOf, occasionsOfGroup } from './evidence'
import { Problem } from './problem'
import { groupRecord, personRecord } from './records'

interface Download {
  readonly name: string
  readonly type: string
  readonly content: Uint8Array | string
}
const ZIP = 'application/zip'
const fileName = (text: string): string => text.replace(/[^\w.-]+/g, '-')

function personSeen({ repos }: Context, actor: Person, id: number): Person {
  allow(actor, 'results.export')
  const person = repos.people.byId(id)
  if (person?.role !== 'apprentice' || !seesGroup(actor, person.cohort)) throw new Problem('notFound')
  return person
}

/** One person’s occasions as xAPI statements; `home` is the address of this centre. */
export function personStatements(context: Context, actor: Person, id: number, home: string) {
  const person = personSeen(context, actor, id)
  return xapiStatements(home, frameworkInForce(context), person, occasionsOf(context, id))
}

/**
 * Everything of one person that a portfolio needs, in one file: record as a page to print and as data, accounts with
 * what was decided, photographs and pages under the hash that names them, statements, and the head of the seal.
 */
export function personArchive(context: Context, actor: Person, id: number, home: string): Download {
  const person = personSeen(context, actor, id)
  const { repos, now } = context
  const record = personRecord(context, actor, id, { isWhole: true })
  const accounts = repos.accounts
    .ofPerson(id)
    .map((account) => ({
      ...account,
      handIns: repos.accounts.handIns(account.id),
      decisions: repos.accounts.decisions(account.id),
      discussions: repos.discussions.ofAccount(account.id),
      witnesses: repos.accounts.witnesses(account.id),
    }))
  const json = (value: unknown) => strToU8(`${JSON.stringify(value, null, 2)}\n`)
  const files: Record<string, Uint8Array> = {
    'record.json': json({ format: 'nakshi.record', version: 1, at: now, seal: repos.seal.head(), ...record }),
    'record.html': strToU8(recordPage(record, now, repos.seal.head())),
    'accounts.json': json(accounts),
    'statements.xapi.json': json(personStatements(context, actor, id, home)),
    ...filesOf(context, accounts),
  }
  const hashes = Object.keys(files)
    .sort()
    .map((name) => `${createHash('sha256').update(files[name]!).digest('hex')}  ${name}`)
  files['sha256.txt'] = strToU8(`${hashes.join('\n')}\n`)
  files['read-me.txt'] = strToU8(
    `Record of ${person.name}, ${person.number}, made ${now}.\nHead of the seal: ${repos.seal.head()}\n` +
      'sha256.txt holds a hash of each file: sha256sum -c sha256.txt\n',
  )
  repos.audit.add(now, actor.id, 'archiveGivenOut', `person ${id}`)
  return { name: `${fileName(person.number)}-record.zip`, type: ZIP, content: zipSync(files) }
}

/** Photographs and pages that the accounts name. */
function filesOf(
  { repos }: Context,
  accounts: readonly { readonly handIns: readonly { readonly fields: Readonly<Record<string, string>> }[] }[],
): Record<string, Uint8Array> {
  const names = accounts.flatMap(({ handIns }) => handIns.flatMap(({ fields }) => Object.keys(fields)))
  const of = (prefix: string) => [
    ...new Set(names.filter((name) => name.startsWith(prefix)).map((name) => name.slice(prefix.length))),
  ]
  const photos = of('photo.').flatMap((hash) => {
    const photo = repos.inspections.photo(hash)
    return photo ? [[`photographs/${hash}.jpg`, new Uint8Array(photo.bytes)] as const] : []
  })
  const pages = of('page.').flatMap((hash) => {
    const page = repos.accounts.page(hash)
    return page ? [[`pages/${hash}.pdf`, new Uint8Array(page.bytes)] as const] : []
  })
  return Object.fromEntries([...photos, ...pages])
}

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
const x = (text: string): string => text.replace(/[&<>"]/g, (sign) => ESCAPES[sign]!)

/** The record as one page that prints on A4 by itself. */
function recordPage(
  { person, units, behaviours }: ReturnType<typeof personRecord>,
  now: string,
  seal: string,
): string {
  const sections = units.map(({ gap, coverage }) => {
    const open = unitGapSays(gap, behaviours).map((says) => `<li>${x(says)}</li>`)
    const rows = coverage.flatMap(({ criterion, occasions }) =>
      occasions.map(
        ({ met, exerciseTitle, decidedAt, decidedBy, kinds }) =>
          `<tr><td>${x(criterion.code)}</td><td>${x(criterion.text)}</td><td>${met ? 'met' : 'not yet'}</td><td>${x(exerciseTitle)}</td><td>${x(kinds.map((kind) => KIND_TEXT[kind]).join(', '))}</td><td>${decidedAt.slice(0, 10)}</td><td>${x(decidedBy)}</td></tr>`,
      ),
    )
    return `<h2>${x(unitStanding(gap))}</h2><ul>${open.join('')}</ul><table><thead><tr><th>Criterion</th><th></th><th></th><th>Job</th><th>Kind</th><th>Day</th><th>By</th></tr></thead><tbody>${rows.join('')}</tbody></table>`
  })
  return `<!doctype html><html lang="en-GB"><meta charset="utf-8"><title>Record of ${x(person.name)}</title>
<style>@page{size:A4;margin:16mm}body{font:11pt/1.4 sans-serif}table{border-collapse:collapse;width:100%;font-size:9.5pt}td,th{border-bottom:1px solid #999;padding:3px 5px;text-align:left;vertical-align:top}tr{break-inside:avoid}</style>
<h1>${x(person.name)}, ${x(person.number)}</h1><p>${x(person.cohort)} · ${now.slice(0, 10)}</p>${sections.join('')}
<p>Training record, not a certificate for an installation in service. Head of the seal: ${seal}</p></html>`
}

/** One unit of a group as a table: each person against each criterion, and what is missing in words. */
export function unitReport(context: Context, actor: Person, cohort: string, unitCode: string): Download {
  allow(actor, 'results.export')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const framework = frameworkInForce(context)
  const unit = framework.units.find(({ code }) => code === unitCode)
  if (!unit) throw new Problem('notFound')
  const codes = new Set(unit.criteria.map(({ code }) => code))
  const rows = groupRecord(context, actor, cohort).people.map(({ number, name, coverage, units }) => {
    const { steps, closesAt, says } = units.find(({ code }) => code === unitCode)!
    const shown = coverage.filter(({ criterion }) => codes.has(criterion.code))
    const counts = shown.map(({ met, wanted }) => `${met} of ${wanted}`)
    return [number, name, ...counts, steps, closesAt?.slice(0, 10) ?? '', says.join(' ')]
  })
  const heading = [
    'number',
    'name',
    ...unit.criteria.map(({ code }) => code),
    'missing',
    'closes',
    'in_words',
  ]
  return {
    name: `${fileName(cohort)}-${fileName(unitCode)}.csv`,
    type: 'text/csv; charset=utf-8',
    content: writeCsv(heading, rows),
  }
}

/** The statements of a whole group. */
export function groupStatements(context: Context, actor: Person, cohort: string, home: string): Download {
  allow(actor, 'results.export')
  if (!seesGroup(actor, cohort)) throw new Problem('notFound')
  const framework = frameworkInForce(context)
  const occasions = occasionsOfGroup(context, cohort)
  const statements = context.repos.people
    .inCohort(cohort)
    .flatMap((person) => xapiStatements(home, framework, person, occasions.get(person.id) ?? []))
  return {
    name: `${fileName(cohort)}-xapi.json`,
    type: 'application/json',
    content: `${JSON.stringify(statements, null, 2)}\n`,
  }
}

/** People and results of the groups that somebody sees, as a OneRoster package. */
export function oneRoster(context: Context, actor: Person, centre: string): Download {
  allow(actor, 'results.export')
  const { repos, now } = context
  const year = Number(now.slice(0, 4)) - (now.slice(5, 7) < '09' ? 1 : 0)
  const people = repos.people
    .all()
    .filter(({ role, cohort }) => role !== 'apprentice' || seesGroup(actor, cohort))
  const results = repos.secondMarkings
    .decisionsSince('')
    .filter(({ cohort }) => seesGroup(actor, cohort))
    .map(({ personNumber, cohort, exerciseCode, exerciseTitle, mark, outOf, met, at }) => ({
      number: personNumber,
      cohort,
      exercise: exerciseCode,
      title: exerciseTitle,
      mark,
      outOf,
      met,
      decidedAt: at,
    }))
  return {
    name: 'oneroster.zip',
    type: ZIP,
    content: writeOneRoster({
      centre,
      people: people.map(({ number, name, role, cohort }) => ({ number, name, role, cohort })),
      results,
      year: { from: `${year}-09-01`, to: `${year + 1}-08-31` },
    }),
  }
}

import { Type, type Static } from '@sinclair/typebox'
import { readCsv, writeCsv } from './csv'

export const GlossaryFileRequest = Type.Object(
  { name: Type.String({ maxLength: 200 }), content: Type.String({ maxLength: 1_000_000 }) },
  { additionalProperties: false },
)
export type GlossaryFileBody = Static<typeof GlossaryFileRequest>

/** A column of another language: `pl Polski`; `pl Polski (to be checked)` before a speaker has looked. */
export interface LanguageColumn {
  readonly code: string
  readonly name: string
  readonly isChecked: boolean
  /** By the key of the term. */
  readonly texts: Readonly<Record<string, string>>
}
export interface TermRow {
  readonly key: string
  readonly term: string
  readonly says: string
}
const OWN = ['key', 'term', 'meaning'] as const
const UNCHECKED = ' (to be checked)'
const HEADING = /^([a-z]{2,3}(?:-[A-Za-z0-9]{2,8})?) (.{1,40}?)( \(to be checked\))?$/

/** Terms down, languages across. */
export const writeGlossary = (terms: readonly TermRow[], languages: readonly LanguageColumn[]): string =>
  writeCsv(
    [...OWN, ...languages.map(({ code, name, isChecked }) => `${code} ${name}${isChecked ? '' : UNCHECKED}`)],
    terms.map(({ key, term, says }) => [key, term, says, ...languages.map(({ texts }) => texts[key] ?? '')]),
  )

export type GlossaryRead =
  | { readonly ok: true; readonly languages: readonly LanguageColumn[]; readonly unknown: readonly string[] }
  | { readonly ok: false; readonly reason: string }

/** Reads the columns of languages; terms and meanings of the file change nothing. */
export function readGlossary(text: string, keys: ReadonlySet<string>): GlossaryRead {
  let table: ReturnType<typeof readCsv>
  try {
    table = readCsv(text)
  } catch {
    return { ok: false, reason: 'a quotation mark stays open, or a row is longer than the heading' }
  }
  if (!table.heading.includes('key')) return { ok: false, reason: 'there is no column “key”' }
  const columns = table.titles.filter((title) => !(OWN as readonly string[]).includes(title.toLowerCase()))
  const named = columns.map((title) => ({ title, parts: HEADING.exec(title) }))
  const odd = named.find(({ parts }) => !parts)
  if (odd)
    return {
      ok: false,
      reason: `the column “${odd.title}” names no language; write its code and name, as in “pl Polski”`,
    }
  return {
    ok: true,
    unknown: table.rows.map(({ cells }) => cells.key ?? '').filter((key) => key !== '' && !keys.has(key)),
    languages: named.map(({ title, parts }) => ({
      code: parts![1]!,
      name: parts![2]!,
      isChecked: !parts![3],
      texts: Object.fromEntries(
        table.rows
          .filter(({ cells }) => keys.has(cells.key ?? ''))
          .map(({ cells }) => [cells.key!, (cells[title.toLowerCase()] ?? '').trim().slice(0, 200)]),
      ),
    })),
  }
}

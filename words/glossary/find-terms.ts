import { GLOSSARY } from './index'

/** A piece of a text: words, or a term with its key. */
export interface TextPart {
  readonly text: string
  /** Null for plain words. */
  readonly term: string | null
}

/** Words that everybody uses, in other meanings too; a dot under each would hide the text. */
const EVERYDAY = new Set(
  `bay blank box core earth fill fuse insulator it ka leads leg level line live load loop na ohm outcome parallel permission
  phase point pole prompt resistance rotation schedule series set signature terminal test-button volt watt way zone a v w`.split(
    /\s+/,
  ),
)

const PATTERNS = GLOSSARY.flatMap(({ key, term, short }) =>
  EVERYDAY.has(key)
    ? []
    : [term, ...short.split(',').map((part) => part.trim())]
        .filter((words) => words.length > 1 && !EVERYDAY.has(words.toLowerCase()))
        .map((words) => ({ key, words })),
).sort((a, b) => b.words.length - a.words.length)

const isAbbreviation = (words: string): boolean => words !== words.toLowerCase()
const KEY_OF = new Map(
  [...PATTERNS].reverse().map(({ key, words }) => [isAbbreviation(words) ? words : words.toLowerCase(), key]),
)
const escaped = (words: string): string => words.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&')
let finder: RegExp | null = null
/** Made when it is first asked for: a page that shows no text needs none of it. */
const findWords = (): RegExp =>
  (finder ??= new RegExp(
    `(?<![\\p{L}\\p{N}])(${PATTERNS.map(({ words }) => escaped(words)).join('|')})s?(?![\\p{L}\\p{N}])`,
    'giu',
  ))

/** The text in pieces, each term at its first place; what is no term stands as it is. */
export function termsIn(text: string): TextPart[] {
  const parts: TextPart[] = []
  const seen = new Set<string>()
  let from = 0
  for (const match of text.matchAll(findWords())) {
    const key = KEY_OF.get(match[1]!) ?? KEY_OF.get(match[1]!.toLowerCase())
    if (key === undefined || seen.has(key)) continue
    seen.add(key)
    if (match.index > from) parts.push({ text: text.slice(from, match.index), term: null })
    parts.push({ text: match[0], term: key })
    from = match.index + match[0].length
  }
  if (from < text.length) parts.push({ text: text.slice(from), term: null })
  return parts
}

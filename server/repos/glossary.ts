import type { Database } from 'better-sqlite3'

export interface GlossaryLanguage {
  /** As of BCP 47: `pl`, `ur`. */
  readonly code: string
  readonly name: string
  /** Checked by a speaker. */
  readonly isChecked: boolean
}
export interface GlossaryText {
  readonly language: string
  readonly term: string
  readonly text: string
}

export function createGlossaryRepo(db: Database) {
  const languages = db.prepare<[], { code: string; name: string; is_checked: number }>(
    'SELECT code, name, is_checked FROM glossary_language ORDER BY name',
  )
  const put = db.prepare(
    'INSERT INTO glossary_language (code, name, is_checked) VALUES (?, ?, ?) ON CONFLICT (code) DO UPDATE SET name = excluded.name, is_checked = excluded.is_checked',
  )
  const texts = db.prepare<[string], GlossaryText>(
    'SELECT language, term, text FROM glossary_text WHERE language = ?',
  )
  const every = db.prepare<[], GlossaryText>('SELECT language, term, text FROM glossary_text')
  const putText = db.prepare(
    'INSERT INTO glossary_text (language, term, text) VALUES (?, ?, ?) ON CONFLICT (language, term) DO UPDATE SET text = excluded.text',
  )
  const remove = db.prepare('DELETE FROM glossary_text WHERE language = ? AND term = ?')

  return {
    languages: (): GlossaryLanguage[] =>
      languages
        .all()
        .map(({ code, name, is_checked: checked }) => ({ code, name, isChecked: checked === 1 })),
    putLanguage: ({ code, name, isChecked }: GlossaryLanguage) => void put.run(code, name, isChecked ? 1 : 0),
    textsIn: (language: string): GlossaryText[] => texts.all(language),
    all: (): GlossaryText[] => every.all(),
    /** An empty text takes the term out of this language. */
    put: ({ language, term, text }: GlossaryText) =>
      void (text === '' ? remove.run(language, term) : putText.run(language, term, text)),
  }
}

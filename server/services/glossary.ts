import {
  readGlossary,
  writeGlossary,
  type GlossaryFileBody,
  type LanguageColumn,
} from '#schemas/glossary-csv'
import type { GlossaryView } from '#schemas/glossary-views'
import { GLOSSARY, GLOSSARY_BY_KEY } from '#words/glossary/index'
import { SAMPLE_LANGUAGES } from '#words/glossary/samples'
import type { Person } from '../repos/people'
import { allow } from './access'
import type { Context } from './context'
import { Problem } from './problem'

/** The centre's languages; before it has any, two samples that nobody has checked. */
function columnsOf({ repos }: Pick<Context, 'repos'>): LanguageColumn[] {
  const languages = repos.glossary.languages()
  if (languages.length === 0)
    return SAMPLE_LANGUAGES.map((sample) => ({ ...sample, isChecked: false })).sort((a, b) =>
      a.name < b.name ? -1 : 1,
    )
  const texts = repos.glossary.all()
  return languages.map((language) => ({
    ...language,
    texts: Object.fromEntries(
      texts.filter((text) => text.language === language.code).map(({ term, text }) => [term, text]),
    ),
  }))
}

/** Every term; with its word in another language where one is asked for. */
export function showGlossary(context: Context, actor: Person, language: string): GlossaryView {
  allow(actor, 'glossary.see')
  const columns = columnsOf(context)
  const chosen = columns.find(({ code }) => code === language)
  return {
    languages: columns.map(({ code, name, isChecked }) => ({ code, name, isChecked })),
    texts: chosen?.texts ?? {},
  }
}

export function exportGlossary(context: Context, actor: Person): string {
  allow(actor, 'glossary.see')
  return writeGlossary(GLOSSARY, columnsOf(context))
}

/** Takes columns of languages in; a term that is not known is named. */
export function importGlossary(context: Context, actor: Person, { name, content }: GlossaryFileBody) {
  allow(actor, 'glossary.change')
  const read = readGlossary(content, new Set(GLOSSARY_BY_KEY.keys()))
  if (!read.ok) throw new Problem('glossaryFileWrong', { fields: [{ field: name, message: read.reason }] })
  const { repos, now } = context
  repos.transaction(() => {
    for (const language of read.languages) {
      repos.glossary.putLanguage(language)
      for (const [term, text] of Object.entries(language.texts))
        repos.glossary.put({ language: language.code, term, text })
    }
    repos.audit.add(now, actor.id, 'glossaryImported', read.languages.map(({ code }) => code).join(', '))
  })
  return { languages: read.languages.length, unknown: read.unknown }
}

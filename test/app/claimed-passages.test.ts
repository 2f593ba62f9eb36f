/* Passages of an account that are claimed, underlaid where their words stand, across paragraphs and marks. */
import { getSchema } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { EditorState, type Plugin } from '@tiptap/pm/state'
import type { DecorationSet } from '@tiptap/pm/view'
import StarterKit from '@tiptap/starter-kit'
import { describe, expect, it } from 'vitest'
import { documentText } from '#core/assessment/portfolio/document-text'
import { claimedPassages } from '~/utils/claimed-passages'

const schema = getSchema([StarterKit])
const text = (words: string, bold = false) => schema.text(words, bold ? [schema.mark('bold')] : [])
const paragraph = (...parts: Node[]) => schema.node('paragraph', null, parts)
const DOC = schema.node('doc', null, [
  paragraph(text('I isolated the board, '), text('locked it off', true), text(' and proved it dead.')),
  paragraph(text('Then I measured R1 + R2.')),
])

/** What is underlaid, as it reads in the document. */
function underlaid(...quotes: string[]): string[] {
  const make = claimedPassages(() => quotes).config.addProseMirrorPlugins as () => Plugin[]
  const [plugin] = make.call(undefined as never)
  const state = EditorState.create({ doc: DOC, plugins: [plugin!] })
  const marks = (plugin!.props.decorations as (this: Plugin, state: EditorState) => DecorationSet).call(
    plugin!,
    state,
  )
  return marks.find().map(({ from, to }) => DOC.textBetween(from, to, ' '))
}

describe('a claim', () => {
  it.each([
    ['inside one run of words', 'proved it dead'],
    ['over words that are set in bold', 'the board, locked it off and'],
    ['from one paragraph into the next', 'proved it dead. Then I measured'],
    ['of everything', 'I isolated the board, locked it off and proved it dead. Then I measured R1 + R2.'],
  ])('%s underlays just those', (_, quote) => expect(underlaid(quote)).toEqual([quote]))
  it('reads a passage as the account’s own text does', () => {
    const whole = documentText(JSON.stringify(DOC.toJSON())).replaceAll('\n', ' ')
    expect(underlaid(whole)).toEqual([whole])
  })
  it('whose words are gone, or that has none, underlays nothing', () =>
    expect(underlaid('proved it live', '')).toEqual([]))
  it('beside another that overlaps it keeps its own place', () =>
    expect(underlaid('locked it off and proved', 'proved it dead').sort()).toEqual([
      'locked it off and proved',
      'proved it dead',
    ]))
})

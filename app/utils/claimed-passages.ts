import { Extension } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { Plugin } from '@tiptap/pm/state'
import { Decoration, DecorationSet } from '@tiptap/pm/view'

/** Words of the document with their places, a space between blocks. */
function placesOf(doc: Node): { readonly text: string; readonly at: readonly number[] } {
  let text = ''
  const at: number[] = []
  doc.descendants((node, pos) => {
    if (node.isTextblock && text !== '' && !text.endsWith(' ')) {
      text += ' '
      at.push(pos)
    }
    if (!node.isText) return
    for (let i = 0; i < node.text!.length; i += 1) {
      text += node.text![i]
      at.push(pos + i)
    }
  })
  return { text, at }
}

/** Underlays the passages that are claimed; a claim whose words are gone marks nothing. */
export const claimedPassages = (quotes: () => readonly string[]): Extension =>
  Extension.create({
    name: 'claimedPassages',
    addProseMirrorPlugins: () => [
      new Plugin({
        props: {
          decorations({ doc }) {
            const { text, at } = placesOf(doc)
            const marks = quotes().flatMap((quote) => {
              const start = quote === '' ? -1 : text.indexOf(quote)
              return start < 0
                ? []
                : [Decoration.inline(at[start]!, at[start + quote.length - 1]! + 1, { class: 'claimed' })]
            })
            return DecorationSet.create(doc, marks)
          },
        },
      }),
    ],
  })

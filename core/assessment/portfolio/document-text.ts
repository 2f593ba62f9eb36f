/** A node of a rich-text document as the editor writes it. */
interface Node {
  readonly type?: string
  readonly text?: string
  readonly content?: readonly Node[]
}

const BLOCKS = new Set(['paragraph', 'heading', 'listItem', 'blockquote', 'hardBreak'])

/** The plain words of a rich-text document, a line for each paragraph; text that is no document is its own words. */
export function documentText(text: string): string {
  const node = parsed(text)
  if (node === undefined) return text
  return wordsOf(node)
    .split('\n')
    .map((line) => line.trim())
    .filter(Boolean)
    .join('\n')
}

const wordsOf = ({ type = '', text = '', content = [] }: Node): string =>
  text + (Array.isArray(content) ? content.map(wordsOf).join('') : '') + (BLOCKS.has(type) ? '\n' : '')

function parsed(text: string): Node | undefined {
  if (!text.startsWith('{')) return undefined
  try {
    return JSON.parse(text) as Node
  } catch {
    return undefined
  }
}

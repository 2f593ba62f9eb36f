import { XMLParser } from 'fast-xml-parser'

/** An element or a text, in the order of the document. */
export type Node = Readonly<Record<string, unknown>>
const ATTRIBUTES = ':@'
const parser = new XMLParser({
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  parseTagValue: false,
  parseAttributeValue: false,
  trimValues: false,
  removeNSPrefix: true,
})

/** The elements of a document; undefined where it is none, or declares entities of its own. */
export function parseXml(text: string): readonly Node[] | undefined {
  if (/<!(DOCTYPE|ENTITY)/i.test(text)) return undefined
  try {
    return parser.parse(text) as readonly Node[]
  } catch {
    return undefined
  }
}

export const tagOf = (node: Node): string => Object.keys(node).find((key) => key !== ATTRIBUTES) ?? ''
export const childrenOf = (node: Node): readonly Node[] => {
  const inside = node[tagOf(node)]
  return Array.isArray(inside) ? (inside as readonly Node[]) : []
}
export const attribute = (node: Node, name: string): string =>
  String((node[ATTRIBUTES] as Readonly<Record<string, unknown>> | undefined)?.[name] ?? '')

/** All elements of this name, at any depth. */
export function findAll(nodes: readonly Node[], tag: string): Node[] {
  return nodes.flatMap((node) => [...(tagOf(node) === tag ? [node] : []), ...findAll(childrenOf(node), tag)])
}

/** The text inside, tags left out and spaces made one. */
export function textOf(node: Node): string {
  return rawText(node).replace(/\s+/g, ' ').trim()
}
const rawText = (node: Node): string =>
  tagOf(node) === '#text' ? String(node['#text']) : childrenOf(node).map(rawText).join('')
/** The text as it stands, with its line breaks. */
export const exactText = (node: Node): string => rawText(node)

import { strFromU8, unzipSync } from 'fflate'
import type { DrawingCode } from '#core/questions/drawings'
import { DRAWING_CODES } from '#core/questions/drawings'
import type { Expected, Question, Verdict } from '#core/questions/question'
import { VERDICTS } from '#core/questions/question'
import { MOMENTS, TOPICS, type Moment, type Topic } from '#core/questions/topics'
import { EDITIONS, type Edition } from '#core/regulations/editions'
import { attribute, exactText, findAll, parseXml, tagOf, textOf, type Node } from './xml'

export interface QtiRead {
  readonly questions: readonly Question[]
  /** In words, one for each item that is left. */
  readonly left: readonly string[]
}

const MOST_FILES = 3000
const MOST_BYTES = 30_000_000
const SUFFIX = '-interaction'
const KNOWN = ['choice', 'text-entry', 'order', 'hotspot', 'extended-text'] as const
type Interaction = (typeof KNOWN)[number]

/** The questions of a QTI 3 package; undefined where it is no such package. */
export function readQti(bytes: Uint8Array): QtiRead | undefined {
  const files = unzip(bytes)
  const manifest = files?.['imsmanifest.xml'] && parseXml(strFromU8(files['imsmanifest.xml']))
  if (!files || !manifest) return undefined
  const items = findAll(manifest, 'resource').filter((node) =>
    attribute(node, 'type').startsWith('imsqti_item_xmlv'),
  )
  const read = items.map((node): ItemRead => {
    const href = decoded(attribute(node, 'href'))
    const isThree = attribute(node, 'type').startsWith('imsqti_item_xmlv3')
    return isThree ? readItem(href, files) : { left: `${href}: it is of an older QTI; save it as QTI 3` }
  })
  return {
    questions: read.flatMap((item) => ('question' in item ? [item.question] : [])),
    left: read.flatMap((item) => ('left' in item ? [item.left] : [])),
  }
}

function decoded(href: string): string {
  try {
    return decodeURIComponent(href)
  } catch {
    return href
  }
}

/** The files of a package, or nothing where it is none or would become too large. */
function unzip(bytes: Uint8Array): Record<string, Uint8Array> | undefined {
  let [count, size] = [0, 0]
  try {
    const files = unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        count += 1
        size += originalSize
        return count <= MOST_FILES && size <= MOST_BYTES && name.endsWith('.xml')
      },
    })
    return count > MOST_FILES || size > MOST_BYTES ? undefined : files
  } catch {
    return undefined
  }
}

type ItemRead = { readonly question: Question } | { readonly left: string }

function readItem(href: string, files: Readonly<Record<string, Uint8Array>>): ItemRead {
  const file = files[href]
  const nodes = file && parseXml(strFromU8(file))
  const [item] = nodes ? findAll(nodes, 'qti-assessment-item') : []
  if (!item) return { left: `${href}: no item can be read there` }
  const interactions = findInteractions([item])
  const [interaction] = interactions
  if (!interaction) return { left: `${href}: it asks nothing` }
  if (interactions.length > 1) return { left: `${href}: it asks several things at once` }
  const kind = tagOf(interaction).slice('qti-'.length, -SUFFIX.length)
  if (!(KNOWN as readonly string[]).includes(kind))
    return { left: `${href}: the kind “${kind}” is not known here` }
  return questionOf({ href, item, interaction, kind: kind as Interaction })
}

const findInteractions = (nodes: readonly Node[]): Node[] =>
  findAllWhere(nodes, (tag) => tag.startsWith('qti-') && tag.endsWith(SUFFIX))
const findAllWhere = (nodes: readonly Node[], accept: (tag: string) => boolean): Node[] =>
  nodes.flatMap((node) => {
    const inside = node[tagOf(node)]
    const below = Array.isArray(inside) ? findAllWhere(inside as readonly Node[], accept) : []
    return [...(accept(tagOf(node)) ? [node] : []), ...below]
  })

interface Item {
  readonly href: string
  readonly item: Node
  readonly interaction: Node
  readonly kind: Interaction
}

/** What our own packages carry beside the interaction, by name. */
function ownOf(item: Node): (name: string) => readonly string[] {
  const entries = findAll([item], 'div')
    .filter((node) => attribute(node, 'class').startsWith('nakshi-'))
    .map((node) => [attribute(node, 'class').slice('nakshi-'.length), exactText(node)] as const)
  return (name) => entries.filter(([key]) => key === name).map(([, text]) => text)
}

const oneOf = <T extends string>(all: readonly T[], text: string | undefined): T | undefined =>
  all.find((one) => one === text)

function questionOf(read: Item): ItemRead {
  const { href, item, interaction } = read
  const own = ownOf(item)
  const first = (name: string) => own(name)[0] ?? ''
  const expected = expectedOf(read, own)
  if (typeof expected === 'string') return { left: `${href}: ${expected}` }
  const asked = findAll([interaction], 'qti-prompt').map(exactText)[0]
  const text = (first('text') || asked || bodyText(item)).trim()
  if (text === '') return { left: `${href}: it has no wording` }
  const level = Number(first('level'))
  return {
    question: {
      code: codeOf(attribute(item, 'identifier'), href),
      text,
      plain: first('plain'),
      expected,
      also: own('also'),
      prompts: own('prompt'),
      follow: first('follow'),
      topic: oneOf<Topic>(TOPICS, first('topic')) ?? 'principles',
      ...(own('criterion').length > 0 ? { criteria: own('criterion') } : {}),
      ...pictureOf(first('picture'), first('part')),
      level: level === 1 || level === 3 ? level : 2,
      moments: own('moment').flatMap((moment) => oneOf<Moment>(MOMENTS, moment) ?? []),
      edition: oneOf<Edition>(EDITIONS, first('edition')) ?? null,
      source: first('source'),
      isKept: first('kept') === 'yes',
      isMyth: first('myth') === 'yes',
    },
  }
}

function pictureOf(picture: string, spot: string): Pick<Question, 'picture'> {
  const drawing = oneOf<DrawingCode>(DRAWING_CODES, picture)
  return drawing ? { picture: { drawing, spot } } : {}
}

/** Letters, digits and hyphens; what others allow beside them becomes a hyphen. */
const codeOf = (identifier: string, href: string): string =>
  (identifier || href)
    .replace(/[^A-Za-z0-9]+/g, '-')
    .replace(/^-+|-+$/g, '')
    .slice(0, 60)

/** The wording of an item whose question stands before the interaction. */
function bodyText(item: Node): string {
  const [body] = findAll([item], 'qti-item-body')
  return body ? findAll([body], 'p').map(textOf).filter(Boolean).join(' ') : ''
}

const correctOf = (item: Node): string[] =>
  findAll(findAll([item], 'qti-correct-response').slice(0, 1), 'qti-value').map(textOf)

/** What counts as right, or why it cannot be taken. */
function expectedOf(
  { item, interaction, kind }: Item,
  own: (name: string) => readonly string[],
): Expected | string {
  const correct = correctOf(item)
  switch (kind) {
    case 'extended-text':
      return own('model')[0] ? { kind: 'spoken', model: own('model')[0]! } : 'it has no model answer'
    case 'text-entry':
      return numberOf(
        correct,
        own,
        findAll([item], 'qti-response-declaration').map((node) => attribute(node, 'base-type'))[0],
      )
    case 'choice':
      return choiceOf(interaction, correct, own)
    case 'order':
      return orderOf(interaction, correct)
    case 'hotspot': {
      const drawing = oneOf<DrawingCode>(DRAWING_CODES, own('drawing')[0])
      if (!drawing) return 'it points at a picture of its own; only drawings of this bank can be pointed at'
      return correct[0] ? { kind: 'point', drawing, spot: correct[0] } : 'it has no right spot'
    }
  }
}

function numberOf(
  correct: readonly string[],
  own: (name: string) => readonly string[],
  type: string | undefined,
): Expected | string {
  const [right] = correct
  if (!right) return 'it has no right answer'
  const value = Number(right)
  if (type === 'string' || !Number.isFinite(value)) return { kind: 'spoken', model: right }
  return { kind: 'number', value, unit: own('unit')[0] || 'as asked', within: Number(own('within')[0] ?? 0) }
}

const choicesOf = (interaction: Node) =>
  findAll([interaction], 'qti-simple-choice').map((node) => ({
    id: attribute(node, 'identifier'),
    text: textOf(node),
  }))

function choiceOf(
  interaction: Node,
  correct: readonly string[],
  own: (name: string) => readonly string[],
): Expected | string {
  const choices = choicesOf(interaction)
  if (correct.length === 0) return 'it has no right answer'
  const isVerdict = choices.every(({ id }) => (VERDICTS as readonly string[]).includes(id)) && own('why')[0]
  if (isVerdict) return { kind: 'verdict', verdict: correct[0] as Verdict, why: own('why')[0]! }
  const right = correct.map((id) => choices.findIndex((choice) => choice.id === id))
  if (right.includes(-1)) return 'its right answer is not among its choices'
  return { kind: 'choose', options: choices.map(({ text }) => text), right }
}

function orderOf(interaction: Node, correct: readonly string[]): Expected | string {
  const choices = new Map(choicesOf(interaction).map(({ id, text }) => [id, text]))
  const items = correct.map((id) => choices.get(id))
  if (items.length === 0 || items.some((item) => item === undefined)) return 'its right order is not complete'
  return { kind: 'order', items: items as string[] }
}

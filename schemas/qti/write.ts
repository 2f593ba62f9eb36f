import { strToU8, zipSync } from 'fflate'
import { DRAWINGS, DRAWING_CODES, DRAWING_SIZE, type DrawingCode, type Spot } from '#core/questions/drawings'
import { VERDICTS, type Expected, type Question } from '#core/questions/question'
import { SPOT_NAME, VERDICT_NAME } from '#words/questions/labels'
import { drawingSvg } from './drawing-svg'

const NAMESPACE = 'http://www.imsglobal.org/xsd/imsqtiasi_v3p0'
const PACKAGE = 'http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1'
const MATCH = 'https://purl.imsglobal.org/spec/qti/v3p0/rptemplates/match_correct.xml'

const ESCAPES: Readonly<Record<string, string>> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' }
/** Text between tags or in an attribute; what XML cannot carry is left out. */
const x = (text: string): string =>
  text
    .replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g, '')
    .replace(/[&<>"]/g, (sign) => ESCAPES[sign]!)

interface Declared {
  readonly cardinality: 'single' | 'multiple' | 'ordered'
  readonly type: 'identifier' | 'float' | 'string'
  readonly correct: readonly string[]
  readonly body: string
  /** What our own reader needs beside the interaction. */
  readonly own?: readonly (readonly [name: string, text: string])[]
}

/** An element with its attributes. */
function tag(name: string, attributes: Readonly<Record<string, string | number>>, inside = ''): string {
  const written = Object.entries(attributes).map(([key, value]) => ` ${key}="${value}"`)
  return inside ? `<${name}${written.join('')}>${inside}</${name}>` : `<${name}${written.join('')}/>`
}
const interaction = (kind: string, attributes: Readonly<Record<string, string | number>>, inside = '') =>
  tag(`qti-${kind}-interaction`, { 'response-identifier': 'RESPONSE', ...attributes }, inside)
const image = (drawing: DrawingCode): string =>
  `<object type="image/svg+xml" data="../images/${drawing}.svg" ` +
  `width="${DRAWING_SIZE.width}" height="${DRAWING_SIZE.height}"></object>`

const choiceId = (i: number): string => `choice-${i + 1}`
const prompt = (text: string): string => `<qti-prompt>${x(text)}</qti-prompt>`
const simple = (id: string, text: string): string =>
  `<qti-simple-choice identifier="${id}">${x(text)}</qti-simple-choice>`

const choices = (
  kind: string,
  attributes: Readonly<Record<string, string | number>>,
  text: string,
  options: string,
) => interaction(kind, attributes, prompt(text) + options)
const optionsOf = (options: readonly string[]): string =>
  options.map((option, i) => simple(choiceId(i), option)).join('')

/** The interaction of each kind. */
function declare(text: string, expected: Expected): Declared {
  switch (expected.kind) {
    case 'spoken':
      return {
        cardinality: 'single',
        type: 'string',
        correct: [],
        body: interaction('extended-text', {}, prompt(text)),
        own: [['model', expected.model]],
      }
    case 'number':
      return declareNumber(text, expected)
    case 'choose': {
      const isMany = expected.right.length > 1
      return {
        cardinality: isMany ? 'multiple' : 'single',
        type: 'identifier',
        correct: expected.right.map(choiceId),
        body: choices('choice', { 'max-choices': isMany ? 0 : 1 }, text, optionsOf(expected.options)),
      }
    }
    case 'order':
      return {
        cardinality: 'ordered',
        type: 'identifier',
        correct: expected.items.map((_, i) => choiceId(i)),
        body: choices('order', { shuffle: 'true' }, text, optionsOf(expected.items)),
      }
    case 'point':
      return declarePoint(text, expected)
    case 'verdict': {
      const options = VERDICTS.map((verdict) => simple(verdict, VERDICT_NAME[verdict])).join('')
      return {
        cardinality: 'single',
        type: 'identifier',
        correct: [expected.verdict],
        body: choices('choice', { 'max-choices': 1 }, text, options),
        own: [['why', expected.why]],
      }
    }
  }
}

const declareNumber = (text: string, expected: Extract<Expected, { kind: 'number' }>): Declared => ({
  cardinality: 'single',
  type: 'float',
  correct: [String(expected.value)],
  body: `<p>${x(text)}</p><p>${interaction('text-entry', { 'expected-length': 10 })} ${x(expected.unit)}</p>`,
  own: [
    ['text', text],
    ['unit', expected.unit],
    ['within', String(expected.within)],
  ],
})

const hotspot = ({ id, x: left, y, w, h }: Spot): string =>
  tag('qti-hotspot-choice', {
    identifier: id,
    shape: 'rect',
    coords: `${left},${y},${left + w},${y + h}`,
    'hotspot-label': x(SPOT_NAME[id] ?? id),
  })

/** A picture with its spots. */
function declarePoint(text: string, expected: Extract<Expected, { kind: 'point' }>): Declared {
  return {
    cardinality: 'single',
    type: 'identifier',
    correct: [expected.spot],
    body: interaction(
      'hotspot',
      { 'max-choices': 1 },
      prompt(text) + image(expected.drawing) + DRAWINGS[expected.drawing].map(hotspot).join(''),
    ),
    own: [['drawing', expected.drawing]],
  }
}

/** What our own reader needs of a question beside its interaction, by name. */
const ownOf = (question: Question): readonly (readonly [string, string])[] => [
  ['plain', question.plain],
  ...question.also.map((text) => ['also', text] as const),
  ...question.prompts.map((text) => ['prompt', text] as const),
  ['follow', question.follow],
  ['topic', question.topic],
  ...(question.criteria ?? []).map((code) => ['criterion', code] as const),
  ['picture', question.picture?.drawing ?? ''],
  ['part', question.picture?.spot ?? ''],
  ['level', String(question.level)],
  ...question.moments.map((moment) => ['moment', moment] as const),
  ['edition', question.edition ?? ''],
  ['source', question.source],
  ['kept', question.isKept ? 'yes' : ''],
  ['myth', question.isMyth ? 'yes' : ''],
]

function itemXml(question: Question): string {
  const declared = declare(question.text, question.expected)
  const own = [...(declared.own ?? []), ...ownOf(question)]
  const values = declared.correct.map((value) => `<qti-value>${x(value)}</qti-value>`).join('')
  const correct = values && `<qti-correct-response>${values}</qti-correct-response>`
  const rubric = own
    .filter(([, text]) => text !== '')
    .map(([name, text]) => `<div class="nakshi-${name}">${x(text)}</div>`)
    .join('')
  const picture = question.picture ? `<p>${image(question.picture.drawing)}</p>` : ''
  const forScorer = tag(
    'qti-rubric-block',
    { use: 'scoring', view: 'scorer' },
    tag('qti-content-body', {}, rubric),
  )
  const inside = [
    tag(
      'qti-response-declaration',
      { identifier: 'RESPONSE', cardinality: declared.cardinality, 'base-type': declared.type },
      correct,
    ),
    tag('qti-outcome-declaration', { identifier: 'SCORE', cardinality: 'single', 'base-type': 'float' }),
    tag('qti-item-body', {}, picture + declared.body + forScorer),
    ...(correct ? [tag('qti-response-processing', { template: MATCH })] : []),
  ]
  const code = x(question.code)
  const head = {
    xmlns: NAMESPACE,
    identifier: code,
    title: code,
    adaptive: 'false',
    'time-dependent': 'false',
  }
  return `<?xml version="1.0" encoding="UTF-8"?>\n${tag(
    'qti-assessment-item',
    { ...head, 'xml:lang': 'en-GB' },
    `\n${inside.join('\n')}\n`,
  )}\n`
}

function manifestXml(questions: readonly Question[]): string {
  const resources = questions.map(({ code, expected, picture }) => {
    const drawing = expected.kind === 'point' ? expected.drawing : picture?.drawing
    const href = `items/${x(code)}.xml`
    const files = [href, ...(drawing ? [`images/${drawing}.svg`] : [])].map((file) =>
      tag('file', { href: file }),
    )
    return tag('resource', { identifier: x(code), type: 'imsqti_item_xmlv3p0', href }, files.join(''))
  })
  return `<?xml version="1.0" encoding="UTF-8"?>
<manifest xmlns="${PACKAGE}" identifier="nakshi-questions">
<metadata><schema>QTI Package</schema><schemaversion>3.0.0</schemaversion></metadata>
<organizations/>
<resources>${resources.join('\n')}</resources>
</manifest>
`
}

/** A QTI 3 package: a manifest, an item for each question, and the drawings. */
export function writeQti(questions: readonly Question[]): Uint8Array {
  return zipSync({
    'imsmanifest.xml': strToU8(manifestXml(questions)),
    ...Object.fromEntries(
      questions.map((question) => [`items/${question.code}.xml`, strToU8(itemXml(question))]),
    ),
    ...Object.fromEntries(DRAWING_CODES.map((code) => [`images/${code}.svg`, strToU8(drawingSvg(code))])),
  })
}

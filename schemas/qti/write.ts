import { strToU8, zipSync } from 'fflate'
import { DRAWINGS, DRAWING_CODES, DRAWING_SIZE } from '#core/questions/drawings'
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

const choiceId = (i: number): string => `choice-${i + 1}`
const prompt = (text: string): string => `<qti-prompt>${x(text)}</qti-prompt>`
const simple = (id: string, text: string): string =>
  `<qti-simple-choice identifier="${id}">${x(text)}</qti-simple-choice>`

/** The interaction of each kind. */
function declare(text: string, expected: Expected): Declared {
  switch (expected.kind) {
    case 'spoken':
      return {
        cardinality: 'single',
        type: 'string',
        correct: [],
        body: `<qti-extended-text-interaction response-identifier="RESPONSE">${prompt(text)}</qti-extended-text-interaction>`,
        own: [['model', expected.model]],
      }
    case 'number':
      return {
        cardinality: 'single',
        type: 'float',
        correct: [String(expected.value)],
        body: `<p>${x(text)}</p><p><qti-text-entry-interaction response-identifier="RESPONSE" expected-length="10"/> ${x(expected.unit)}</p>`,
        own: [
          ['text', text],
          ['unit', expected.unit],
          ['within', String(expected.within)],
        ],
      }
    case 'choose':
      return {
        cardinality: expected.right.length > 1 ? 'multiple' : 'single',
        type: 'identifier',
        correct: expected.right.map(choiceId),
        body: `<qti-choice-interaction response-identifier="RESPONSE" max-choices="${expected.right.length > 1 ? 0 : 1}">${prompt(text)}${expected.options.map((option, i) => simple(choiceId(i), option)).join('')}</qti-choice-interaction>`,
      }
    case 'order':
      return {
        cardinality: 'ordered',
        type: 'identifier',
        correct: expected.items.map((_, i) => choiceId(i)),
        body: `<qti-order-interaction response-identifier="RESPONSE" shuffle="true">${prompt(text)}${expected.items.map((item, i) => simple(choiceId(i), item)).join('')}</qti-order-interaction>`,
      }
    case 'point':
      return declarePoint(text, expected)
    case 'verdict':
      return {
        cardinality: 'single',
        type: 'identifier',
        correct: [expected.verdict],
        body: `<qti-choice-interaction response-identifier="RESPONSE" max-choices="1">${prompt(text)}${VERDICTS.map((verdict) => simple(verdict, VERDICT_NAME[verdict])).join('')}</qti-choice-interaction>`,
        own: [['why', expected.why]],
      }
  }
}

/** A picture with its spots. */
function declarePoint(text: string, expected: Extract<Expected, { kind: 'point' }>): Declared {
  return {
    cardinality: 'single',
    type: 'identifier',
    correct: [expected.spot],
    body: `<qti-hotspot-interaction response-identifier="RESPONSE" max-choices="1">${prompt(text)}<object type="image/svg+xml" data="../images/${expected.drawing}.svg" width="${DRAWING_SIZE.width}" height="${DRAWING_SIZE.height}"></object>${DRAWINGS[
      expected.drawing
    ]
      .map(
        ({ id, x: left, y, w, h }) =>
          `<qti-hotspot-choice identifier="${id}" shape="rect" coords="${left},${y},${left + w},${y + h}" hotspot-label="${x(SPOT_NAME[id] ?? id)}"/>`,
      )
      .join('')}</qti-hotspot-interaction>`,
    own: [['drawing', expected.drawing]],
  }
}

function itemXml(question: Question): string {
  const declared = declare(question.text, question.expected)
  const own: readonly (readonly [string, string])[] = [
    ...(declared.own ?? []),
    ['plain', question.plain],
    ...question.also.map((text) => ['also', text] as const),
    ...question.prompts.map((text) => ['prompt', text] as const),
    ['follow', question.follow],
    ['topic', question.topic],
    ['level', String(question.level)],
    ...question.moments.map((moment) => ['moment', moment] as const),
    ['edition', question.edition ?? ''],
    ['source', question.source],
    ['kept', question.isKept ? 'yes' : ''],
    ['myth', question.isMyth ? 'yes' : ''],
  ]
  const correct = declared.correct.length
    ? `<qti-correct-response>${declared.correct.map((value) => `<qti-value>${x(value)}</qti-value>`).join('')}</qti-correct-response>`
    : ''
  const rubric = own
    .filter(([, text]) => text !== '')
    .map(([name, text]) => `<div class="nakshi-${name}">${x(text)}</div>`)
    .join('')
  return `<?xml version="1.0" encoding="UTF-8"?>
<qti-assessment-item xmlns="${NAMESPACE}" identifier="${x(question.code)}" title="${x(question.code)}" adaptive="false" time-dependent="false" xml:lang="en-GB">
<qti-response-declaration identifier="RESPONSE" cardinality="${declared.cardinality}" base-type="${declared.type}">${correct}</qti-response-declaration>
<qti-outcome-declaration identifier="SCORE" cardinality="single" base-type="float"/>
<qti-item-body>${declared.body}<qti-rubric-block use="scoring" view="scorer"><qti-content-body>${rubric}</qti-content-body></qti-rubric-block></qti-item-body>
${correct ? `<qti-response-processing template="${MATCH}"/>\n` : ''}</qti-assessment-item>
`
}

function manifestXml(questions: readonly Question[]): string {
  const resources = questions.map(({ code, expected }) => {
    const picture = expected.kind === 'point' ? `<file href="images/${expected.drawing}.svg"/>` : ''
    return `<resource identifier="${x(code)}" type="imsqti_item_xmlv3p0" href="items/${x(code)}.xml"><file href="items/${x(code)}.xml"/>${picture}</resource>`
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

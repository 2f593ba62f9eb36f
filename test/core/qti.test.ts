/* Questions as files: our JSON and QTI 3 packages, both ways; what cannot be taken is named and the rest goes on. */
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { describe, expect, it } from 'vitest'
import { SHIPPED_QUESTIONS } from '#words/questions/bank/index'
import { readBank, writeBank } from '#schemas/question-file'
import type { Question } from '#core/questions/question'

const takenIn = (content: Uint8Array | string) => {
  const bytes = typeof content === 'string' ? Buffer.from(content) : Buffer.from(content)
  const read = readBank({ name: 'file', content: bytes.toString('base64') })
  if (!read.ok) throw new Error(read.reason)
  return read
}
const reasonOf = (content: Uint8Array | string) => {
  const read = readBank({ name: 'file', content: Buffer.from(content).toString('base64') })
  return read.ok ? '' : read.reason
}

const RESOURCE = (name: string) =>
  `<resource identifier="${name}" type="imsqti_item_xmlv3p0" href="${name}.xml"><file href="${name}.xml"/></resource>`
/** A package of somebody else: items by their names. */
const packed = (items: Readonly<Record<string, string>>) =>
  zipSync({
    'imsmanifest.xml': strToU8(
      `<?xml version="1.0"?><manifest xmlns="http://www.imsglobal.org/xsd/qti/qtiv3p0/imscp_v1p1"><resources>${Object.keys(items).map(RESOURCE).join('')}</resources></manifest>`,
    ),
    ...Object.fromEntries(Object.entries(items).map(([name, xml]) => [`${name}.xml`, strToU8(xml)])),
  })
const item = (identifier: string, declaration: string, body: string) =>
  `<?xml version="1.0" encoding="UTF-8"?>
<qti-assessment-item xmlns="http://www.imsglobal.org/xsd/imsqtiasi_v3p0" identifier="${identifier}" title="t" adaptive="false" time-dependent="false">
${declaration}<qti-item-body>${body}</qti-item-body></qti-assessment-item>`
const declared = (cardinality: string, type: string, ...values: string[]) =>
  `<qti-response-declaration identifier="RESPONSE" cardinality="${cardinality}" base-type="${type}"><qti-correct-response>${values.map((value) => `<qti-value>${value}</qti-value>`).join('')}</qti-correct-response></qti-response-declaration>`

describe('round trip', () => {
  it('the whole bank comes back the same from a QTI package, and from JSON', () => {
    for (const as of ['qti', 'json'] as const) {
      const read = takenIn(writeBank(SHIPPED_QUESTIONS, as).content)
      expect(read.left).toEqual([])
      expect(read.questions).toEqual(SHIPPED_QUESTIONS)
    }
  })
  it('signs that XML keeps for itself, line breaks and other alphabets survive', () => {
    const odd: Question = {
      ...SHIPPED_QUESTIONS[0]!,
      code: 'odd',
      text: 'Is 5 < 6 & "7" > 3, in Ω?',
      expected: { kind: 'spoken', model: 'first line\nsecond <line> &amp; ünïcode, żółć, صحيح' },
      prompts: ['  spaces kept  '.trim(), '0012'],
    }
    expect(takenIn(writeBank([odd], 'qti').content).questions).toEqual([odd])
  })
  it('a package has its manifest, an item each and the drawings, as QTI 3 has them', () => {
    const files = unzipSync(writeBank(SHIPPED_QUESTIONS, 'qti').content)
    expect(strFromU8(files['imsmanifest.xml']!)).toContain('<schemaversion>3.0.0</schemaversion>')
    expect(Object.keys(files).filter((name) => name.startsWith('items/'))).toHaveLength(
      SHIPPED_QUESTIONS.length,
    )
    const hotspot = strFromU8(files['items/bo-point-rcd.xml']!)
    expect(hotspot).toMatch(
      /<qti-hotspot-interaction .*<object type="image\/svg\+xml" data="\.\.\/images\/board\.svg"/,
    )
    expect(files['images/board.svg']).toBeDefined()
  })
})

describe('a package of somebody else', () => {
  // The structure of the published examples choice.xml, order.xml, text_entry.xml and extended_text.xml of QTI 3, from memory.
  const choice = item(
    'other:choice',
    declared('single', 'identifier', 'ChoiceA'),
    '<p>Look at the notice.</p><qti-choice-interaction max-choices="1" response-identifier="RESPONSE"><qti-prompt>What does it <em>say</em>?</qti-prompt><qti-simple-choice identifier="ChoiceA">You must stay.</qti-simple-choice><qti-simple-choice identifier="ChoiceB">You may go.</qti-simple-choice></qti-choice-interaction>',
  )
  const order = item(
    'order',
    declared('ordered', 'identifier', 'C', 'A', 'B'),
    '<qti-order-interaction response-identifier="RESPONSE"><qti-prompt>In order?</qti-prompt><qti-simple-choice identifier="A">first</qti-simple-choice><qti-simple-choice identifier="B">second</qti-simple-choice><qti-simple-choice identifier="C">third</qti-simple-choice></qti-order-interaction>',
  )
  const entry = item(
    'entry',
    declared('single', 'float', '230'),
    '<p>How many volts? <qti-text-entry-interaction response-identifier="RESPONSE"/></p>',
  )
  const match = item('match', '', '<qti-match-interaction response-identifier="RESPONSE"/>')
  const open = item(
    'open',
    '',
    '<qti-extended-text-interaction response-identifier="RESPONSE"><qti-prompt>Why?</qti-prompt></qti-extended-text-interaction>',
  )

  it('what is known is taken, what is not is named', () => {
    const { questions, left } = takenIn(
      packed({ choice, order, entry, match, open, broken: '<qti-assessment-item' }),
    )
    expect(questions.map(({ code, text, expected }) => [code, text, expected])).toEqual([
      [
        'other-choice',
        'What does it say?',
        { kind: 'choose', options: ['You must stay.', 'You may go.'], right: [0] },
      ],
      ['order', 'In order?', { kind: 'order', items: ['third', 'first', 'second'] }],
      ['entry', 'How many volts?', { kind: 'number', value: 230, unit: 'as asked', within: 0 }],
    ])
    expect(left).toEqual([
      expect.stringContaining('“match” is not known'),
      expect.stringContaining('no model answer'),
      expect.stringContaining('broken.xml'),
    ])
  })
  it('a right answer that is not among the choices, and entities of its own, are refused item by item', () => {
    const nowhere = item(
      'nowhere',
      declared('single', 'identifier', 'Z'),
      '<qti-choice-interaction response-identifier="RESPONSE"><qti-prompt>?</qti-prompt><qti-simple-choice identifier="A">a</qti-simple-choice><qti-simple-choice identifier="B">b</qti-simple-choice></qti-choice-interaction>',
    )
    const entity = `<!DOCTYPE x [<!ENTITY a "aaaaaaaa">]>${choice}`
    const { questions, left } = takenIn(packed({ nowhere, entity }))
    expect(questions).toEqual([])
    expect(left).toHaveLength(2)
  })
})

describe('files that are none', () => {
  it.each([
    ['nothing at all', ''],
    ['a picture', '\u0089PNG'],
    ['other JSON', '{"format":"nakshi.exercise"}'],
    ['a zip without a manifest', zipSync({ 'a.xml': strToU8('<a/>') })],
    ['a zip cut off', writeBank(SHIPPED_QUESTIONS.slice(0, 3), 'qti').content.subarray(0, 300)],
    ['a zip that would become very large', zipSync({ 'imsmanifest.xml': new Uint8Array(40_000_000) })],
  ])('%s is refused with its reason', (_, content) => expect(reasonOf(content)).not.toBe(''))
  it('a question without an answer is named and the others are taken', () => {
    const [good] = SHIPPED_QUESTIONS
    const { expected: _expected, ...bare } = good!
    const { questions, left } = takenIn(
      JSON.stringify({
        format: 'nakshi.questions',
        version: 1,
        questions: [good, { ...bare, code: 'bare' }],
      }),
    )
    expect(questions).toEqual([good])
    expect(left).toEqual([expect.stringMatching(/^bare: .*expected/)])
  })
})

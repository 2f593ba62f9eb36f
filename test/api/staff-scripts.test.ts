/* Scripts that compute answers are handed to staff from one folder, and nothing else is. */
import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { staffScript } from '../../server/http/staff-scripts'
import { refusal } from '../support/refusal'

const started = process.argv[1]
beforeAll(() => {
  const built = mkdtempSync(join(tmpdir(), 'nakshi-built-'))
  mkdirSync(join(built, 'staff'))
  for (const [name, text] of [
    ['secret.txt', 'outside'],
    ['index.mjs', 'the server'],
    ['staff/marks-1a2b.js', 'plain'],
    ['staff/marks-1a2b.js.br', 'brotli'],
    ['staff/marks-1a2b.js.gz', 'gzip'],
    ['staff/small-3c.js', 'small'],
    ['staff/notes.txt', 'no script'],
  ] as const)
    writeFileSync(join(built, name), text)
  process.argv[1] = join(built, 'index.mjs')
})
afterAll(() => void (process.argv[1] = started!))

describe('a script of the staff', () => {
  it.each([
    ['gzip, deflate, br', 'brotli', 'br'],
    ['gzip', 'gzip', 'gzip'],
    ['', 'plain', null],
    [undefined, 'plain', null],
  ])('to a browser that takes “%s” comes as %s', async (accepts, text, encoding) => {
    const script = await staffScript('marks-1a2b.js', accepts)
    expect([script.bytes.toString(), script.encoding]).toEqual([text, encoding])
  })
  it('that was too small to be packed comes as it is', async () => {
    expect(await staffScript('small-3c.js', 'br, gzip')).toMatchObject({ encoding: null })
  })
  it('has a mark that differs with its form, so that a browser keeps what it can read', async () => {
    const marks = await Promise.all(
      ['br', 'gzip', ''].map((accepts) => staffScript('marks-1a2b.js', accepts)),
    )
    expect(new Set(marks.map(({ etag }) => etag)).size).toBe(3)
  })
  it.each([
    '../secret.txt',
    '../index.mjs',
    '..%2findex.mjs',
    'notes.txt',
    'marks-1a2b.js/../../secret.txt',
    'marks-1a2b.js.br',
    '.js',
    '/etc/hosts.js',
    'nothing.js',
    '',
  ])('“%s” is not one', async (name) => {
    expect(await refusal(() => staffScript(name, 'br'))).toBe('notFound')
  })
})

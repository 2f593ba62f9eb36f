/* Every route there is, asked by everybody with everything: nobody gets in without a session, nothing that is sent
   comes to what was not foreseen, and what was refused has changed nothing. A route that is added is asked too. */
import { afterAll, beforeAll, describe, expect, it, vi } from 'vitest'
import { ROUTES, aWire, type Route, type Wire } from '../support/wire'

const logged = vi.hoisted(() => ({ error: vi.fn(), warn: vi.fn(), info: vi.fn() }))
vi.mock('../../server/http/log', () => ({ log: logged }))

/** Who has not signed in may ask these, and no others. */
const OPEN = [
  'get /api/health',
  'get /api/session',
  'delete /api/session',
  'post /api/session',
  'post /api/set-up',
  'post /api/witness/look',
  'post /api/witness/statement',
]
/** A stream does not end; a backup is a copy of what has been committed, and nothing is here. */
const APART = ['get /api/news', 'post /api/keeping/backup', 'delete /api/session']
const nameOf = ({ method, path }: Route): string => `${method} ${path}`
const asked = ROUTES.filter((route) => !APART.includes(nameOf(route)))

let wire: Wire
let cookies: ReadonlyMap<string, string>
/** An instructor, an administrator and an apprentice. */
const PEOPLE = ['I-201', 'A-100', 'T-404']
let database: typeof import('../../server/http/runtime')
beforeAll(async () => {
  wire = await aWire()
  database = await import('../../server/http/runtime')
  const all = new Map<string, string>()
  for (const number of PEOPLE) all.set(number, await wire.signIn(number))
  cookies = all
}, 120_000)
afterAll(() => void wire.server.close())

interface Answer {
  readonly status: number
  readonly type: string
  readonly text: string
  /** Rows that were written or taken away. */
  readonly changes: number
}
/** One request, of which nothing stays. */
async function ask(
  { method, path }: Route,
  { id = '1', who, body }: { readonly id?: string; readonly who?: string; readonly body?: string },
): Promise<Answer> {
  const db = database.runningDatabase()
  const changes = db.prepare<[], number>('SELECT total_changes()').pluck()
  db.exec('BEGIN')
  try {
    const before = changes.get()!
    const response = await fetch(wire.base + path.replace(/:\w+/, id), {
      method: method.toUpperCase(),
      headers: {
        'content-type': 'application/json',
        ...(who === undefined ? {} : { cookie: cookies.get(who)! }),
      },
      ...(method === 'get' || body === undefined ? {} : { body }),
    })
    const text = await response.text()
    const type = response.headers.get('content-type') ?? ''
    return { status: response.status, type, text, changes: changes.get()! - before }
  } finally {
    db.exec('ROLLBACK')
  }
}

/** What nobody outside may read: places, statements, traces, and values that were not there. */
const LEAK = /node_modules|SQLITE|\/server\/|\.ts:\d|    at |\bundefined\b|\bNaN\b|\[object /
/** What is wrong with a refusal; nothing where it is one that a person can act upon. */
function wrongWith({ status, type, text }: Answer): string | undefined {
  if (status >= 500 && status !== 503) return `is answered ${status}`
  if (status < 400) return undefined
  if (!type.includes('application/problem+json')) return `is refused as ${type}`
  const { code, title } = JSON.parse(text) as { code: string; title: string }
  if (code === 'unexpected') return 'was not foreseen'
  if (!/^[A-Z“].*[.?]$/s.test(title)) return `says “${title}”`
  return LEAK.test(text) ? `tells ${LEAK.exec(text)![0]}` : undefined
}

const BIG = 'x'.repeat(20_000)
/** Fields that many routes read, none of them as it should be. */
const FIELDS = [
  'version', 'answers', 'readings', 'fields', 'cohort', 'id', 'attemptId', 'reason', 'text', 'name', 'number',
  'title', 'bay', 'kind', 'code', 'verdicts', 'installation', 'exercise', 'rig', 'moves', 'items', 'file',
  'fileBase64', 'password', 'pin', 'day', 'at', 'from', 'to', 'policy', 'weights', 'circuits', 'criteria',
] // prettier-ignore
const eachField = (value: unknown): string =>
  JSON.stringify(Object.fromEntries(FIELDS.map((key) => [key, value])))
const BODIES: Readonly<Record<string, string>> = {
  nothing: '',
  'no JSON': '{"version": 1,',
  null: 'null',
  'a list': '[1, 2]',
  'no fields': '{}',
  'a prototype': '{"__proto__": {"role": "administrator"}, "constructor": {"prototype": 1}}',
  'a thousand lists in each other': `${'['.repeat(1000)}${']'.repeat(1000)}`,
  'numbers everywhere': eachField(-1e308),
  'long texts everywhere': eachField(BIG),
  'signs that no page prints': eachField('\u0000\ud800\u202e%s${x}<script>'),
  'lists everywhere': eachField([null]),
  'objects everywhere': eachField({ a: { b: null } }),
}
/** Numbers and keys of nothing that is there. */
const NOWHERE = [
  '0',
  '-1',
  '1.5',
  'abc',
  '999999999',
  '1e3',
  '9007199254740993',
  '%00',

  "1'--",
  BIG.slice(0, 300),
]

describe('every route', () => {
  it('is there: the names of the files say which', () => {
    expect(ROUTES.length).toBeGreaterThan(200)
    expect(ROUTES.map(nameOf)).toEqual(expect.arrayContaining(OPEN))
  })

  it('refuses whoever has not signed in, but for those that are open', async () => {
    const entered: string[] = []
    for (const route of ROUTES.filter((one) => nameOf(one) !== 'get /api/news')) {
      const { status, changes } = await ask(route, { body: '{}' })
      if (status !== 401) entered.push(nameOf(route))
      else expect(changes, nameOf(route)).toBe(0)
    }
    expect(entered.sort()).toEqual([...OPEN].sort())
  })

  it.each(Object.entries(BODIES))(
    'takes %s for what it is, whoever sends it',
    async (_, body) => {
      const wrong: string[] = []
      for (const route of asked.filter(({ method }) => method !== 'get'))
        for (const who of PEOPLE) {
          const answer = await ask(route, { who, body })
          const what = wrongWith(answer)
          if (what) wrong.push(`${nameOf(route)} by ${who} ${what}`)
          // What was refused, for whatever reason, has changed nothing.
          if (answer.status >= 400 && answer.changes > 0)
            wrong.push(`${nameOf(route)} by ${who} changed something`)
        }
      expect(wrong).toEqual([])
      expect(logged.error).not.toHaveBeenCalled()
    },
    120_000,
  )

  it.each(NOWHERE)(
    'finds nothing under %s',
    async (id) => {
      const wrong: string[] = []
      for (const route of asked.filter(({ path }) => path.includes(':')))
        for (const who of ['I-201', 'T-404']) {
          const answer = await ask(route, { who, id, body: '{}' })
          const what = wrongWith(answer) ?? (answer.status < 400 ? `is answered ${answer.status}` : undefined)
          if (what) wrong.push(`${nameOf(route)} by ${who} ${what}`)
        }
      expect(wrong).toEqual([])
    },
    120_000,
  )
})

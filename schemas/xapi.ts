import { createHash } from 'node:crypto'
import type { Criterion, Framework, Unit } from '#core/assessment/outcomes/framework'
import type { Occasion } from '#core/assessment/outcomes/coverage'

/** Who a statement is about, as xAPI names an agent: by an account, never by an address of theirs. */
export interface StatedPerson {
  readonly number: string
  readonly name: string
}

const VERBS = {
  passed: 'http://adlnet.gov/expapi/verbs/passed',
  failed: 'http://adlnet.gov/expapi/verbs/failed',
} as const
const ASSESSMENT = 'http://adlnet.gov/expapi/activities/assessment'
const OBJECTIVE = 'http://adlnet.gov/expapi/activities/objective'

/** The same occasion is the same statement however often it is sent: a UUID of version 5's form from its content. */
function idOf(home: string, parts: readonly string[]): string {
  const hash = createHash('sha1')
    .update([home, ...parts].join('\n'))
    .digest('hex')
  const variant = ((Number.parseInt(hash.slice(16, 18), 16) & 0x3f) | 0x80).toString(16)
  return `${hash.slice(0, 8)}-${hash.slice(8, 12)}-5${hash.slice(13, 16)}-${variant}${hash.slice(18, 20)}-${hash.slice(20, 32)}`
}

const named = (name: string) => ({ 'en-GB': name })
const agent = (home: string, { number, name }: StatedPerson) => ({
  objectType: 'Agent' as const,
  name,
  account: { homePage: home, name: number },
})
const activity = (id: string, type: string, name: string) => ({
  objectType: 'Activity' as const,
  id,
  definition: { type, name: named(name) },
})

/**
 * Occasions as xAPI 1.0.3 statements: passed or failed, of a criterion, at a job, by an assessor. `home` is the address
 * by which the centre is known, such as `https://college.example`.
 */
export function xapiStatements(
  home: string,
  framework: Framework,
  person: StatedPerson,
  occasions: readonly Occasion[],
) {
  const at = (...parts: readonly string[]) =>
    `${home}/frameworks/${[framework.code, ...parts].map(encodeURIComponent).join('/')}`
  const unitOf = new Map(
    framework.units.flatMap((unit) =>
      unit.criteria.map((criterion) => [criterion.code, { unit, criterion }]),
    ),
  )
  return occasions.flatMap((occasion) => {
    const known = unitOf.get(occasion.criterion)
    return known ? [statementOf({ home, person, occasion, framework, at, ...known })] : []
  })
}

interface Stated {
  readonly home: string
  readonly person: StatedPerson
  readonly occasion: Occasion
  readonly framework: Framework
  readonly unit: Unit
  readonly criterion: Criterion
  /** The address of a part of the framework. */
  readonly at: (...parts: readonly string[]) => string
}

function statementOf({ home, person, occasion, framework, unit, criterion, at }: Stated) {
  const verb = occasion.met ? 'passed' : 'failed'
  const job = `${home}/jobs/${encodeURIComponent(occasion.exerciseCode)}`
  return {
    id: idOf(home, [person.number, criterion.code, occasion.exerciseCode, occasion.decidedAt]),
    version: '1.0.3',
    actor: agent(home, person),
    verb: { id: VERBS[verb], display: named(verb) },
    object: activity(at(unit.code, criterion.code), OBJECTIVE, `${criterion.code} ${criterion.text}`),
    result: { success: occasion.met, completion: true },
    context: {
      language: 'en-GB',
      instructor: agent(home, { number: occasion.decidedBy, name: occasion.decidedBy }),
      contextActivities: {
        parent: [activity(job, ASSESSMENT, occasion.exerciseTitle)],
        grouping: [
          activity(at(unit.code), OBJECTIVE, unit.title),
          activity(at(), OBJECTIVE, framework.title),
        ],
      },
      extensions: { [`${home}/xapi/kinds`]: occasion.kinds, [`${home}/xapi/shown`]: occasion.shown },
    },
    timestamp: occasion.decidedAt,
  }
}

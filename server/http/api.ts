import type { Static, TSchema } from '@sinclair/typebox'
import {
  defineEventHandler,
  getHeader,
  getRequestHost,
  getRouterParam,
  readRawBody,
  setHeader,
  setResponseStatus,
  type H3Event,
} from 'h3'
import { PROBLEMS } from '#words/problems'
import { validate } from '#schemas/validate'
import type { Person } from '../repos/people'
import type { Context } from '../services/context'
import { Problem } from '../services/problem'
import { personOf } from '../services/sign-in'
import { tellNews } from './news'
import { runningRepos, streamPort } from './runtime'
import { sessionOf } from './session'

interface Call<Body> {
  readonly context: Context
  readonly body: Body
  readonly event: H3Event
}

/** A route that anybody may call. */
export function openApi<S extends TSchema>(schema: S | undefined, run: (call: Call<Static<S>>) => unknown) {
  return defineEventHandler(async (event) => {
    try {
      refuseOtherSites(event)
      setHeader(event, 'cache-control', 'no-store')
      const context: Context = { repos: runningRepos(), now: new Date().toISOString(), stream: streamPort() }
      const body = schema ? await readBody(event, schema) : undefined
      const answer = await run({ context, body: body as Static<S>, event })
      if (event.method !== 'GET' && event.method !== 'HEAD') tellNews(tabOf(event))
      return answer ?? null
    } catch (error) {
      return render(event, error)
    }
  })
}

/** A route for somebody who has signed in (and has chosen their own password). */
export function api<S extends TSchema>(
  schema: S | undefined,
  run: (call: Call<Static<S>> & { readonly actor: Person }) => unknown,
  options = { beforePasswordChange: false },
) {
  return openApi(schema, async (call) => {
    const session = await sessionOf(call.event)
    const actor = personOf(call.context, session.data)
    if (!actor) throw new Problem('signInNeeded')
    if (actor.mustChange && !options.beforePasswordChange) throw new Problem('passwordChangeNeeded')
    return run({ ...call, actor })
  })
}

/** The number in the route, such as the 7 of `/attempts/7`. */
export function idOf(event: H3Event): number {
  const id = Number(getRouterParam(event, 'id'))
  if (!Number.isInteger(id) || id < 1) throw new Problem('notFound')
  return id
}

/** The key in the route, such as the `practice-split` of `/bays/practice-split`. */
export function keyOf(event: H3Event): string {
  const key = getRouterParam(event, 'key') ?? ''
  if (!/^[a-z]+-[a-z0-9]{1,20}$/.test(key)) throw new Problem('notFound')
  return key
}

async function readBody<S extends TSchema>(event: H3Event, schema: S): Promise<Static<S>> {
  const raw = await readRawBody(event, 'utf8')
  let value: unknown
  try {
    value = JSON.parse(raw ?? '')
  } catch {
    throw new Problem('bodyNotRight')
  }
  const checked = validate(schema, value)
  if (!checked.ok) throw new Problem('bodyNotRight', { fields: checked.problems })
  return checked.value
}

/** The tab that writes, so that it need not be told of its own change. */
function tabOf(event: H3Event): string | undefined {
  const tab = getHeader(event, 'x-nakshi-tab')
  return tab && /^[\w-]{8,40}$/.test(tab) ? tab : undefined
}

/** Same-site cookies already keep foreign pages out; a mismatching origin is refused as well. */
function refuseOtherSites(event: H3Event): void {
  if (event.method === 'GET' || event.method === 'HEAD') return
  const origin = getHeader(event, 'origin')
  if (origin && hostOf(origin) !== getRequestHost(event)) throw new Problem('otherSite')
}

function render(event: H3Event, error: unknown) {
  const problem = error instanceof Problem ? error : undefined
  if (!problem) console.error(error)
  setResponseStatus(event, problem?.status ?? PROBLEMS.unexpected.status)
  setHeader(event, 'content-type', 'application/problem+json')
  return {
    type: 'about:blank',
    status: problem?.status ?? PROBLEMS.unexpected.status,
    code: problem?.code ?? 'unexpected',
    title: problem?.message ?? PROBLEMS.unexpected.sentence,
    fields: problem?.fields ?? [],
    ...problem?.extra,
  }
}

function hostOf(origin: string): string | undefined {
  return URL.canParse(origin) ? new URL(origin).host : undefined
}

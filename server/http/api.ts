import type { Static, TSchema } from '@sinclair/typebox'
import {
  defineEventHandler,
  getHeader,
  getQuery,
  getRequestHost,
  getRouterParam,
  setHeader,
  setResponseStatus,
  type H3Event,
} from 'h3'
import { PROBLEMS } from '#words/problems'
import type { Urgency } from '../db/disk'
import { makeLook, type LookName, type More } from '../looks/looks'
import { lookApart } from '../looks/pool'
import type { Person } from '../repos/people'
import type { Context } from '../services/context'
import { readyBeside } from '../services/group-ready'
import { Problem } from '../services/problem'
import type { Sitting } from '../services/sessions'
import { readBody } from './body'
import { log } from './log'
import { tellNews } from './news'
import { databaseFile, reachedDisk, runningRepos, streamPort } from './runtime'
import { Made, sent, takesPacked } from './sent'
import { originOf, sittingHere } from './session'
import { withTries } from './tries'
import { goFirst, turn } from './turns'

interface Call<Body> {
  readonly context: Context
  readonly body: Body
  readonly event: H3Event
}

/** Who may come in; throws for everybody else. */
type Door<Who> = (event: H3Event, context: Context) => Who

/** A route that anybody may call. */
export const openApi = <S extends TSchema>(schema: S | undefined, run: (call: Call<Static<S>>) => unknown) =>
  route(schema, () => undefined, run)

/** Nobody’s words are read before they are let in; and who has gone while they were read is not in any more. */
function route<S extends TSchema, Who>(
  schema: S | undefined,
  door: Door<Who>,
  run: (call: Call<Static<S>>, who: Who) => unknown,
  urgency?: Urgency,
) {
  async function answer(event: H3Event): Promise<unknown> {
    const context = contextOf(event)
    const who = door(event, context)
    if (!schema) return run({ context, body: undefined as Static<S>, event }, who)
    const body = await readBody(event, schema)
    return run({ context, body, event }, door(event, context))
  }
  async function write(event: H3Event): Promise<unknown> {
    const answered = await answer(event)
    // Everybody hears of a STOP at once; whoever gave it hears that it is kept once it is.
    tellNews(tabOf(event))
    await reachedDisk(urgency)
    return answered
  }
  async function look(event: H3Event): Promise<unknown> {
    await turn()
    return answer(event)
  }
  return defineEventHandler(async (event) => {
    try {
      refuseOtherHosts(event)
      refuseOtherSites(event)
      setHeader(event, 'cache-control', 'no-store')
      const answered = isLook(event) ? await look(event) : await goFirst(() => write(event))
      return await sent(event, answered ?? null)
    } catch (error) {
      return render(event, error)
    }
  })
}

/** What a use-case runs with, for this request: its acts are put down with where they come from. */
export function contextOf(event: H3Event): Context {
  const repos = runningRepos()
  return {
    repos: { ...repos, audit: repos.audit.from(originOf(event)) },
    now: new Date().toISOString(),
    stream: streamPort(),
    tries: withTries,
    signal: whileAsked(event),
  }
}

/** Aborted when the connection closes before it has been answered: the page was left, or a hand has cancelled. */
function whileAsked({ node: { res } }: H3Event): AbortSignal {
  const asked = new AbortController()
  res.once('close', () => res.writableEnded || asked.abort())
  return asked.signal
}

interface ApiOptions {
  readonly beforePasswordChange?: boolean
  /** Works on a locked page too: STOP, and what opens it again. */
  readonly whileLocked?: boolean
  /** Works from the page of somebody who sat here before, too: STOP. */
  readonly fromAnyPage?: boolean
  /** Whether it waits for what others are saving: STOP does not. */
  readonly urgency?: Urgency
}

/** A route for somebody who has signed in (and has chosen their own password). */
export function api<S extends TSchema>(
  schema: S | undefined,
  run: (call: Call<Static<S>> & { readonly actor: Person }) => unknown,
  { beforePasswordChange = false, whileLocked = false, fromAnyPage = false, urgency }: ApiOptions = {},
) {
  function door(event: H3Event, context: Context): Sitting {
    const sitting = sittingHere(event, context)
    if (!sitting) throw new Problem('signInNeeded')
    const { person, session } = sitting
    if (!fromAnyPage && !isPageOf(event, person)) throw new Problem('otherPerson')
    if (person.mustChange && !beforePasswordChange) throw new Problem('passwordChangeNeeded')
    if (session.isLocked && !whileLocked) throw new Problem('sessionLocked')
    return sitting
  }
  return route(
    schema,
    door,
    (call, { person, session }) => run({ ...call, context: { ...call.context, session }, actor: person }),
    urgency,
  )
}

/**
 * A route about one sheet that is marked beside those of its group: their bays are worked out before, away from the
 * server’s thread.
 */
export const apiBeside = <S extends TSchema>(
  schema: S | undefined,
  run: (call: Call<Static<S>> & { readonly actor: Person }) => unknown,
) =>
  api(schema, async (call) => {
    await readyBeside(call.context, call.actor, idOf(call.event))
    return run(call)
  })

/**
 * A route of a screen that is read from many people's work: it is made beside the server's thread, so that whoever
 * saves, and STOP, wait for none of it.
 */
export const lookApi = <N extends LookName>(name: N, moreOf: (event: H3Event) => readonly [...More<N>]) =>
  api(undefined, async ({ context, actor, event }) => {
    const look = { name, actor, now: context.now, more: moreOf(event) }
    const made = takesPacked(event) ? await lookApart(databaseFile(), look) : undefined
    return made ? new Made(made) : makeLook(context, look)
  })

/** The number in the route, such as the 7 of `/attempts/7`. */
export function idOf(event: H3Event): number {
  const id = Number(getRouterParam(event, 'id'))
  if (!Number.isInteger(id) || id < 1) throw new Problem('notFound')
  return id
}

/** The group that is asked for; null where none is named. */
export function groupAsked(event: H3Event): string | null {
  const { cohort } = getQuery(event)
  return typeof cohort === 'string' && cohort !== '' ? cohort : null
}

/** The key in the route, such as the `practice-split` of `/bays/practice-split`. */
export function keyOf(event: H3Event): string {
  const key = getRouterParam(event, 'key') ?? ''
  if (!/^[a-z]+-[a-z0-9]{1,20}$/.test(key)) throw new Problem('notFound')
  return key
}

/** The tab that writes, so that it need not be told of its own change. */
function tabOf(event: H3Event): string | undefined {
  const tab = getHeader(event, 'x-nakshi-tab')
  return tab && /^[\w-]{8,40}$/.test(tab) ? tab : undefined
}

/** A page says whose it is; in another tab somebody else may have signed in since. Other programs say nothing. */
function isPageOf(event: H3Event, { id }: Person): boolean {
  const person = getHeader(event, 'x-nakshi-person')
  return person === undefined || person === String(id)
}

/** Where the centre has named its hosts, no other name is answered. */
function refuseOtherHosts(event: H3Event): void {
  const hosts = process.env.NAKSHI_HOSTS?.split(/[\s,]+/).filter(Boolean) ?? []
  if (hosts.length > 0 && !hosts.includes(getRequestHost(event))) throw new Problem('otherHost')
}

/** Asks, and changes nothing that anybody calls saved. */
const isLook = ({ method }: H3Event): boolean => method === 'GET' || method === 'HEAD'

/** Same-site cookies already keep foreign pages out; a mismatching origin is refused as well. */
function refuseOtherSites(event: H3Event): void {
  if (isLook(event)) return
  const origin = getHeader(event, 'origin')
  if (origin && hostOf(origin) !== getRequestHost(event)) throw new Problem('otherSite')
}

/** The disk is full, read-only, or gives errors. */
const UNWRITABLE = /^SQLITE_(FULL|READONLY|IOERR|CANTOPEN)|^(ENOSPC|EDQUOT|EIO|EROFS)$/

/** What a person can be told of; undefined for what was not foreseen. */
function problemOf(error: unknown): Problem | undefined {
  if (error instanceof Problem) return error
  if ((error as { name?: unknown } | null)?.name === 'AbortError') return new Problem('cancelled')
  const code = (error as { code?: unknown } | null)?.code
  if (typeof code !== 'string' || !UNWRITABLE.test(code)) return undefined
  log.error(error)
  return new Problem('diskFull')
}

function render(event: H3Event, error: unknown) {
  const problem = problemOf(error)
  if (!problem) log.error(error)
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

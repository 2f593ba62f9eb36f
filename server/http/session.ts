import { createHmac, randomBytes } from 'node:crypto'
import { deleteCookie, getCookie, getHeader, getRequestHost, getRequestIP, setCookie, type H3Event } from 'h3'
import type { Origin } from '../repos/audit'
import type { Context } from '../services/context'
import type { WebPlace } from '../services/passkeys'
import { SESSION_LIMITS, beginSession, signOut, sittingBehind, type Sitting } from '../services/sessions'
import type { SessionView } from '#schemas/views'
import { personOf, type SessionClaim } from '../services/sign-in'
import { isCollegeOffered } from './college'
import { newsCount } from './news'
import { sessionSecret } from './runtime'

const SESSION = 'nakshi'
const DEVICE = 'nakshi-device'
const YEAR_S = 365 * 24 * 60 * 60
const LONGEST_DEVICE = 120

// Workshops often run on a plain local network; behind HTTPS set NAKSHI_HTTPS=1.
const cookie = (maxAge: number) =>
  ({
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge,
    secure: process.env.NAKSHI_HTTPS === '1',
  }) as const

/** Behind a proxy of one's own the address is what it says; set NAKSHI_TRUSTED_PROXY=1 there, and nowhere else. */
export const addressOf = (event: H3Event): string =>
  (getRequestIP(event, { xForwardedFor: process.env.NAKSHI_TRUSTED_PROXY === '1' }) ?? '').replace(
    /^::ffff:/,
    '',
  )

export const originOf = (event: H3Event): Origin => ({
  address: addressOf(event),
  device: (getHeader(event, 'user-agent') ?? '').slice(0, LONGEST_DEVICE),
})

/** Who is signed in on this device, and their session. */
export const sittingHere = (event: H3Event, context: Context): Sitting | undefined =>
  sittingBehind(context, getCookie(event, SESSION))

/** Where the browser stands; behind a proxy, by what it calls itself. */
export function webPlaceOf(event: H3Event): WebPlace {
  const origin = getHeader(event, 'origin') ?? ''
  return { origin, host: URL.canParse(origin) ? new URL(origin).hostname : '' }
}

/** Opens a session for who has just proved who they are, and remembers the device. */
export function enter(event: H3Event, context: Context, claim: SessionClaim): void {
  // Whoever sits here now: the session before on this device is over.
  signOut(context, getCookie(event, SESSION))
  const token = beginSession(context, claim, originOf(event))
  setCookie(event, SESSION, token, cookie(SESSION_LIMITS.absoluteMin * 60))
  const number = context.repos.people.byId(claim.personId)!.number
  setCookie(event, DEVICE, deviceWith(getCookie(event, DEVICE), number), cookie(YEAR_S))
}

/** On the way to the college and back: read when another site sends the browser here, and then gone. */
export const COLLEGE_STATE = 'nakshi-college'
export const collegeCookie = { ...cookie(10 * 60), sameSite: 'lax' } as const

/** How a browser calls this server. */
export const ownAddress = (event: H3Event): string =>
  `${process.env.NAKSHI_HTTPS === '1' ? 'https' : 'http'}://${getRequestHost(event)}`

/** What a browser is told of a session that has just begun. */
export const sessionView = (context: Context, claim: SessionClaim): SessionView => ({
  person: personOf(context, claim) ?? null,
  needsSetUp: false,
  isCollegeOffered: isCollegeOffered(),
  isLocked: false,
  lockMinutes: context.repos.centre.trust().lockMinutes,
  news: newsCount(),
})

/** So many people of one device are remembered. */
const MOST_KNOWN = 40
const DEVICE_FORM = /^([\w-]{22})((?:~[0-9a-f]{16})*)$/

/** Only this server can say that somebody has signed in on a device: a made-up cookie is no known device. */
const proofOf = (device: string, number: string): string =>
  createHmac('sha256', sessionSecret())
    .update(`device ${device} ${number.trim().toLowerCase()}`)
    .digest('hex')
    .slice(0, 16)

/** The cookie of a device: its name, and a proof for each person who has signed in on it. */
function deviceWith(cookieText: string | undefined, number: string): string {
  const [, known, proofs = ''] = DEVICE_FORM.exec(cookieText ?? '') ?? []
  const device = known ?? randomBytes(16).toString('base64url')
  const others = proofs.split('~').filter((proof) => proof !== '' && proof !== proofOf(device, number))
  return [device, ...others.slice(1 - MOST_KNOWN), proofOf(device, number)].join('~')
}

/** The device, if this very person has signed in on it before. */
export function knownDevice(event: H3Event, number: string): string | undefined {
  const [, device, proofs = ''] = DEVICE_FORM.exec(getCookie(event, DEVICE) ?? '') ?? []
  return device && proofs.split('~').includes(proofOf(device, number)) ? device : undefined
}

export function leave(event: H3Event, context: Context): void {
  signOut(context, getCookie(event, SESSION))
  deleteCookie(event, SESSION, cookie(0))
}

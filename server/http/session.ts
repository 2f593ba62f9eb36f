import { useSession, type H3Event } from 'h3'
import type { SessionClaim } from '../services/sign-in'
import { sessionSecret } from './runtime'

const TWELVE_HOURS_S = 12 * 60 * 60

/** The sealed, http-only, same-site session of this request. */
export function sessionOf(event: H3Event) {
  return useSession<Partial<SessionClaim>>(event, {
    name: 'nakshi',
    password: sessionSecret(),
    maxAge: TWELVE_HOURS_S,
    // Workshops often run on a plain local network; behind HTTPS set NAKSHI_HTTPS=1.
    cookie: { httpOnly: true, sameSite: 'strict', path: '/', secure: process.env.NAKSHI_HTTPS === '1' },
  })
}

import { LRUCache } from 'lru-cache'
import {
  allowInsecureRequests,
  authorizationCodeGrant,
  buildAuthorizationUrl,
  calculatePKCECodeChallenge,
  discovery,
  enableNonRepudiationChecks,
  randomNonce,
  randomPKCECodeVerifier,
  randomState,
  type Configuration,
} from 'openid-client'
import { Problem } from '../services/problem'

/** The college's own sign-in (OpenID Connect): offered where it is named, beside number and password. */
interface College {
  readonly issuer: string
  readonly client: string
  readonly secret: string
  /** Which of its words about somebody is their number here. */
  readonly claim: string
}

function college(): College | null {
  const { NAKSHI_OIDC_ISSUER, NAKSHI_OIDC_CLIENT, NAKSHI_OIDC_SECRET, NAKSHI_OIDC_CLAIM } = process.env
  if (!NAKSHI_OIDC_ISSUER || !NAKSHI_OIDC_CLIENT) return null
  return {
    issuer: NAKSHI_OIDC_ISSUER,
    client: NAKSHI_OIDC_CLIENT,
    secret: NAKSHI_OIDC_SECRET ?? '',
    claim: NAKSHI_OIDC_CLAIM ?? 'preferred_username',
  }
}
export const isCollegeOffered = (): boolean => college() !== null

/** Found once; a provider that could not be reached is asked again. */
const found = new LRUCache<string, Configuration>({ max: 2, ttl: 60 * 60_000 })
async function configuration({ issuer, client, secret }: College): Promise<Configuration> {
  const known = found.get(issuer)
  if (known) return known
  // Only this machine may be asked without TLS: a provider of the tests.
  const isLocal = ['localhost', '127.0.0.1'].includes(new URL(issuer).hostname)
  // The word is checked by its signature too, not by the connection alone.
  const options = { execute: [enableNonRepudiationChecks, ...(isLocal ? [allowInsecureRequests] : [])] }
  const config = await discovery(new URL(issuer), client, secret || undefined, undefined, options).catch(
    () => null,
  )
  if (!config) throw new Problem('collegeUnreachable')
  found.set(issuer, config)
  return config
}

interface Asked {
  readonly verifier: string
  readonly nonce: string
}
/** Who is on their way to the college and back, by state. */
const onTheWay = new LRUCache<string, Asked>({ max: 5000, ttl: 10 * 60_000 })

/** The college's page to sign in at, and the state that comes back with the answer. Throws collegeUnreachable. */
export async function collegeDoor(backTo: string): Promise<{ readonly url: string; readonly state: string }> {
  const here = college()
  if (!here) throw new Problem('notFound')
  const config = await configuration(here)
  const [verifier, nonce, state] = [randomPKCECodeVerifier(), randomNonce(), randomState()]
  onTheWay.set(state, { verifier, nonce })
  const url = buildAuthorizationUrl(config, {
    redirect_uri: backTo,
    scope: 'openid profile',
    code_challenge: await calculatePKCECodeChallenge(verifier),
    code_challenge_method: 'S256',
    state,
    nonce,
  })
  return { url: url.href, state }
}

/**
 * The number of whoever has come back from the college, by its signed word. The state is used once and must be
 * the one of this browser. Throws collegeRefused.
 */
export async function numberFromCollege(answer: URL, state: string | undefined): Promise<string> {
  const here = college()
  const asked = state && answer.searchParams.get('state') === state ? onTheWay.get(state) : undefined
  if (!here || !asked || !state) throw new Problem('collegeRefused')
  onTheWay.delete(state)
  const config = await configuration(here)
  const tokens = await authorizationCodeGrant(config, answer, {
    pkceCodeVerifier: asked.verifier,
    expectedNonce: asked.nonce,
    expectedState: state,
  }).catch(() => null)
  const number = tokens?.claims()?.[here.claim]
  if (typeof number !== 'string' || number.trim() === '') throw new Problem('collegeRefused')
  return number
}

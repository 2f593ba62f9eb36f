/* Sign-in through the college: OpenID Connect against a small provider that signs its word as the standard asks (OpenID Connect Core 1.0, from memory of sections 3.1 and 3.1.3.7). */
import { createServer, type Server } from 'node:http'
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { createApp, createRouter, toNodeListener } from 'h3'
import { SignJWT, exportJWK, generateKeyPair } from 'jose'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'

const servers: Server[] = []
const listen = (server: Server): Promise<string> => {
  servers.push(server)
  return new Promise((ready) =>
    server.listen(0, '127.0.0.1', () =>
      ready(`http://127.0.0.1:${(server.address() as { port: number }).port}`),
    ),
  )
}

/** What the provider says of whoever comes, and how it signs; a test bends it. */
const provider = {
  issuer: '',
  username: 'I-1' as string | undefined,
  nonce: '',
  bend: {} as Record<string, unknown>,
  isForged: false,
}

async function aProvider(): Promise<string> {
  const { publicKey, privateKey } = await generateKeyPair('RS256')
  const stranger = await generateKeyPair('RS256')
  const jwk = { ...(await exportJWK(publicKey)), kid: 'one', alg: 'RS256', use: 'sig' }
  const server = createServer(async (request, response) => {
    const url = new URL(request.url!, provider.issuer)
    const json = (body: unknown) => {
      response.setHeader('content-type', 'application/json')
      response.end(JSON.stringify(body))
    }
    if (url.pathname === '/.well-known/openid-configuration')
      return json({
        issuer: provider.issuer,
        authorization_endpoint: `${provider.issuer}/authorize`,
        token_endpoint: `${provider.issuer}/token`,
        jwks_uri: `${provider.issuer}/keys`,
        response_types_supported: ['code'],
        id_token_signing_alg_values_supported: ['RS256'],
      })
    if (url.pathname === '/keys') return json({ keys: [jwk] })
    const idToken = await new SignJWT({
      nonce: provider.nonce,
      ...(provider.username ? { preferred_username: provider.username } : {}),
      ...provider.bend,
    })
      .setProtectedHeader({ alg: 'RS256', kid: 'one' })
      .setIssuer(provider.issuer)
      .setSubject('person-1')
      .setAudience(String(provider.bend.aud ?? 'nakshi'))
      .setIssuedAt()
      .setExpirationTime((provider.bend.exp as number | undefined) ?? '5m')
      .sign(provider.isForged ? stranger.privateKey : privateKey)
    return json({ access_token: 'x', token_type: 'bearer', expires_in: 300, id_token: idToken })
  })
  return listen(server)
}

let base = ''
beforeAll(async () => {
  process.env.NAKSHI_DATA = mkdtempSync(join(tmpdir(), 'nakshi-college-'))
  provider.issuer = await aProvider()
  process.env.NAKSHI_OIDC_ISSUER = provider.issuer
  process.env.NAKSHI_OIDC_CLIENT = 'nakshi'
  process.env.NAKSHI_OIDC_SECRET = 'a secret'
  const router = createRouter()
    .get('/api/session', (await import('../../server/api/session.get')).default)
    .post('/api/set-up', (await import('../../server/api/set-up.post')).default)
    .get('/college', (await import('../../server/routes/college/index.get')).default)
    .get('/college/back', (await import('../../server/routes/college/back.get')).default)
  base = await listen(createServer(toNodeListener(createApp().use(router))))
  await fetch(`${base}/api/set-up`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ number: 'I-1', name: 'Ada', password: 'three words apart' }),
  })
})
afterAll(() => {
  servers.forEach((server) => server.close())
  delete process.env.NAKSHI_OIDC_ISSUER
})

const cookiesOf = (response: Response): string[] =>
  response.headers.getSetCookie().map((cookie) => cookie.split(';')[0]!)
/** To the college and back, as a browser goes. */
async function goThere() {
  const door = await fetch(`${base}/college`, { redirect: 'manual' })
  const asked = new URL(door.headers.get('location')!)
  provider.nonce = asked.searchParams.get('nonce')!
  return { asked, cookie: cookiesOf(door).find((text) => text.startsWith('nakshi-college='))! }
}
const comeBack = (state: string | null, cookie: string) =>
  fetch(`${base}/college/back?code=abc&state=${state}`, { redirect: 'manual', headers: { cookie } })

const SOUND = { username: 'I-1', bend: {}, isForged: false }

describe('through the college', () => {
  it('the way there carries a challenge, a state and a nonce; back again there is a session', async () => {
    expect(await (await fetch(`${base}/api/session`)).json()).toMatchObject({ isCollegeOffered: true })
    const { asked, cookie } = await goThere()
    expect(Object.fromEntries(asked.searchParams)).toMatchObject({
      client_id: 'nakshi',
      response_type: 'code',
      code_challenge_method: 'S256',
      redirect_uri: `${base}/college/back`,
    })
    const back = await comeBack(asked.searchParams.get('state'), cookie)
    expect(back.headers.get('location')).toBe('/')
    const session = cookiesOf(back).find((text) => text.startsWith('nakshi='))!
    const here = await fetch(`${base}/api/session`, { headers: { cookie: session } })
    expect(await here.json()).toMatchObject({ person: { number: 'I-1' } })
  })

  it('a state of another browser, or one used before, opens nothing', async () => {
    const { asked, cookie } = await goThere()
    const state = asked.searchParams.get('state')
    const foreign = await comeBack(state, 'nakshi-college=somebody-else')
    expect(foreign.headers.get('location')).toBe('/sign-in?college=collegeRefused')
    expect((await comeBack(state, cookie)).headers.get('location')).toBe('/')
    const again = await comeBack(state, cookie)
    expect(again.headers.get('location')).toBe('/sign-in?college=collegeRefused')
    expect(cookiesOf(again).some((text) => text.startsWith('nakshi='))).toBe(false)
  })

  it.each([
    ['a nonce of another sign-in', { bend: { nonce: 'old' } }, 'collegeRefused'],
    ['a word that is no longer good', { bend: { exp: 1000 } }, 'collegeRefused'],
    ['a word for another program', { bend: { aud: 'somebody' } }, 'collegeRefused'],
    ['a word that somebody else has signed', { isForged: true }, 'collegeRefused'],
    ['no number in it', { username: undefined }, 'collegeRefused'],
    ['a number that nobody here has', { username: 'X-99' }, 'collegeUnknown'],
  ])('%s is refused in words on the sign-in page', async (_, bent, code) => {
    const { asked, cookie } = await goThere()
    Object.assign(provider, SOUND, bent)
    const back = await comeBack(asked.searchParams.get('state'), cookie)
    expect(back.headers.get('location')).toBe(`/sign-in?college=${code}`)
    expect(cookiesOf(back).some((text) => text.startsWith('nakshi='))).toBe(false)
    Object.assign(provider, SOUND)
  })
})

import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
  type AuthenticationResponseJSON,
  type AuthenticatorTransport,
  type PublicKeyCredentialCreationOptionsJSON,
  type PublicKeyCredentialRequestOptionsJSON,
  type RegistrationResponseJSON,
} from '@simplewebauthn/server'
import { LRUCache } from 'lru-cache'
import type { PasskeyItem } from '#schemas/trust-views'
import type { Person } from '../repos/people'
import type { StoredPasskey } from '../repos/passkeys'
import type { Context } from './context'
import { Problem } from './problem'
import { needProof, proved, stillHere } from './proof'

/** Where the browser stands: a passkey belongs to this host and page. */
export interface WebPlace {
  readonly host: string
  readonly origin: string
}

/** A challenge is answered once and soon. */
const challenges = new LRUCache<number, string>({ max: 2000, ttl: 3 * 60_000 })
const MOST_KEYS = 10

function challengeOf({ session }: Context): string {
  const challenge = session && challenges.get(session.id)
  if (!challenge) throw new Problem('proofWrong')
  challenges.delete(session.id)
  return challenge
}

/** The keys somebody has, where one more may be kept. Throws passkeysFull. */
function roomFor({ repos }: Context, { id }: Person): readonly StoredPasskey[] {
  const known = repos.passkeys.of(id)
  if (known.length >= MOST_KEYS) throw new Problem('passkeysFull')
  return known
}

const transportsOf = ({ transports }: StoredPasskey) =>
  transports.split(' ').filter(Boolean) as AuthenticatorTransport[]

export const listPasskeys = ({ repos }: Context, actor: Person): PasskeyItem[] =>
  repos.passkeys.of(actor.id).map(({ id, name, madeAt, usedAt }) => ({ id, name, madeAt, usedAt }))

/** What the browser needs to make a passkey; only soon after a proof. */
export async function newPasskeyOptions(
  context: Context,
  actor: Person,
  { host }: WebPlace,
): Promise<PublicKeyCredentialCreationOptionsJSON> {
  needProof(context)
  const known = roomFor(context, actor)
  const options = await generateRegistrationOptions({
    rpName: 'Nakshi',
    rpID: host,
    userName: actor.number,
    userDisplayName: actor.name,
    attestationType: 'none',
    excludeCredentials: known.map((key) => ({ id: key.credential, transports: transportsOf(key) })),
    authenticatorSelection: { userVerification: 'required', residentKey: 'preferred' },
  })
  if (context.session) challenges.set(context.session.id, options.challenge)
  return options
}

export async function addPasskey(
  context: Context,
  actor: Person,
  place: WebPlace,
  { name, response }: { readonly name: string; readonly response: RegistrationResponseJSON },
): Promise<void> {
  needProof(context)
  const verified = await verifyRegistrationResponse({
    response,
    expectedChallenge: challengeOf(context),
    expectedOrigin: place.origin,
    expectedRPID: place.host,
  }).catch(() => ({ verified: false }) as const)
  if (!verified.verified) throw new Problem('passkeyWrong')
  const { credential } = verified.registrationInfo
  const { repos, now } = context
  repos.transaction(() => {
    stillHere(context)
    roomFor(context, actor)
    const isNew = repos.passkeys.add({
      personId: actor.id,
      credential: credential.id,
      publicKey: Buffer.from(credential.publicKey),
      counter: credential.counter,
      transports: (credential.transports ?? []).join(' '),
      name: name.trim(),
      madeAt: now,
    })
    if (!isNew) throw new Problem('passkeyWrong')
    repos.audit.add(now, actor.id, 'passkeyAdded', `person ${actor.id}`)
  })
}

export function removePasskey({ repos, now }: Context, actor: Person, id: number): void {
  if (!repos.passkeys.remove(id, actor.id)) throw new Problem('notFound')
  repos.audit.add(now, actor.id, 'passkeyRemoved', `person ${actor.id}`)
}

/** What the browser needs to prove with a passkey who sits here. */
export async function proofOptions(
  context: Context,
  actor: Person,
  { host }: WebPlace,
): Promise<PublicKeyCredentialRequestOptionsJSON> {
  const known = context.repos.passkeys.of(actor.id)
  if (known.length === 0) throw new Problem('passkeyMissing')
  const options = await generateAuthenticationOptions({
    rpID: host,
    userVerification: 'required',
    allowCredentials: known.map((key) => ({ id: key.credential, transports: transportsOf(key) })),
  })
  if (context.session) challenges.set(context.session.id, options.challenge)
  return options
}

/** Proves with a passkey who sits here. Throws proofWrong. */
export async function proveByPasskey(
  context: Context,
  actor: Person,
  place: WebPlace,
  response: AuthenticationResponseJSON,
): Promise<void> {
  const { repos, now } = context
  const key = repos.passkeys.of(actor.id).find(({ credential }) => credential === response.id)
  if (!key) throw new Problem('proofWrong')
  const verified = await verifyAuthenticationResponse({
    response,
    expectedChallenge: challengeOf(context),
    expectedOrigin: place.origin,
    expectedRPID: place.host,
    credential: {
      id: key.credential,
      publicKey: new Uint8Array(key.publicKey),
      counter: key.counter,
      transports: transportsOf(key),
    },
  }).catch(() => ({ verified: false }) as const)
  const isNew = verified.verified && repos.passkeys.use(key.id, verified.authenticationInfo.newCounter, now)
  if (!isNew) {
    repos.audit.add(now, actor.id, 'proofRefused', `person ${actor.id}`)
    throw new Problem('proofWrong')
  }
  proved(context)
}

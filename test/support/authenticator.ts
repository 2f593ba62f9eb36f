/* An authenticator made by hand after W3C Web Authentication Level 2 (6.1 authenticator data, 6.5.1 attested
   credential data, 8.7 attestation "none") and RFC 9053 (2.1 ES256, 7.1.1 keys), from memory of both. */
import { createHash, generateKeyPairSync, randomBytes, sign } from 'node:crypto'
import type { AuthenticationResponseJSON, RegistrationResponseJSON } from '@simplewebauthn/server'
import type { WebPlace } from '../../server/services/passkeys'

const sha256 = (data: Buffer | string): Buffer => createHash('sha256').update(data).digest()
const base64url = (data: Buffer): string => data.toString('base64url')

/** Flags of the authenticator data: the user was there, was verified, and a new key is attached. */
const [PRESENT, VERIFIED, ATTACHED] = [0x01, 0x04, 0x40]

/** CBOR of a byte string, RFC 8949 3.1: one byte of length, or two. */
const byteString = (bytes: Buffer): Buffer =>
  Buffer.concat([
    bytes.length < 256
      ? Buffer.from([0x58, bytes.length])
      : Buffer.from([0x59, bytes.length >> 8, bytes.length & 0xff]),
    bytes,
  ])
const text = (words: string): Buffer =>
  Buffer.concat([Buffer.from([0x60 + words.length]), Buffer.from(words)])

/** What an authenticator does otherwise than asked. */
interface Amiss {
  readonly origin?: string
  readonly isUnverified?: boolean
  readonly counter?: number
}

/** A new authenticator with one key on the P-256 curve. */
export function anAuthenticator() {
  const { privateKey, publicKey } = generateKeyPairSync('ec', { namedCurve: 'P-256' })
  const { x, y } = publicKey.export({ format: 'jwk' })
  const id = randomBytes(16)
  let counter = 0

  const clientData = (type: string, challenge: string, origin: string): Buffer =>
    Buffer.from(JSON.stringify({ type, challenge, origin, crossOrigin: false }))
  function authData(host: string, flags: number, attached: Buffer, asked: Amiss): Buffer {
    counter = asked.counter ?? counter + 1
    const count = Buffer.alloc(4)
    count.writeUInt32BE(counter)
    const verified = asked.isUnverified ? 0 : VERIFIED
    return Buffer.concat([sha256(host), Buffer.from([flags | PRESENT | verified]), count, attached])
  }
  /** kty EC2, alg ES256, crv P-256, x, y. */
  const coseKey = Buffer.concat([
    Buffer.from([0xa5, 0x01, 0x02, 0x03, 0x26, 0x20, 0x01, 0x21]),
    byteString(Buffer.from(x!, 'base64url')),
    Buffer.from([0x22]),
    byteString(Buffer.from(y!, 'base64url')),
  ])
  const common = {
    id: base64url(id),
    rawId: base64url(id),
    type: 'public-key',
    clientExtensionResults: {},
  } as const

  function register(
    challenge: string,
    { host, origin }: WebPlace,
    amiss: Amiss = {},
  ): RegistrationResponseJSON {
    const length = Buffer.from([0, id.length])
    const attached = Buffer.concat([Buffer.alloc(16), length, id, coseKey])
    const data = authData(host, ATTACHED, attached, amiss)
    const attestation = Buffer.concat([
      Buffer.from([0xa3]),
      ...[text('fmt'), text('none'), text('attStmt'), Buffer.from([0xa0])],
      ...[text('authData'), byteString(data)],
    ])
    return {
      ...common,
      response: {
        clientDataJSON: base64url(clientData('webauthn.create', challenge, amiss.origin ?? origin)),
        attestationObject: base64url(attestation),
        transports: ['usb'],
      },
    }
  }
  function prove(
    challenge: string,
    { host, origin }: WebPlace,
    amiss: Amiss = {},
  ): AuthenticationResponseJSON {
    const client = clientData('webauthn.get', challenge, amiss.origin ?? origin)
    const data = authData(host, 0, Buffer.alloc(0), amiss)
    const signature = sign('sha256', Buffer.concat([data, sha256(client)]), privateKey)
    return {
      ...common,
      response: {
        clientDataJSON: base64url(client),
        authenticatorData: base64url(data),
        signature: base64url(signature),
      },
    }
  }
  return { id: base64url(id), register, prove }
}

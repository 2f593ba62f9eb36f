import { Ajv, type ErrorObject } from 'ajv'
import type { Static, TSchema } from '@sinclair/typebox'

const ajv = new Ajv({ allErrors: true, allowUnionTypes: true })

/** One thing wrong with a document: where, and a sentence on what is expected there. */
export interface SchemaProblem {
  readonly field: string
  readonly message: string
}

export type Validated<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly problems: readonly SchemaProblem[] }

const compiled = new WeakMap<TSchema, ReturnType<typeof ajv.compile>>()

/** Checks a value against a schema, returning every reason when it does not fit. Compiled once for each schema. */
export function validate<S extends TSchema>(schema: S, value: unknown): Validated<Static<S>> {
  let check = compiled.get(schema)
  if (!check) {
    check = ajv.compile(schema)
    compiled.set(schema, check)
  }
  if (check(value)) return { ok: true, value: value as Static<S> }
  return {
    ok: false,
    problems: (check.errors ?? []).filter((error) => error.keyword !== 'anyOf').map(problemOf),
  }
}

type Params = ErrorObject['params']

/** By what was not kept, what is wanted; a field of its own where the document's path does not name it. */
const WANTED: Readonly<Record<string, (params: Params) => string>> = {
  required: () => 'is missing.',
  additionalProperties: () => 'is not known here. Take it out.',
  enum: ({ allowedValues }) =>
    `must be one of: ${(allowedValues as unknown[]).map((v) => v ?? 'none').join(', ')}.`,
  const: ({ allowedValue }) => `must be ${JSON.stringify(allowedValue)}.`,
  exclusiveMinimum: ({ limit }) => `must be more than ${limit}.`,
  minimum: ({ limit }) => `must be ${limit} or more.`,
  maximum: ({ limit }) => `must be ${limit} or less.`,
  minLength: ({ limit }) => (limit === 1 ? 'must not be empty.' : `needs at least ${limit} characters.`),
  maxLength: ({ limit }) => `may have at most ${limit} characters.`,
  minItems: ({ limit }) => `needs at least ${limit}.`,
  type: ({ type }) => `must be ${type === 'integer' ? 'a whole number' : `a ${type}`}.`,
  pattern: () => 'has characters that are not allowed here, or is empty.',
}

function problemOf({ instancePath, keyword, params, message }: ErrorObject): SchemaProblem {
  const path = instancePath.slice(1).replaceAll('/', '.')
  const named: unknown = params.missingProperty ?? params.additionalProperty
  return {
    field: named === undefined ? path : join(path, String(named)),
    message: WANTED[keyword]?.(params) ?? `${message ?? 'is not right'}.`,
  }
}

const join = (path: string, name: string): string => (path ? `${path}.${name}` : name)

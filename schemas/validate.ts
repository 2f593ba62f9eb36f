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

function problemOf(error: ErrorObject): SchemaProblem {
  const field = error.instancePath.slice(1).replaceAll('/', '.')
  const { params } = error
  switch (error.keyword) {
    case 'required':
      return { field: join(field, params.missingProperty), message: 'is missing.' }
    case 'additionalProperties':
      return { field: join(field, params.additionalProperty), message: 'is not known here. Take it out.' }
    case 'enum':
      return {
        field,
        message: `must be one of: ${(params.allowedValues as unknown[]).map((v) => v ?? 'none').join(', ')}.`,
      }
    case 'const':
      return { field, message: `must be ${JSON.stringify(params.allowedValue)}.` }
    case 'exclusiveMinimum':
      return { field, message: `must be more than ${params.limit}.` }
    case 'minimum':
      return { field, message: `must be ${params.limit} or more.` }
    case 'maximum':
      return { field, message: `must be ${params.limit} or less.` }
    case 'minLength':
      return {
        field,
        message: params.limit === 1 ? 'must not be empty.' : `needs at least ${params.limit} characters.`,
      }
    case 'maxLength':
      return { field, message: `may have at most ${params.limit} characters.` }
    case 'minItems':
      return { field, message: `needs at least ${params.limit}.` }
    case 'type':
      return {
        field,
        message: `must be ${params.type === 'integer' ? 'a whole number' : `a ${params.type}`}.`,
      }
    case 'pattern':
      return { field, message: 'has characters that are not allowed here, or is empty.' }
    default:
      return { field, message: `${error.message ?? 'is not right'}.` }
  }
}

const join = (path: string, name: string): string => (path ? `${path}.${name}` : name)

import type { TSchema } from '@sinclair/typebox'

/**
 * A schema as its published file holds it. The identifier is added here: a schema used inside another must
 * not carry one.
 */
export const published = (id: string, schema: TSchema): string =>
  `${JSON.stringify({ $schema: 'http://json-schema.org/draft-07/schema#', $id: id, ...schema }, null, 2)}\n`

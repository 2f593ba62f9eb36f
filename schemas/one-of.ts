import { Type } from '@sinclair/typebox'

/** One of these values, as a type of them. */
export const oneOf = <const T extends readonly (string | number)[]>(values: T) =>
  Type.Unsafe<T[number]>({ enum: values as unknown as T[number][] })

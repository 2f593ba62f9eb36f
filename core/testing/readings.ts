import type { ReadingKey } from './kinds/kinds'

/** Readings as typed, by test; with the reasons for what was left out, `why:c1.zs@c1p4`. */
export type Readings = Readonly<Record<ReadingKey, string>>

/** When each reading was taken or came in, ISO 8601 UTC, by test. */
export type ReadingTimes = Readonly<Record<string, string>>

/** Where the reason stands for which a test was left out. */
export const whyKey = (key: ReadingKey): string => `why:${key}`

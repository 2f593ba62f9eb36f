type Mutable<T> = T extends object ? { -readonly [K in keyof T]: Mutable<T[K]> } : T

/** `true` when both types allow the same values (read-only or not); a compile error otherwise. */
export type Same<A, B> = [Mutable<A>] extends [Mutable<B>]
  ? [Mutable<B>] extends [Mutable<A>]
    ? true
    : never
  : never

/** Names the pairs that must stay the same; `Proved<[Same<A, B>]>` fails to compile when one does not. */
export type Proved<T extends readonly true[]> = T

/** One question of a policy of type P on which schools differ, with the answers a centre chooses between; the default says why. */
export interface Choice<P, K extends keyof P = keyof P> {
  readonly key: K
  readonly name: string
  readonly options: readonly {
    readonly value: NonNullable<P[K]>
    readonly name: string
    readonly reason: string
  }[]
}

/** Makes the questions of one policy. */
export const choicesOf =
  <P>() =>
  <K extends keyof P>(key: K, name: string, options: Choice<P, K>['options']): Choice<P, K> => ({
    key,
    name,
    options,
  })

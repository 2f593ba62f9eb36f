import type { QuantityKey } from '../units/quantity'

/** Something that is turned by hand, from its least to its most; or one of a few choices. */
export type Knob =
  | { readonly least: number; readonly most: number; readonly step: number; readonly start: number }
  | { readonly choices: readonly number[]; readonly start: number }

/** A small bench of one law: what can be set, what follows, and which figure is to be predicted. */
export interface Bench<K extends string = string, F extends string = string> {
  readonly knobs: Readonly<Record<K, Knob>>
  /** How each figure is written; SI inside. */
  readonly figures: Readonly<Record<F, QuantityKey>>
  readonly asked: F
  /** What the settings come to, SI. */
  readonly work: (settings: Readonly<Record<K, number>>) => Readonly<Record<F, number>>
}

/** Keeps the names of knobs and figures. */
export const bench = <K extends string, F extends string>(
  one: Omit<Bench<K, F>, 'asked'> & { readonly asked: NoInfer<F> },
): Bench<K, F> => one

export const startOf = <K extends string>({ knobs }: Bench<K>): Record<K, number> =>
  Object.fromEntries(Object.entries<Knob>(knobs).map(([key, { start }]) => [key, start])) as Record<K, number>

import type { VariantsResult } from '#core/exercise/variants'
import type { Circuit } from '#core/installation/installation'

type Failed = Extract<VariantsResult, { readonly ok: false }>

/** Why an exercise has fewer variants than are wanted, and at which circuit. */
export function tooFewSays(
  { found, wanted, circuit }: Failed,
  circuits: readonly Pick<Circuit, 'id' | 'name'>[],
): string {
  const name = circuits.find(({ id }) => id === circuit)?.name
  const where = name ? `: ${name} has no other length and load of like difficulty left` : ''
  return `Only ${found} of ${wanted} variants were found${where}. Widen the spread of length or load, or set it for fewer people at once.`
}

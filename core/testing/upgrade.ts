import { pointId } from '../bay/build/lay'
import type { Circuit, Installation } from '../installation/installation'
import { kindOf } from './kinds/kinds'
import { testKey } from './plan/schedule'

/* Sheets of one circuit were once kept by the kind of test alone: `zs`, `rcdTime`. They are read as the schedule of that circuit. */

const AT_FURTHEST: readonly string[] = ['r1r2', 'polarity', 'zs', 'rcdTime']
const AT_BOARD: readonly string[] = ['irLN', 'irLE', 'irNE']

/** Is this the key of a reading on such a sheet? Ze has kept its own. */
export const isFormerKey = (key: string): boolean => AT_FURTHEST.includes(key) || AT_BOARD.includes(key)

/**
 * The point that a sheet of one circuit was measured at: the end of a radial or spur, half way round a ring;
 * of a feed the board behind it.
 */
function furthestPoint(circuit: Circuit, { boards }: Installation): string {
  const fed = boards.find(({ fedBy }) => fedBy === circuit.id)
  if (fed) return `${fed.id}main`
  const isPlainRing = circuit.topology === 'ring' && circuit.spurs === 0
  return pointId(circuit.id, isPlainRing ? Math.floor(circuit.points / 2) + 1 : circuit.points)
}

/**
 * The key in the schedule of the circuit that is tested; as it is where it is one already, or no circuit is
 * known.
 */
export function presentKey(key: string, installation: Installation, tests: string | null): string {
  const circuit = installation.circuits.find(({ id }) => id === tests)
  if (!circuit || !isFormerKey(key)) return key
  const { key: kind } = kindOf(key)
  if (AT_BOARD.includes(key)) return testKey(kind, circuit.id, null)
  const at =
    kind === kindOf('rcd').key ? pointId(circuit.id, circuit.points) : furthestPoint(circuit, installation)
  return testKey(kind, circuit.id, at)
}

/** Whatever is kept by reading, by the keys of the present schedule. What stands there already stays. */
export function presentKeys<T>(
  byKey: Readonly<Record<string, T>>,
  installation: Installation,
  tests: string | null,
): Readonly<Record<string, T>> {
  if (!Object.keys(byKey).some(isFormerKey)) return byKey
  const moved = Object.entries(byKey).map(
    ([key, value]) => [presentKey(key, installation, tests), value] as const,
  )
  return {
    ...Object.fromEntries(moved),
    ...Object.fromEntries(Object.entries(byKey).filter(([key]) => !isFormerKey(key))),
  }
}

import { isDrawnIn } from '#core/regulations/cables/sizes'
import type { StoresCable } from '#schemas/views'
import { CABLE_NAME } from '#words/names'

type Named = Pick<StoresCable, 'kind' | 'lineMm2' | 'cpcMm2' | 'phases'>

/** A cable as stores call it: kind, sizes, cores. */
export const cableWords = (cable: Named): string =>
  `${CABLE_NAME[cable.kind]} ${cable.lineMm2}/${cable.cpcMm2} mm²${coresWords(cable)}`

function coresWords({ kind, phases }: Pick<Named, 'kind' | 'phases'>): string {
  if (isDrawnIn(kind)) return `, each of ${phases === 3 ? 'three lines' : 'line'}, neutral and cpc`
  return phases === 3 ? ', three phase' : ''
}

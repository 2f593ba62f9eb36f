import type { Sheet } from './sheet'
import { boardInsulation, insulationFamily } from './insulation'
import { leadsNotNulled } from './leads'
import { faultCurrentFits, loopSums } from './loop'
import { radialGrows } from './radial'
import { rcdTimes } from './rcd-times'
import type { Relation, SheetRule } from './relation'
import { ringRelations } from './ring'
import { ringRound } from './ring-round'

const RULES: readonly SheetRule[] = [
  ringRelations,
  ringRound,
  radialGrows,
  insulationFamily,
  boardInsulation,
  loopSums,
  faultCurrentFits,
  rcdTimes,
]

/** What the readings of a sheet say together. What the leads explain needs no other reason. */
export function relationsOf(sheet: Sheet): Relation[] {
  const leads = leadsNotNulled(sheet)
  const withLeads = new Set(leads.flatMap(({ keys }) => keys))
  const rest = RULES.flatMap((rule) => rule(sheet))
  return [...leads, ...rest.filter(({ keys }) => !keys.some((key) => withLeads.has(key)))]
}

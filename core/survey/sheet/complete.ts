import { scaleOf } from '../plan/plan'
import { pointsOf } from '../plan/route'
import { ITEM_KEYS, itemOf, type ItemKey, type Objective } from './checklist'
import { given, type SurveySheet } from './sheet'

/** What an objective still lacks. */
export interface ObjectiveGap {
  readonly objective: Objective
  readonly items: readonly ItemKey[]
  readonly plan: readonly ('scale' | 'board' | 'rooms' | 'routes' | 'fixture')[]
}

/** Items that need not be answered: there may be nothing to say. */
const OPTIONAL = new Set<ItemKey>([
  'building.existing',
  'services.alarms',
  'services.data',
  'intake.condition',
  'people.stays',
  'trades.plaster',
])

function isNeeded(sheet: SurveySheet, key: ItemKey): boolean {
  if (OPTIONAL.has(key)) return false
  if (key === 'earth.bondWater') return given(sheet, 'services.water') === 'metal'
  if (key === 'earth.bondGas') return given(sheet, 'services.gas') === 'metal'
  return true
}

/** What the objectives of a survey still lack, objective by objective; none where everything is answered. */
export function gapsOfSurvey(sheet: SurveySheet): ObjectiveGap[] {
  return sheet.objectives
    .map((objective) => ({
      objective,
      items: ITEM_KEYS.filter(
        (key) =>
          itemOf(key).objective === objective && isNeeded(sheet, key) && given(sheet, key) === undefined,
      ),
      plan: planGaps(sheet, objective),
    }))
    .filter(({ items, plan }) => items.length + plan.length > 0)
}

function planGaps(sheet: SurveySheet, objective: Objective): ObjectiveGap['plan'] {
  const { plan } = sheet
  if (objective === 'special')
    return given(sheet, 'special.location') === 'bath-or-shower' && plan.fixtures.length === 0
      ? ['fixture']
      : []
  if (objective !== 'routes') return []
  const isLaid = plan.routes.some((route) => pointsOf(plan.points, route).length > 0)
  return [
    ...(scaleOf(plan) === undefined ? (['scale'] as const) : []),
    ...(plan.board ? [] : (['board'] as const)),
    ...(plan.rooms.length > 0 ? [] : (['rooms'] as const)),
    ...(isLaid ? [] : (['routes'] as const)),
  ]
}

import { ITEM_KEYS, itemOf, type Objective } from '#core/survey/sheet/checklist'
import { gapsOfSurvey } from '#core/survey/sheet/complete'
import { contradictionsOf, type Contradiction } from '#core/survey/sheet/contradictions'
import { laidRoutes } from '#core/survey/sheet/feed'
import { given, type SurveyFields, type SurveySheet } from '#core/survey/sheet/sheet'
import { leastIp } from '#core/survey/plan/protection'
import { scaleOf } from '#core/survey/plan/plan'
import { areaOf } from '#core/survey/plan/geometry'
import { formatQuantity } from '#core/units/format'
import { ITEM_TEXT, OBJECTIVE_TEXT, ROOM_TEXT, ipSays, SOURCE_TEXT, WAY_TEXT, choiceText } from './items'
import { contradictionSays, gapSays } from './says'

export interface ReportLine {
  readonly name: string
  readonly text: string
  /** How it came to be known; empty where that is not said. */
  readonly source: string
}
/** The report of a survey, part by part, as it is printed and given out. */
export interface SurveyReport {
  readonly title: string
  readonly summary: string
  readonly objectives: readonly string[]
  readonly method: string
  readonly findings: readonly { readonly heading: string; readonly lines: readonly ReportLine[] }[]
  readonly conclusions: readonly { readonly objective: string; readonly text: string }[]
  readonly recommendations: string
  /** What stands open or contradicts itself; printed, so that nobody takes it for checked. */
  readonly open: readonly string[]
}

/** The report that follows from what was put down, with what its designs contradict; nothing else is said. */
export function reportOf(
  fields: SurveyFields,
  sheet: SurveySheet,
  ofDesign: readonly Contradiction[] = [],
): SurveyReport {
  const gaps = gapsOfSurvey(sheet)
  return {
    title: fields.title?.trim() || 'Survey without a title',
    summary: fields['report.summary']?.trim() ?? '',
    objectives: sheet.objectives.map((objective) => OBJECTIVE_TEXT[objective]),
    method: fields['report.method']?.trim() ?? '',
    findings: [
      ...sheet.objectives.map((objective) => ({
        heading: OBJECTIVE_TEXT[objective],
        lines: linesOf(sheet, objective),
      })),
    ].filter(({ lines }) => lines.length > 0),
    conclusions: sheet.objectives.map((objective) => ({
      objective: OBJECTIVE_TEXT[objective],
      text: conclusionOf(fields, sheet, objective),
    })),
    recommendations: fields['report.recommendations']?.trim() ?? '',
    open: [
      ...gaps.map((gap) => `Open: ${gapSays(gap)}.`),
      ...[...contradictionsOf(sheet), ...ofDesign].map(contradictionSays),
    ],
  }
}

function conclusionOf(fields: SurveyFields, sheet: SurveySheet, objective: Objective): string {
  const written = fields[`report.conclusion.${objective}`]?.trim()
  if (written) return written
  const isOpen = gapsOfSurvey(sheet).some((gap) => gap.objective === objective)
  return isOpen ? 'Not answered yet.' : 'Answered by the findings.'
}

function linesOf(sheet: SurveySheet, objective: Objective): ReportLine[] {
  const items = ITEM_KEYS.filter((key) => itemOf(key).objective === objective).flatMap((key) => {
    const answer = sheet.answers.get(key)!
    if (given(sheet, key) === undefined) return []
    const { quantity, is } = itemOf(key)
    const plain = is === 'choice' ? choiceText(answer.text) : answer.text
    const text = quantity && answer.value !== undefined ? formatQuantity(answer.value, quantity) : plain
    return [{ name: ITEM_TEXT[key], text, source: answer.source ? SOURCE_TEXT[answer.source] : '' }]
  })
  return objective === 'routes' ? [...items, ...planLines(sheet)] : items
}

function planLines(sheet: SurveySheet): ReportLine[] {
  const { plan } = sheet
  const scale = scaleOf(plan)
  if (scale === undefined) return []
  const rooms = plan.rooms.map((room) => ({
    name: room.name || 'Room',
    text:
      `${(areaOf(room.corners) * scale ** 2).toFixed(1)} m², ` +
      `${formatQuantity(room.heightM, 'length')} high, ${room.ambientC} °C, ${ROOM_TEXT[room.kind]}`,
    source: 'plan',
  }))
  const routes = laidRoutes(plan).map(({ route, measure }) => ({
    name: route.name || 'Route',
    text:
      `${formatQuantity(measure.lengthM, 'length')} ${WAY_TEXT[route.way]}, ` +
      `of it ${formatQuantity(measure.riseM, 'length')} up and down`,
    source: 'plan',
  }))
  const conditions = { moisture: given(sheet, 'conditions.moisture'), dust: given(sheet, 'conditions.dust') }
  const points = plan.points.map((point) => ({
    name: point.name || 'Point',
    text: `${formatQuantity(point.heightM, 'length')} above the floor, ${ipSays(leastIp(plan, conditions, point))}`,
    source: 'plan',
  }))
  return [...rooms, ...points, ...routes]
}

import { SOURCES, type Source } from '../source'
import type { Cell } from './change'
import type { BookTable, Column } from './table'
import { PARAMETERS, type Parameter } from './values'

/** Figures of rules, one row each: where they come from, and what can stand there. */
const PARAMETER_FACTS: Readonly<
  Record<
    Parameter,
    { readonly source: Source; readonly scale?: number; readonly range: readonly [number, number] }
  >
> = {
  cMin: { source: SOURCES.maximumLoopImpedance, range: [0.8, 1] },
  touchLimitV: { source: SOURCES.residualLoopImpedance, range: [10, 120] },
  lightingDrop: { source: SOURCES.voltDropLimit, scale: 100, range: [1, 10] },
  otherDrop: { source: SOURCES.voltDropLimit, scale: 100, range: [1, 10] },
  rewirable: { source: SOURCES.deviceFactor, range: [0.5, 1] },
  buried: { source: SOURCES.deviceFactor, range: [0.5, 1] },
  ringCableA: { source: SOURCES.ringRating, range: [10, 32] },
  ringLeastMm2: { source: SOURCES.ringRating, range: [1, 6] },
  lightingLeastMm2: { source: SOURCES.minimumArea, range: [0.5, 4] },
  powerLeastMm2: { source: SOURCES.minimumArea, range: [0.5, 4] },
  socketRcdA: { source: SOURCES.additionalProtection, range: [0, 125] },
  shortTimeSocketsA: { source: SOURCES.disconnectionTimes, range: [16, 125] },
  shortTimeOtherA: { source: SOURCES.disconnectionTimes, range: [16, 125] },
  finalTnS: { source: SOURCES.disconnectionTimes, range: [0.01, 5] },
  finalTtS: { source: SOURCES.disconnectionTimes, range: [0.01, 5] },
  distributionTnS: { source: SOURCES.disconnectionTimes, range: [0.01, 10] },
  distributionTtS: { source: SOURCES.disconnectionTimes, range: [0.01, 10] },
  cookerSocketA: { source: SOURCES.diversity, range: [1, 32] },
  dischargeFactor: { source: SOURCES.diversity, range: [1, 3] },
}

/** Each figure of a rule is a table with one cell: its own unit, range and clause. */
export const parameterTables: readonly BookTable[] = PARAMETERS.map((name) => ({
  id: `rule-${name}`,
  source: PARAMETER_FACTS[name].source,
  columns: ['value'],
  read: ({ parameters }) => oneRow(parameters, name),
  scale: PARAMETER_FACTS[name].scale ?? 1,
  range: PARAMETER_FACTS[name].range,
  trend: 'any',
  grows: false,
}))

/** The one cell of a rule, as a column whose only row is `0`. */
const oneRow = (parameters: Record<Parameter, number>, name: Parameter): Column => ({
  get 0() {
    return parameters[name]
  },
  set 0(value: number) {
    parameters[name] = value
  },
})

/** Where the figure of a rule stands. */
export const ruleCell = (name: Parameter): Cell => ({ table: `rule-${name}`, row: '0', column: 'value' })

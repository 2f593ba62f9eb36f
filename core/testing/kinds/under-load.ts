import { readClamp } from '../../bay/instruments/clamp'
import type { Reading } from '../../bay/instruments/reading'
import { readVoltage } from '../../bay/instruments/voltage'
import type { Rig } from '../../bay/model/rig'
import { SOURCES } from '../../regulations/source'
import { homeEnds, supplyOf, wayOf } from '../setup/circuit-ends'
import { loadedAtPoint } from '../setup/live'
import { benchOf, type Prepared } from '../setup/prepared'
import { NOWHERE, type BayTest, type CircuitPlan, type Place, type TestKind } from './kind'
import { outcomeOf } from './shared'

/** Where they are wanted: at the furthest point, for whoever looks closer. */
const atFurthest = ({ isFeed, furthest }: CircuitPlan): readonly Place[] =>
  isFeed || furthest === null ? NOWHERE : [{ point: furthest, isAsked: false }]

type Read = (rig: Rig, test: BayTest, prepared: Prepared, error?: number) => Reading
type Own = Pick<TestKind, 'symbol' | 'entry' | 'fit' | 'expect'> & { readonly read: Read }

const underLoad = <K extends string>(key: K, { read, ...own }: Own): TestKind<K> => ({
  key,
  isDead: false,
  of: 'circuit',
  shows: 'zs',
  isColumn: false,
  isBasic: false,
  isDiagnostic: false,
  conditions: ['onlyThisWay', 'loadsRunning'],
  relations: [],
  ...own,
  places: atFurthest,
  prepare: loadedAtPoint,
  prediction: { by: 'instrument', read: (rig, test, prepared) => outcomeOf(read(rig, test, prepared)) },
  usualCause: () => 'underLoad',
  measure: ({ rig, test, prepared: made, error }) => read(rig, test, made, error),
})

/**
 * What is lost from the origin to the point. The same meter at both: what it is off falls out of the
 * difference.
 */
const readDrop: Read = (rig, test, prepared, error = 0) => {
  const bench = benchOf(rig, prepared)
  const way = wayOf(rig, test.circuit!)!
  const supply = supplyOf(rig)!.id
  const back = prepared.to.endsWith('.L2') ? 'L2' : 'N'
  const origin = readVoltage(bench, { at: `${supply}.${way.poles[0]}`, to: `${supply}.${back}` }, error)
  const point = readVoltage(bench, { at: prepared.at, to: prepared.to }, error)
  if (origin.value === undefined || point.value === undefined) return { ...point, value: undefined }
  return { ...point, value: Math.max(0, Math.round((origin.value - point.value) * 10) / 10) }
}

/** Voltage drop under load. */
export const voltageDrop = underLoad('drop', {
  symbol: 'ΔU',
  entry: { form: 'number', quantity: 'voltage', over: 'never' },
  fit: { by: 'amount', relative: 0.2, absolute: 2 },
  expect: () => ({ source: SOURCES.voltDropLimit, working: 'underLoad', reasons: ['length', 'air'] }),
  read: readDrop,
})

/** Current under load, a clamp round the line at its way. */
export const clamp = underLoad('clamp', {
  symbol: 'I',
  entry: { form: 'number', quantity: 'current', over: 'never' },
  fit: { by: 'amount', relative: 0.12, absolute: 0.4 },
  expect: () => ({ source: SOURCES.designCurrent, working: 'running', reasons: ['supply'] }),
  read: (rig, test, prepared, error = 0) => {
    const line = homeEnds(rig, test.circuit!).line.slice(0, 1)
    return readClamp(
      benchOf(rig, prepared),
      line.map(({ wire }) => wire.id),
      error,
    )
  },
})

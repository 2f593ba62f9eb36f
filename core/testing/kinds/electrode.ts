import type { Setup } from '../../bay/instruments/setup'
import { display, type Scale } from '../../bay/instruments/reading'
import { EARTH } from '../../bay/network/network'
import type { Rig } from '../../bay/model/rig'
import type { Cell } from '../../regulations/book/change'
import { SOURCES } from '../../regulations/source'
import { intakeBench } from '../setup/bench-state'
import { mainsOf } from '../setup/circuit-ends'
import { NOWHERE, type TestKind } from './kind'
import { OHMS, RESISTANCE, higherOrLower } from './shared'

/** The part that stands for the electrode of a TT installation, and its terminal. */
export const ELECTRODE = { part: 'electrode', terminal: 'electrode.E' } as const
/** Where the touch voltage behind an RCD stands. */
const TOUCH_LIMIT: Cell = { table: 'rule-touchLimitV', row: '0', column: 'value' }
/** Accuracy of a three-terminal earth tester: common practice, no source. */
const SCALE: Scale = {
  quantity: 'resistance',
  ranges: [
    { end: 19.99, step: 0.01 },
    { end: 199.9, step: 0.1 },
    { end: 1999, step: 1 },
  ],
  accuracy: { relative: 0.03, digits: 3 },
}

/** The earthing conductor from this terminal, and the end of it that comes off. */
export function earthingFreed(rig: Rig, terminal: string): Setup['freed'] {
  const earthing = rig.wires.find(({ from, to }) => [from, to].includes(terminal))
  return earthing ? [{ wire: earthing.id, end: earthing.from === terminal ? 'to' : 'from' }] : []
}

const largestResidualA = ({ parts }: Rig): number =>
  Math.max(0, ...parts.map((part) => (part.kind === 'device' ? (part.residual?.ratedA ?? 0) : 0)))

/** Resistance of the earth electrode by itself, with a three-terminal tester and two spikes. */
export const electrode: TestKind<'electrode'> = {
  key: 'electrode',
  symbol: 'RA',
  isDead: true,
  of: 'installation',
  shows: 'ze',
  isColumn: false,
  isBasic: false,
  isDiagnostic: false,
  entry: OHMS,
  conditions: ['isolated', 'earthBackAfter'],
  relations: [],
  places: ({ mains, rig }) =>
    mains?.arrangement === 'TT' && rig.parts.some(({ id }) => id === ELECTRODE.part)
      ? [{ point: null, isAsked: false }]
      : NOWHERE,
  prepare: (rig) =>
    mainsOf(rig)?.arrangement === 'TT'
      ? {
          state: { ...intakeBench(rig), isSupplyOn: false },
          setup: { links: [], freed: earthingFreed(rig, ELECTRODE.terminal) },
          at: ELECTRODE.terminal,
          to: EARTH,
        }
      : undefined,
  prediction: RESISTANCE,
  // Between a dry and a wet week an electrode moves by more than an instrument errs.
  fit: { by: 'amount', relative: 0.12, absolute: 0.5 },
  expect: ({ rig, book }) => {
    const ratedA = largestResidualA(rig)
    return {
      source: SOURCES.residualLoopImpedance,
      cell: TOUCH_LIMIT,
      working: 'electrode',
      reasons: ['earthTester', 'supply'],
      ...(ratedA > 0
        ? { limit: { kind: 'maximum', value: book.values.parameters.touchLimitV / ratedA } }
        : {}),
    }
  },
  usualCause: higherOrLower,
  measure: ({ predicted, error }) =>
    predicted?.is === 'value' ? display(SCALE, predicted.value, error) : undefined,
}

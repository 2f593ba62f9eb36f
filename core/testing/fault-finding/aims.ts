import { possibleFaults } from '../../bay/faults/catalogue'
import type { Fault } from '../../bay/faults/fault'
import type { Rig } from '../../bay/model/rig'

export type AimCode = 'open' | 'leak' | 'swapped' | 'board' | 'ring' | 'rcd'

/** What somebody is to learn by looking for a fault; named in words/practice.ts. */
export interface Aim {
  readonly code: AimCode
  readonly faults: readonly string[]
}

export const AIMS: readonly Aim[] = [
  { code: 'open', faults: ['lineOpen', 'neutralOpen', 'earthOpen', 'loose'] },
  {
    code: 'leak',
    faults: [
      'shortLE',
      'shortNE',
      'nail',
      'trappedLine',
      'trappedNeutral',
      'damp',
      'dampNeutral',
      'oldInsulation',
    ],
  },
  {
    code: 'swapped',
    faults: ['polarityAtPoint', 'polarityAtBoard', 'neutralAndEarth', 'lineAndEarth', 'switchInNeutral'],
  },
  {
    code: 'board',
    faults: [
      'neutralOnOtherBar',
      'borrowedNeutral',
      'toothMissing',
      'busbarCut',
      'mainEarthOpen',
      'bondingOpen',
      'neutralOnEarthBar',
      'twoOnOneWay',
    ],
  },
  {
    code: 'ring',
    faults: ['ringBridged', 'ringBridgedByAll', 'ringFedAtOneEnd', 'ringEndsMixed', 'ringOnTwoWays'],
  },
  {
    code: 'rcd',
    faults: [
      'residualMissing',
      'residualTooCoarse',
      'residualSlow',
      'residualEarly',
      'residualStuck',
      'residualDelayed',
    ],
  },
]

/** Faults of an aim that this bay could have. */
export const faultsFor = (rig: Rig, aim: Aim): readonly Fault[] =>
  possibleFaults(rig)
    .filter(({ kind }) => aim.faults.includes(kind.code))
    .map(({ kind, place }) => ({ code: kind.code, place: place.key }))

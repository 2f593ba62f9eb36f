import { possibleFaults } from '../../bay/faults/catalogue'
import type { Fault } from '../../bay/faults/fault'
import type { Rig } from '../../bay/model/rig'

/** What somebody is to learn by looking for a fault. */
export interface Aim {
  readonly code: string
  readonly name: string
  readonly faults: readonly string[]
}

export const AIMS: readonly Aim[] = [
  {
    code: 'open',
    name: 'Broken and loose conductors',
    faults: ['lineOpen', 'neutralOpen', 'earthOpen', 'loose'],
  },
  {
    code: 'leak',
    name: 'Shorts, damp and damaged insulation',
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
    name: 'Reversed polarity and crossed conductors',
    faults: ['polarityAtPoint', 'polarityAtBoard', 'neutralAndEarth', 'lineAndEarth', 'switchInNeutral'],
  },
  {
    code: 'board',
    name: 'Neutrals, bars and devices in the board',
    faults: [
      'neutralOnOtherBar',
      'borrowedNeutral',
      'toothMissing',
      'busbarCut',
      'mainEarthOpen',
      'bondingOpen',
    ],
  },
]

/** Faults of an aim that this bay could have. */
export const faultsFor = (rig: Rig, aim: Aim): readonly Fault[] =>
  possibleFaults(rig)
    .filter(({ kind }) => aim.faults.includes(kind.code))
    .map(({ kind, place }) => ({ code: kind.code, place: place.key }))

import { blastRadius } from './blast-radius'
import { borrowedNeutral } from './borrowed-neutral'
import { branches } from './branches'
import type { Experiment } from './experiment'
import { lostNeutral } from './lost-neutral'
import { neutralEarth } from './neutral-earth'
import { otherBar } from './other-bar'
import { overload } from './overload'
import { polarity } from './polarity'
import { reversed } from './reversed'
import { rotation } from './rotation'
import { sharedNeutral } from './shared-neutral'
import { testButton } from './test-button'

export const EXPERIMENTS: readonly Experiment[] = [
  overload,
  branches,
  otherBar,
  neutralEarth,
  borrowedNeutral,
  sharedNeutral,
  polarity,
  lostNeutral,
  blastRadius,
  testButton,
  reversed,
  rotation,
]

export const experiment = (code: string): Experiment | undefined =>
  EXPERIMENTS.find((candidate) => candidate.code === code)

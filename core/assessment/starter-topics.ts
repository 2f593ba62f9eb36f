import type { StepKey } from '../design/model/step-keys'
import type { Topic } from '../questions/topics'

/** Which questions unpick a slip at a step; other steps are a matter of first principles. */
export const STEP_TOPIC: Readonly<Partial<Record<StepKey, Topic>>> = {
  ib: 'principles',
  in: 'board',
  ca: 'cable',
  cg: 'cable',
  ci: 'cable',
  itMin: 'cable',
  csa: 'cable',
  it: 'cable',
  voltDropPerAm: 'cable',
  voltDrop: 'cable',
  ohmPerM: 'dead',
  r1: 'dead',
  r2: 'dead',
  r1r2: 'dead',
  r1r2Hot: 'live',
  zs: 'live',
  zsMax: 'live',
  residual: 'rcd',
  breaking: 'board',
  direction: 'board',
}

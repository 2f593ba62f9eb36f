import { PRESENT_EDITION } from '../../regulations/editions'
import { ASK_SETS } from '../usual-asks'
import type { ExerciseForm } from './fields'
import { NEW_CIRCUIT } from './rows'
import { prefixed } from './to-form'

/** A new exercise to begin with: solvable, and without anything that has to be deleted first. */
export const BLANK_EXERCISE: ExerciseForm = {
  code: '',
  title: '',
  scenario: '',
  kind: 'new-circuit',
  minutes: '120',
  edition: PRESENT_EDITION,
  premises: 'industrial',
  consequence: 'none',
  arrangement: 'TN-C-S',
  phases: '1',
  ze: '0.35',
  ipf: '0.66 kA',
  mainFuse: '100',
  neutral: '25',
  service: 'metal',
  standby: 'none',
  standbyPower: '',
  tests: 'c1',
  askCircuits: 'c1',
  askSteps: ASK_SETS.first.join(' '),
  marks: '',
  critical: '',
  criteria: '',
  seed: '1',
  lengthSpread: '15 %',
  loadSpread: '10 %',
  boards: 'b1',
  circuits: 'c1',
  ...prefixed('b1', {
    name: 'Workshop board',
    phases: '1',
    ways: '6',
    fedBy: '',
    electrode: '',
    surgeDevice: '',
    surge: '',
  }),
  ...prefixed('c1', NEW_CIRCUIT),
}

import type { Happening } from '../../bay/behaviour/happenings'
import type { Touched } from '../../bay/behaviour/touch'
import type { Indicator, Proof } from '../model/act'
import type { Move } from './move'
import type { Topic } from './world'

/** What somebody answers, beside what the scenario itself has them say. */
export type Reply = 'willTell' | 'permitGiven' | 'permitClosed' | 'good' | 'lockOff' | 'mateLocked'

/** What can be seen after an act. */
export type Sight =
  | 'soundLeads'
  | 'otherPadlock'
  | 'lights'
  | 'lightsNot'
  | 'works'
  | 'supplyBack'
  | 'noSupplyHere'
  | 'partedTouches'

/** A line of the story: what you did, what you saw, what somebody said. Its sentence stands in words/trainer.ts. */
export type Line =
  | {
      readonly who: 'you'
      readonly move: Move
      /** Of a device that was switched: on or off. */
      readonly isOn?: boolean
      readonly indicator?: Indicator
      readonly proof?: Proof
    }
  /** Scripted in the scenario: the job, an answer, a shout. */
  | { readonly who: 'say'; readonly script: 'job' | 'shout' | Topic }
  | { readonly who: 'say'; readonly reply: Reply }
  | { readonly who: 'see'; readonly sight: Sight }
  | { readonly who: 'see'; readonly touched: Touched }
  | { readonly who: 'see'; readonly happening: Happening }

export const saysScript = (script: 'job' | 'shout' | Topic): Line => ({ who: 'say', script })
export const replies = (reply: Reply): Line => ({ who: 'say', reply })
export const sees = (sight: Sight): Line => ({ who: 'see', sight })

import type { StandbySource } from '../../bay/model/rig'
import type { SecondSource } from '../model/act'

/** A standby source as the rules name it. */
export const SECOND: Readonly<Record<StandbySource['source'], SecondSource>> = {
  generator: 'standby',
  battery: 'battery',
  vehicle: 'battery',
}

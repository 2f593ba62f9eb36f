import type { InstrumentCode } from '#core/bay/instruments/take'
import type { Colour, DevicePart, Part } from '#core/bay/model/rig'

export type BayMode = 'mount' | 'connect' | 'operate' | 'trace' | 'measure'

export const MODE_NAME: Readonly<Record<BayMode, string>> = {
  mount: 'Mount',
  connect: 'Connect',
  operate: 'Operate',
  trace: 'Trace',
  measure: 'Measure',
}

export const COLOUR_VAR: Readonly<Record<Colour, string>> = {
  brown: 'var(--conductor-l1)',
  black: 'var(--conductor-l2)',
  grey: 'var(--conductor-l3)',
  blue: 'var(--conductor-n)',
  'green-and-yellow': 'var(--conductor-e)',
  red: 'var(--conductor-red)',
}
/** The mark that goes with a colour, so that nobody needs to see it. */
export const COLOUR_MARK: Readonly<Record<Colour, string>> = {
  brown: 'L1',
  black: 'L2',
  grey: 'L3',
  blue: 'N',
  'green-and-yellow': 'E',
  red: 'old L',
}

export const INSTRUMENT_NAME: Readonly<Record<InstrumentCode, string>> = {
  continuity: 'Continuity, low resistance',
  insulation: 'Insulation resistance',
  voltage: 'Voltmeter',
  indicator: 'Two-pole voltage indicator',
  loop: 'Loop impedance, not tripping',
  'loop-high': 'Loop impedance, high current',
  'fault-current': 'Prospective fault current',
  rcd: 'RCD, trip time',
  socket: 'Plug-in socket tester',
  clamp: 'Clamp meter',
  rotation: 'Phase rotation',
}
export const LIVE_INSTRUMENTS: readonly InstrumentCode[] = [
  'loop',
  'loop-high',
  'fault-current',
  'rcd',
  'socket',
  'clamp',
  'rotation',
  'voltage',
  'indicator',
]

/** What is printed on a device: `B32`, `30 mA`, `100 A`. */
export function deviceMark({ overcurrent, ratingA, residual, plugFuseA }: DevicePart): readonly string[] {
  const device = overcurrent?.curve ? `${overcurrent.curve}${ratingA}` : `${ratingA} A`
  const rating = plugFuseA === null ? device : `fuse ${plugFuseA} A`
  return residual ? [rating, `${residual.ratedA * 1e3} mA`] : [rating]
}

const SWITCH_NAME = { 'one-way': 'one-way', 'two-way': 'two-way', intermediate: 'intermediate' } as const

/** What a part is, under its name. */
export function partNote(part: Part): string {
  switch (part.kind) {
    case 'socket':
      return part.gangs === 2 ? 'twin' : 'single'
    case 'switch':
      return SWITCH_NAME[part.action]
    case 'lampholder':
      return part.holder === 'screw' ? 'ES lampholder' : 'two-pin holder'
    case 'appliance':
      return `${Math.round(part.load.watt)} W`
    case 'device':
      return deviceMark(part).join(' · ')
    case 'arrester':
      return 'surge'
    case 'standby':
      return 'N joined to E'
    case 'changeover':
      return 'grid · standby · out'
    case 'supply':
      return part.arrangement === 'battery'
        ? `${part.volt} V battery`
        : `${part.arrangement}, ${part.phases === 3 ? 'three phase' : '230 V'}`
    default:
      return ''
  }
}

/** What a hand can do with a part, as a word for its button; null where there is nothing to move. */
export function partAct(part: Part): 'supply' | 'close' | 'throw' | 'use' | null {
  switch (part.kind) {
    case 'supply':
      return 'supply'
    case 'device':
      return 'close'
    case 'switch':
    case 'changeover':
      return 'throw'
    case 'lampholder':
    case 'appliance':
    case 'arrester':
    case 'standby':
      return 'use'
    case 'socket':
      return part.load ? 'use' : null
    default:
      return null
  }
}

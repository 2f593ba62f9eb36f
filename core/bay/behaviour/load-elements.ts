import { real, type Complex } from '../network/complex'
import type { Impedance } from '../network/network'
import type { LoadKind } from '../model/loads'
import type { Pole } from '../model/rig'
import type { BayState } from './state'

/** Power factor of a motor at standstill; common practice, no source. */
const START_POWER_FACTOR = 0.4

/** What a load puts between its terminals: line to neutral, or three lines to a star point of its own. */
export function loadElements(
  id: string,
  poles: readonly Pole[],
  load: LoadKind,
  state: BayState,
  hertz: number,
  volt: number,
): Impedance[] {
  const isOpen = !(state.inUse[id] ?? false)
  const lines = poles.filter((pole) => pole !== 'N' && pole !== '−')
  const back = poles.includes('N') ? `${id}.N` : poles.includes('−') ? `${id}.−` : `${id}:star`
  return lines.flatMap((line): Impedance[] => {
    const between = {
      kind: 'impedance',
      name: lines.length === 1 ? `${id}:load` : `${id}:load ${line}`,
      from: `${id}.${line}`,
      to: back,
      isOpen,
    } as const
    const share = load.watt / lines.length
    const parts: Impedance[] = [own(between, load, share, state.running[id] ?? false, hertz, volt)]
    if (load.kind === 'electronic' && load.earthLeakA > 0) {
      parts.push({
        kind: 'impedance',
        name: `${between.name} leak`,
        from: between.from,
        to: `${id}.E`,
        ohm: hertz === 0 ? real(1) : { re: 0, im: -(volt * lines.length) / load.earthLeakA },
        isOpen: isOpen || hertz === 0,
      })
    }
    return parts
  })
}

function own(
  between: Omit<Impedance, 'ohm'>,
  load: LoadKind,
  watt: number,
  isRunning: boolean,
  hertz: number,
  volt: number,
): Impedance {
  const resistance = volt ** 2 / watt
  switch (load.kind) {
    case 'resistive':
      return { ...between, ohm: real(resistance) }
    case 'filament':
      return { ...between, ohm: real(resistance), law: { kind: 'filament', ratedW: watt, ratedV: volt } }
    case 'electronic':
      return {
        ...between,
        ohm: real(resistance),
        law: { kind: 'driver', ratedW: watt, ratedV: volt, powerFactor: load.powerFactor },
      }
    case 'motor':
      return { ...between, ohm: motorOhm(resistance, load, isRunning, hertz) }
  }
}

/** Running: the power at its power factor. Starting: so many times the current, mostly reactive. To direct current only the winding shows. */
function motorOhm(
  resistance: number,
  { powerFactor, startMultiple }: Extract<LoadKind, { kind: 'motor' }>,
  isRunning: boolean,
  hertz: number,
): Complex {
  const runningOhm = resistance * powerFactor
  const size = isRunning ? runningOhm : runningOhm / startMultiple
  const factor = isRunning ? powerFactor : START_POWER_FACTOR
  return hertz === 0
    ? real((runningOhm / startMultiple) * START_POWER_FACTOR)
    : { re: size * factor, im: size * Math.sqrt(1 - factor ** 2) }
}

import { real, type Complex } from '../network/complex'
import type { Impedance } from '../network/network'
import type { LoadKind } from '../model/loads'
import type { Pole } from '../model/rig'
import type { BayState } from './state'

/** Power factor of a motor at standstill; common practice, no source. */
const START_POWER_FACTOR = 0.4

/** How loads are looked at: what is in use and running, at this frequency, Hz, and rated voltage, V. */
export interface LoadsAt {
  readonly state: BayState
  readonly hertz: number
  readonly volt: number
}

interface LoadPart {
  readonly id: string
  readonly poles: readonly Pole[]
  readonly load: LoadKind
}

/** What a load puts between its terminals: line to neutral, or three lines to a star point of its own. */
export function loadElements(part: LoadPart, at: LoadsAt): Impedance[] {
  const { id, poles, load } = part
  const isOpen = !(at.state.inUse[id] ?? false)
  const lines = poles.filter((pole) => pole !== 'N' && pole !== '−')
  const watt = load.watt / lines.length
  return lines.flatMap((line): Impedance[] => {
    const between = {
      kind: 'impedance',
      name: lines.length === 1 ? `${id}:load` : `${id}:load ${line}`,
      from: `${id}.${line}`,
      to: returnOf(part),
      isOpen,
    } as const
    const itself = loadItself(between, part, watt, at)
    return load.kind === 'electronic' && load.earthLeakA > 0
      ? [itself, leakToEarth(between, load.earthLeakA / lines.length, id, at)]
      : [itself]
  })
}

/** Where a load's line current comes back: neutral, the other pole of a battery, or its own star point. */
export function returnOf({ id, poles }: Pick<LoadPart, 'id' | 'poles'>): string {
  const back = poles.find((pole) => pole === 'N' || pole === '−')
  return back ? `${id}.${back}` : `${id}:star`
}

type Between = Omit<Impedance, 'ohm'>

/** Through the filters of electronics, to direct current nothing. */
const leakToEarth = (between: Between, ampere: number, id: string, { hertz, volt }: LoadsAt): Impedance => ({
  kind: 'impedance',
  name: `${between.name} leak`,
  from: between.from,
  to: `${id}.E`,
  ohm: hertz === 0 ? real(1) : { re: 0, im: -volt / ampere },
  isOpen: between.isOpen || hertz === 0,
})

function loadItself(
  between: Between,
  { id, load }: LoadPart,
  watt: number,
  { state, hertz, volt }: LoadsAt,
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
    case 'infeed':
      // Gives its power at the voltage that it finds, as a resistance below zero takes it. Alone it has stopped.
      return {
        ...between,
        gives: true,
        ohm: real(-resistance),
        isOpen: between.isOpen || hertz === 0 || !state.isSupplyOn,
      }
    case 'motor':
      return { ...between, ohm: motorOhm(resistance, load, state.running[id] ?? false, hertz) }
  }
}

/**
 * Running: the power at its power factor. Starting: so many times the current, mostly reactive. To direct
 * current only the winding shows.
 */
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

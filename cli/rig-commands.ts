import { energiseInOrder } from '#core/bay/behaviour/energise'
import type { Action } from '#core/bay/behaviour/happenings'
import { isBattery } from '#core/bay/behaviour/live'
import { networkOf } from '#core/bay/behaviour/network-of'
import { simulate } from '#core/bay/behaviour/simulate'
import { deadState, workingState } from '#core/bay/behaviour/state'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { TEST_VOLTS, type TestVolt } from '#core/bay/instruments/insulation'
import { RCD_MULTIPLES, type RcdMultiple } from '#core/bay/instruments/rcd-test'
import { prepare, type Bench, type Setup } from '#core/bay/instruments/setup'
import { INSTRUMENTS, INSTRUMENT_CODES, takeReading, type InstrumentCode } from '#core/bay/instruments/take'
import { spiceListing } from '#core/bay/network/spice'
import { solve } from '#core/bay/network/solve'
import { buildRig } from '#core/bay/build/build'
import { possibleFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { indexParts, partIdOf, terminalNameOf, terminalsOf } from '#core/bay/model/terminals'
import { happeningSentence } from '#words/happenings'
import { formatDuration } from '#core/units/format'
import { displaySentences, displayWords } from '#words/instruments'
import { EXIT, UseError, readExercise, readRig, type Output } from './input'

/** Options of the rig commands, as they were typed. */
export interface RigOptions {
  readonly fault?: string[]
  readonly do?: string[]
  readonly until?: string
  readonly instrument?: string
  readonly at?: string
  readonly to?: string
  readonly link?: string[]
  readonly free?: string[]
  readonly live?: boolean
  readonly volt?: string
  readonly multiple?: string
  readonly rated?: string
  readonly hertz?: string
}

export function rig(_: RigOptions, file?: string): Output {
  const exercise = readExercise(file)
  const built = buildRig(exercise.installation, designOf(assignmentOf(exercise)), exercise.title)
  if (!built)
    throw new UseError(
      'The exercise has no solution, so there is nothing to build; see nakshi design.',
      EXIT.engineering,
    )
  return { json: built, code: EXIT.done }
}

export function faults(_: RigOptions, file?: string): Output {
  const all = possibleFaults(readRig(file)).map(({ kind, place }) => `${kind.code}:${place.key}`)
  return { json: all, explained: all.join('\n'), code: EXIT.done }
}

export function simulateRig(options: RigOptions, file?: string): Output {
  const bay = readRig(file, options.fault)
  const until = number(options.until ?? '60', 'until')
  const actions = options.do ? options.do.map((text) => actionOf(text, bay)) : energiseInOrder(bay)
  const { happenings, state } = simulate(
    bay,
    options.do ? { ...workingState(bay), thrown: {} } : deadState(bay),
    actions,
    { untilS: until },
  )
  const parts = indexParts(bay)
  return {
    json: { happenings, state },
    explained: happenings
      .map(
        (happening) => `${formatDuration(happening.atS).padStart(8)}  ${happeningSentence(happening, parts)}`,
      )
      .join('\n'),
    code: EXIT.done,
  }
}

export function netlist(options: RigOptions, file?: string): Output {
  const bay = readRig(file, options.fault)
  const hertz = number(options.hertz ?? '50', 'hertz')
  const network = networkOf(
    bay,
    { ...workingState(bay), isSupplyOn: hertz !== 0 || isBattery(bay) },
    { hertz, conductorC: 20, add: [] },
  )
  const listing = spiceListing(network, bay.name)
  if (!listing) {
    const failed = solve(network)
    throw new UseError(
      `The bay cannot be computed: ${failed.ok ? 'unknown' : `${failed.reason} at ${failed.name}`}.`,
      EXIT.engineering,
    )
  }
  return { json: listing.text, explained: listing.text, code: EXIT.done }
}

export function read(options: RigOptions, file?: string): Output {
  const bay = readRig(file, options.fault)
  const state = options.live ? workingState(bay) : { ...workingState(bay), isSupplyOn: false, inUse: {} }
  const setup: Setup = {
    links: (options.link ?? []).map(
      (text) => pair(text, 'link').map((ref) => terminal(bay, ref)) as [string, string],
    ),
    freed: (options.free ?? []).map((text) => {
      const [wire, end] = text.split(':')
      if (!bay.wires.some(({ id }) => id === wire) || (end !== 'from' && end !== 'to'))
        throw new UseError(`--free takes a conductor and its end, as in x12:from, not “${text}”.`, EXIT.use)
      return { wire: wire!, end }
    }),
  }
  const bench = prepare(bay, state, setup)
  const instrument = options.instrument as InstrumentCode
  if (!INSTRUMENT_CODES.includes(instrument))
    throw new UseError(`--instrument is one of: ${INSTRUMENT_CODES.join(', ')}.`, EXIT.use)
  const { display } = takeReading(bench, {
    instrument,
    at: placesOf(bench, instrument, options),
    ratedA: number(options.rated ?? '30', 'rated') / 1e3,
    volt: choice(TEST_VOLTS, options.volt ?? '500', 'volt') as TestVolt,
    multiple: choice(RCD_MULTIPLES, options.multiple ?? '1', 'multiple') as RcdMultiple,
  })
  const [shown, sentences] = [displayWords(display), displaySentences(display)]
  const reading = display.is === 'reading' ? display.reading : null
  return {
    json: { shown, ...reading, sentences },
    explained: [shown, ...sentences].join('\n'),
    code: reading && reading.value === undefined ? EXIT.engineering : EXIT.done,
  }
}

/** Where the instrument is put: `--at` and `--to`, or several in `--at` with commas between. */
function placesOf({ rig: bay }: Bench, instrument: InstrumentCode, { at, to }: RigOptions): string[] {
  const { on, count } = INSTRUMENTS[instrument]
  if (on === 'terminals' && count === 2) return [terminal(bay, at, 'at'), terminal(bay, to, 'to')]
  const named = (at ?? '').split(',')
  return on === 'terminals' ? named.map((ref) => terminal(bay, ref, 'at')) : named
}

/** A terminal of the bay, or the names that there are. */
function terminal(bay: Rig, ref: string | undefined, option?: string): string {
  if (!ref) throw new UseError(`--${option} is missing: a terminal, as in c1p1.L.`, EXIT.use)
  const part = indexParts(bay).get(partIdOf(ref))
  if (!part)
    throw new UseError(
      `There is no part ${partIdOf(ref) || ref}. Parts: ${bay.parts.map(({ id }) => id).join(', ')}.`,
      EXIT.use,
    )
  if (!terminalsOf(part).includes(terminalNameOf(ref)))
    throw new UseError(
      `${part.name} (${part.id}) has no terminal ${terminalNameOf(ref)}. It has ${terminalsOf(part).join(', ')}.`,
      EXIT.use,
    )
  return ref
}

/**
 * `5 throw c2p0`, `6 use c1p1 off`, `7 test b1rcdA`, `8 fault c1p1.L c1p1.E 0.05`, with terminals' blanks as
 * underscores.
 */
function actionOf(text: string, bay: Rig): Action {
  const [at = '', kind = '', ...rest] = text.trim().split(/\s+/)
  const atS = number(at, 'do')
  const ids = new Set(bay.parts.map(({ id }) => id))
  const part = () => {
    if (!ids.has(rest[0] ?? ''))
      throw new UseError(`“${text}” names no part of the bay. Parts: ${[...ids].join(', ')}.`, EXIT.use)
    return rest[0]!
  }
  if (kind === 'supply') return { atS, kind, on: rest[0] !== 'off' }
  if (kind === 'close' || kind === 'throw' || kind === 'use')
    return { atS, kind, part: part(), on: rest[1] !== 'off' }
  if (kind === 'test') return { atS, kind, part: part() }
  if (kind === 'fault')
    return {
      atS,
      kind,
      leak: {
        id: `fault-${atS}`,
        from: terminal(bay, rest[0]?.replaceAll('_', ' ')),
        to: terminal(bay, rest[1]?.replaceAll('_', ' ')),
        ohm: number(rest[2] ?? '0.05', 'do'),
      },
    }
  throw new UseError(
    `“${text}” is not an action. They are: supply, close, throw, use, test, fault.`,
    EXIT.use,
  )
}

function number(text: string, option: string): number {
  const value = Number(text)
  if (text.trim() === '' || !Number.isFinite(value) || value < 0)
    throw new UseError(`--${option} takes a number, not “${text}”.`, EXIT.use)
  return value
}

function choice(values: readonly number[], text: string, option: string): number {
  const value = number(text, option)
  if (!values.includes(value)) throw new UseError(`--${option} is one of ${values.join(', ')}.`, EXIT.use)
  return value
}

function pair(text: string, option: string): [string, string] {
  const [a, b] = text.split(',')
  if (!a || !b)
    throw new UseError(
      `--${option} takes two terminals with a comma between, as in "b1w1.L out,b1e.1".`,
      EXIT.use,
    )
  return [a, b]
}

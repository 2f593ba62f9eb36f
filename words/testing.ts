import { indexParts } from '#core/bay/model/terminals'
import type { Rig } from '#core/bay/model/rig'
import type { BandReason, BayTest, Outcome, Working } from '#core/testing/kinds/kind'
import { kindOf, quantityOf, type ReadingKey, type TestKindKey } from '#core/testing/kinds/kinds'
import { formatQuantity } from '#core/units/format'
import { termName } from './terms'

/** What a kind of test is called, how it is made, and what it is made with. */
export interface KindWords {
  readonly name: string
  readonly how: string
  /** Inside a sentence: `measure …`. */
  readonly short: string
  readonly instrument: string
  /** Where the leads go, unless it is from one terminal to another. */
  readonly probes?: (at: string, to: string) => string
}

const RING = 'Continuity'
const INSULATION = 'Insulation, 500 V'
const BOARD_INSULATION = 'Main switch off and locked, everything behind it closed, loads and electronics out.'

const KIND_WORDS: Readonly<Record<TestKindKey, KindWords>> = {
  electrode: {
    name: 'Earth electrode resistance (RA)',
    how: 'Earthing conductor off the electrode; current spike and potential spike in line, three readings.',
    short: 'earth electrode resistance',
    instrument: 'Earth electrode tester, three-terminal',
    probes: (at) => `${at}; potential spike half way to the current spike`,
  },
  bonding: {
    name: 'Bonding conductor',
    how: 'One end off the main earthing terminal, a long lead to the pipe.',
    short: 'bonding',
    instrument: 'Continuity, long lead',
  },
  r1: {
    name: 'Ring, line end to end (r1)',
    how: 'Both line ends out of the way, leads nulled.',
    short: 'r1, line end to end',
    instrument: RING,
  },
  rn: {
    name: 'Ring, neutral end to end (rn)',
    how: 'Both neutral ends out of the bar.',
    short: 'rn, neutral end to end',
    instrument: RING,
  },
  r2: {
    name: 'Ring, cpc end to end (r2)',
    how: 'Both cpc ends out of the bar.',
    short: 'r2, cpc end to end',
    instrument: RING,
  },
  ringLN: {
    name: 'Ring, line and neutral cross-connected (step 2)',
    how: 'Line of each leg joined with neutral of the opposite leg; L–N at every socket-outlet, all about the same.',
    short: 'step 2 of the ring, L–N',
    instrument: RING,
  },
  ringLE: {
    name: 'Ring, line and cpc cross-connected (step 3)',
    how: 'Line of each leg joined with cpc of the opposite leg; L–E at every socket-outlet, the highest is R1 + R2.',
    short: 'step 3 of the ring, L–E',
    instrument: RING,
  },
  r1r2: {
    name: termName('continuity'),
    how: 'R1 + R2 method: link line and cpc at the board, leads nulled, measure L–E at the furthest point.',
    short: 'R1 + R2',
    instrument: 'Continuity',
  },
  r2Long: {
    name: 'Continuity of the cpc, R2 (long lead) method',
    how: 'Cpc out of its bar, both ends of a ring; a long lead from its end to the point.',
    short: 'R2 with a long lead',
    instrument: 'Continuity, long lead',
  },
  irBoardLN: {
    name: 'Insulation resistance, whole board, L–N',
    how: BOARD_INSULATION,
    short: 'insulation resistance of the whole board, L–N',
    instrument: INSULATION,
  },
  irBoardE: {
    name: 'Insulation resistance, whole board, live conductors to earth',
    how: `${BOARD_INSULATION} Line and neutral joined, against earth.`,
    short: 'insulation resistance of the whole board to earth',
    instrument: INSULATION,
  },
  irLL: {
    name: 'Insulation resistance, L–L',
    how: '500 V DC, each pair of lines; write down the lowest.',
    short: 'insulation resistance between lines',
    instrument: INSULATION,
    probes: () => 'Each line against the next at the way; write down the lowest',
  },
  irLN: {
    name: 'Insulation resistance, L–N',
    how: '500 V DC. Loads and electronics out, switches closed.',
    short: 'insulation resistance L–N',
    instrument: INSULATION,
  },
  irLE: {
    name: 'Insulation resistance, L–E',
    how: '500 V DC, earthing conductor connected.',
    short: 'insulation resistance L–E',
    instrument: INSULATION,
  },
  irNE: {
    name: 'Insulation resistance, N–E',
    how: '500 V DC, neutral out of its bar or main switch off.',
    short: 'insulation resistance N–E',
    instrument: INSULATION,
  },
  polarity: {
    name: termName('polarity'),
    how: 'Single-pole devices in the line only, sockets the right way round. A tick, never a number.',
    short: 'polarity',
    instrument: 'Continuity',
  },
  ze: {
    name: termName('ze'),
    how: 'At the origin, installation isolated, earthing conductor disconnected from the bonding.',
    short: 'Ze',
    instrument: 'Loop',
  },
  pfc: {
    name: termName('ipf'),
    how: 'At the origin, L–N and L–E; write down the larger.',
    short: 'prospective fault current at the origin',
    instrument: 'Fault current',
    probes: (at) => `${at} – N, then ${at} – E; write down the larger`,
  },
  rotation: {
    name: 'Phase sequence',
    how: 'Rotation indicator at the incoming lines.',
    short: 'phase sequence',
    instrument: 'Rotation indicator',
    probes: () => 'Incoming L1, L2, L3',
  },
  zs: {
    name: termName('zsFurthest'),
    how: 'At the furthest point, earthing conductor back in place.',
    short: 'Zs',
    instrument: 'Loop that does not trip',
  },
  rcd: {
    name: 'RCD operating time at IΔn',
    how: 'Both half-cycles; write down the longer.',
    short: 'RCD operating time at IΔn',
    instrument: 'RCD, 1 × IΔn, both half-cycles',
  },
  rcdHalf: {
    name: 'RCD, no trip at ½ × IΔn',
    how: 'It must not trip: write >1999.',
    short: 'RCD at ½ × IΔn',
    instrument: 'RCD, ½ × IΔn',
  },
  rcdFive: {
    name: 'RCD operating time at 5 × IΔn',
    how: 'Both half-cycles; write down the longer.',
    short: 'RCD operating time at 5 × IΔn',
    instrument: 'RCD, 5 × IΔn, both half-cycles',
  },
  rcdButton: {
    name: 'RCD test button',
    how: 'Press it: the device opens.',
    short: 'test button',
    instrument: 'Finger',
    probes: () => 'Press it once; it must open at once',
  },
  afddButton: {
    name: 'AFDD test',
    how: 'By its test button, or as its maker says where it tests itself.',
    short: 'AFDD test',
    instrument: 'Finger',
    probes: () => 'Press it once; it must open at once',
  },
  functional: {
    name: 'Functional test',
    how: 'Every switch, isolator and interlock does what it should.',
    short: 'functional test',
    instrument: 'Hand and eye',
    probes: () => 'Every switch, isolator and point of the circuit',
  },
  drop: {
    name: 'Voltage drop under load',
    how: 'Everything of the circuit running: origin less furthest point.',
    short: 'voltage drop under load',
    instrument: 'Voltmeter',
    probes: (at, to) => `Origin, then ${at} – ${to}; write down the difference`,
  },
  clamp: {
    name: 'Current under load',
    how: 'Clamp round the line alone, at the way.',
    short: 'current under load',
    instrument: 'Clamp meter',
    probes: () => 'Round the line alone, at the way',
  },
}

/** What a reading is called and how it is taken. */
export const readingText = (key: ReadingKey): KindWords => KIND_WORDS[kindOf(key).key]

/** How value and limit come about. */
const WORKING: Readonly<Record<Working, string>> = {
  bondingConductor: 'length and csa of the bonding conductor; the joints add about 0.05 Ω at most',
  wholeRing: 'end to end: the whole length of the ring',
  crossConnected: 'a quarter of both conductors end to end; a spur adds its length',
  cpcAlone: 'the cpc alone, from its end at the board to this point',
  toThePoint: 'from the board to this point',
  toTheFurthest: 'from the board to the furthest point; limit = limit of Zs − Ze',
  insulation500: '500 V DC; new work reads near the end of the range',
  insulationBoard: '500 V DC; every circuit in parallel',
  electrode: 'as given for this bay; limit: 50 V ÷ the largest IΔn',
  tick: 'a tick',
  polarityTick: 'a tick, never a number',
  asGiven: 'as given for this bay',
  faultCurrent: 'U0 divided by Ze, the larger of L–N and L–E; limit: the least breaking capacity',
  faultCurrentThreePhase:
    'U0 divided by Ze, the larger of L–N and L–E, times two for three phases; limit: the least breaking capacity',
  loop: 'Ze + (R1 + R2), conductors cold',
  loopEightyPercent: 'Ze + (R1 + R2), conductors cold; limit 0.8 × maximum permitted Zs',
  loopCorrected:
    'Ze + (R1 + R2), conductors cold; limit Ze + (maximum permitted Zs − Ze) ÷ the temperature multiplier',
  loopByRcd: 'Ze + (R1 + R2), conductors cold; limit 50 V ÷ IΔn',
  rcdGeneral: 'general type at IΔn, the longer of both half-cycles',
  rcdDelayed: 'time-delayed type at IΔn, the longer of both half-cycles',
  rcdHalf: 'must not trip at half of IΔn',
  rcdFive: 'at five times IΔn, the longer of both half-cycles',
  underLoad: 'the bay’s own loads running, conductors cold',
  running: 'the bay’s own loads running',
}

/** Of a stored decision the sentence itself is kept; of a computed one its code. */
export const workingWords = (working: Working | string): string => WORKING[working as Working] ?? working

/** Why a band is as wide as it is. */
export const BAND_REASON: Readonly<Record<BandReason, string>> = {
  ohmmeter: 'ohmmeter ± 2 % and 2 digits',
  earthTester: 'earth electrode tester ± 3 % and 3 digits',
  loopTester: 'loop tester ± 5 % and 5 digits',
  length: 'cut lengths ± 5 %',
  air: 'air ± 10 °C, ± 4 %',
  supply: 'the supply of the day',
  standard: 'limits of the standard',
  newWork: 'new, dry work',
}

/** `R1 + R2 at Socket 1.3`. */
export function testWords(rig: Rig, { kind, circuit, point }: BayTest): string {
  const { short } = readingText(kind)
  if (point) return `${short} at ${indexParts(rig).get(point)?.name ?? point}`
  const name = rig.runs.find(({ id }) => id === `${circuit}run`)?.name ?? circuit
  return circuit ? `${short} of ${name}` : short
}

/** A reading as it would stand on the display. */
export function outcomeWords(kind: string, outcome: Outcome): string {
  if (!('value' in outcome)) return OUTCOME[outcome.is]
  return `${outcome.is === 'over' ? '>' : ''}${formatQuantity(outcome.value, quantityOf(kind))}`
}

const OUTCOME = { tick: '✓', cross: '✗', none: 'no reading' } as const

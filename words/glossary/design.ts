import { TERMS, type TermKey } from '../terms'
import { entriesOf, type GlossaryEntry } from './entry'

/** Terms that the screens take their labels from: each has its line. */
const OF_TERMS: Readonly<Record<TermKey, readonly [short: string, says: string, not?: string]>> = {
  designCurrent: ['Ib', 'The current that a circuit carries in normal use.', 'the rating of the device'],
  startingCurrent: ['', 'The larger current that a motor takes for a moment while it runs up.'],
  deviceRating: [
    'In',
    'The current that the protective device is made to carry all the time.',
    'the current at which it trips',
  ],
  ambientFactor: ['Ca', 'How much less a cable carries because the air or ground around it is warm.'],
  groupingFactor: ['Cg', 'How much less a cable carries because others beside it are warm too.'],
  insulationFactor: ['Ci', 'How much less a cable carries because thermal insulation keeps its heat in.'],
  deviceFactor: ['Cf, Cc', 'A factor for rewirable fuses, and for cables in the ground.'],
  minimumTabulated: [
    'It(min)',
    'What the table must offer at least: In divided by the correction factors.',
    'Iz',
  ],
  tabulated: [
    'It',
    'What the table gives for a cable in its usual conditions.',
    'Iz, which counts the real conditions',
  ],
  asInstalled: ['Iz', 'What the cable may carry where and how it is installed.', 'It of the table'],
  conductorSize: ['csa, mm²', 'The cross-sectional area of a conductor.', 'its diameter'],
  voltageDrop: ['ΔU', 'The voltage that is lost in the cable on the way to the load.'],
  r1r2Cold: [
    'R1 + R2',
    'Line and cpc to the furthest point added, cold.',
    'Zs, which has the supply in it too',
  ],
  r1r2Hot: ['', 'The same when the conductors are warm from work, as it counts for the limit.'],
  zsFurthest: ['Zs', 'The whole earth fault loop from the point through the supply and back.', 'Ze'],
  maxZs: ['', 'The largest Zs at which the device still opens in time.'],
  ze: ['Ze', 'The part of the earth fault loop outside the installation.', 'Zs'],
  ipf: ['Ipf, PFC', 'The largest current that could flow in a fault at this place.'],
  earthFaultCurrent: ['If', 'The current that flows when line touches earth: voltage divided by Zs.'],
  rcd: [
    'RCD',
    'A residual current device: it opens when current goes out and does not come back through it.',
    'a breaker: it does not see overload',
  ],
  rcdType: [
    'AC, A, F, B',
    'Which kinds of residual current an RCD can see.',
    'the type of a breaker (B, C, D)',
  ],
  continuity: ['', 'A conductor goes all the way, with the resistance that its length and size should have.'],
  polarity: ['', 'Line, neutral and earth are each at the terminal where they belong.'],
}

export const DESIGN_TERMS: readonly GlossaryEntry[] = [
  ...(Object.keys(OF_TERMS) as TermKey[]).map((key) => {
    const [short, says, not = ''] = OF_TERMS[key]
    return { key, term: TERMS[key], short, says, not }
  }),
  ...entriesOf([
    [
      'adiabatic',
      'adiabatic equation',
      'S ≥ √(I²t) / k',
      'Shows that a cpc stays cool enough while a fault is cleared.',
    ],
    ['let-through', 'let-through energy', 'I²t', 'How much heating a device lets pass before it has opened.'],
    ['k-value', 'k', '', 'A figure of conductor and insulation used in the adiabatic equation.'],
    [
      'diversity',
      'diversity',
      '',
      'Not everything is used at once, so the supply need not be made for the sum.',
      'a correction factor of a cable',
    ],
    [
      'demand',
      'maximum demand',
      '',
      'The largest current that an installation is expected to take, diversity counted.',
    ],
    [
      'installation-method',
      'installation method',
      'A, B, C…',
      'How a cable lies, which decides how well it cools.',
      'its kind',
    ],
    ['reference-method', 'reference method', '', 'The method to which a column of the table belongs.'],
    ['ambient', 'ambient temperature', '', 'The temperature of the air or ground around a cable.'],
    ['bunched', 'bunched', '', 'Cables that touch each other and warm each other.'],
    [
      'thermal-insulation',
      'thermal insulation',
      '',
      'Material in walls and lofts that keeps heat in, also that of a cable.',
      'electrical insulation',
    ],
    ['voltage-drop-per-amp', 'mV/A/m', '', 'Millivolts lost for each ampere and each metre.'],
    ['selectivity', 'selectivity', '', 'Only the device nearest to the fault opens.', 'speed'],
    ['overload', 'overload', '', 'Too much current in a sound circuit.', 'a short circuit'],
    [
      'short-circuit',
      'short circuit',
      '',
      'A fault of nearly no resistance between live conductors.',
      'an earth fault',
    ],
    [
      'earth-fault',
      'earth fault',
      '',
      'A live conductor touches something that is connected to earth.',
      'a short circuit between line and neutral',
    ],
    ['overcurrent', 'overcurrent', '', 'Any current above the rating: overload or fault.'],
    ['inrush', 'inrush current', '', 'A short peak when transformers, motors or drivers are switched on.'],
    [
      'breaking-capacity',
      'breaking capacity',
      'kA',
      'The largest fault current that a device can break.',
      'its rating',
    ],
    [
      'disconnection-time',
      'disconnection time',
      's',
      'How long a fault to earth may last before the device has opened.',
    ],
    [
      'harmonics',
      'harmonics',
      '',
      'Currents of a multiple of 50 Hz, made by electronics; the third adds up in the neutral.',
    ],
    ['power-factor', 'power factor', 'cos φ', 'The share of the current that does work.'],
    ['efficiency', 'efficiency', 'η', 'The share of the power taken that comes out at the shaft.'],
    ['three-phase', 'three-phase', '', 'Three line conductors, their voltages a third of a cycle apart.'],
    ['single-phase', 'single-phase', '', 'One line and a neutral.'],
    ['variant', 'variant', '', 'The same exercise with other lengths and loads for each bay.'],
  ]),
]

import type { DrawingCode } from '#core/questions/drawings'

/** One stroke of a sketch, on a sheet 200 wide and 110 high. */
export interface Stroke {
  readonly ink: 'line' | 'neutral' | 'earth' | 'metal' | 'thing'
  /** An SVG path. */
  readonly d: string
}

/** A dot where things join. */
const dot = (x: number, y: number): string => `M${x - 4} ${y}a4 4 0 1 0 8 0a4 4 0 1 0 -8 0Z`
const crate = (x: number, y: number, w: number, h: number): string => `M${x} ${y}h${w}v${h}h${-w}Z`
/** The sign of earth under a point. */
const ground = (x: number, y: number): string =>
  `M${x} ${y}v12M${x - 12} ${y + 12}h24M${x - 8} ${y + 17}h16M${x - 4} ${y + 22}h8`
const SOURCE = crate(8, 12, 44, 62)
const HOUSE = crate(146, 12, 46, 62)

const arranged = (...rest: readonly Stroke[]): Stroke[] => [
  { ink: 'thing', d: SOURCE + HOUSE },
  { ink: 'line', d: 'M52 24H146' },
  { ink: 'earth', d: ground(30, 74) },
  ...rest,
]

/** Sketches of what a sentence cannot show. */
export const SKETCHES: Readonly<Record<string, readonly Stroke[]>> = {
  'tn-s': arranged({ ink: 'neutral', d: 'M52 42H146' }, { ink: 'earth', d: 'M52 60H146M30 60H52M30 60V74' }),
  'tn-c-s': arranged(
    { ink: 'neutral', d: 'M52 50H158V38H180' },
    { ink: 'earth', d: `M30 50H52M30 50V74M158 50V62H180${dot(158, 50)}` },
  ),
  tt: arranged(
    { ink: 'neutral', d: 'M52 42H146' },
    { ink: 'earth', d: `M30 42H52M30 42V74${ground(168, 74)}M168 74V60H184` },
  ),
  radial: [
    { ink: 'thing', d: crate(8, 30, 34, 50) },
    { ink: 'line', d: `M42 55H184${dot(90, 55)}${dot(137, 55)}${dot(184, 55)}` },
  ],
  ring: [
    { ink: 'thing', d: crate(8, 22, 34, 66) },
    {
      ink: 'line',
      d: `M42 34H180V76H42${dot(85, 34)}${dot(135, 34)}${dot(180, 55)}${dot(135, 76)}${dot(85, 76)}`,
    },
  ],
  spur: [
    { ink: 'thing', d: crate(8, 14, 34, 58) },
    { ink: 'line', d: `M42 24H172V62H42${dot(90, 24)}${dot(135, 62)}` },
    { ink: 'earth', d: `M135 62V96${dot(135, 98)}` },
  ],
  series: [
    { ink: 'line', d: `M10 55H50M90 55H110M150 55H190` },
    { ink: 'thing', d: crate(50, 44, 40, 22) + crate(110, 44, 40, 22) },
  ],
  parallel: [
    { ink: 'line', d: `M10 55H50M50 26V84M50 26H80M120 26H150M50 84H80M120 84H150M150 26V84M150 55H190` },
    { ink: 'thing', d: crate(80, 15, 40, 22) + crate(80, 73, 40, 22) },
  ],
  set: [{ ink: 'metal', d: 'M8 84H84Q96 84 104 76L164 22' }],
  'double-set': [{ ink: 'metal', d: 'M8 84H56Q66 84 74 77L116 41Q124 34 134 34H192' }],
  'bridge-set': [
    { ink: 'metal', d: 'M8 84H44Q52 84 58 77L84 45Q90 38 98 38H104Q112 38 118 45L144 77Q150 84 158 84H192' },
    { ink: 'thing', d: 'M83 78a18 18 0 1 0 36 0a18 18 0 1 0 -36 0Z' },
  ],
  springback: [
    { ink: 'metal', d: 'M8 84H90Q100 84 107 77L160 24' },
    { ink: 'thing', d: 'M96 84Q108 82 116 74L176 30M168 18Q184 22 186 36' },
  ],
  'two-way': [
    { ink: 'thing', d: `${crate(30, 34, 36, 44)}${crate(130, 34, 36, 44)}` },
    { ink: 'line', d: `M4 56H36L58 44H138M58 68H138M160 56H196L160 56L138 44${dot(36, 56)}${dot(160, 56)}` },
  ],
  strappers: [
    { ink: 'thing', d: `${crate(30, 34, 36, 44)}${crate(130, 34, 36, 44)}` },
    { ink: 'line', d: `M58 44H138M58 68H138${dot(58, 44)}${dot(58, 68)}${dot(138, 44)}${dot(138, 68)}` },
  ],
  'three-phase': [
    { ink: 'line', d: 'M8 55Q31 -5 54 55T100 55T146 55T192 55' },
    { ink: 'metal', d: 'M8 90Q20 115 38 55T84 55T130 55T176 55L192 24' },
    { ink: 'neutral', d: 'M8 20Q14 10 24 55T70 55T116 55T162 55T192 70' },
    { ink: 'thing', d: 'M8 55H192' },
  ],
  'star-point': [
    { ink: 'line', d: 'M100 60V14M100 60L58 92M100 60L142 92' },
    { ink: 'neutral', d: `M100 60H192${dot(100, 60)}` },
  ],
  'borrowed-neutral': [
    { ink: 'thing', d: crate(8, 16, 34, 78) },
    { ink: 'line', d: `M42 28H150M42 70H150${dot(154, 28)}${dot(154, 70)}` },
    { ink: 'neutral', d: 'M154 28L120 84H42M154 70V84H120' },
  ],
  'half-split': [
    { ink: 'line', d: `M12 55H188${dot(12, 55)}${dot(56, 55)}${dot(144, 55)}${dot(188, 55)}` },
    { ink: 'earth', d: `M100 20V90${dot(100, 55)}` },
  ],
  'lost-neutral': [
    { ink: 'line', d: 'M10 30H120M120 30V44' },
    { ink: 'thing', d: crate(108, 44, 24, 26) },
    { ink: 'neutral', d: 'M120 70V84H86M60 84H10M64 76L82 92M82 76L64 92' },
  ],
  'parallel-path': [
    { ink: 'earth', d: `M20 40H180${dot(20, 40)}${dot(180, 40)}` },
    { ink: 'metal', d: 'M20 40V84H180V40' },
  ],
}

/** Terms that a drawing of an installation shows, with the spot. */
export const SPOT_OF_TERM: Readonly<Record<string, readonly [DrawingCode, string]>> = {
  'service-cable': ['intake', 'serviceCable'],
  'cut-out': ['intake', 'cutOut'],
  tails: ['intake', 'meterTails'],
  meter: ['intake', 'meter'],
  isolator: ['intake', 'isolator'],
  'consumer-unit': ['intake', 'consumerUnit'],
  met: ['intake', 'earthTerminal'],
  'main-bonding': ['intake', 'mainBonding'],
  extraneous: ['intake', 'waterPipe'],
  'neutral-bar': ['board', 'neutralBar'],
  'earth-bar': ['board', 'earthBar'],
  way: ['board', 'way1'],
  blank: ['board', 'spareWay'],
  rccb: ['board', 'rcd'],
  rcd: ['board', 'rcd'],
  'main-switch': ['board', 'mainSwitch'],
  busbar: ['board', 'busbar'],
  'knock-out': ['board', 'cableEntry'],
  cpc: ['outlet', 'earthTerminalOutlet'],
  exposed: ['outlet', 'box'],
  terminal: ['outlet', 'lineTerminal'],
  line: ['outlet', 'lineTerminal'],
  neutral: ['outlet', 'neutralTerminal'],
  grommet: ['outlet', 'grommet'],
  'switched-line': ['wall', 'switchDrop'],
  'socket-outlet': ['wall', 'socket'],
}

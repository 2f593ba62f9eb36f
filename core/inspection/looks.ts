import type { Grade } from './items'

/**
 * How a spot may look: as it should be, untidy and yet sound, or wrong with how serious that is, the usual grade
 * first; schools differ by a step here and there. Common practice, no source.
 */
interface Looks {
  readonly right: string
  readonly sound?: readonly string[]
  readonly wrong: Readonly<Record<string, readonly [Grade, ...Grade[]]>>
}

const TERMINATION = {
  copper: ['potential', 'danger'],
  insulation: ['potential'],
  strands: ['potential'],
  doubled: ['improve', 'potential'],
  loose: ['potential', 'danger'],
  heat: ['potential', 'further'],
} as const satisfies Looks['wrong']

const BOARD = {
  case: {
    right: 'clean',
    sound: ['dusty'],
    wrong: { swarf: ['potential', 'improve'], wet: ['further', 'potential'] },
  },
  cover: { right: 'whole', sound: ['scratched'], wrong: { cracked: ['potential', 'improve'] } },
  coverScrew: { right: 'there', wrong: { missing: ['improve', 'potential'] } },
  top: { right: 'closed', sound: ['gland'], wrong: { open: ['potential'], gap: ['potential', 'improve'] } },
  side: { right: 'closed', sound: ['gland'], wrong: { open: ['potential'] } },
  entry: { right: 'bushed', wrong: { bare: ['potential', 'improve'], cores: ['improve', 'potential'] } },
  isolator: { right: 'marked', wrong: { unmarked: ['improve'], heat: ['potential', 'further'] } },
  device: {
    right: 'right',
    wrong: { ...TERMINATION, cracked: ['potential', 'improve'], oversize: ['potential', 'danger'] },
  },
  mark: { right: 'either', wrong: { oneWay: ['potential', 'danger'] } },
  sources: { right: 'there', wrong: { none: ['improve', 'potential'] } },
  flying: { right: 'own', sound: ['coiled'], wrong: { hanging: ['potential', 'danger'] } },
  spd: { right: 'green', wrong: { red: ['improve'] } },
  way: { right: 'blank', wrong: { gap: ['danger'] } },
  label: { right: 'text', sound: ['crooked'], wrong: { none: ['improve'], faded: ['improve'] } },
  neutral: {
    right: 'own',
    sound: ['slack'],
    wrong: { other: ['potential'], doubled: ['improve', 'potential'], loose: ['potential', 'danger'] },
  },
  earth: {
    right: 'sleeved',
    sound: ['slack'],
    wrong: { bare: ['improve'], doubled: ['improve'], loose: ['potential', 'danger'] },
  },
  tails: {
    right: 'clamped',
    wrong: {
      loose: ['improve', 'potential'],
      damaged: ['danger', 'potential'],
      unsheathed: ['improve', 'potential'],
    },
  },
  notice: { right: 'there', wrong: { none: ['improve'] } },
  chart: { right: 'there', sound: ['folded'], wrong: { none: ['improve'] } },
  busbar: { right: 'capped', wrong: { bare: ['danger', 'potential'], beside: ['potential', 'danger'] } },
} as const satisfies Record<string, Looks>

const INTAKE = {
  cutout: {
    right: 'sealed',
    wrong: {
      broken: ['further'],
      cracked: ['further', 'danger'],
      open: ['danger', 'further'],
      heat: ['further', 'danger'],
    },
  },
  cableEnd: { right: 'sound', wrong: { leaking: ['further'], torn: ['danger', 'further'] } },
  meter: { right: 'whole', wrong: { cracked: ['further', 'danger'], unsealed: ['further'] } },
  tail: {
    right: 'right',
    wrong: {
      damaged: ['danger', 'potential'],
      short: ['improve', 'potential'],
      thin: ['potential'],
      strained: ['improve', 'potential'],
    },
  },
  block: { right: 'right', wrong: { lidless: ['danger', 'potential'], heat: ['potential', 'further'] } },
  switchBox: { right: 'marked', wrong: { unmarked: ['improve'], cracked: ['potential', 'improve'] } },
  earthing: {
    right: 'right',
    sound: ['old'],
    wrong: {
      none: ['potential', 'danger'],
      thin: ['potential', 'improve'],
      unsleeved: ['improve'],
      wrongClamp: ['potential', 'improve'],
    },
  },
  earthTerminal: {
    right: 'right',
    wrong: { loose: ['potential', 'danger'], linkOut: ['potential', 'danger'] },
  },
  bond: {
    right: 'right',
    sound: ['painted'],
    wrong: {
      none: ['potential'],
      thin: ['improve', 'potential'],
      plastic: ['potential'],
      unlabelled: ['improve'],
      loose: ['potential', 'improve'],
    },
  },
  place: { right: 'clear', sound: ['broom'], wrong: { cans: ['further', 'potential', 'improve'] } },
  backing: { right: 'dry', sound: ['painted'], wrong: { wet: ['further', 'potential'] } },
  warning: { right: 'there', wrong: { none: ['improve'] } },
} as const satisfies Record<string, Looks>

const ROOM = {
  socketFront: {
    right: 'right',
    sound: ['painted'],
    wrong: {
      cracked: ['potential', 'danger'],
      heat: ['potential', 'further'],
      loose: ['potential', 'improve'],
      screwless: ['improve', 'potential'],
    },
  },
  socketBack: {
    right: 'right',
    wrong: {
      ...TERMINATION,
      ringOut: ['potential'],
      bareEarth: ['improve'],
      boxUnearthed: ['improve', 'potential'],
      noGrommet: ['improve', 'potential'],
    },
  },
  switchBack: {
    right: 'right',
    wrong: { unmarked: ['improve'], noEarth: ['potential', 'improve'], copper: ['potential', 'danger'] },
  },
  pendant: {
    right: 'right',
    wrong: { gripless: ['potential', 'improve'], scorched: ['potential', 'improve'] },
  },
  connectionUnit: {
    right: 'right',
    wrong: { gripless: ['potential', 'improve'], cracked: ['potential', 'danger'] },
  },
  conduit: {
    right: 'right',
    sound: ['crooked'],
    wrong: { saddleOut: ['improve'], lidOff: ['potential', 'danger'], bushless: ['improve', 'potential'] },
  },
  trunking: {
    right: 'right',
    wrong: {
      lidOff: ['potential', 'danger'],
      overfull: ['improve', 'potential'],
      gap: ['improve', 'potential'],
    },
  },
  cable: {
    right: 'right',
    sound: ['loop'],
    wrong: { sagging: ['improve'], grazed: ['potential', 'danger'] },
  },
} as const satisfies Record<string, Looks>

export const LOOKS = { ...BOARD, ...INTAKE, ...ROOM } as const
export type SpotKind = keyof typeof LOOKS

const looksOf = (kind: SpotKind): Looks => LOOKS[kind]
export const rightLook = (kind: SpotKind): string => looksOf(kind).right
/** Untidy, and yet nothing is wrong. */
export const soundLooks = (kind: SpotKind): readonly string[] => looksOf(kind).sound ?? []
export const wrongLooks = (kind: SpotKind): readonly string[] => Object.keys(looksOf(kind).wrong)
/** The grades that a careful person gives a look, the usual one first; none where nothing is wrong. */
export const gradesOf = (kind: SpotKind, look: string): readonly Grade[] => looksOf(kind).wrong[look] ?? []

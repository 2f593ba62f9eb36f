import type { SpotKind } from '#core/inspection/looks'
import type { Spot } from '#core/inspection/scenes/spot'

const TERMINATION = {
  copper: 'Bare copper stands out of the terminal.',
  insulation: 'Insulation under the screw: little or no contact, and heat.',
  strands: 'Strands have been cut off: the section is smaller than it looks.',
  doubled: 'Two conductors under one screw.',
  loose: 'The conductor is not in its terminal.',
  heat: 'Browned by heat: a loose termination, or too much current for too long.',
}
const THEIRS = 'It belongs to the distributor: nothing is touched, they are called.'

/** What a look of a drawn spot means, by its kind and look. */
const MEANS: Readonly<Record<SpotKind, Readonly<Record<string, string>>>> = {
  case: {
    swarf: 'Metal swarf was left in the board: it may bridge live parts.',
    wet: 'Water has run into the board: find out from where.',
  },
  cover: { cracked: 'The cover is cracked: it no longer keeps fingers out.' },
  coverScrew: { missing: 'A screw of the cover is missing.' },
  top: {
    open: 'An open knock-out on top: IP4X is lost.',
    gap: 'A gap beside the gland on top: IP4X is lost.',
  },
  side: { open: 'An open knock-out at the side: a finger gets in.' },
  entry: {
    bare: 'No grommet: the edge works into the insulation.',
    cores: 'The sheaths end outside: single insulation passes the edge.',
  },
  isolator: { unmarked: 'Nothing says that this is the main switch.', heat: TERMINATION.heat },
  device: {
    ...TERMINATION,
    cracked: 'The case of the device is cracked.',
    oversize: 'The device is rated far higher than the chart says, and than its conductor can carry.',
  },
  mark: {
    oneWay:
      'The device is unidirectional, by its arrow with the bar, and is fed from both ends: ' +
      'it may fail to break a fault.',
  },
  sources: { none: 'The multiple supplies notice is missing.' },
  flying: {
    hanging:
      'The neutral lead of the RCBO hangs free: it cannot trip by its test button, nor serve its circuit.',
  },
  spd: { red: 'The window of the surge protective device is red: it no longer protects.' },
  way: { gap: 'No blank: a finger reaches live parts.' },
  label: { none: 'No label.', faded: 'The label can no longer be read.' },
  neutral: {
    other: 'The neutral lies on the other section’s bar.',
    doubled: TERMINATION.doubled,
    loose: 'The neutral is not in its bar: with load on, its end is live.',
  },
  earth: {
    bare: 'The protective conductor is not sleeved.',
    doubled: TERMINATION.doubled,
    loose: 'The protective conductor is not in its terminal.',
  },
  tails: {
    loose: 'The tails are not clamped.',
    damaged: 'The insulation of a tail is damaged: copper shows.',
    unsheathed: 'The sheath of the tails ends far from their terminals.',
  },
  notice: { none: 'The notice for the test button is missing.' },
  chart: { none: 'There is no circuit chart.' },
  busbar: {
    bare: 'The end of the busbar is not capped.',
    beside: 'A finger of the busbar stands beside its terminal.',
  },
  cutout: {
    broken: `The seal is broken. ${THEIRS}`,
    cracked: `The cut-out is cracked. ${THEIRS}`,
    open: `The fuse carrier is out and live parts lie open. Keep everybody away. ${THEIRS}`,
    heat: `The cut-out is browned by heat. ${THEIRS}`,
  },
  cableEnd: {
    leaking: `Compound runs out of the cable’s end: it has been hot, or damp gets in. ${THEIRS}`,
    torn: `The armour of the service cable is torn. Keep everybody away. ${THEIRS}`,
  },
  meter: {
    cracked: 'The meter’s case is cracked. It belongs to the supplier: they are called.',
    unsealed: 'The meter’s seal is broken. It belongs to the supplier: they are called.',
  },
  tail: {
    damaged: 'The insulation of a tail is damaged: copper shows.',
    short: 'The sheath of a tail ends short of its terminal.',
    thin: 'A tail is thinner than the main fuse asks for.',
    strained: 'A tail is bent hard at its terminal.',
  },
  block: {
    lidless: 'The connector block is open: live parts can be touched.',
    heat: 'The connector block is browned by heat.',
  },
  switchBox: {
    unmarked: 'Nothing says what this switch isolates.',
    cracked: 'The case of the switch is cracked.',
  },
  earthing: {
    none: 'There is no earthing conductor.',
    thin: 'The earthing conductor is thinner than it must be.',
    unsleeved: 'The earthing conductor is bare and not marked.',
    wrongClamp: 'A clamp made for pipes where one for a cable or electrode belongs.',
  },
  earthTerminal: {
    loose: 'A screw of the main earthing terminal is loose.',
    linkOut: 'The link of the main earthing terminal is out: part of the installation has no earth.',
  },
  bond: {
    none: 'The bonding conductor is missing.',
    thin: 'The bonding conductor is thinner than it must be.',
    plastic: 'The clamp sits below a plastic piece: it bonds nothing that comes in.',
    unlabelled: 'The label at the bonding clamp is missing.',
    loose: 'The bonding conductor hangs beside its clamp.',
  },
  place: { cans: 'Things that burn are kept at the intake, and bar the way to it.' },
  backing: { wet: 'The wall behind the intake is wet: find out from where.' },
  warning: { none: 'The notice of the intake is missing.' },
  socketFront: {
    cracked: 'The front is cracked.',
    heat: 'Browned by heat: a loose contact inside.',
    loose: 'The accessory is loose in its box.',
    screwless: 'A fixing screw is missing.',
  },
  socketBack: {
    ...TERMINATION,
    ringOut: 'One leg of the ring is not there: a ring fed from one end.',
    bareEarth: 'The protective conductors are not sleeved.',
    boxUnearthed: 'The metal box has no earth of its own.',
    noGrommet: 'A hole of the metal box has no grommet.',
  },
  switchBack: {
    unmarked: 'The blue conductor is a line here and is not marked as one.',
    noEarth: 'The metal box is not earthed.',
    copper: TERMINATION.copper,
  },
  pendant: {
    gripless: 'The cores hang on their terminals: the cord grip does not hold the sheath.',
    scorched: 'A lamp too large for the holder: it has browned.',
  },
  connectionUnit: { gripless: 'The cord grip does not hold the sheath.', cracked: 'The front is cracked.' },
  conduit: {
    saddleOut: 'A saddle is missing.',
    lidOff: 'The inspection box has no cover: cores can be reached.',
    bushless: 'No bush at the end of the conduit: its edge works into the insulation.',
  },
  trunking: {
    lidOff: 'A length of trunking has no lid.',
    overfull: 'The trunking is over-full: its lid no longer closes.',
    gap: 'The lids do not meet: a finger gets in.',
  },
  cable: { sagging: 'Clips are missing: the cable sags.', grazed: 'The sheath is cut through to the cores.' },
}
export const defectText = (kind: SpotKind, look: string): string => MEANS[kind][look] ?? ''

const SPOT_NAME: Readonly<Record<SpotKind, (of: string | null) => string>> = {
  case: () => 'Inside of the case',
  cover: () => 'Cover',
  coverScrew: (of) => `Screw ${of} of the cover`,
  top: (of) => `Knock-out ${of} on top`,
  side: (of) => `Knock-out on the ${of}`,
  entry: (of) => `Entry of the ${of}`,
  isolator: () => 'Main switch',
  device: (of) => `Device of ${of}`,
  mark: (of) => `Marking on the device of ${of}`,
  sources: () => 'Multiple supplies notice',
  flying: (of) => `Neutral lead of ${of}`,
  spd: () => 'Surge protective device',
  way: (of) => `Way ${of}`,
  label: (of) => `Label of ${of}`,
  neutral: (of) => `Neutral of ${of}`,
  earth: (of) => `Protective conductor of ${of}`,
  tails: () => 'Tails',
  notice: () => 'Notice of the RCD',
  chart: () => 'Circuit chart',
  busbar: () => 'Busbar',
  cutout: () => 'Cut-out with its seal',
  cableEnd: () => 'End of the service cable',
  meter: () => 'Meter with its seal',
  tail: (of) => (of === 'meter' ? 'Tails from cut-out to meter' : 'Tails from the meter on'),
  block: () => 'Connector block',
  switchBox: () => 'Main switch',
  earthing: () => 'Earthing conductor',
  earthTerminal: () => 'Main earthing terminal',
  bond: (of) => `Bonding of ${of}`,
  place: () => 'Floor before the intake',
  backing: () => 'Wall behind the intake',
  warning: () => 'Notice at the intake',
  socketFront: (of) => `Socket-outlet ${of}`,
  socketBack: (of) => `Socket-outlet ${of}, drawn forward`,
  switchBack: () => 'Switch, drawn forward',
  pendant: () => 'Pendant',
  connectionUnit: () => 'Connection unit with its flex',
  conduit: () => 'Conduit',
  trunking: () => 'Trunking',
  cable: () => 'Clipped cable',
}

/** What a spot of a drawn scene is, without saying how it is. */
export const spotName = ({ kind, of }: Pick<Spot, 'kind' | 'of'>): string => SPOT_NAME[kind](of)

import type { Grade, InspectionItem, ItemGroup } from '#core/inspection/items'
import type { Question, Spot, SpotKind } from '#core/inspection/scene'

export const GRADE_NAME: Readonly<Record<Grade, string>> = {
  danger: 'danger present (C1)',
  potential: 'potentially dangerous (C2)',
  improve: 'improvement recommended (C3)',
  further: 'further investigation (FI)',
}
export const GROUP_NAME: Readonly<Record<ItemGroup, string>> = {
  enclosure: 'Enclosure',
  supply: 'Supply and bonding',
  devices: 'Devices',
  bars: 'Bars',
  labels: 'Labels',
  accessories: 'Accessories',
  conductors: 'Conductors',
}

/** What is looked at, and the remarks that are written most. */
export const ITEM_TEXT: Readonly<
  Record<
    InspectionItem['what'],
    { readonly name: string; readonly look: string; readonly remarks: readonly string[] }
  >
> = {
  cover: {
    name: 'Cover',
    look: 'Fits, all screws, no crack.',
    remarks: ['A cover screw is missing', 'Cover does not close'],
  },
  ipTop: {
    name: 'Top surface, IP4X',
    look: 'No wire of 1 mm gets in.',
    remarks: ['Open knock-out on top', 'Gap beside the gland'],
  },
  ipSides: { name: 'Sides, IP2X', look: 'No finger gets in.', remarks: ['Open knock-out', 'Gland missing'] },
  grommets: {
    name: 'Entries',
    look: 'Grommet, bush or gland in every entry; sheath inside.',
    remarks: ['Grommet missing', 'Sheath ends outside'],
  },
  tails: {
    name: 'Tails',
    look: 'Clamped, sheathed to the terminal, not crossing sharp edges.',
    remarks: ['Not clamped', 'Insulation damaged'],
  },
  bonding: {
    name: 'Earthing and bonding',
    look: 'Connected, sized, labelled; before any branch.',
    remarks: ['Label missing', 'Clamp loose', 'Too thin'],
  },
  busbar: {
    name: 'Busbar',
    look: 'In every terminal, cut to length, end capped.',
    remarks: ['End not capped', 'A busbar finger beside its terminal'],
  },
  terminals: {
    name: 'Terminals',
    look: 'Right terminal, no copper proud, no insulation under the screw, pull test.',
    remarks: [
      'Bare copper proud of the terminal',
      'Insulation under the screw',
      'Strands cut',
      'Came loose in the pull test',
    ],
  },
  blank: { name: 'Spare way', look: 'Blank in place.', remarks: ['Blank missing'] },
  neutralBar: {
    name: 'Neutral bar',
    look: 'Only its own section’s neutrals, in order of circuits.',
    remarks: ['Neutral of another section', 'Out of order', 'Two under one screw'],
  },
  earthBar: {
    name: 'Earth bar',
    look: 'In order of circuits, sleeved, one under each screw.',
    remarks: ['Out of order', 'Not sleeved', 'Loose'],
  },
  label: { name: 'Label', look: 'Says what it feeds.', remarks: ['Missing', 'Does not fit the circuit'] },
  chart: { name: 'Circuit chart', look: 'There, and fits.', remarks: ['Missing', 'Out of date'] },
  notice: {
    name: 'RCD notice',
    look: 'There, with the interval of the edition.',
    remarks: ['Missing', 'Old interval'],
  },
  accessory: {
    name: 'Fixing',
    look: 'Level, flush, box of the right depth, cut-out covered.',
    remarks: ['Not level', 'Box too shallow', 'Cut-out shows', 'Loose'],
  },
  accessoryTails: {
    name: 'Connections',
    look: 'Tails 150 to 200 mm, grommet in a metal box, box earthed, nothing trapped, pull test.',
    remarks: ['Tails too short', 'Grommet missing', 'Conductor trapped', 'Box not earthed'],
  },
  cordGrip: {
    name: 'Cord grip',
    look: 'Holds the sheath, not the conductors.',
    remarks: ['Does not hold', 'Holds conductors alone'],
  },
  drawn: {
    name: 'Drawn conductors',
    look: 'No grazes, no crossing, covers back on.',
    remarks: ['Grazed in drawing', 'Inspection cover off'],
  },
  sleeves: {
    name: 'Sleeves and colours',
    look: 'Protective conductors sleeved; line in switch wires marked.',
    remarks: ['Not sleeved', 'Switch wire not marked'],
  },
  doubling: {
    name: 'Single conductors doubled',
    look: 'As the centre has it.',
    remarks: ['Not doubled over', 'Doubled over'],
  },
  dressing: {
    name: 'Dressing',
    look: 'Straight, grouped, nothing under strain.',
    remarks: ['Untidy', 'Under strain'],
  },
}

export const QUESTION_TEXT: Readonly<Record<Question['ask'], string>> = {
  earthing: 'Which earthing arrangement do you see?',
  meterOwner: 'Who owns the meter?',
  tailsOwner: 'Who owns the tails from the meter to the board?',
  seal: 'A seal is in your way. What do you do?',
}

/** What a look of a drawn spot means. */
export const DEFECT_TEXT: Readonly<Record<string, string>> = {
  'way gap': 'No blank: a finger reaches live parts.',
  'device copper': 'Bare copper stands out of the terminal.',
  'device insulation': 'Insulation under the screw: little or no contact, and heat.',
  'device strands': 'Strands have been cut off: the section is smaller than it looks.',
  'label none': 'No label.',
  'top open': 'An open knock-out on top: IP4X is lost.',
  'side open': 'An open knock-out at the side: a finger gets in.',
  'entry none': 'No grommet: the edge works into the insulation.',
  'neutral other': 'The neutral lies on the other section’s bar.',
  'earth bare': 'The protective conductor is not sleeved.',
  'earth loose': 'The protective conductor is not in its terminal.',
  'tails loose': 'The tails are not clamped.',
  'notice none': 'The notice for the test button is missing.',
  'chart none': 'There is no circuit chart.',
  'bond none': 'The bonding conductor is missing.',
  'bond thin': 'The bonding conductor is thinner than it must be.',
  'cutout broken': 'The seal is broken. It belongs to the distributor: nothing is touched, they are called.',
  'meter cracked': 'The meter’s case is cracked. It belongs to the supplier: they are called.',
  'main damaged': 'The insulation of a tail is damaged.',
  'isolator unmarked': 'Nothing says that this is the main switch.',
}

const SPOT_NAME: Readonly<Record<SpotKind, (of: string | null) => string>> = {
  top: (of) => `Knock-out ${of} on top`,
  side: (of) => `Knock-out on the ${of}`,
  entry: (of) => `Entry of the ${of}`,
  isolator: (of) => (of ? `Main switch of the ${of}` : 'Main switch'),
  device: (of) => `Terminals of ${of}`,
  label: (of) => (of ? `Label of ${of}` : 'Label at the bonding clamp'),
  neutral: (of) => `Neutral of ${of}`,
  earth: (of) => (of ? `Protective conductor of ${of}` : 'Earthing conductor'),
  way: (of) => `Way ${of}`,
  tails: () => 'Tails',
  notice: () => 'Notice of the RCD',
  chart: () => 'Circuit chart',
  cutout: () => 'Cut-out with its seal',
  meter: () => 'Meter',
  main: (of) => (of === 'meter' ? 'Tails from cut-out to meter' : 'Tails from meter to board'),
  bond: (of) => `Bonding of ${of}`,
}

/** What a spot of a drawn scene is, without saying how it is. */
export const spotName = ({ kind, of }: Pick<Spot, 'kind' | 'of'>): string => SPOT_NAME[kind](of)

import type { Grade, InspectionItem, ItemGroup } from '#core/inspection/items'
import type { SceneCode } from '#core/inspection/scenes/code'
import type { Question } from '#core/inspection/scene'

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
  direction: {
    name: 'Direction of power',
    look: 'Fed from both sides: marked bidirectional, or not marked line and load.',
    remarks: ['Marked line and load, fed at its load end', 'Mark not to be seen'],
  },
  sources: {
    name: 'Multiple supplies notice',
    look: 'At the main switch and at the source: isolate both.',
    remarks: ['Missing', 'Does not name the second source'],
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

/** What a drawn place is called. */
export const SCENE_NAME: Readonly<Record<SceneCode, string>> = {
  board: 'A board, its cover off',
  threePhase: 'A three-phase board',
  intake: 'An intake',
  room: 'A wall of a workshop',
}

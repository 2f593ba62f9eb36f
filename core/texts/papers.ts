import type { Edition } from '../regulations/editions'

/** What the boxes of a record are called. */
export const PAPER_TEXT = {
  client: 'Client',
  address: 'Place',
  description: 'What was done',
  extent: 'Extent, and what it does not cover',
  date: 'Date of completion',
  edition: 'Worked to',
  departures: 'Departures, or none',
  existingComments: 'Comments on the existing installation',
  earthingArrangement: 'Earthing arrangement',
  earthingConductor: 'Earthing conductor present and of the right size',
  bondingWater: 'Bonding of water',
  bondingGas: 'Bonding of gas',
  bondingReading: 'Bonding conductor, measured',
  circuit: 'Circuit',
  device: 'Protective device',
  conductors: 'Conductors',
  residual: 'Residual device',
  afdd: 'Arc fault detection',
  spd: 'Surge protection',
  devices: 'Standards of the devices',
  mainSwitch: 'Main switch',
  arrangement: 'Supply',
  mainFuse: 'Fuse of the distributor',
  ze: 'Ze, measured',
  pfc: 'Prospective fault current, measured',
  rotation: 'Phase sequence',
  inspectDesign: 'Conductors, devices and routes as designed',
  inspectErection: 'Erected soundly, supports and containment',
  inspectEnclosures: 'Enclosures, blanks and covers',
  inspectConnections: 'Connections, tightness and identification',
  inspectProtection: 'Protection against shock, fire and overcurrent',
  inspectLabels: 'Labels, charts and notices',
  instrument: 'Instrument',
  results: 'Results',
  declaration: 'Declaration',
  tester: 'Tested by',
  permission: 'Permission to energise by',
  nextInspection: 'Next inspection, date',
  declarationWords:
    'The work described is a training exercise. As far as it was inspected and tested it agrees with the edition named, except for the departures listed.',
} as const
export type PaperItemKey = Exclude<keyof typeof PAPER_TEXT, 'declarationWords'>

/** How often the residual device is to be tested by its button, as its notice says; BS 7671 514.12.2, from memory. */
export const RESIDUAL_NOTICE: Readonly<Record<Edition, string>> = {
  '17-A3': 'every three months',
  '18': 'every six months',
  '18-A2': 'every six months',
}

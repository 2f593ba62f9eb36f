import { choose, inTopic, number, point, spoken, verdict } from '../make'

const P_701 = 'BS 7671 Section 701, from memory'
export const LOCATIONS = inTopic('locations', [
  spoken('lo-zone0', 1, 'What is zone 0?', 'The inside of the bath or shower tray.', { source: P_701 }),
  number('lo-zone1-height', 1, 'How high does zone 1 reach above the floor?', [2.25, 'm', 0], {
    source: P_701,
  }),
  number('lo-zone2-width', 1, 'How wide is zone 2 beyond zone 1?', [0.6, 'm', 0], { source: P_701 }),
  number('lo-socket-bath', 1, 'How far from zone 1 may a 230 V socket-outlet stand now?', [2.5, 'm', 0], {
    source: '2.5 m since Amendment 2 of 2022 (3 m before), from memory',
    edition: '18-A2',
  }),
  number('lo-socket-bath-old', 2, 'And under the editions before Amendment 2?', [3, 'm', 0], {
    source: P_701,
    edition: '18',
    plain: 'Socket and bath before 2022: how far?',
  }),
  spoken(
    'lo-shaver',
    2,
    'Which outlet may stand in zone 2?',
    'A shaver supply unit to BS EN 61558-2-5, where no jet reaches it.',
    { source: P_701 },
  ),
  choose(
    'lo-bath-rcd',
    1,
    'Which circuits of a bathroom need a 30 mA RCD?',
    [['All that serve it or pass through its zones'], ['Only the shower', 'Only sockets', 'None']],
    { source: 'BS 7671 701.411.3.3, since 2008, from memory' },
  ),
  spoken(
    'lo-switch',
    1,
    'Which switch may be in zone 1?',
    'None but SELV of 12 V a.c. or 30 V d.c. with its source outside; a pull cord may hang in.',
    { source: P_701 },
  ),
  spoken(
    'lo-garden',
    2,
    'A socket for a garden. What must be considered?',
    'Additional protection, IP for the weather, mechanical damage, and the PME earth if it feeds a caravan or charger.',
    {},
  ),
  spoken(
    'lo-agricultural',
    2,
    'Why is a stable a special location?',
    'Wet, corrosive, animals sensitive to small voltages; RCDs, IP44 and supplementary bonding.',
    { source: 'BS 7671 Section 705, from memory' },
  ),
  spoken(
    'lo-construction',
    2,
    'Why 110 V on sites?',
    'Centre-tapped to earth: 55 V from each line to earth.',
    { source: 'BS 7671 704.410.3.10, from memory', prompts: ['How much to earth?'] },
  ),
  number(
    'lo-site-earth',
    1,
    'A 110 V site transformer, centre-tapped: what voltage to earth?',
    [55, 'V', 0],
    { source: 'BS 7671 Section 704, from memory' },
  ),
  spoken(
    'lo-charge',
    3,
    'What does a car’s charging point outdoors need on PME?',
    'Protection against a broken PEN, or another earth; RCD 30 mA, with d.c. detection or type B.',
    { source: 'BS 7671 722.411.4 and 722.531.3, from memory' },
  ),
  point(
    'lo-point-ceiling',
    1,
    'Point at the zone for buried cables along the ceiling.',
    ['wall', 'ceilingZone'],
    {},
  ),
  point('lo-point-forbidden', 2, 'Point at where no shallow cable may run.', ['wall', 'openWall'], {
    prompts: ['Which part does no accessory show?'],
  }),
  number('lo-zone-width', 1, 'How wide is the cable zone along ceiling and corner?', [150, 'mm', 0], {
    source: 'BS 7671 522.6.202, from memory',
  }),
  number('lo-socket-height', 1, 'How high are new sockets in dwellings, at least?', [450, 'mm', 0], {
    source: 'Approved Document M, from memory',
    also: ['450 to 1200 mm'],
  }),
  verdict(
    'lo-swimming',
    2,
    'A socket may be in zone 2 of a swimming pool.',
    ['depends', 'With SELV, separation or a 30 mA RCD.'],
    { source: 'BS 7671 702.53, from memory' },
  ),
])

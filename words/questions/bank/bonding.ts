import { shippedBook, bondingIn } from '#core/regulations/book/book'
import { choose, inTopic, number, point, spoken, verdict } from '../make'

const P_544 = 'BS 7671 544.1, from memory'
export const BONDING = inTopic('bonding', [
  spoken(
    'bn-extraneous',
    1,
    'What is an extraneous-conductive-part?',
    'Metal that is no part of the installation and can bring in a potential, usually earth: incoming metal water or gas pipe, structural steel.',
    { source: 'BS 7671 Part 2, from memory', prompts: ['Can it bring something in?'] },
  ),
  spoken(
    'bn-why',
    1,
    'Why is it bonded?',
    'So that under a fault no dangerous voltage stands between things that can be touched together.',
    { prompts: ['Between which two hands?'] },
  ),
  spoken(
    'bn-earthing-bonding',
    2,
    'Earthing and bonding: what is the difference?',
    'Earthing carries fault current so that the device opens; bonding keeps metal at the same potential meanwhile.',
    { prompts: ['Which one clears the fault?'] },
  ),
  spoken(
    'bn-where',
    2,
    'Where is a water pipe bonded?',
    'As near as practicable to its entry, on the consumer’s side of any meter or insulating piece, before a branch, where it can be reached.',
    { source: 'BS 7671 544.1.2, from memory' },
  ),
  number('bn-distance', 1, 'Within what distance of the meter outlet, where practicable?', [600, 'mm', 0], {
    source: 'BS 7671 544.1.2, from memory',
    plain: 'Bonding near the meter: how near?',
  }),
  spoken(
    'bn-plastic',
    2,
    'The water comes in plastic and goes on in copper. Is the copper bonded?',
    'Not for that reason: it brings nothing in. Where in doubt it is measured.',
    { source: 'BS 7671 411.3.1.2, from memory' },
  ),
  number(
    'bn-measure',
    3,
    'Above which resistance to the main earthing terminal is a metal part usually taken as not extraneous, 230 V and 10 mA?',
    [23, 'kΩ', 0.5],
    {
      source: 'Guidance Note 8: 230 V / 10 mA less the body, from memory',
      also: ['22 kΩ with the body counted'],
    },
  ),
  number(
    'bn-size-pme',
    2,
    'PME, supply neutral 25 mm²: what main bonding?',
    [bondingIn(shippedBook(), 'TN-C-S', 25, 16)!, 'mm²', 0],
    { source: 'BS 7671 Table 54.8, from memory' },
  ),
  spoken(
    'bn-label',
    1,
    'What does the label at a bonding clamp say?',
    'Safety electrical connection – do not remove.',
    { source: 'BS 7671 514.13.1' },
  ),
  number(
    'bn-reading',
    1,
    'A bonding conductor should read no more than about what value?',
    [0.05, 'Ω', 0.005],
    { source: 'Guidance Note 3, from memory' },
  ),
  spoken(
    'bn-clamp',
    1,
    'How is the clamp fitted?',
    'On cleaned pipe, BS 951, the conductor unbroken, tight, with its label.',
    { source: P_544 },
  ),
  spoken(
    'bn-supplementary',
    2,
    'When may supplementary bonding be left out in a bathroom?',
    'When all circuits of the room have 30 mA RCDs, disconnect in time, and all extraneous parts are joined to main bonding.',
    { source: 'BS 7671 701.415.2, since 2008, from memory' },
  ),
  choose(
    'bn-which',
    1,
    'Which of these is an extraneous-conductive-part in most houses?',
    [
      ['Metal gas pipe where it comes in'],
      ['Metal door handle', 'Steel sink on plastic pipes', 'Case of a washing machine'],
    ],
    { source: 'BS 7671 Part 2, from memory' },
  ),
  choose(
    'bn-exposed',
    1,
    'And which is an exposed-conductive-part?',
    [['Case of a class I washing machine'], ['Metal water pipe', 'Metal window frame', 'Radiator']],
    { source: 'BS 7671 Part 2, from memory', plain: 'Which of these is exposed, not extraneous?' },
  ),
  point('bn-point-bond', 1, 'Point at the main bonding conductor.', ['intake', 'mainBonding']),
  point('bn-point-extraneous', 1, 'Point at the extraneous-conductive-part.', ['intake', 'waterPipe'], {
    prompts: ['What comes out of the ground?'],
  }),
  verdict(
    'bn-parallel',
    3,
    'Bonding may be tested while it is connected.',
    [
      'depends',
      'A reading with it connected can come through parallel paths; disconnected at one end, with the installation isolated, it proves the conductor.',
    ],
    { source: 'Guidance Note 3, from memory' },
  ),
])

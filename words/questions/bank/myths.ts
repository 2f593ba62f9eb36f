import { inTopic, myth } from '../make'

const in701 = 'BS 7671 Section 701'
/** Widely told mistakes: the claim, what the regulations ask, and since when. */
export const MYTHS = [
  ...inTopic('locations', [
    myth(
      'my-sink-metre',
      'A socket-outlet must be at least a metre from a kitchen sink.',
      [
        'false',
        'BS 7671 names no distance; equipment must suit the place. 300 mm from the sink’s edge is guidance.',
      ],
      'BS 7671 512.2; guidance of the On-Site Guide, from memory',
    ),
    myth(
      'my-fan-selv',
      'A fan in a bathroom must be SELV.',
      [
        'false',
        'In zone 1 a 230 V fan is allowed if it is suitable (IPX4) and has its 30 mA RCD; the source of SELV stands outside the zones. Zones since the 16th edition, RCDs for all circuits since 2008.',
      ],
      `${in701}, from memory`,
    ),
    myth(
      'my-bath-socket',
      'Sockets are never allowed in a room with a bath.',
      ['false', 'Since 2008 at 3 m from zone 1, since Amendment 2 of 2022 at 2.5 m, with a 30 mA RCD.'],
      `${in701}.512.3, from memory`,
    ),
    myth(
      'my-bath-bond',
      'Every bathroom needs supplementary bonding.',
      [
        'depends',
        'Since 2008 it may be left out where all circuits have 30 mA RCDs, disconnect in time, and the metal is joined to main bonding.',
      ],
      `${in701}.415.2, from memory`,
    ),
    myth(
      'my-pull-cord',
      'Bathroom light switches must be pull cords.',
      [
        'false',
        'A wall switch may stand outside zones 0 to 2; a cord is one way to keep the switch out of reach.',
      ],
      `${in701}.512.3, from memory`,
    ),
    myth(
      'my-zone-ceiling',
      'Downlights over a bath need IP65.',
      [
        'false',
        'IPX4 in zones 1 and 2, IPX5 only where water jets are used to clean; above 2.25 m is outside the zones.',
      ],
      `${in701}.512.2, from memory`,
    ),
    myth(
      'my-loft-cable',
      'Cables in insulation may simply be ignored: it is cool in the loft.',
      ['false', 'Insulation keeps the heat in: half the current where half a metre and more lies in it.'],
      'BS 7671 523.9, from memory',
    ),
  ]),
  ...inTopic('bonding', [
    myth(
      'my-sink-bond',
      'A kitchen sink must be bonded.',
      [
        'false',
        'Not since the 15th edition gave way to the 16th in 1991: the incoming metal pipe is bonded, the sink is not a special location.',
      ],
      'BS 7671 411.3.1.2, from memory',
    ),
    myth(
      'my-gas-box',
      'Gas bonding must be in the meter box.',
      [
        'false',
        'As near as practicable to entry into the premises, about 600 mm from the meter on the consumer’s side, before a branch, where it can be reached.',
      ],
      'BS 7671 544.1.2, from memory',
    ),
    myth(
      'my-radiator',
      'Each radiator must be bonded.',
      ['false', 'The incoming metal service is; a radiator on plastic pipe brings nothing in.'],
      'BS 7671 Part 2 and 411.3.1.2, from memory',
    ),
    myth(
      'my-window',
      'Metal window frames must be earthed.',
      ['false', 'They are neither exposed nor, usually, extraneous.'],
      'BS 7671 Part 2, from memory',
    ),
    myth(
      'my-bond-clears',
      'Bonding makes the fuse blow.',
      ['false', 'The earth path of the circuit does; bonding keeps touch voltages small meanwhile.'],
      'BS 7671 411.3, from memory',
    ),
    myth(
      'my-plastic-bond',
      'With plastic incoming pipe everything inside still has to be bonded.',
      ['false', 'What cannot bring in a potential is not extraneous; in doubt it is measured.'],
      'BS 7671 411.3.1.2 note, from memory',
    ),
    myth(
      'my-steel-trunk',
      'Cable tray always has to be bonded.',
      [
        'depends',
        'It is bonded where it is an exposed or extraneous part or serves as a cpc; holding sheathed cables alone it is not exposed.',
      ],
      'BS 7671 Part 2, common practice',
    ),
  ]),
  ...inTopic('regulations', [
    myth(
      'my-fire-rated',
      'Consumer units in houses must be fire-rated.',
      [
        'false',
        'Since Amendment 3 (in force 2016) the enclosure in dwellings is non-combustible, such as steel, or stands in such a cabinet. That is no fire rating.',
      ],
      'BS 7671 421.1.201, from memory',
    ),
    myth(
      'my-old-illegal',
      'An old installation without RCDs is illegal.',
      [
        'false',
        'New work needs them; the old is judged by its condition and coded, often improvement recommended or potentially dangerous.',
      ],
      'BS 7671 651 and Introduction, from memory',
    ),
    myth(
      'my-new-edition',
      'When a new edition comes, everything must be brought up to it.',
      ['false', 'It holds for work designed after its date.'],
      'BS 7671 Introduction, from memory',
    ),
    myth(
      'my-diy',
      'Only a registered electrician may do any electrical work at home.',
      ['false', 'Part P asks for safe work by anybody and notification of some; competence is asked of all.'],
      'Approved Document P 2013, from memory',
    ),
    myth(
      'my-afdd-all',
      'Arc fault detection is optional everywhere.',
      [
        'false',
        'Since Amendment 2 of 2022 it is asked for in sockets of some buildings: higher-risk residential, HMO, student, care.',
      ],
      'BS 7671 421.1.7, from memory',
    ),
  ]),
  ...inTopic('isolation', [
    myth(
      'my-off-dead',
      'Switched off means dead.',
      ['false', 'Dead is what has been proved at the point of work, with a proved indicator.'],
      'HSE HSG85, from memory',
    ),
    myth(
      'my-neutral-safe',
      'A neutral cannot give a shock.',
      ['false', 'Broken, borrowed or shared it can be at line voltage.'],
      'common practice, computed by the bay’s model',
    ),
    myth(
      'my-socket-tester',
      'A plug-in tester proves a socket dead.',
      ['false', 'It shows some wiring faults on a live one; dark it shows nothing for certain.'],
      'HSE GS38, from memory',
    ),
    myth(
      'my-rubber',
      'Rubber soles make live work safe.',
      ['false', 'The current goes from hand to hand, to metal nearby, or through damp soles.'],
      'common practice',
    ),
  ]),
  ...inTopic('board', [
    myth(
      'my-bigger-breaker',
      'A larger breaker cures nuisance tripping.',
      [
        'false',
        'It may leave the cable without protection, and halves no cause: load, inrush or fault is found first.',
      ],
      'BS 7671 433.1.1, from memory',
    ),
    myth(
      'my-32-ring',
      'A 32 A socket circuit is always a ring.',
      ['false', 'It may be a radial in 4 mm²; a ring is one way.'],
      'BS 7671 Appendix 15, from memory',
    ),
    myth(
      'my-three-neutral',
      'Three-phase circuits always need a neutral.',
      ['false', 'A motor or heater in delta or a balanced star needs none.'],
      'common practice',
    ),
    myth(
      'my-phase-order',
      'L1, L2 and L3 may be connected in any order.',
      ['false', 'The rotation decides which way a motor turns.'],
      'BS 7671 643.9, from memory',
    ),
    myth(
      'my-breaker-below',
      'An unmarked breaker may not be fed from below.',
      ['false', 'It may, unless it is marked line and load; a marked one may not.'],
      'BS EN 60898 and makers, common practice',
    ),
    myth(
      'my-dc-minus',
      'On a polarised d.c. breaker, each pole marked − takes the negative conductor.',
      ['false', 'The current has to enter at +; in the negative pole it enters from the load.'],
      'makers’ instructions, computed by the bay’s model',
    ),
    myth(
      'my-six-ways',
      'An RCD may serve at most six circuits.',
      ['false', 'No number is named; faults and leakage of one must not take out too much.'],
      'BS 7671 314.1 and 531.3.2, from memory',
    ),
  ]),
  ...inTopic('rcd', [
    myth(
      'my-rcd-all',
      'The RCD protects against every shock.',
      ['false', 'Not between line and neutral; and the first moment is felt all the same.'],
      'BS 7671 415.1, from memory',
    ),
    myth(
      'my-rcd-no-earth',
      'With an RCD no earth is needed.',
      ['false', 'It is additional; without an earth the case stays live until somebody touches it.'],
      'BS 7671 415.1.2, from memory',
    ),
    myth(
      'my-rcd-overload',
      'An RCD trips on overload.',
      ['false', 'An RCCB does not; the breaker does, or both in an RCBO.'],
      'BS EN 61008, from memory',
    ),
  ]),
  ...inTopic('terminations', [
    myth(
      'my-tidy',
      'Tidy wiring is safe, untidy wiring is dangerous.',
      ['false', 'Bare copper at a terminal or a missed clamp is dangerous; parallel wires are pretty.'],
      'BS 7671 526, common practice',
    ),
    myth(
      'my-tighter',
      'The tighter the better.',
      ['false', 'Too tight cuts strands and strips threads: the maker’s torque.'],
      'BS 7671 134.1.1, from memory',
    ),
  ]),
  ...inTopic('dead', [
    myth(
      'my-number-truth',
      'What the tester shows is the truth.',
      ['false', 'Leads, range and parallel paths are in it: it is read.'],
      'Guidance Note 3, from memory',
    ),
    myth(
      'my-one-mega',
      'Above 1 MΩ all is well.',
      [
        'false',
        'It meets the minimum; new work reads hundreds, and a low one among high ones is looked for.',
      ],
      'BS 7671 Table 64 and Guidance Note 3, from memory',
    ),
  ]),
]

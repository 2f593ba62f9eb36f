import { EDITIONS, isFrom, type Edition } from '#core/regulations/editions'
import type { LibraryRule } from './entry'

const byEdition = (say: (edition: Edition) => string | null): LibraryRule['byEdition'] =>
  Object.fromEntries(EDITIONS.map((edition) => [edition, say(edition)])) as LibraryRule['byEdition']
const same = (text: string): LibraryRule['byEdition'] => byEdition(() => text)
const since = (
  first: Exclude<Edition, '17-A3'>,
  text: string,
  before: string | null = null,
): LibraryRule['byEdition'] => byEdition((edition) => (isFrom(edition, first) ? text : before))
/** What was said from each of these editions on, until the next. */
const from = (steps: Readonly<Partial<Record<Edition, string | null>>>): LibraryRule['byEdition'] =>
  byEdition((edition) => {
    const latest = EDITIONS.findLast((other) => other in steps && isFrom(edition, other))
    return latest === undefined ? null : (steps[latest] ?? null)
  })

const rule = (
  id: string,
  title: string,
  place: string,
  byEdition: LibraryRule['byEdition'],
  why: string,
): LibraryRule => ({ kind: 'rule', id, title, place, byEdition, why })

/**
 * Rules that a design rests on, in our own words and from memory: read the edition itself before you rely on
 * one.
 */
export const RULES: readonly LibraryRule[] = [
  rule(
    'co-ordination',
    'Load, device and cable',
    '433.1.1',
    same(
      'Ib ≤ In ≤ Iz, and the current that is sure to open the device within the conventional time is no more than 1.45 Iz.',
    ),
    'The device must carry the load, and the cable must carry the device.',
  ),
  rule(
    'rewirable',
    'Rewirable fuses',
    '433.1.202',
    same('Iz ≥ In ÷ 0.725.'),
    'A rewirable fuse may need twice its rating to melt, so its cable must be larger.',
  ),
  rule(
    'ring',
    'Ring final circuits',
    '433.1.204',
    same(
      '30 or 32 A device, 2.5 mm² copper (1.5 mm² mineral), each leg at least 20 A as installed, load shared so that no part is overloaded for long.',
    ),
    'The current divides over two legs.',
  ),
  rule(
    'volt-drop',
    'Voltage drop',
    '525 and Appendix 4, 6.4',
    same(
      'From the origin of a public supply 3 % for lighting and 5 % for other uses. For runs above 100 m a little more is allowed.',
    ),
    'Lamps dim and motors fail to start at low voltage.',
  ),
  rule(
    'cmin',
    'Cmin in the maximum permitted Zs',
    '411.4.4',
    same('Zs × Ia ≤ U0 × Cmin, Cmin = 0.95.'),
    'The supply may be lower than 230 V; since Amendment 3 of the 17th edition this is reckoned with.',
  ),
  rule(
    'times',
    'Disconnection times',
    '411.3.2 and Table 41.1',
    from({
      '17-A3':
        'Final circuits up to 32 A: TN 0.4 s, TT 0.2 s. Distribution and larger circuits: TN 5 s, TT 1 s.',
      '18': 'Final circuits with sockets up to 63 A, others up to 32 A: TN 0.4 s, TT 0.2 s. Distribution and larger circuits: TN 5 s, TT 1 s.',
    }),
    'The longer a touch voltage stands, the more harm it does.',
  ),
  rule(
    'rcd-sockets',
    'RCD for socket-outlets',
    '411.3.3',
    from({
      '17-A3':
        'Sockets up to 20 A: RCD of 30 mA. Outside dwellings a documented risk assessment may leave it out.',
      '18': 'Sockets up to 32 A: RCD of 30 mA. Outside dwellings a documented risk assessment may leave it out.',
      '18-A2':
        'Sockets up to 32 A where ordinary persons, children or disabled people may use them: RCD of 30 mA. Outside dwellings a documented risk assessment may leave it out.',
    }),
    'Hand-held appliances and damaged flexes are where people are hurt.',
  ),
  rule(
    'rcd-mobile',
    'RCD for mobile equipment outdoors',
    '411.3.3',
    same('Up to 32 A: RCD of 30 mA.'),
    'Wet ground and a cut cable.',
  ),
  rule(
    'rcd-lighting',
    'RCD for lighting in dwellings',
    '411.3.4',
    since('18', 'AC final circuits that supply luminaires in a dwelling: RCD of 30 mA.'),
    'Householders change lamps and fittings themselves.',
  ),
  rule(
    'rcd-concealed',
    'RCD for concealed cables',
    '522.6.202',
    same(
      'In a wall or partition less than 50 mm deep without an earthed covering or mechanical protection, where not under the supervision of skilled persons: in a safe zone and an RCD of 30 mA. Since 2008.',
    ),
    'A nail finds the cable.',
  ),
  rule(
    'rcd-bath',
    'RCD in bathrooms',
    '701.411.3.3',
    same('All low-voltage circuits that serve the room or pass through its zones: RCD of 30 mA. Since 2008.'),
    'A wet body resists little.',
  ),
  rule(
    'rcd-tt',
    'RCD as fault protection in TT',
    '411.5.2',
    same('RA × IΔn ≤ 50 V; an overcurrent device is used only where its loop is low and stable enough.'),
    'An electrode of many ohms lets no fuse blow.',
  ),
  rule(
    'rcd-type',
    'Type of RCD',
    '531.3.3',
    from({
      '17-A3': 'Type by the expected residual current; AC serves general purposes.',
      '18': 'Type by the direct current that the load may add; AC serves general purposes.',
      '18-A2':
        'Type A, F or B by the load. Type AC only for fixed equipment that is known to add no direct current.',
    }),
    'Electronics add direct current that blinds a type AC device.',
  ),
  rule(
    'direction',
    'Which way the power flows',
    '530.3.201 and Part 2',
    since(
      '18-A3',
      'Where power can flow both ways (battery, solar PV, generator), the protective device is bidirectional. ' +
        'A device marked line and load, or in and out, is unidirectional: feed its supply end alone.',
    ),
    'A unidirectional device fed at its load end may fail to break a fault, or burn its trip coil.',
  ),
  rule(
    'retrospective',
    'Older installations',
    'Introduction',
    same(
      'An installation that satisfied its own edition is not unsafe because a later one asks for more. What is added or altered meets the present one.',
    ),
    'Rules are not retrospective.',
  ),
  rule(
    'afdd',
    'Arc fault detection',
    '421.1.7',
    from({
      '17-A3': null,
      '18': 'Recommended as additional protection against fire in AC final circuits.',
      '18-A2':
        'Required for single-phase socket circuits up to 32 A in higher-risk residential buildings, houses in multiple occupation, purpose-built student accommodation and care homes; recommended for socket circuits elsewhere.',
    }),
    'A loose or broken conductor may glow without opening anything.',
  ),
  rule(
    'spd',
    'Surge protection',
    '443.4',
    from({
      '17-A3': 'By the number of thunderstorm days and the kind of supply; seldom asked for.',
      '18': 'Required where an overvoltage could lead to injury, loss of public services or heritage, interrupted business or many people affected; otherwise by risk assessment, single dwellings excepted where the value does not justify it.',
      '18-A2':
        'Required for the same consequences; in all other cases unless the owner declares that loss is tolerable.',
    }),
    'Switching and lightning break electronics and insulation.',
  ),
  rule(
    'fault-capacity',
    'Breaking capacity',
    '434.5.1',
    same(
      'Not less than the prospective fault current where the device stands, unless a device in front limits the energy.',
    ),
    'A device that cannot break a fault bursts.',
  ),
  rule(
    'adiabatic',
    'Cpc by heat',
    '543.1.3',
    same('S ≥ √(I²t) ÷ k for up to 5 s; or by Table 54.7.'),
    'A fault heats the cpc before the device opens.',
  ),
  rule(
    'selectivity',
    'Selectivity',
    '536.4',
    same(
      'Where danger or loss of supply matters, the device nearest to the fault opens alone, for overload and for short circuit.',
    ),
    'One fault should not darken the whole building.',
  ),
  rule(
    'bonding',
    'Main protective bonding',
    '411.3.1.2 and 544.1',
    same(
      'Extraneous parts that enter the building are bonded to the main earthing terminal, as near to the entry as practicable and before any branch. With PME the size follows the supply’s neutral.',
    ),
    'Two metals in reach of one hand must not differ in voltage.',
  ),
  rule(
    'enclosure',
    'Boards in dwellings',
    '421.1.201',
    same('Enclosure of non-combustible material, or in a cabinet of it.'),
    'A loose terminal in a plastic board burnt houses.',
  ),
  rule(
    'metal-supports',
    'Supports that hold in a fire',
    '521.10.202',
    since(
      '18',
      'Cables are supported so that they do not fall early in a fire, wherever they run.',
      'In escape routes only.',
    ),
    'Fallen cables trap people and fire crews.',
  ),
  rule(
    'alteration',
    'Additions and alterations',
    '132.16',
    same(
      'The existing installation, with its earthing and bonding, must be adequate for what is added, or be made so first.',
    ),
    'New work must not lean on what cannot carry it.',
  ),
  rule(
    'test-button',
    'Label at the RCD',
    '514.12.2',
    from({ '17-A3': 'Press the test button quarterly.', '18': 'Press the test button six-monthly.' }),
    'A mechanism that never moves may stick.',
  ),
]

import type { StepKey } from '#core/design/model/step-keys'
import { termName } from './terms'

/** What a step is called, asked for, and explained as. Plain words; the symbol stands beside them. */
export interface StepText {
  readonly name: string
  readonly ask: string
  readonly help: string
}

export const STEP_TEXT: Readonly<Record<StepKey, StepText>> = {
  ib: {
    name: termName('designCurrent'),
    ask: 'Current the load takes',
    help: 'The current the circuit carries in normal use. Single phase: power ÷ 230 V. Three phase: power ÷ (√3 × 400 V). Divide by power factor and efficiency too if there are any.',
  },
  start: {
    name: termName('startingCurrent'),
    ask: 'Current while the motor starts',
    help: 'A motor takes several times its running current for a moment. The device must not trip on it.',
  },
  in: {
    name: termName('deviceRating'),
    ask: 'Rating of the device',
    help: 'A standard rating that is not smaller than the design current. A ring has 30 or 32 A.',
  },
  ca: {
    name: termName('ambientFactor'),
    ask: 'Ca from the table',
    help: 'A warm place cools the cable less, so it may carry less. Buried cables use the table for the ground.',
  },
  cg: {
    name: termName('groupingFactor'),
    ask: 'Cg from the table',
    help: 'Cables that run together warm each other. One circuit alone has a factor of 1.',
  },
  ci: {
    name: termName('insulationFactor'),
    ask: 'Ci from the table',
    help: 'A cable inside thermal insulation cannot lose its heat. Methods 100 to 103 have it in their table already.',
  },
  cf: {
    name: termName('deviceFactor'),
    ask: 'Cf, and Cc where it is buried',
    help: '0.725 for a rewirable fuse, 0.9 for a cable laid in the ground, both multiplied where both apply; 1 otherwise.',
  },
  itMin: {
    name: termName('minimumTabulated'),
    ask: 'It(min): In divided by the factors',
    help: 'Divide the device rating by all factors. The table was made without them, so the cable must offer more. Each leg of a ring need carry 20 A.',
  },
  csa: {
    name: termName('conductorSize'),
    ask: 'Cross-sectional area of line',
    help: 'The smallest conductor that carries the minimum tabulated current, keeps the voltage drop, lets the device clear a fault and has a cpc that withstands it.',
  },
  it: {
    name: termName('tabulated'),
    ask: 'It from the table',
    help: 'Read the row of your conductor and the column of the installation method and number of loaded conductors.',
  },
  iz: {
    name: termName('asInstalled'),
    ask: 'Iz: It times Ca, Cg and Ci',
    help:
      'The tabulated current-carrying capacity times Ca, Cg and Ci. Cf and Cc belong to the ' +
      'comparison: In ≤ 0.725 × Iz for a rewirable fuse, In ≤ 0.9 × Iz in the ground.',
  },
  voltDropPerAm: {
    name: 'Drop per amp and metre',
    ask: 'mV/A/m from the table',
    help: 'How many millivolts are lost for each ampere over each metre of the run.',
  },
  ct: {
    name: 'Correction for operating temperature',
    ask: 'Ct: a conductor not fully loaded',
    help: 'A conductor that is not fully loaded stays cooler and drops less. Never above 1.',
  },
  voltDrop: {
    name: termName('voltageDrop'),
    ask: 'Drop at the furthest point',
    help: 'mV/A/m times design current times length, divided by 1000 to get volts. A quarter of it for a ring; less where loads are spread along the run.',
  },
  voltDropTotal: {
    name: 'Drop from the origin',
    ask: 'Origin to the furthest point, per cent',
    help: 'Add what is lost on the way to the board. At most 3 % for lighting, 5 % for other uses, of the nominal voltage.',
  },
  ohmPerM: {
    name: 'Resistance per metre',
    ask: 'Line and cpc together at 20 °C',
    help: 'The resistance of one metre of line conductor plus one metre of cpc, armour or sheath.',
  },
  r1: {
    name: 'Ring r1, line end to end',
    ask: 'r1 of the ring final circuit',
    help: 'Resistance between the two ends of the line conductor of the ring.',
  },
  rn: {
    name: 'Ring rn, neutral end to end',
    ask: 'rn of the ring final circuit',
    help: 'The same for the neutral. It should equal the line.',
  },
  r2: {
    name: 'Ring r2, cpc end to end',
    ask: 'r2 of the ring final circuit',
    help: 'The same for the cpc. In flat cable it is thinner, so about 1.67 times the line.',
  },
  r1r2: {
    name: termName('r1r2Cold'),
    ask: 'What the ohmmeter should show',
    help: 'Resistance of line and cpc to the furthest point at 20 °C. For a ring, a quarter of r1 + r2, plus the whole of a spur.',
  },
  r1r2Hot: {
    name: termName('r1r2Hot'),
    ask: 'With the temperature multiplier',
    help: 'Copper that carries load is warm and resists more: × 1.20 at 70 °C.',
  },
  zs: {
    name: termName('zsFurthest'),
    ask: 'Earth fault loop impedance',
    help: 'The whole way a fault current takes: the supply outside plus line and cpc inside.',
  },
  residual: {
    name: termName('rcd'),
    ask: 'Residual current device (RCD): needed, and which',
    help: 'Decide from the rules whether this circuit needs an RCD and the largest rated residual operating current allowed.',
  },
  residualType: {
    name: termName('rcdType'),
    ask: 'AC, A, F or B',
    help: 'Electronics add direct current that a type AC device does not detect. Choose the lowest type that detects it.',
  },
  residualDelay: {
    name: 'RCD time delay',
    ask: 'General, or time-delayed (S type)',
    help: 'Where other RCDs are downstream, the upstream one is time-delayed.',
  },
  zsMax: {
    name: termName('maxZs'),
    ask: 'Maximum Zs for this device and time',
    help: 'With a higher loop impedance too little current flows to open the device in time.',
  },
  faultCurrent: {
    name: termName('earthFaultCurrent'),
    ask: 'Current an earth fault drives',
    help: 'U0 divided by Zs at the furthest point.',
  },
  time: {
    name: 'Disconnection time',
    ask: 'Read off the characteristic',
    help: 'How long the device takes at this fault current. A breaker in its magnetic part: 0.1 s or less.',
  },
  energy: {
    name: 'Let-through energy',
    ask: 'I²t of this fault',
    help:
      'What the device lets through before the fault is cleared: If² × t, or less by the ' +
      'energy limiting class or the maker’s data. Whole A²s, no prefix.',
  },
  cpcMin: {
    name: 'Smallest cpc',
    ask: 'By the heat of the fault',
    help: 'S = √(I²t) ÷ k. The cpc must not be smaller than this.',
  },
  breaking: {
    name: 'Breaking capacity',
    ask: 'Short-circuit capacity of the device',
    help: 'The device must be able to break the largest fault current at the board.',
  },
  ipfEnd: {
    name: 'Prospective fault current at the board fed',
    ask: 'Ipf, conductors at 20 °C',
    help: 'The cable to the board limits it. Add the resistance of its line and neutral to that of the supply.',
  },
  selective: {
    name: 'Selectivity',
    ask: 'Does only the nearest device open?',
    help: 'Compare with the upstream device, and with a 13 A plug fuse downstream.',
  },
  afdd: {
    name: 'Arc fault detection',
    ask: 'What the edition says',
    help: 'Depends on the edition, the kind of building and the use of the circuit.',
  },
  direction: {
    name: 'Direction of power',
    ask: 'Which kind of device may stand here?',
    help: 'With a battery, solar PV, a vehicle or a generator on the load side, power flows both ways. The device must be bidirectional.',
  },
  containment: {
    name: 'Conduit or trunking',
    ask: 'Smallest size that takes the cables',
    help: 'Add the terms of all cables inside. The factor of the size must not be smaller.',
  },
  demand: {
    name: 'Maximum demand',
    ask: 'After diversity',
    help: 'Not everything runs at once. Give each kind of circuit its share and add, line by line.',
  },
  mainSwitch: {
    name: 'Main switch',
    ask: 'Rated current',
    help: 'Not below the demand, nor below the device in front of it.',
  },
  busbar: {
    name: 'Busbar',
    ask: 'Rated current of the assembly',
    help: 'Not below the demand, nor below what the main switch lets through.',
  },
  tails: { name: 'Tails', ask: 'Line and neutral at the intake', help: 'By the distributor’s fuse.' },
  earthing: {
    name: 'Earthing conductor',
    ask: 'By the table',
    help: 'Up to 16 mm² the same as the tails, up to 35 mm² it is 16, above that half.',
  },
  bonding: {
    name: 'Main bonding',
    ask: 'To gas, water and other services',
    help: 'With PME by the neutral of the supply; otherwise half the earthing conductor, at least 6 mm².',
  },
  spd: {
    name: 'Surge protection',
    ask: 'What the edition says',
    help: 'Depends on the edition and on what an overvoltage could lead to.',
  },
}

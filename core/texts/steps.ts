import type { StepKey } from '../design/step'
import type { ReadingKey } from '../results/readings'

/** What a step is called, asked for, and explained as. Plain words; the symbol stands beside them. */
export interface StepText {
  readonly name: string
  readonly ask: string
  readonly help: string
}

export const STEP_TEXT: Readonly<Record<StepKey, StepText>> = {
  ib: { name: 'Design current', ask: 'Current the load takes', help: 'The current the circuit carries in normal use. Power divided by voltage; divide by the power factor too if there is one.' },
  in: { name: 'Device rating', ask: 'Rating of the breaker', help: 'A standard rating that is not smaller than the design current.' },
  ca: { name: 'Ambient factor', ask: 'Factor for the air temperature', help: 'A warm place cools the cable less, so it may carry less. Below 30 °C the factor is above 1.' },
  cg: { name: 'Grouping factor', ask: 'Factor for circuits side by side', help: 'Cables that run together warm each other. One circuit alone has a factor of 1.' },
  itMin: { name: 'Needed rating', ask: 'Rating the table must offer', help: 'Divide the device rating by all factors. The table was made without them, so the cable must offer more.' },
  csa: { name: 'Conductor size', ask: 'Cross-sectional area of line', help: 'The smallest conductor that carries the needed rating, keeps the voltage drop and lets the device clear a fault.' },
  it: { name: 'Tabulated rating', ask: 'What the table gives for it', help: 'Read the row of your conductor and the column of the installation method.' },
  voltDropPerAm: { name: 'Drop per amp and metre', ask: 'mV/A/m from the table', help: 'How many millivolts are lost for each ampere over each metre of the run.' },
  voltDrop: { name: 'Voltage drop', ask: 'Drop at the far point', help: 'mV/A/m times design current times length, divided by 1000 to get volts.' },
  ohmPerM: { name: 'Resistance per metre', ask: 'Line and cpc together at 20 °C', help: 'The resistance of one metre of line conductor plus one metre of cpc.' },
  r1r2: { name: 'Cold R1 + R2', ask: 'What the ohmmeter should show', help: 'Resistance of line and cpc to the far point at 20 °C.' },
  r1r2Hot: { name: 'Hot R1 + R2', ask: 'The same at 70 °C', help: 'Copper that carries load is warm and resists more. Use the multiplier for the cable.' },
  zs: { name: 'Loop at far point', ask: 'Earth fault loop impedance', help: 'The whole way a fault current takes: the supply outside plus line and cpc inside.' },
  residual: { name: 'Residual device', ask: 'RCD needed here, and which', help: 'Decide from the rules whether this circuit needs a residual device and the largest rated residual current allowed.' },
  zsMax: { name: 'Loop limit', ask: 'Largest Zs allowed', help: 'With a higher loop impedance too little current flows to trip the device in time.' },
  breaking: { name: 'Breaking capacity', ask: 'Short-circuit capacity of the device', help: 'The device must be able to break the largest fault current at the board.' },
}

export interface ReadingText {
  readonly name: string
  readonly how: string
}

export const READING_TEXT: Readonly<Record<ReadingKey, ReadingText>> = {
  r1r2: { name: 'Continuity of line and cpc', how: 'Link line and cpc at the board, leads nulled, measure L–E at the far point.' },
  irLN: { name: 'Insulation, line to neutral', how: '500 V DC. Loads and electronics out, switches closed.' },
  irLE: { name: 'Insulation, line to earth', how: '500 V DC, earthing conductor connected.' },
  irNE: { name: 'Insulation, neutral to earth', how: '500 V DC, neutral out of its bar or main switch off.' },
  polarity: { name: 'Polarity', how: 'Single-pole devices in the line only, sockets the right way round. A tick, never a number.' },
  ze: { name: 'External loop', how: 'At the origin, installation isolated, earthing conductor disconnected from the bonding.' },
  zs: { name: 'Loop at the far point', how: 'At the far point, earthing conductor back in place.' },
  rcdTime: { name: 'Residual trip time', how: 'At the rated residual current, both half-cycles, the longer one written down.' },
}

import type { Rig } from '#core/bay/model/rig'
import { indexParts, partIdOf, terminalNameOf, terminalWords } from '#core/bay/model/terminals'

/** What each fault of the catalogue is called, and how it is told at the bay. */
export const FAULT_TEXT: Readonly<Record<string, { readonly name: string; readonly tell: string }>> = {
  lineOpen: {
    name: 'Open circuit in line',
    tell: 'Look for a conductor out of its terminal; measure from both sides of the gap.',
  },
  neutralOpen: {
    name: 'Open circuit in neutral',
    tell: 'Measure the neutral alone, end to end and point by point.',
  },
  earthOpen: { name: 'Open circuit in cpc', tell: 'Measure the cpc alone with a long lead.' },
  mainEarthOpen: {
    name: 'Main earthing conductor not connected',
    tell: 'Look at the main earthing terminal.',
  },
  electrodeOpen: { name: 'Earth electrode not connected', tell: 'Look at the electrode and its conductor.' },
  bondingOpen: { name: 'Bonding conductor not connected', tell: 'Measure the bonding conductor end to end.' },
  supplyNeutralLost: {
    name: 'Lost neutral of the supply',
    tell: 'Switch off. Measure line to line and line to neutral at the intake.',
  },
  loose: {
    name: 'High-resistance joint',
    tell: 'Tug and re-tighten; look for insulation under the screw; move the conductor while you measure.',
  },
  insulationUnderScrew: { name: 'Insulation under the screw', tell: 'Open the terminal and look.' },
  thinner: {
    name: 'Thinner conductor than planned',
    tell: 'Read the size on the sheath; all readings of the run scale.',
  },
  thinnerLine: { name: 'Thinner line than planned', tell: 'Look at the size of the line at both ends.' },
  thinnerCpc: {
    name: 'Thinner cpc than planned',
    tell: 'Look at the size of the cpc; R2 by the long lead scales, the line does not.',
  },
  shorter: { name: 'Shorter run than drawn', tell: 'Measure the route; all readings of the run scale.' },
  longer: { name: 'Longer run than planned', tell: 'Measure the route; all readings of the run scale.' },
  shortLN: { name: 'Short circuit L–N', tell: 'Split the circuit in halves and measure each.' },
  shortLE: { name: 'Earth fault L–E', tell: 'Split the circuit in halves and measure each.' },
  shortNE: {
    name: 'Neutral–earth fault',
    tell: 'Disconnect the neutral from its bar and measure to earth; then halve the circuit.',
  },
  nail: { name: 'Nail through the cable', tell: 'Halve the circuit; inspect along the route.' },
  trappedLine: { name: 'Line trapped at a box edge', tell: 'Ease the accessory off and measure again.' },
  trappedNeutral: {
    name: 'Neutral trapped at a box edge',
    tell: 'Ease the accessory off and measure again.',
  },
  parallelEarth: {
    name: 'Parallel earth path on this circuit',
    tell: 'Disconnect the cpc at the board and measure the point to the main earthing terminal.',
  },
  damp: { name: 'Damp accessory, line to earth', tell: 'Open it, dry it, measure again.' },
  dampNeutral: { name: 'Damp accessory, neutral to earth', tell: 'Open it, dry it, measure again.' },
  oldInsulation: { name: 'Old or heat-damaged insulation', tell: 'Measure each length by itself.' },
  polarityAtPoint: {
    name: 'Reversed polarity at a point',
    tell: 'Open the accessory and check the colours.',
  },
  polarityAtBoard: { name: 'Reversed polarity at the board', tell: 'Check the way and its neutral.' },
  lineAndEarth: {
    name: 'Line and cpc interchanged',
    tell: 'Open the accessory and look; use a socket tester once live.',
  },
  neutralAndEarth: { name: 'Neutral and cpc interchanged', tell: 'Open the accessory and inspect.' },
  switchInNeutral: { name: 'Switch in the neutral', tell: 'Test polarity with the switch open and closed.' },
  ringBridgedByAll: {
    name: 'Ring bridged by a piece of cable',
    tell: 'Cross-connect and read every socket-outlet: between the ends of the bridge the readings fall.',
  },
  ringFedAtOneEnd: { name: 'Ring fed at one end', tell: 'Ring through each pair of ends at the board.' },
  ringsCrossed: {
    name: 'Ends of two rings interchanged at the board',
    tell: 'Ring through each pair of ends; no conductor comes home to its own way.',
  },
  ringBridged: { name: 'Ring bridged', tell: 'Cross-connect and read every socket: steps show the bridge.' },
  ringEndsMixed: {
    name: 'Neutral and cpc of one ring leg interchanged at the board',
    tell: 'Ring through each pair of ends.',
  },
  ringOnTwoWays: { name: 'Ring fed from two ways', tell: 'Follow both ends at the board.' },
  neutralOnOtherBar: { name: 'Neutral on the other bar', tell: 'Follow the neutral to its bar.' },
  neutralOnEarthBar: { name: 'Neutral on the earth bar', tell: 'Follow the neutral to its bar.' },
  borrowedNeutral: {
    name: 'Borrowed neutral',
    tell: 'Measure the neutral of one circuit to the other, both disconnected from their bars.',
  },
  neutralShared: { name: 'Shared neutral', tell: 'Follow the neutrals.' },
  twoOnOneWay: { name: 'Two circuits on one way', tell: 'Count the conductors in the way.' },
  linesInterchanged: {
    name: 'Lines interchanged (phase sequence)',
    tell: 'Use the rotation indicator once live.',
  },
  ratingTooHigh: { name: 'Device rated too high', tell: 'Read the device.' },
  otherCurve: { name: 'Wrong type of breaker', tell: 'Read the device.' },
  residualMissing: { name: 'RCD missing', tell: 'Read the device.' },
  residualTooCoarse: { name: 'RCD rated residual current too high', tell: 'Read the device.' },
  residualSlow: {
    name: 'RCD slow',
    tell: 'Operate its test button several times and measure again; if it stays slow it is replaced.',
  },
  residualEarly: {
    name: 'RCD trips below half of IΔn',
    tell: 'Measure with the circuits disconnected: standing leakage does the same; then by ramp.',
  },
  residualStuck: {
    name: 'RCD does not operate',
    tell: 'Operate its test button; measure at its outgoing terminals.',
  },
  residualGeneral: { name: 'RCD general where time-delayed was planned', tell: 'Read the device.' },
  residualDelayed: { name: 'RCD time-delayed', tell: 'Read the device.' },
  plugFuseTooLarge: { name: 'Fuse too large', tell: 'Read the fuse.' },
  deviceReversed: { name: 'Device fed from the wrong end', tell: 'Read the marks at its terminals.' },
  busbarCut: { name: 'Busbar cut', tell: 'Look behind the cover.' },
  toothMissing: { name: 'Busbar finger not in its device', tell: 'Look at the screws of the busbar.' },
  blankMissing: { name: 'Blank missing', tell: 'Inspect.' },
  labelMissing: { name: 'Label missing', tell: 'Inspect.' },
  earthOutOfOrder: { name: 'Cpcs not in circuit order', tell: 'Inspect.' },
}

/** The circuit of a place as the chart names it; undefined for what several share. */
function circuitAt(rig: Rig, at: readonly string[]): string | undefined {
  const parts = indexParts(rig)
  const circuitOf = (part: string) => parts.get(part)?.circuit ?? undefined
  const ofWire = ({ from, to }: Rig['wires'][number]) => circuitOf(partIdOf(to)) ?? circuitOf(partIdOf(from))
  const name = at[0] ?? ''
  const wire = rig.wires.find(({ id }) => id === name)
  const atTerminal = rig.wires.filter(({ from, to }) => from === name || to === name)
  const circuit = wire
    ? ofWire(wire)
    : (circuitOf(partIdOf(`${name.split('.')[0]}.`)) ?? atTerminal.map(ofWire).find(Boolean))
  return circuit && rig.runs.find(({ id }) => id === `${circuit}run`)?.name
}

/**
 * Where a fault is, from the names that its place gives: the circuit as the chart has it, then a conductor by
 * its ends, a part or terminal by its name.
 */
export function placeWords(rig: Rig, at: readonly string[]): string {
  const circuit = circuitAt(rig, at)
  return circuit ? `${circuit}, ${partWords(rig, at)}` : partWords(rig, at)
}

function partWords(rig: Rig, at: readonly string[]): string {
  const parts = indexParts(rig)
  const name = at[0] ?? ''
  const wire = rig.wires.find(({ id }) => id === name)
  if (wire) return `between ${terminalWords(parts, wire.from)} and ${terminalWords(parts, wire.to)}`
  const run = rig.runs.find(({ id }) => id === name)
  if (run) return `in the run ${run.name}`
  if (rig.busbars.some(({ id }) => id === name) && at[1])
    return `at the busbar’s finger in ${parts.get(partIdOf(at[1]))?.name ?? at[1]}${lineWords(at[1])}`
  if (name.includes('.')) return `at ${terminalWords(parts, name)}${whichWords(rig, at)}`
  const [here, there] = [name, at[1] ?? ''].map((id) => parts.get(id)?.name)
  return here && there ? `at ${here} and ${there}` : `at ${here ?? name}`
}

/** Of a device in several lines, which. */
function lineWords(terminal: string): string {
  const line = /^L[123]/.exec(terminalNameOf(terminal))
  return line ? ` · ${line[0]}` : ''
}

/** Of several conductors in one terminal, which. */
function whichWords(rig: Rig, [terminal, id]: readonly string[]): string {
  const here = rig.wires.filter(({ from, to }) => from === terminal || to === terminal)
  const wire = here.find((one) => one.id === id)
  if (!wire || here.length < 2) return ''
  return `, the conductor to ${terminalWords(indexParts(rig), wire.from === terminal ? wire.to : wire.from)}`
}

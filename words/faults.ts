import type { Slip } from '#core/testing/diagnosis/hypothesis'
import type { Rig } from '#core/bay/model/rig'
import { indexParts, partIdOf, terminalWords } from '#core/bay/model/terminals'

/** What each fault of the catalogue is called, and how it is told at the bay. */
export const FAULT_TEXT: Readonly<Record<string, { readonly name: string; readonly tell: string }>> = {
  lineOpen: {
    name: 'Line open',
    tell: 'Look for a conductor out of its terminal; measure from both sides of the gap.',
  },
  neutralOpen: { name: 'Neutral open', tell: 'Measure the neutral alone, end to end and point by point.' },
  earthOpen: { name: 'Protective conductor open', tell: 'Measure the cpc alone with a long lead.' },
  mainEarthOpen: {
    name: 'Main earthing conductor not connected',
    tell: 'Look at the main earthing terminal.',
  },
  electrodeOpen: { name: 'Earth electrode not connected', tell: 'Look at the electrode and its conductor.' },
  bondingOpen: { name: 'Bonding conductor not connected', tell: 'Measure the bonding conductor end to end.' },
  supplyNeutralLost: {
    name: 'Neutral of the supply lost',
    tell: 'Switch off. Measure line to line and line to neutral at the intake.',
  },
  loose: {
    name: 'Loose termination',
    tell: 'Tug and re-tighten; look for insulation under the screw; move the conductor while you measure.',
  },
  insulationUnderScrew: { name: 'Insulation under the screw', tell: 'Open the terminal and look.' },
  thinner: {
    name: 'Thinner conductor than planned',
    tell: 'Read the size on the sheath; all readings of the run scale.',
  },
  longer: { name: 'Longer run than planned', tell: 'Measure the route; all readings of the run scale.' },
  shortLN: { name: 'Line touches neutral', tell: 'Part the circuit in halves and measure each.' },
  shortLE: { name: 'Line touches earth', tell: 'Part the circuit in halves and measure each.' },
  shortNE: {
    name: 'Neutral touches earth',
    tell: 'Take the neutral out of its bar and measure to earth; halve.',
  },
  nail: { name: 'Nail through the cable', tell: 'Halve the circuit; look along the route.' },
  trappedLine: { name: 'Line trapped at a box edge', tell: 'Ease the accessory off and measure again.' },
  trappedNeutral: {
    name: 'Neutral trapped at a box edge',
    tell: 'Ease the accessory off and measure again.',
  },
  damp: { name: 'Damp accessory, line to earth', tell: 'Open it, dry it, measure again.' },
  dampNeutral: { name: 'Damp accessory, neutral to earth', tell: 'Open it, dry it, measure again.' },
  oldInsulation: { name: 'Old or heat-damaged insulation', tell: 'Measure each length by itself.' },
  polarityAtPoint: {
    name: 'Line and neutral exchanged at a point',
    tell: 'Open the accessory and look at the colours.',
  },
  polarityAtBoard: {
    name: 'Line and neutral exchanged at the board',
    tell: 'Look at the way and its neutral.',
  },
  lineAndEarth: {
    name: 'Line and earth exchanged',
    tell: 'Open the accessory and look; use a plug-in tester once live.',
  },
  neutralAndEarth: { name: 'Neutral and earth exchanged', tell: 'Open the accessory and look.' },
  switchInNeutral: { name: 'Switch in the neutral', tell: 'Test polarity with the switch open and closed.' },
  ringBridged: { name: 'Ring bridged', tell: 'Cross-connect and read every socket: steps show the bridge.' },
  ringEndsMixed: { name: 'Ends of two rings exchanged', tell: 'Ring through each pair of ends.' },
  ringOnTwoWays: { name: 'Ring fed from two ways', tell: 'Follow both ends at the board.' },
  neutralOnOtherBar: { name: 'Neutral on the other bar', tell: 'Follow the neutral to its bar.' },
  neutralOnEarthBar: { name: 'Neutral on the earth bar', tell: 'Follow the neutral to its bar.' },
  borrowedNeutral: {
    name: 'Borrowed neutral',
    tell: 'Neutral of one circuit against the other, both out of their bars.',
  },
  neutralShared: { name: 'Neutral shared by several ways', tell: 'Follow the neutrals.' },
  twoOnOneWay: { name: 'Two circuits on one way', tell: 'Count the conductors in the way.' },
  linesExchanged: { name: 'Lines exchanged', tell: 'Use the rotation indicator once live.' },
  ratingTooHigh: { name: 'Device rated too high', tell: 'Read the device.' },
  otherCurve: { name: 'Device of another curve', tell: 'Read the device.' },
  residualMissing: { name: 'Residual function missing', tell: 'Read the device.' },
  residualTooCoarse: { name: 'Residual device not sensitive enough', tell: 'Read the device.' },
  residualDelayed: { name: 'Delayed residual device', tell: 'Read the device.' },
  plugFuseTooLarge: { name: 'Fuse too large', tell: 'Read the fuse.' },
  deviceReversed: { name: 'Device fed from the wrong end', tell: 'Read the marks at its terminals.' },
  busbarCut: { name: 'Busbar cut', tell: 'Look behind the cover.' },
  toothMissing: { name: 'Tooth of the busbar not in its device', tell: 'Look at the screws of the busbar.' },
  blankMissing: { name: 'Blank missing', tell: 'Look.' },
  labelMissing: { name: 'Label missing', tell: 'Look.' },
  earthOutOfOrder: { name: 'Earths out of order', tell: 'Look.' },
}

/** A slip in words. */
export function slipWords(slip: Slip): { readonly name: string; readonly tell: string } {
  switch (slip.kind) {
    case 'leads':
      return {
        name: `Leads not nulled: about ${slip.ohm.toFixed(2)} Ω too much everywhere`,
        tell: 'Hold the leads together, null, and measure one again.',
      }
    case 'lampsIn':
      return {
        name: 'Lamps or loads left in for the insulation test',
        tell: 'Take them out and measure again.',
      }
    case 'switchOff':
      return { name: 'A switch was left open', tell: 'Close every switch and measure again.' }
    case 'decimal':
      return {
        name: `The decimal point moved in one reading (× ${slip.factor})`,
        tell: 'Measure it again and read the unit.',
      }
    case 'digits':
      return { name: 'Two figures changed places in one reading', tell: 'Measure it again.' }
  }
}

/** Where a fault is, from the names that its place gives: a conductor by its ends, a part or terminal by its name. */
export function placeWords(rig: Rig, at: readonly string[]): string {
  const parts = indexParts(rig)
  const name = at[0] ?? ''
  const wire = rig.wires.find(({ id }) => id === name)
  if (wire) return `between ${terminalWords(parts, wire.from)} and ${terminalWords(parts, wire.to)}`
  const run = rig.runs.find(({ id }) => id === name)
  if (run) return `in the run ${run.name}`
  return name.includes('.')
    ? `at ${terminalWords(parts, name)}`
    : `at ${parts.get(partIdOf(`${name}.`))?.name ?? name}`
}

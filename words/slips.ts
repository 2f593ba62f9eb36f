import type { Slip } from '#core/testing/diagnosis/hypothesis'

type Of<K extends Slip['kind']> = Extract<Slip, { kind: K }>
interface SlipText {
  readonly name: string
  readonly tell: string
}

const SLIPS: { readonly [K in Slip['kind']]: (slip: Of<K>) => SlipText } = {
  leads: ({ ohm }) => ({
    name: `Leads not nulled: about ${ohm.toFixed(2)} Ω too much everywhere`,
    tell: 'Hold the leads together, null, and measure one again.',
  }),
  lampsIn: () => ({
    name: 'Lamps or loads left in for the insulation resistance test',
    tell: 'Remove them and measure again.',
  }),
  switchOff: () => ({ name: 'A switch was left open', tell: 'Close every switch and measure again.' }),
  decimal: ({ factor }) => ({
    name: `The decimal point is misplaced in one reading (× ${factor})`,
    tell: 'Measure it again and read the unit.',
  }),
  digits: () => ({ name: 'Two digits swapped in one reading', tell: 'Measure it again.' }),
  legsJoined: ({ step }) => ({
    name: `${step === 'both' ? 'Steps 2 and 3' : `Step ${step}`} with each leg joined with itself`,
    tell: 'Join line of the one leg with neutral or cpc of the other, then read every socket-outlet again.',
  }),
  copied: () => ({
    name: 'Readings copied from another row',
    tell: 'They agree to the last figure. Measure them again.',
  }),
  otherBay: ({ tests, bay }) => ({
    name: `${tests.length === 1 ? 'A reading' : 'Readings'} of ${bay}`,
    tell: 'Every bay is cut to its own lengths: at this one they would read otherwise. Measure them again.',
  }),
  otherBox: ({ isSwapped }) => ({
    name: isSwapped ? 'Two readings stand in each other’s boxes' : 'A reading stands in the wrong box',
    tell: 'Look at the head of the column, then measure both again.',
  }),
  kilohms: () => ({
    name: 'Kilohms written as megohms',
    tell: 'Read the unit on the instrument and measure again.',
  }),
  supplyReading: () => ({
    name: 'Ze wrong on paper',
    tell: 'Every Zs contradicts it. Measure Ze again with the main earthing conductor disconnected.',
  }),
  unlisted: () => ({
    name: 'None of these',
    tell: 'Measure the readings out of tolerance again; then look at what the catalogue does not know.',
  }),
}

/** A slip in words: what it is and how it is told. */
export const slipWords = (slip: Slip): SlipText => (SLIPS[slip.kind] as (slip: Slip) => SlipText)(slip)

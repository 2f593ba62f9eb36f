import type {
  BandCause,
  FormerParams,
  FormParams,
  GroupParams,
  LimitParams,
  ProcessParams,
  ReadingParams,
  RelationParams,
} from '#core/findings/codes'
import { quantityOf } from '#core/testing/kinds/kinds'
import { formatQuantity } from '#core/units/format'
import { dayText } from '../day'
import { ohms, times, type SentencesOf } from './sentence'

/** A value of this reading, in its own quantity. */
const inOwnUnit = (key: string, value: number): string => formatQuantity(value, quantityOf(key))

const megohms = (ohm: number): string => formatQuantity(ohm, 'insulation')

export const FORM_SENTENCES: SentencesOf<FormParams & FormerParams> = {
  'unreadable.notANumber': () => 'This could not be read as a number.',
  'unreadable.otherUnit': () => 'The unit belongs to another quantity.',
  'unreadable.negative': () => 'A negative value has no meaning here.',
  'form.tickWanted': () => 'Here a tick or a cross is wanted, never a number.',
  'form.numberWanted': () => 'Here the measured number is wanted, not a tick.',
  'form.overNotHere': () => 'This reading does not run off its range: write the number.',
  'form.notARangeEnd': () => '“>” is written only at the end of the range, such as >999 MΩ.',
  'form.reasonNeeded': (p) => `${p.as} needs a reason beside it.`,
  'form.leftNotHere': (p) => `${p.as} has no place on this sheet: every test here can be made.`,
}

export const LIMIT_SENTENCES: SentencesOf<LimitParams> = {
  'limit.polarity': () => 'Not correct. Put it right before anything is energised.',
  'limit.notWorking': () => 'It does not do what it should.',
  'limit.passed': (p) =>
    `${inOwnUnit(p.key, p.value)} is ${p.kind === 'maximum' ? 'above' : 'below'} the limit of ${inOwnUnit(p.key, p.limit)}.`,
  'limit.open': () => 'No continuity: open circuit, a switch is open, or a clip has come off.',
  'limit.noTrip': (p) => `It did not open within ${times(p.limit)}.`,
  'limit.tripsAtHalf': (p) =>
    `It opened after ${times(p.value)} at half its rated current, where it must hold: standing leakage, or the device.`,
}

const BAND_CAUSE: Readonly<Record<BandCause, (p: ReadingParams['band.outside']) => string>> = {
  decimal: () => 'A moved decimal point explains it.',
  othersBay: (p) => `It fits bay ${p.bay}, not this one.`,
  oneConductor: () => 'It fits one conductor alone: check the link at the board and both clips.',
  otherSize: (p) => `It fits ${p.areaMm2} mm² over this length: check the cable that was drawn in.`,
  leadsOrLoose: () => 'Leads not nulled, or a high-resistance joint: null the leads and measure again.',
  lowInsulation: () =>
    'Something is still connected, damp or damaged: loads and electronics out, then split the circuit and measure each part.',
  highExternal: () => 'Check the clips and the supply’s earth terminal; tell your assessor before going on.',
  lowExternal: () => 'A parallel path: disconnect the earthing conductor from the bonding first.',
  underLoad: () => 'Not everything of the circuit was running, or a load differs from the task.',
  tooFast: () => 'Quicker than a device can be: the instrument saw something else. Measure again.',
  high: () => 'Longer than planned, a high-resistance joint, or leads not nulled.',
  low: () => 'A parallel path, a shorter run, or the wrong pair.',
}

export const READING_SENTENCES: SentencesOf<ReadingParams> = {
  'band.outside': (p) => {
    const range = p.high
      ? `${inOwnUnit(p.key, p.low)} to ${inOwnUnit(p.key, p.high)}`
      : `${inOwnUnit(p.key, p.low)} or more`
    return `${inOwnUnit(p.key, p.value)} does not belong to this bay: ${range} was expected. ${BAND_CAUSE[p.cause](p)}`
  },
  'band.belowNewWork': (p) =>
    `${inOwnUnit(p.key, p.value)} is above the minimum; new, dry work reads ${inOwnUnit(p.key, p.low)} or more. Ask why: something still connected, damp, or an older length of cable.`,
  'form.left': (p) => `Left out (${p.as}): ${p.why}`,
  'across.tooExact': () => 'Equal to the calculated value to the last digit. Ask to see it measured.',
}

export const RELATION_SENTENCES: SentencesOf<RelationParams> = {
  'across.zsBelowZe': (p) =>
    `Zs of ${ohms(p.zs)} is below Ze of ${ohms(p.ze)}. Is there a parallel earth path (bonded pipework, a structure, steel conduit), or was Ze measured with one still connected? Measure both again and say which.`,
  'across.zsFits': () =>
    'Zs fits this bay, though it does not fit the R1 + R2 written down: the dead reading is out of tolerance.',
  'across.zsBelowSum': (p) =>
    `Zs is clearly below Ze + (R1 + R2) = ${ohms(p.sum)}: a parallel earth path, or one of the readings is off.`,
  'across.zsAboveSum': (p) =>
    `Zs is clearly above Ze + (R1 + R2) = ${ohms(p.sum)}: look for a termination that has come loose since the dead test.`,
  'across.insulationLow': (p) =>
    `${formatQuantity(p.value, 'insulation')} is above the minimum but far below the others: it passes, and wants a reason. Split the circuit and measure each part.`,
  'across.boardAboveMember': (p) =>
    `${megohms(p.value)} for the whole board, though one circuit alone reads ${megohms(p.lowest)}: in parallel it cannot be more. A way was open, or one of the two was misread.`,
  'across.boardBelowMembers': (p) =>
    `${megohms(p.value)} for the whole board, ${megohms(p.together)} for its circuits in parallel: something at the board itself is still connected (an indicator lamp, surge protection) or damp.`,
  'leads.notNulled': (p) =>
    `About ${ohms(p.ohm)} too much in ${p.count} of ${p.of} continuity readings, short and long alike: the leads were not nulled. Hold them together, null, measure one again; if it falls by that much, all of them have it.`,
  'ring.endsDiffer': (p) =>
    `r1 of ${ohms(p.r1)} and rn of ${ohms(p.rn)} run the same way and should agree: a high-resistance joint, or the ends are not of one ring. Check each pair end to end.`,
  'ring.ratio': (p) =>
    `r2 is ${p.ratio.toFixed(2)} times r1; the areas of this cable give ${p.told.toFixed(2)}. One of the two was taken at the wrong ends, or a joint is loose.`,
  'ring.aboveQuarter': (p) =>
    `${ohms(p.value)} at this socket is more than a quarter of both ends, ${ohms(p.quarter)}: a spur, an open leg, or the wrong ends paired.`,
  'ring.legsJoined': () =>
    'Low beside the board and highest half way round: each leg was joined with itself. Join the line of one leg with the other conductor of the opposite leg, and measure round again.',
  'ring.open': (p) =>
    `A conductor of this ring is open end to end: the readings of step ${p.step} follow ` +
    'from that. Find the break first, then measure round again.',
  'ring.bypassed': (p) =>
    p.first === p.last
      ? `Socket-outlet ${p.first} reads above a quarter of both ends: it hangs on a spur, or ` +
        'something by-passes it. If the ends read lower than the run is long, it is a bridge.'
      : `Socket-outlets ${p.first} to ${p.last} read above a quarter of both ends and the others ` +
        'do not: something by-passes that stretch, a bridge or an interconnection. The ends ' +
        'then read lower than the run is long.',
  'radial.shrinks': (p) =>
    `${ohms(p.value)} here, ${ohms(p.before)} at the point before: along a radial circuit the readings grow. Check whether the two were swapped.`,
  'loop.faultCurrent': (p) =>
    `Prospective fault current and Ze do not agree: ${p.volt} V over ${ohms(p.ze)} gives ${formatQuantity(p.volt / p.ze, 'faultCurrent')}. Measure both again at the same terminals.`,
  'residual.slower': (p) =>
    `${times(p.at5)} at 5 × IΔn, ${times(p.at1)} at IΔn: more current never takes longer. Were two readings swapped?`,
}

export const PROCESS_SENTENCES: SentencesOf<ProcessParams & GroupParams> = {
  'time.beforePermission': (p) =>
    `Dated ${p.at}, before the permission of ${p.permitted}. A live test made without permission is a breach; ask what happened.`,
  'time.insulationFirst': () =>
    'Insulation was measured before continuity. Without continuous protective conductors that test proves little.',
  'instrument.overdue': (p) => `The calibration of ${p.instrument} was due on ${dayText(p.due)}.`,
  'instrument.none': () => 'No instrument is named for these readings.',
  'leads.notRecorded': () => 'It is not recorded that the leads were nulled.',
  'insulation.lowVoltage': (p) =>
    `Insulation was tested at ${p.volt} V. Circuits of 230 and 400 V are tested at 500 ` +
    'V d.c.; less is right only where something could not be disconnected that 500 V would ' +
    'damage. Ask what it was.',
  'group.alike': (p) =>
    `${p.count} of ${p.of} readings are the same as in bay ${p.bay}, to the last figure, where the two bays should differ. That can have several reasons; ask to see some of them measured.`,
  'group.tooClose': (p) =>
    `${p.of} readings lie closer to the calculated values than this instrument can measure: ${p.share.toFixed(2)} of its band on average. Ask to see some of them measured.`,
  'group.fewFigures': (p) =>
    `${p.count} of ${p.of} readings end in ${p.figure}. Measured values scatter more; ask to see some of them measured.`,
}

import type { BandReason } from '#core/testing/expected/circuit'
import type { Finding } from '#core/findings/finding'
import { formatQuantity } from '#core/units/format'

type Sentence = (params: Finding['params']) => string
const ohms = (value: unknown) => formatQuantity(Number(value), 'resistance')
const times = (value: unknown) => formatQuantity(Number(value), 'time')

/** Why a band is as wide as it is. */
export const BAND_REASON: Readonly<Record<BandReason, string>> = {
  ohmmeter: 'ohmmeter ± 2 % and 2 digits',
  loopTester: 'loop tester ± 5 % and 5 digits',
  length: 'cut lengths ± 5 %',
  air: 'air ± 10 °C, ± 4 %',
  supply: 'the supply of the day',
  standard: 'limits of the standard',
  newWork: 'new, dry work',
}

/** What the readings of a whole schedule say together. */
export const SCHEDULE_SENTENCES: Readonly<Record<string, Sentence>> = {
  'leads.notNulled': (p) =>
    `About ${ohms(p.ohm)} too much in ${p.count} of ${p.of} continuity readings, short and long alike: the leads were not nulled. Hold them together, null, measure one again; if it falls by that much, all of them have it.`,
  'ring.endsDiffer': (p) =>
    `r1 of ${ohms(p.r1)} and rn of ${ohms(p.rn)} run the same way and should agree: a loose termination, or the ends are not of one ring. Ring each pair through.`,
  'ring.ratio': (p) =>
    `r2 is ${Number(p.ratio).toFixed(2)} times r1; the areas of this cable give ${Number(p.told).toFixed(2)}. One of the two was taken at the wrong ends, or a joint is loose.`,
  'ring.aboveQuarter': (p) =>
    `${ohms(p.value)} at this socket is more than a quarter of both ends, ${ohms(p.quarter)}: a spur, an open leg, or the wrong ends paired.`,
  'radial.shrinks': (p) =>
    `${ohms(p.value)} here, ${ohms(p.before)} at the point before: along a radial the readings grow. Look whether two were exchanged.`,
  'loop.faultCurrent': (p) =>
    `Fault current and Ze do not belong together: ${p.volt} V over ${ohms(p.ze)} gives ${formatQuantity(Number(p.volt) / Number(p.ze), 'faultCurrent')}. Measure both again at the same terminals.`,
  'residual.slower': (p) =>
    `${times(p.at5)} at five times the rated current, ${times(p.at1)} at once: more current never takes longer. Two readings exchanged?`,
  'limit.open': () => 'No continuity: the conductor is open, a switch is open, or a clip has come off.',
  'limit.noTrip': (p) => `It did not open within ${times(p.limit)}.`,
  'limit.tripsAtHalf': (p) =>
    `It opened after ${times(p.value)} at half its rated current, where it must hold: standing leakage, or the device.`,
  'limit.notWorking': () => 'It does not do what it should.',
  'form.reasonNeeded': (p) => `${p.as} needs a reason beside it.`,
  'form.left': (p) => `Left out (${p.as}): ${p.why}`,
  'form.leftNotHere': (p) => `${p.as} has no place on this sheet: every test here can be made.`,
  'time.beforePermission': (p) =>
    `Dated ${p.at}, before the permission of ${p.permitted}. A live test made without permission is a breach; ask what happened.`,
  'time.insulationFirst': () =>
    'Insulation was measured before continuity. Without continuous protective conductors that test proves little.',
  'instrument.overdue': (p) => `The calibration of ${p.instrument} was due on ${p.due}.`,
  'instrument.none': () => 'No instrument is named for these readings.',
  'leads.notRecorded': () => 'It is not written down that the leads were nulled.',
  'group.alike': (p) =>
    `${p.count} of ${p.of} readings are the same as in bay ${p.bay}, to the last figure, where the two bays should differ. That can have several reasons; ask to see some of them measured.`,
  'group.tooClose': (p) =>
    `${p.of} readings lie closer to the calculated values than this instrument can measure: ${Number(p.share).toFixed(2)} of its band on average. Ask to see some of them measured.`,
  'group.fewFigures': (p) =>
    `${p.count} of ${p.of} readings end in ${p.figure}. Measured values scatter more; ask to see some of them measured.`,
}

import type { Arranged, NotArranged } from '#core/arrangement/arrange'
import { lineOfSeat, wayOfSeat, type SeatedCircuit, type Seating } from '#core/arrangement/board'
import { LINES } from '#core/installation/installation'
import type { LayoutMark, LayoutTask } from '#core/arrangement/marked'
import { PROVED_WITHIN, type Wish } from '#core/arrangement/wishes'

/** What is wished of a board: by name, and what falls short of it. */
export const WISH_TEXT: Readonly<Record<Wish, { readonly name: string; readonly why: string }>> = {
  balance: { name: 'Lines balanced', why: 'The neutral carries what the lines do not share evenly.' },
  heat: { name: 'Warm devices apart', why: 'Devices that run near their rating for hours warm each other.' },
  reach: { name: 'Neutral leads reach', why: 'The lead of an RCBO must reach its bar.' },
  blast: { name: 'No part dark at once', why: 'One RCD should not take down a whole part of the building.' },
  leakage: { name: 'Leakage shared', why: 'Standing leakage behind one RCD stays under 30 % of 30 mA.' },
  together: { name: 'Order of the chart', why: 'What serves one part of the building stands together.' },
  surge: { name: 'Short leads to the SPD', why: 'Every metre of lead lets more of a surge through.' },
  spares: { name: 'Spares at the end', why: 'Spare ways stand together after the last circuit.' },
}

/** Why nothing could be laid out, and what to do. */
export function notArrangedSays({ code, needed, seats }: NotArranged): string {
  return code === 'tooMany'
    ? `${needed} poles do not go onto ${seats}: take a board with more ways, or move circuits to another board.`
    : 'A three-phase circuit does not go onto a single-phase board.'
}
/** Two wishes that cannot both be had: without the one the other comes out better. */
const inWords = (wish: Wish): string => WISH_TEXT[wish].name.toLowerCase()
export const priceSays = (wish: Wish, gains: readonly Wish[]): string =>
  `Without “${inWords(wish)}”: better ${gains.map(inWords).join(', ')}.`

/** How far the best that was found may be from what nobody can fall below. */
export function boundSays({
  total,
  bound,
  isProved,
}: Pick<Arranged, 'total' | 'bound' | 'isProved'>): string {
  if (isProved)
    return total <= bound + 1e-9
      ? 'Proved: nothing that can be seated meets these wishes better.'
      : `Proved: nothing that can be seated is better by more than ${100 * PROVED_WITHIN} %.`
  const less = bound > 0 ? `, which is ${((100 * (total - bound)) / total).toFixed(1)} % less` : ''
  return `Best found: ${total.toFixed(2)}. Nothing can be below ${bound.toFixed(2)}${less}.`
}

/** What else a circuit brings that its seat depends on. */
export const circuitSays = ({ phases, hasLead, isShared, leakageMA, surge }: SeatedCircuit): string =>
  [
    ...(surge === 'spd' ? ['surge protection, behind a device of its own'] : []),
    ...(phases === 3 ? ['three phase'] : []),
    ...(hasLead ? ['RCBO with a neutral lead'] : []),
    ...(isShared ? [`shares an RCD, ${leakageMA} mA leakage`] : []),
  ].join('; ')

/** A wish that is met less well than in the best arrangement, and why it matters. */
export const lostSays = ({ wish, by }: { readonly wish: Wish; readonly by: number }): string =>
  `${WISH_TEXT[wish].name}: ${by.toFixed(2)} more than in the best. ${WISH_TEXT[wish].why}`

/** A seat with what stands there; of a three-phase circuit its way. */
function seatSays(
  { board, circuits }: Pick<LayoutTask, 'board' | 'circuits'>,
  seating: Seating,
  seat: number,
): string {
  const place = seating[seat] ?? null
  const circuit = place === null ? undefined : circuits[place]
  const line = board.phases === 3 && circuit?.phases !== 3 ? ` ${LINES[lineOfSeat(board, seat)]}` : ''
  const way = `way ${wayOfSeat(board, seat)}${line}`
  return circuit ? `${circuit.name} in ${way}` : `spare ${way}`
}

/** The swap that helps most. */
export const betterSays = (
  { seats: [a, b], by }: NonNullable<LayoutMark['better']>,
  task: Pick<LayoutTask, 'board' | 'circuits'>,
  seating: Seating,
): string =>
  `The change that helps most: swap ${seatSays(task, seating, a)} and ${seatSays(task, seating, b)} ` +
  `(${by.toFixed(2)} less).`

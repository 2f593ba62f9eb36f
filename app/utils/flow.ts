/** How a conductor that carries a current is drawn: stitches that move, the closer the more flows. */
interface Stitches {
  /** From the first stitch to the next, px. */
  readonly periodPx: number
  /** From its first end to its other, or back. */
  readonly isBack: boolean
}

export const STITCH_PX = 7
const WIDEST_PX = 40
const CLOSEST_PX = 5
/** A milliampere is drawn thinnest, A, and so many pixels closer with each tenfold. */
const FROM_A = 1e-3
const CLOSER_PX = 7.5

/** Stitches of a current, A, of either sign and not zero. */
export function stitchesOf(ampere: number): Stitches {
  const decades = Math.log10(Math.max(FROM_A, Math.abs(ampere)) / FROM_A)
  const gap = Math.max(CLOSEST_PX, WIDEST_PX - decades * CLOSER_PX)
  return { periodPx: Math.round(STITCH_PX + gap), isBack: ampere < 0 }
}

/** Where a search for an operating point stops: relative change of every impedance. */
export const SETTLED = 1e-9
/** Rounds of the search before it is given up. */
export const MOST_ROUNDS = 300
/** A node's currents may miss zero by this share of the largest current, and by this many amperes. */
export const BALANCE_RELATIVE = 1e-9
export const BALANCE_A = 1e-7
/**
 * And by this share of what the ends of an element would carry each by itself: a link of a micro-ohm at kilovolts is
 * the difference of two numbers that agree in all but their last figures. Some units in the last place of a double.
 */
export const BALANCE_ROUNDING = 64 * Number.EPSILON

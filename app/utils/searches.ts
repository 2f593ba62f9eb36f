/** The longest searches, s; the best found by then is shown. */
export const CLOSING_LONGEST_S = 9
export const PLANNER_LONGEST_S = 19

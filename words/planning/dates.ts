const DAY = new Intl.DateTimeFormat('en-GB', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  timeZone: 'UTC',
})
/** A day as people say it; `iso` is YYYY-MM-DD. */
export const dayText = (iso: string): string => DAY.format(new Date(`${iso}T00:00:00Z`))

/** What falls on a day. Its kinds stand in the schema of the page. */
export const DATE_TEXT = {
  bayInspection: 'Inspection of a bay',
  bayRcd: 'RCD test of a bay',
  calibration: 'Calibration',
  provingUnit: 'Voltage indicator to be proved',
  repeat: 'Isolation to repeat',
  appeal: 'Appeal to answer',
  permit: 'Permit not returned',
  session: 'Session',
  term: 'Term',
  closed: 'Centre closed',
  absence: 'Away',
} as const

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

import { SURVEY_PROBLEMS } from '../survey/problems'

/** Refusals about surveys, sessions, dates, stores and calendars. */
export const PLANNING_PROBLEMS = {
  ...SURVEY_PROBLEMS,
  sessionNoGroup: { status: 400, sentence: 'Choose a group with at least one apprentice.' },
  sessionIssued: {
    status: 409,
    sentence: 'Cable was issued for this session, so it stays in the register. Remove its tasks instead.',
  },
  calendarNotRead: {
    status: 400,
    sentence: 'This file is no calendar. Export it once more as iCalendar (.ics). Nothing was changed.',
  },
  calendarTooMuch: {
    status: 400,
    sentence: 'This calendar holds more than a thousand days. Export a year or less. Nothing was changed.',
  },
  datesWrong: { status: 400, sentence: 'The last day lies before the first one.' },
  starterNone: {
    status: 409,
    sentence:
      'No exercise of the centre shows this slip in ten variants. ' +
      'Write one in which it would: other lengths, factors or phases.',
  },
  drumShort: {
    status: 409,
    sentence: 'There is less on this drum than that. Count it, or take another one.',
  },
  drumGone: { status: 409, sentence: 'This drum is used up.' },
} as const

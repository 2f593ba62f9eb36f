/** Refusals about surveys. */
export const SURVEY_PROBLEMS = {
  siteNotJson: { status: 400, sentence: 'This file is no site: it is not JSON. Nothing was changed.' },
  siteNotRight: { status: 400, sentence: 'This site cannot be imported yet; nothing was changed.' },
  siteKnown: { status: 409, sentence: 'A site with this code is here already. Give yours another code.' },
  surveyEmpty: {
    status: 400,
    sentence: 'Nothing has been recorded yet. Answer at least one objective, then hand the survey in.',
  },
  surveyGone: { status: 409, sentence: 'This survey has changed since you opened it. Look at it once more.' },
  surveyNeedsReason: { status: 400, sentence: 'Say what is missing: the surveyor learns from it.' },
  surveyNoRoute: {
    status: 409,
    sentence:
      'No route can be measured yet. Set the scale, place the board and a point, and draw at least one route.',
  },
  surveyNoExercise: { status: 409, sentence: 'No exercise can be made of this survey yet.' },
} as const

import { EVIDENCE_PROBLEMS } from './evidence/problems'
import { FLOOR_PROBLEMS } from './floor/problems'
import { PLANNING_PROBLEMS } from './planning/problems'
import { PROOF_PROBLEMS } from './proof-problems'

/** Every refusal that a person can meet: its HTTP status and a sentence that says what to do. */
export const PROBLEMS = {
  ...EVIDENCE_PROBLEMS,
  ...FLOOR_PROBLEMS,
  ...PLANNING_PROBLEMS,
  ...PROOF_PROBLEMS,
  signInNeeded: {
    status: 401,
    sentence: 'Your session has ended. Sign in again; what you typed is kept on this device.',
  },
  otherPerson: {
    status: 401,
    sentence:
      'Somebody else has signed in on this device. Sign in again; what you typed is kept on this device.',
  },
  signInWrong: {
    status: 401,
    sentence: 'Number and password do not fit together. Check both and try again.',
  },
  keptForEver: { status: 409, sentence: 'The centre keeps this for ever. Give it a number of years first.' },
  tooManyPictures: { status: 429, sentence: 'Two hundred pictures a day are kept. Go on tomorrow.' },
  tooManyTries: { status: 429, sentence: 'Too many tries. Wait a minute, then try again.' },
  passwordChangeNeeded: { status: 403, sentence: 'Choose your own password first.' },
  passwordWeak: {
    status: 400,
    sentence:
      'This password is easily guessed: a common word, a run of signs, or your own name or ' +
      'number. Choose another, such as three words that do not belong together.',
  },
  pinWeak: {
    status: 400,
    sentence: 'This PIN is easily guessed: a run, a year, a common one, or your own number. Choose another.',
  },
  cancelled: { status: 499, sentence: 'This was cancelled. Nothing has been changed.' },
  busy: {
    status: 503,
    sentence: 'Very many are signing in at once. Wait a few seconds and try again; nothing was lost.',
  },
  diskFull: {
    status: 507,
    sentence:
      'The server’s disk takes nothing more, so this was not saved. It stays on this device. ' +
      'Tell the administrator; try again when there is room.',
  },
  tooLarge: { status: 413, sentence: 'This is too large to be taken. Send less at once.' },
  noSuchPath: { status: 404, sentence: 'There is nothing at this address of the server. Reload the page.' },
  otherHost: { status: 421, sentence: 'This server does not answer under that name.' },
  passwordSame: { status: 400, sentence: 'Choose a password that differs from the old one.' },
  notAllowed: {
    status: 403,
    sentence: 'Your role does not allow this. Ask an instructor or the administrator.',
  },
  otherSite: {
    status: 403,
    sentence: 'This request did not come from the application. Reload the page and try again.',
  },
  notFound: { status: 404, sentence: 'This is not here, or not for you to see. Go back to the list.' },
  notYourself: { status: 409, sentence: 'Not to yourself: ask another administrator.' },
  disableFirst: {
    status: 409,
    sentence: 'Disable this person first, and erase when nobody needs their name any more.',
  },
  personErased: {
    status: 409,
    sentence: 'This person was erased: there is no name to sign in under. Import them anew.',
  },
  alreadySetUp: { status: 409, sentence: 'The first administrator is set up already. Sign in.' },
  bodyNotJson: { status: 400, sentence: 'What was sent is not readable as JSON. Look at the place named.' },
  bodyNotRight: { status: 400, sentence: 'Some values cannot be taken. Look at the fields named below.' },
  exerciseNotJson: {
    status: 400,
    sentence: 'The file is not an exercise: it is not readable as JSON. Export one from Nakshi and compare.',
  },
  exerciseNotRight: {
    status: 400,
    sentence: 'The exercise file has parts that cannot be taken. Nothing was imported.',
  },
  exerciseCodeTaken: {
    status: 409,
    sentence: 'An exercise with this code is here already. Give it another code.',
  },
  exerciseIsSet: {
    status: 409,
    sentence: 'This exercise has been set and is locked. Duplicate it under another code.',
  },
  criteriaUnknown: {
    status: 400,
    sentence:
      'The exercise names criteria that the unit framework does not have. Choose others, or load the framework.',
  },
  structure: { status: 400, sentence: 'Boards and circuits do not fit together. Look at the cells named.' },
  circuitUnknown: { status: 400, sentence: 'A circuit that is asked for is not in the installation.' },
  unsolvable: { status: 409, sentence: 'The task has no solution, so it cannot be set.' },
  variantsTooFew: {
    status: 409,
    sentence:
      'There are not enough different variants of like difficulty. Widen the spread of length or load.',
  },
  cohortEmpty: {
    status: 409,
    sentence: 'There is no apprentice in this group. Import the roster first, or choose another group.',
  },
  cohortDone: { status: 409, sentence: 'Everybody in this group has this exercise already.' },
  stale: {
    status: 409,
    sentence: 'Somebody saved this in the meantime. Compare both, keep what is right, and save again.',
  },
  changedSince: {
    status: 409,
    sentence:
      'This has changed since it stood on your screen, so nothing was decided. It now shows ' +
      'as it is: look again, then decide.',
  },
  locked: {
    status: 409,
    sentence: 'This part is locked at this stage. Reload to see where the work stands.',
  },
  liveLocked: {
    status: 409,
    sentence:
      'Live readings stay locked until an assessor has given permission. Put right what the refusal names, then ask again.',
  },
  wrongStage: {
    status: 409,
    sentence: 'The work is at another stage by now. Reload to see where it stands.',
  },
  locksOn: {
    status: 409,
    sentence: 'A padlock of this person is still in the register. Take it off, write it off, then go on.',
  },
  pinWrong: { status: 401, sentence: 'Name and PIN do not fit together. Check both and try again.' },
  pinMissing: { status: 409, sentence: 'There is no PIN to sign with yet. It is chosen under Password.' },
  roundOlder: {
    status: 410,
    sentence: 'This round was drawn in a manner that is no longer kept. Its result stays; begin another one.',
  },
  runOver: { status: 409, sentence: 'This rehearsal is over. Start another one.' },
  moveNotHere: { status: 409, sentence: 'That cannot be done here and now. Reload to see where you stand.' },
  observationDecided: { status: 409, sentence: 'This observation has been decided and stays as it is.' },
  otherwiseReason: {
    status: 400,
    sentence: 'You decide otherwise than the record proposes. Write down why.',
  },
  criticalStands: {
    status: 409,
    sentence:
      'A critical breach stands in the record. It outranks everything else: decide “not yet”, or take the act back if it was tapped by mistake.',
  },
  permitTimes: { status: 400, sentence: 'A permit ends after it begins. Correct the times.' },
  bayNotYet: { status: 409, sentence: 'The virtual bay opens when the design is handed in.' },
  answersMissing: {
    status: 409,
    sentence: 'Some steps are empty or cannot be read. They are marked; fill them in, then hand in.',
  },
  readingsMissing: {
    status: 409,
    sentence: 'Some readings are empty or cannot be read. They are marked; fill them in first.',
  },
  readingUnknown: {
    status: 400,
    sentence: 'Some of these readings belong to no test of this sheet. They are named; nothing was changed.',
  },
  instrumentKnown: {
    status: 409,
    sentence:
      'An instrument of this name is in the register already. Add a calibration to it, or choose another name.',
  },
  instrumentRetired: {
    status: 409,
    sentence:
      'An instrument of this name was taken out of use, and records name it. Give this one ' +
      'another name, with its serial number.',
  },
  calibrationDates: {
    status: 400,
    sentence: 'A calibration holds until after the day on which it was done. Correct the dates.',
  },
  streamCode: {
    status: 403,
    sentence: 'The code does not belong to this sheet. It stands on the page of the schedule.',
  },
  paperIncomplete: {
    status: 409,
    sentence: 'Nothing is signed while something is missing or fails. Look at the list.',
  },
  huntOver: { status: 409, sentence: 'This fault finding is over. Start another one.' },
  runUnreadable: {
    status: 409,
    sentence:
      'Some boxes of this run cannot be read, so there is nothing to measure against. They are marked in the table.',
  },
  inspectionClosed: {
    status: 409,
    sentence: 'This inspection stays as it is: the work has been handed in or given back. Ask your assessor.',
  },
  measurementClosed: {
    status: 409,
    sentence: 'This measurement is closed and stays as it is. Begin another one.',
  },
  notAPicture: {
    status: 400,
    sentence: 'This is no picture that can be kept. Take a photo, or choose a JPEG, PNG or WebP file.',
  },
  gateShut: {
    status: 409,
    sentence:
      'The dead tests are not complete and within limits, so energising cannot be permitted. Refuse and say what to put right.',
  },
  reasonNeeded: { status: 400, sentence: 'Say what has to be put right, so that the apprentice can do it.' },
  rosterEncoding: {
    status: 400,
    sentence:
      'The file is not UTF-8, so letters would be damaged. Save it as “CSV UTF-8” and choose it again. Nothing was imported.',
  },
  rosterHeading: {
    status: 400,
    sentence:
      'The first row must name the columns number, name and group (role is optional). Nothing was imported.',
  },
  rosterNotCsv: {
    status: 400,
    sentence:
      'The file cannot be read as CSV: a quotation mark is open or a row has too many cells. Nothing was imported.',
  },
  rosterHasBadRows: {
    status: 409,
    sentence: 'Some rows cannot be taken, so nothing was imported. Correct them and choose the file again.',
  },
  rosterEmpty: { status: 400, sentence: 'There are no rows under the heading.' },
  frameworkMissing: {
    status: 409,
    sentence: 'There is no unit framework yet. The administrator loads one under Centre.',
  },
  frameworkNotRight: {
    status: 400,
    sentence: 'The framework file has parts that cannot be taken. Nothing was changed.',
  },
  unexpected: {
    status: 500,
    sentence: 'Something went wrong on our side. What you typed is kept; try again in a moment.',
  },
} as const satisfies Record<string, { status: number; sentence: string }>

export type ProblemCode = keyof typeof PROBLEMS

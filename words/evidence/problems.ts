/** Refusals about evidence, questions and verification. */
export const EVIDENCE_PROBLEMS = {
  layoutNoDesign: {
    status: 409,
    sentence: 'A circuit of this board has no design yet. Complete the design first, then set the board.',
  },
  layoutStillDesigned: {
    status: 409,
    sentence:
      'Some of this group still design this installation, and the board shows ratings and currents. ' +
      'Set it once their designs are handed in.',
  },
  layoutWhileDesigning: {
    status: 409,
    sentence: 'This board shows ratings of your own design task. It opens once your design is handed in.',
  },
  layoutNotWhole: {
    status: 400,
    sentence: 'Each circuit goes onto the board once, a three-phase one in a way of its own.',
  },
  bookEntriesWrong: { status: 400, sentence: 'These values cannot be entered yet; nothing was changed.' },
  bookFileWrong: { status: 400, sentence: 'No values could be read from this file; nothing was changed.' },
  bookOwnCheck: {
    status: 403,
    sentence: 'You entered this value yourself. Ask a second person to check it against the book.',
  },
  bookChecked: { status: 409, sentence: 'A second person has checked this value already.' },
  bookNotDone: {
    status: 409,
    sentence: 'Some values are not checked yet, or need a second person. Finish them first.',
  },
  rosterPackage: {
    status: 400,
    sentence: 'No roster could be read from this OneRoster package; nothing was changed.',
  },
  questionNotRight: { status: 400, sentence: 'This question cannot be asked like this yet.' },
  questionKnown: { status: 409, sentence: 'Another question has this code. Choose another one.' },
  questionFileWrong: { status: 400, sentence: 'No questions could be read; nothing was changed.' },
  glossaryFileWrong: { status: 400, sentence: 'No glossary could be read; nothing was changed.' },
  frameworkNeedsMapping: {
    status: 409,
    sentence:
      'The record speaks of criteria that this framework no longer has. Say for ' +
      'each which takes its place, or that it counts for nothing from now on.',
  },
  notAPdf: {
    status: 400,
    sentence: 'This is no page in PDF. Choose another file, or take a photograph of it.',
  },
  accountNotReady: { status: 400, sentence: 'This account cannot be handed in yet.' },
  claimNeedsReason: { status: 400, sentence: 'A refused claim needs a reason: the writer learns from it.' },
  claimGone: { status: 409, sentence: 'A newer version of this account has been handed in. Read that one.' },
  witnessMissing: {
    status: 409,
    sentence:
      'No witness has confirmed this work yet. Ask for their statement, or accept it as written evidence.',
  },
  witnessCodeWrong: {
    status: 404,
    sentence: 'This code is not known, or it has been used. Ask for a new one.',
  },
  secondNotYours: {
    status: 403,
    sentence: 'Whoever marked it first cannot judge it a second time. Leave it to somebody else.',
  },
  secondDone: { status: 409, sentence: 'You have judged this work already; it stays as it is.' },
  settleNotYours: { status: 403, sentence: 'A third person settles this: neither of the two who judged it.' },
  alreadySettled: {
    status: 409,
    sentence: 'This has been settled already; both judgements and the reason stand.',
  },
  appealNotYours: {
    status: 403,
    sentence: 'Whoever made the decision cannot answer the appeal against it. Leave it to somebody else.',
  },
  appealOpen: { status: 409, sentence: 'There is an open appeal about this decision already.' },
} as const

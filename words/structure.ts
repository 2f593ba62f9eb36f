import type { StructureProblem } from '#core/installation/check'

type Params = StructureProblem['params']

const SENTENCES: Readonly<Record<StructureProblem['code'], (p: Params) => string>> = {
  noSuchBoard: () => 'There is no such board. Choose one of the boards above.',
  wayTaken: (p) => `Way ${p.way} is taken by ${p.other}. Choose a free way.`,
  wayBeyond: (p) => `${p.board} has ${p.ways} ways. Choose a lower one, or a larger board.`,
  surgeOnItself: (p) => `Way ${p.way} cannot hold both the SPD and its device. Give each a way of its own.`,
  feedsItself: (p) => `${p.feed} is on this board, so it cannot feed it. Choose a circuit of another board.`,
  noSupply: (p) =>
    `${p.feed} is itself fed from here: the boards go round in a circle and none has a supply.`,
  noSuchFeed: () => 'This board has no supply. Choose the distribution circuit that feeds it.',
  feedIsFinal: (p) => `${p.feed} is a final circuit. Only a circuit for a board can feed one.`,
  feedsNothing: () =>
    'This circuit is for a board, and no board is fed by it. Choose it at the board, or another use.',
  twoOrigins: (p) => `${p.other} is at the origin already. Choose the circuit that feeds this board.`,
  noOrigin: () => 'No board is at the origin. One of them must be fed by the supply.',
  threePhaseOnOne: (p) =>
    `A three-phase circuit on ${p.board}, which has one line: it needs a three-phase board, or a single-phase load.`,
  boardWiderThanFeed: (p) => `${p.feed} is single phase and cannot feed a three-phase board.`,
  ringOfThree: () => 'A ring is single phase.',
  ringNotSockets: () => 'Only socket-outlets are wired as a ring.',
  residualMissing: () =>
    'This device has an RCD (RCBO or RCCB): choose its rated residual current, or choose a breaker.',
  curveMissing: () => 'A breaker has a type: B, C or D.',
  fuseHasCurve: () => 'A fuse has no type. Leave it empty.',
  boardLoadOnly: () => 'The demand of a board is the load of a circuit for a board, and of no other.',
  spurWithoutRing: () => 'Spurs belong to rings; make it 0, or lengthen the run.',
  spursWithoutRing: () => 'Unfused spurs leave a ring; make it 0, or lengthen the run.',
  tooManySpurs: (p) =>
    `Unfused spurs may not outnumber the points on the ring itself: at most ${p.most} here (On-Site Guide Appendix H). Fuse the others.`,
  spurWithoutLength: () => 'Give the length of the longest spur.',
  existingRating: (p) => `Not a rating of this kind of device. Choose one of ${p.ratings} A.`,
  existingArea: () => 'This cable is not made in that size.',
  electrodeAtOrigin: () => 'The electrode of the origin is Ze of the supply. Leave this empty.',
  motorLamps: () => 'Lamps are counted in single-phase circuits.',
}

/** What does not fit together, as one sentence that says how to mend it. */
export const structureSentence = ({ code, params }: StructureProblem): string => SENTENCES[code](params)

import type { DrawingCode } from '#core/questions/drawings'
import type { JudgedWhy, Rating } from '#core/questions/judge'
import type { Expected, QuestionKind, QuestionProblem, Verdict } from '#core/questions/question'
import type { Moment, Topic } from '#core/questions/topics'

export const TOPIC_NAME: Readonly<Record<Topic, string>> = {
  principles: 'First principles',
  supply: 'Generation and supply',
  regulations: 'Regulations and editions',
  containment: 'Containment',
  cable: 'Cable',
  board: 'Distribution board',
  terminations: 'Terminations',
  ip: 'Enclosures and IP',
  isolation: 'Safe isolation',
  dead: 'Dead tests',
  live: 'Live tests',
  rcd: 'RCDs and RCBOs',
  neutral: 'Shared and borrowed neutrals',
  bonding: 'Earthing and bonding',
  locations: 'Special locations',
  paperwork: 'Paperwork',
  fault: 'Fault finding',
}

export const MOMENT_NAME: Readonly<Record<Moment, string>> = {
  design: 'At the design',
  terminations: 'At terminations',
  isolation: 'Before isolation',
  dead: 'During dead tests',
  energise: 'Before energising',
  live: 'During live tests',
  fault: 'After a fault',
}

export const KIND_NAME: Readonly<Record<QuestionKind, string>> = {
  spoken: 'Spoken',
  number: 'Number with unit',
  choose: 'Choose',
  order: 'Put in order',
  point: 'Point at the drawing',
  verdict: 'True, false or it depends',
}

export const VERDICT_NAME: Readonly<Record<Verdict, string>> = {
  true: 'True',
  false: 'False',
  depends: 'It depends',
}

export const RATING_NAME: Readonly<Record<Rating, string>> = {
  right: 'Right',
  half: 'Half right',
  wrong: 'Not yet',
}

/** Names of the spots of all drawings. */
export const DRAWING_NAME: Readonly<Record<DrawingCode, string>> = {
  intake: 'Intake of a dwelling',
  board: 'Open board',
  outlet: 'Rear of a socket-outlet',
  wall: 'Wall with cable zones',
}

export const SPOT_NAME: Readonly<Record<string, string>> = {
  serviceCable: 'Service cable',
  cutOut: 'Cut-out',
  meterTails: 'Meter tails',
  meter: 'Meter',
  isolator: 'Isolator',
  consumerUnit: 'Consumer unit',
  earthTerminal: 'Main earthing terminal',
  mainBonding: 'Main bonding conductor',
  waterPipe: 'Metal water pipe',
  neutralBar: 'Neutral bar',
  earthBar: 'Earth bar',
  way1: 'Way 1',
  spareWay: 'Spare way',
  otherWays: 'Other ways',
  rcd: 'RCD',
  mainSwitch: 'Main switch',
  busbar: 'Busbar',
  cableEntry: 'Cable entry',
  box: 'Metal box',
  earthTerminalOutlet: 'Earth terminal of the socket-outlet',
  lineTerminal: 'Line terminal',
  neutralTerminal: 'Neutral terminal',
  boxEarth: 'Earth terminal of the box',
  grommet: 'Grommet',
  ceilingZone: 'Zone along the ceiling',
  cornerZone: 'Zone along the corner',
  switchDrop: 'Drop to the switch',
  switch: 'Switch',
  socket: 'Socket-outlet',
  levelRun: 'Level run from the socket-outlet',
  openWall: 'Open wall',
  door: 'Door',
}

export const QUESTION_PROBLEM_TEXT: Readonly<Record<QuestionProblem, string>> = {
  noAnswer: 'has no answer yet. Say what is to be heard',
  rightNotThere: 'marks an option as right that is not there',
  oneOption: 'needs at least two options, none of them empty',
  repeated: 'has the same option twice',
  noSpot: 'names a spot that is not in its drawing',
  noUnit: 'has a number without a unit',
}

/** Why an answer was not simply right. */
export function whyWords(why: JudgedWhy): string {
  switch (why.code) {
    case 'noNumber':
      return 'There is no number in it.'
    case 'noUnit':
      return 'The number is right. Which unit?'
    case 'otherQuantity':
      return 'The unit belongs to another quantity.'
    case 'prefix':
      return 'The figure is right, the prefix (m, k, M) is not.'
    case 'swappedPair':
      return 'Two neighbours are the wrong way round.'
    case 'someMissing':
      return 'What you chose is right. There is more.'
    case 'tooMany':
      return 'One of those does not belong.'
    case 'off':
      return offWords(why.ratio)
  }
}

const near = (ratio: number, to: number): boolean => Math.abs(ratio / to - 1) < 0.03
function offWords(ratio: number): string {
  if (near(ratio, 1000) || near(ratio, 0.001)) return 'It is a thousand times off: look at the prefix.'
  if (near(ratio, 10) || near(ratio, 0.1)) return 'It is ten times off: look at the decimal point.'
  if (near(ratio, 2)) return 'It is twice as much as it should be.'
  if (near(ratio, 0.5)) return 'It is half of what it should be.'
  return ratio > 1 ? 'It is too large.' : 'It is too small.'
}

/** The answer in words. */
export function answerWords(expected: Expected): string {
  switch (expected.kind) {
    case 'spoken':
      return expected.model
    case 'number':
      return `${expected.value} ${expected.unit}${expected.within > 0 ? ` (${Number(expected.within.toPrecision(2))} either way)` : ''}`
    case 'choose':
      return expected.right.map((i) => expected.options[i]).join('; ')
    case 'order':
      return expected.items.map((item, i) => `${i + 1}. ${item}`).join('\n')
    case 'point':
      return SPOT_NAME[expected.spot] ?? expected.spot
    case 'verdict':
      return `${VERDICT_NAME[expected.verdict]}. ${expected.why}`
  }
}

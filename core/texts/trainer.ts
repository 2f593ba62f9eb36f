import type { Move } from '../isolation/trainer/move'
import { INDICATOR_NAME } from './isolation'

const WALK = {
  customer: 'Go to the person responsible',
  board: 'Go to the board',
  source: 'Go to the known live source',
  point: 'Go to the point of work',
} as const
const ASK = {
  what: 'Ask what it is exactly',
  where: 'Ask which device feeds it',
  else: 'Ask what else hangs on it',
  permit: 'Ask about permits',
} as const
const PLAIN: Readonly<
  Record<
    Exclude<
      Move['do'],
      | 'walk'
      | 'ask'
      | 'take'
      | 'prove'
      | 'test'
      | 'testDevice'
      | 'switch'
      | 'lock'
      | 'notice'
      | 'unlock'
      | 'removeNotice'
    >,
    string
  >
> = {
  permit: 'Get the permit',
  inform: 'Tell people that it goes off',
  readChart: 'Read the chart and compare',
  keepKey: 'Put the key into the pocket',
  leaveKey: 'Leave the key in the lock',
  warnNeutral: 'Say that the neutral stays connected',
  open: 'Open the accessory',
  part: 'Part the neutrals',
  tape: 'Tape the parted ends',
  work: 'Do the work',
  cover: 'Connect again and close the cover',
  clearTools: 'Clear the tools away',
  informAgain: 'Tell people that it comes on',
  waitForOther: 'Call the other person and wait',
  cutOthersLock: 'Take the other padlock off',
  startAgain: 'Wrong one: start again',
  checkFunction: 'Check function and polarity',
  handBack: 'Hand the permit back',
}

/** What a move is called on its button. */
export function moveWords(
  move: Move,
  name: (part: string) => string,
  isOn: (part: string) => boolean,
): string {
  switch (move.do) {
    case 'walk':
      return WALK[move.to]
    case 'ask':
      return ASK[move.topic]
    case 'take':
      return `Take the ${INDICATOR_NAME[move.indicator]}`
    case 'prove':
      return move.on === 'here'
        ? 'Prove the indicator here'
        : move.on === 'self-test'
          ? 'Press the indicator’s own test button'
          : 'Prove it on the proving unit'
    case 'test':
      return move.every ? 'Test, every pair' : 'Test, one pair'
    case 'testDevice':
      return `Test what leaves ${name(move.device)}`
    case 'switch':
      return `Switch ${name(move.device)} ${isOn(move.device) ? 'off' : 'on'}`
    case 'lock':
      return `Lock ${name(move.device)} off`
    case 'notice':
      return `Hang a notice at ${name(move.device)}`
    case 'unlock':
      return `Take the own lock off ${name(move.device)}`
    case 'removeNotice':
      return `Take the notice off ${name(move.device)}`
    default:
      return PLAIN[move.do]
  }
}

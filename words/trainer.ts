import type { Touched } from '#core/bay/behaviour/touch'
import { terminalWords, type PartIndex } from '#core/bay/model/terminals'
import type { Line, Reply, Sight } from '#core/isolation/trainer/line'
import type { Move } from '#core/isolation/trainer/move'
import type { Says } from '#core/isolation/trainer/state'
import type { Topic } from '#core/isolation/trainer/world'
import { happeningSentence } from './happenings'
import { SOCKET_WORDS } from './instruments'
import { INDICATOR_NAME, PROOF_NAME } from './isolation'
import type { Script } from './scenarios'

const WALK = {
  customer: 'Go to the duty holder',
  board: 'Go to the board',
  source: 'Go to the known live source',
  point: 'Go to the point of work',
} as const
const ASK = {
  what: 'Ask what it is exactly',
  where: 'Ask which device feeds it',
  else: 'Ask what else it feeds',
  permit: 'Ask about permits to work',
} as const
type PlainMove = Exclude<
  Move['do'],
  | 'walk'
  | 'ask'
  | 'take'
  | 'prove'
  | 'test'
  | 'testDevice'
  | 'switch'
  | 'lock'
  | 'hasp'
  | 'mateLocks'
  | 'notice'
  | 'blankNotice'
  | 'unlock'
  | 'removeNotice'
>
const PLAIN: Readonly<Record<PlainMove, string>> = {
  permit: 'Get the permit to work',
  inform: 'Tell people it is going off',
  readChart: 'Check the circuit chart',
  lookOver: 'Look the indicator over',
  goAway: 'Leave the bay for a while',
  keepKey: 'Keep the key in your pocket',
  leaveKey: 'Leave the key in the padlock',
  warnNeutral: 'Say that the neutral is still connected',
  open: 'Open the accessory',
  part: 'Disconnect the neutrals',
  tape: 'Tape the disconnected ends',
  work: 'Do the work',
  cover: 'Reconnect and refit the cover',
  clearTools: 'Clear the tools away',
  informAgain: 'Tell people it is coming back on',
  waitForOther: 'Call the other person and wait',
  cutOthersLock: 'Remove the other padlock',
  startAgain: 'Wrong circuit: start again',
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
      return PROVE[move.on]
    case 'test':
      return move.every ? 'Test, every pair' : 'Test, one pair'
    default:
      return 'device' in move
        ? deviceMoveWords(move.do, name(move.device), isOn(move.device))
        : PLAIN[move.do]
  }
}

/** What is done to one device, on its button. */
function deviceMoveWords(does: AtDevice, device: string, isOn: boolean): string {
  const words: Readonly<Record<AtDevice, string>> = {
    testDevice: `Test what leaves ${device}`,
    switch: `Switch ${device} ${isOn ? 'off' : 'on'}`,
    lock: `Lock off ${device}`,
    hasp: `Fit a hasp to ${device}`,
    mateLocks: `Have your mate lock ${device} too`,
    notice: `Post a notice with name, date and reason at ${device}`,
    blankNotice: `Hang up a notice without filling it in at ${device}`,
    unlock: `Remove your padlock from ${device}`,
    removeNotice: `Remove the notice from ${device}`,
  }
  return words[does]
}

const PROVE = {
  here: 'Prove the indicator here',
  'self-test': 'Press the indicator’s own test button',
  'proving-unit': 'Prove it on the proving unit',
} as const

/** What you said or did in a move, as the story has it. */
const DID: Readonly<Record<PlainMove, string>> = {
  permit: 'May I have the permit for this work?',
  inform: 'I am about to switch a circuit off; this part has no supply until I tell you.',
  readChart: 'Reads the circuit chart at the board and compares.',
  lookOver: 'Looks over leads, tips and fuse, and reads the proof date.',
  goAway: 'Leaves the bay and comes back after a quarter of an hour.',
  keepKey: 'Puts the only key in the pocket.',
  leaveKey: 'Leaves the key in the padlock.',
  warnNeutral: 'Only the line is switched off. The neutral is still connected to every other circuit.',
  open: 'Opens',
  part: 'Disconnects the neutral conductors.',
  tape: 'Tapes each disconnected end.',
  work: 'Does the work, hands on the conductors.',
  cover: 'Everything is reconnected, the cover is on.',
  clearTools: 'Counts the tools and clears them away.',
  informAgain: 'It is coming back on now.',
  waitForOther: 'Calls the other person and waits.',
  cutOthersLock: 'Removes the other padlock.',
  startAgain: 'Wrong circuit. Everything as before, and again from the beginning.',
  checkFunction: 'Checks function and polarity.',
  handBack: 'The work is finished; here is the permit.',
}
const ASKED = {
  what: 'What is to be done, and what is it exactly?',
  where: 'Which device feeds it, do you know?',
  else: 'What else goes off with it, and must anything stay on?',
  permit: 'Does this site work with permits?',
} as const
const REPLIES: Readonly<Record<Reply, string>> = {
  willTell: 'All right, I’ll tell the others.',
  permitGiven: 'Here it is, signed by both sides, for today.',
  permitClosed: 'Signed off.',
  good: 'Good.',
  lockOff: 'Give me a minute. There, my padlock is off.',
  mateLocked: 'My padlock is on, and the key stays with me.',
}
const SIGHTS: Readonly<Record<Sight, string>> = {
  soundLeads: 'Leads whole, tips shrouded, proof in date.',
  otherPadlock: 'There is another padlock on the hasp.',
  lights: 'It lights.',
  lightsNot: 'Nothing lights.',
  works: 'It works.',
  supplyBack: 'It has its supply back.',
  noSupplyHere: 'There is no supply here.',
  partedTouches: 'The disconnected neutral touches the earth.',
}
const EFFECT = {
  unfelt: 'nothing that anybody would feel',
  felt: 'felt as a prick',
  letGo: 'the hand may not come off again',
  danger: 'dangerous to life',
} as const

/** What hands would have met: calmly, with figures. */
export const touchSentence = ({ openV, touchV, ampere, effect }: Touched, terminal: string): string =>
  effect === 'unfelt'
    ? 'Every conductor was dead.'
    : `At ${terminal} stood ${openV.toFixed(0)} V. Through a body: ${touchV.toFixed(0)} V, ${(ampere * 1e3).toFixed(0)} mA, ${EFFECT[effect]}.`

type Did = Extract<Line, { who: 'you' }>

function didWords(line: Did, name: (part: string) => string, point: string): string {
  const { move } = line
  switch (move.do) {
    case 'walk':
      return WALK[move.to]
    case 'ask':
      return ASKED[move.topic]
    case 'take':
      return `Takes the ${INDICATOR_NAME[move.indicator]} from the bag.`
    case 'prove':
      return `Proves the ${INDICATOR_NAME[line.indicator!]} on ${provedOn(line)}.`
    case 'test':
      return move.every ? 'Tests the point of work, every pair.' : 'Tests the point of work, one pair.'
    case 'open':
      return `Opens ${name(point)}.`
    default:
      return 'device' in move ? didAtDevice(move.do, name(move.device), line) : DID[move.do]
  }
}

const provedOn = ({ proof }: Did): string =>
  proof === 'self-test' ? PROOF_NAME[proof] : `the ${PROOF_NAME[proof!]}`

type AtDevice = Extract<Did['move'], { device: string }>['do']

/** What was done to one device. */
function didAtDevice(did: AtDevice, device: string, { isOn }: Did): string {
  const words: Readonly<Record<AtDevice, string>> = {
    testDevice: `Tests what leaves ${device}.`,
    switch: `Switches ${device} ${isOn ? 'on' : 'off'}.`,
    lock: `Fits a lock-off device and own padlock to ${device}.`,
    hasp: `Fits a hasp to ${device}: room for a padlock from everybody.`,
    mateLocks: `Has the mate hang a padlock of their own on ${device}.`,
    blankNotice: `Hangs up a caution notice at ${device} without writing on it.`,
    unlock: `Removes own padlock from ${device}.`,
    removeNotice: 'Removes the notice.',
    notice: `Posts a caution notice at ${device}: name, date, reason.`,
  }
  return words[did]
}

function scriptWords(script: Script, part: 'job' | 'shout' | Topic): string {
  if (part === 'job') return script.job
  return part === 'shout' ? (script.shout ?? '') : script.answers[part]
}

/** A line of the story in words. */
export function lineWords(line: Line, parts: PartIndex, point: string, script: Script): string {
  const name = (id: string) => parts.get(id)?.name ?? id
  if (line.who === 'you') return didWords(line, name, point)
  if ('script' in line) return scriptWords(script, line.script)
  if ('reply' in line) return REPLIES[line.reply]
  if ('sight' in line) return SIGHTS[line.sight]
  if ('touched' in line) return touchSentence(line.touched, terminalWords(parts, line.touched.terminal))
  return happeningSentence(line.happening, parts)
}

/** What a plug-in indicator or a non-contact detector shows. */
const SAYS: Readonly<Record<Says, string>> = {
  ...SOCKET_WORDS,
  lit: 'lit',
  glows: 'glows',
  noGlow: 'does not glow',
}
export const saysWords = (says: Says): string => SAYS[says]

import {
  NOTICE_PARTS,
  type Act,
  type ActKind,
  type DeviceKind,
  type Indicator,
  type Proof,
  type SecondSource,
} from '#core/isolation/model/act'
import type { IsolationPart } from '#core/isolation/model/rule'

export const ACT_TEXT: Readonly<Record<ActKind, string>> = {
  ask: 'Asks the duty holder',
  askDependants: 'Asks who depends on the supply',
  permit: 'Gets the permit',
  inform: 'Informs people',
  identify: 'Identifies the circuit',
  take: 'Takes an indicator',
  lookOver: 'Looks the indicator over',
  prove: 'Proves the indicator',
  checkLive: 'Tests the point, still on',
  switchOff: 'Switches off',
  isolateSource: 'Isolates another source',
  hasp: 'Fits a hasp',
  lock: 'Fits lock-off device and padlock',
  othersLock: 'Another person fits a padlock',
  keepKey: 'Keeps the key',
  keySafe: 'Puts the key in the key safe',
  leaveKey: 'Leaves or shares the key',
  notice: 'Posts a caution notice',
  warnNeutral: 'Considers the neutral',
  testDead: 'Tests for dead',
  coverAsLive: 'Takes the cover off, treating it as live',
  open: 'Opens the accessory',
  testTerminals: 'Tests at the terminals',
  separate: 'Disconnects the conductors',
  tape: 'Tapes them',
  testSeparated: 'Tests the disconnected conductors',
  touch: 'Touches conductors',
  leave: 'Leaves the bay',
  return: 'Comes back to the bay',
  handOver: 'Hands over to another person',
  restart: 'Starts again',
  cover: 'Closes covers',
  clearTools: 'Clears tools',
  informAgain: 'Informs people it is coming on',
  removeNotice: 'Removes the caution notice',
  removeOwnLock: 'Removes own padlock',
  removeOthersLock: 'Removes another person’s padlock',
  switchOn: 'Switches on',
  checkFunction: 'Checks function and polarity',
  handBack: 'Hands the permit back',
  stop: 'STOP',
}
export const INDICATOR_NAME: Readonly<Record<Indicator, string>> = {
  'plug-in': 'plug-in indicator',
  'two-pole': 'approved voltage indicator (two-pole)',
  multimeter: 'multimeter',
  'non-contact': 'non-contact detector',
}
export const PROOF_NAME: Readonly<Record<Proof, string>> = {
  'known-source': 'known live source',
  'proving-unit': 'proving unit',
  'self-test': 'its own test button',
  'same-circuit': 'the circuit itself',
}
export const SECOND_SOURCE_NAME: Readonly<Record<SecondSource, string>> = {
  battery: 'battery',
  photovoltaic: 'photovoltaic array',
  standby: 'standby generator',
  ups: 'UPS',
  'other-phase': 'another phase',
  'borrowed-neutral': 'borrowed neutral',
  'time-switch': 'time switch or contactor',
}
export const DEVICE_KIND_NAME: Readonly<Record<DeviceKind, string>> = {
  isolator: 'isolator',
  'two-pole-breaker': 'two-pole breaker',
  'single-pole-breaker': 'single-pole breaker',
  fuse: 'fuse',
  'functional-switch': 'switch that is no isolator',
  contactor: 'contactor',
}
export const PART_NAME: Readonly<Record<IsolationPart, string>> = {
  before: 'Before switching',
  secure: 'Isolate and secure',
  prove: 'Prove dead',
  restore: 'Restore',
}
/** Short questions at the bay, one for each constraint that has a good one. */
const QUESTIONS: Readonly<Record<string, string>> = {
  asked: 'Whom did you ask, and what could they know that the chart does not?',
  permit: 'Who signs a permit, and what does it forbid?',
  informed: 'Who would be surprised by the supply going off here?',
  identified: 'How sure are you that this is the right device, and why?',
  indicatorFits: 'Why is a multimeter not enough to prove dead?',
  checkedLive: 'What does “dead” mean if you never saw it live?',
  locked: 'What could happen between switching off and locking?',
  keyKept: 'Where is the key now, and who else has one?',
  neutralMinded: 'What is still connected when a single-pole breaker is off?',
  provedBefore: 'How do you know that your indicator works?',
  deadAtPoint: 'Why is the test made here and not at the board?',
  everyPair: 'What could be live if only line to neutral were tested?',
  provedAfter: 'Why do you prove the indicator a second time?',
  retested: 'Why test again after the cover is off?',
  separatedTested: 'How can a disconnected neutral be live?',
  ownLockOnly: 'There is another padlock on the hasp. What do you do?',
  covered: 'What must be closed before it comes on again?',
  functionChecked: 'What do you check after switching on, and with what?',
}

/** Questions worth asking now: about what broke, then about what mattered most; at most so many. */
export function questionsFor(
  rules: readonly { readonly code: string; readonly state: string; readonly seriousness: string }[],
  most = 4,
): string[] {
  const ordered = [
    ...rules.filter(({ state }) => state === 'broken'),
    ...rules.filter(({ state, seriousness }) => state === 'kept' && seriousness === 'critical'),
  ]
  return ordered.flatMap(({ code }) => QUESTIONS[code] ?? []).slice(0, most)
}

/** What an act showed: a voltage or none; of a look at the indicator, sound or not. Empty where it shows nothing. */
export function shownWords({ kind, shows }: Pick<Act, 'kind' | 'shows'>): string {
  if (shows === undefined) return ''
  if (kind === 'lookOver') return shows ? 'sound and in date' : 'damaged or out of date'
  return shows ? 'shows voltage' : 'shows nothing'
}

/** An act with everything that was put down of it. */
export function actWords(act: Act): string {
  const missing = act.content ? NOTICE_PARTS.filter((part) => !act.content!.includes(part)) : []
  const more = [
    act.proof && `on ${PROOF_NAME[act.proof]}`,
    act.kind === 'take' && act.indicator && INDICATOR_NAME[act.indicator],
    act.isMain ? 'main switch' : act.deviceKind && DEVICE_KIND_NAME[act.deviceKind],
    act.source && SECOND_SOURCE_NAME[act.source],
    act.atPoint === false && 'at something else',
    missing.length > 0 && `without ${missing.join(' and ')}`,
    shownWords(act),
    act.pairs && act.kind === 'testDead' && (act.pairs === 10 ? 'every pair' : `${act.pairs} pairs`),
  ].filter(Boolean)
  return [ACT_TEXT[act.kind], more.join(', ')].filter(Boolean).join(': ')
}

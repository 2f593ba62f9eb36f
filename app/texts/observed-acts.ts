import { SECOND_SOURCES, type Act, type ActKind } from '#core/isolation/model/act'
import { SECOND_SOURCE_NAME } from '#words/isolation'

/** Second tap of an act that has more than one way to go. */
export interface Variant {
  readonly name: string
  readonly act: Partial<Act>
  readonly isBad?: boolean
}

const TESTED: readonly Variant[] = [
  { name: 'dead', act: { shows: false, pairs: 10 } },
  { name: 'shows live', act: { shows: true }, isBad: true },
]

export const VARIANTS: Readonly<Partial<Record<ActKind, readonly Variant[]>>> = {
  take: [
    { name: 'two-pole', act: { indicator: 'two-pole' } },
    { name: 'plug-in', act: { indicator: 'plug-in' } },
    { name: 'multimeter', act: { indicator: 'multimeter' }, isBad: true },
    { name: 'non-contact', act: { indicator: 'non-contact' }, isBad: true },
  ],
  prove: [
    { name: 'live source, lit', act: { proof: 'known-source', shows: true } },
    { name: 'proving unit, lit', act: { proof: 'proving-unit', shows: true } },
    { name: 'own test button', act: { proof: 'self-test', shows: true } },
    { name: 'did not light', act: { proof: 'known-source', shows: false }, isBad: true },
    { name: 'on the circuit itself', act: { proof: 'same-circuit', shows: true }, isBad: true },
  ],
  checkLive: [
    { name: 'live', act: { shows: true, place: 'point' } },
    { name: 'shows nothing', act: { shows: false, place: 'point' }, isBad: true },
  ],
  lookOver: [
    { name: 'sound and in date', act: { shows: true } },
    { name: 'damaged or out of date', act: { shows: false }, isBad: true },
  ],
  isolateSource: SECOND_SOURCES.map((source) => ({ name: SECOND_SOURCE_NAME[source], act: { source } })),
  notice: [
    { name: 'name, date, reason', act: { place: 'board', content: ['name', 'date', 'reason'] } },
    { name: 'something is missing', act: { place: 'board', content: ['name'] }, isBad: true },
  ],
  switchOff: [
    { name: 'its breaker', act: { place: 'board', device: 'its own' } },
    {
      name: 'single-pole breaker or fuse',
      act: { place: 'board', device: 'its own', deviceKind: 'single-pole-breaker' },
    },
    { name: 'two-pole device', act: { place: 'board', device: 'its own', deviceKind: 'two-pole-breaker' } },
    { name: 'main switch', act: { place: 'board', isMain: true, device: 'its own', deviceKind: 'isolator' } },
    {
      name: 'a switch that is no isolator',
      act: { place: 'board', device: 'its own', deviceKind: 'functional-switch' },
      isBad: true,
    },
    { name: 'another breaker', act: { place: 'board', device: 'another one' }, isBad: true },
  ],
  lock: [
    { name: 'on what was switched off', act: { place: 'board', device: 'its own' } },
    { name: 'on another device', act: { place: 'board', device: 'another one' }, isBad: true },
  ],
  testDead: [
    { name: 'dead, every pair', act: { shows: false, pairs: 10, atPoint: true, place: 'point' } },
    { name: 'dead, three pairs', act: { shows: false, pairs: 3, atPoint: true, place: 'point' } },
    {
      name: 'dead, fewer pairs',
      act: { shows: false, pairs: 1, atPoint: true, place: 'point' },
      isBad: true,
    },
    { name: 'shows live', act: { shows: true, atPoint: true, place: 'point' }, isBad: true },
    { name: 'at something else', act: { shows: false, atPoint: false }, isBad: true },
  ],
  testTerminals: TESTED,
  testSeparated: TESTED,
}

/** Acts as they are tapped, by part of the work. */
export const PAD: readonly { readonly name: string; readonly kinds: readonly ActKind[] }[] = [
  {
    name: 'Before',
    kinds: ['ask', 'askDependants', 'permit', 'inform', 'identify', 'take', 'lookOver', 'prove', 'checkLive'],
  },
  {
    name: 'Secure',
    kinds: [
      'switchOff',
      'isolateSource',
      'hasp',
      'lock',
      'othersLock',
      'keepKey',
      'keySafe',
      'notice',
      'warnNeutral',
      'leaveKey',
    ],
  },
  {
    name: 'Prove dead',
    kinds: [
      'testDead',
      'prove',
      'coverAsLive',
      'open',
      'testTerminals',
      'separate',
      'tape',
      'testSeparated',
      'touch',
      'leave',
      'return',
      'handOver',
      'restart',
    ],
  },
  {
    name: 'Restore',
    kinds: [
      'cover',
      'clearTools',
      'informAgain',
      'removeNotice',
      'removeOwnLock',
      'removeOthersLock',
      'switchOn',
      'checkFunction',
      'handBack',
    ],
  },
]

/** Acts that answer an open constraint. */
export const ANSWERS: Readonly<Record<string, ActKind>> = {
  asked: 'ask',
  permit: 'permit',
  dependantsAsked: 'askDependants',
  lookedOver: 'lookOver',
  soundIndicator: 'take',
  secondSource: 'isolateSource',
  everyOwnLock: 'othersLock',
  realIsolator: 'switchOff',
  bothPoles: 'separate',
  provedOnReturn: 'testDead',
  provedOnHandOver: 'lock',
  informed: 'inform',
  identified: 'identify',
  indicatorFits: 'take',
  provedBefore: 'prove',
  checkedLive: 'checkLive',
  locked: 'lock',
  lockedRight: 'lock',
  keyKept: 'keepKey',
  noticed: 'notice',
  neutralMinded: 'warnNeutral',
  deadAtPoint: 'testDead',
  morePairsThanOne: 'testDead',
  oneIndicator: 'prove',
  provedAfter: 'prove',
  retested: 'testTerminals',
  separatedTested: 'testSeparated',
  taped: 'tape',
  covered: 'cover',
  toolsClear: 'clearTools',
  informedAgain: 'informAgain',
  noticeOff: 'removeNotice',
  othersPutBack: 'removeOwnLock',
  functionChecked: 'checkFunction',
  permitBack: 'handBack',
}

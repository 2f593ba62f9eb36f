import type { IsolationPolicy } from '#core/policies/isolation'
import { ISOLATION_CHOICES } from './policies'

/** What an isolation rule rests on, and which choice of the centre decides where schools differ. */
interface RuleSource {
  readonly source: string
  readonly policy?: keyof IsolationPolicy
}

// Titles and regulation numbers from memory of the published texts; the current issue is to be read.
const EAWR_12 = 'Electricity at Work Regulations 1989, regulation 12'
const EAWR_13 = 'Electricity at Work Regulations 1989, regulation 13'
const EAWR_14 = 'Electricity at Work Regulations 1989, regulation 14'
const HSG85 = 'HSG85, safe working practices'
const GS38 = 'GS 38, test equipment for low voltage'
const COMMON = 'Common practice, no published source'
const CENTRE = 'This centre’s rule'

const RULE_SOURCE: Readonly<Record<string, RuleSource>> = {
  asked: { source: `${HSG85}: planning the work` },
  permit: { source: `${HSG85}: permits to work` },
  dependantsAsked: { source: `${HSG85}: planning the work` },
  lookedOver: { source: GS38, policy: 'lookOver' },
  soundIndicator: { source: GS38 },
  realIsolator: { source: `${EAWR_12}; BS 7671, 537.2: devices for isolation` },
  bothPoles: { source: 'BS 7671, 461 and 537.2: isolation of the neutral' },
  secondSource: { source: `${EAWR_12}; ${HSG85}: every source of supply` },
  everyOwnLock: { source: `${HSG85}: one padlock for each person` },
  noticeContent: { source: `${HSG85}: caution notices`, policy: 'notice' },
  lockedWhileAway: { source: `${EAWR_13}; ${HSG85}: securing the isolation` },
  provedOnReturn: { source: COMMON, policy: 'onReturn' },
  provedOnHandOver: { source: `${EAWR_13}; ${HSG85}: handing over` },
  informed: { source: COMMON },
  identified: { source: `${EAWR_12}; ${HSG85}: identifying the circuit` },
  indicatorFits: { source: GS38, policy: 'firstWeeks' },
  checkedLive: { source: COMMON },
  locked: { source: `${EAWR_13}; ${HSG85}: securing the isolation` },
  lockedRight: { source: `${EAWR_13}; ${HSG85}: securing the isolation` },
  lockedAtOnce: { source: COMMON },
  keyKept: { source: `${HSG85}: securing the isolation` },
  noticed: { source: `${HSG85}: caution notices`, policy: 'notice' },
  neutralMinded: { source: COMMON, policy: 'method' },
  provedBefore: { source: `${GS38}; ${HSG85}: proving dead`, policy: 'proof' },
  provedFirst: { source: `${GS38}; ${HSG85}: proving dead` },
  oneIndicator: { source: `${GS38}; ${HSG85}: proving dead` },
  proofElsewhere: { source: GS38, policy: 'proof' },
  deadAtPoint: { source: `${EAWR_13}; ${HSG85}: proving dead at the point of work` },
  everyPair: { source: `${HSG85}: proving dead`, policy: 'pairs' },
  morePairsThanOne: { source: COMMON, policy: 'singlePair' },
  provedAfter: { source: `${GS38}; ${HSG85}: proving dead` },
  stoppedAtFailedProof: { source: GS38 },
  handsAfterDead: { source: `${EAWR_13} and 14` },
  notOnLive: { source: EAWR_14 },
  retested: { source: COMMON, policy: 'retest' },
  separatedTested: { source: COMMON },
  taped: { source: COMMON },
  ownLockOnly: { source: `${HSG85}: one padlock for each person` },
  covered: { source: EAWR_14 },
  toolsClear: { source: COMMON },
  informedAgain: { source: COMMON },
  othersPutBack: { source: COMMON },
  noticeOff: { source: COMMON },
  functionChecked: { source: 'BS 7671, 643.10: functional testing' },
  permitBack: { source: `${HSG85}: permits to work`, policy: 'permitReturn' },
  stopped: { source: CENTRE },
}

/** What a rule rests on, in a sentence; undefined for what is no rule. */
export function ruleSource(code: string): string | undefined {
  const rule = RULE_SOURCE[code]
  if (!rule) return undefined
  const choice = ISOLATION_CHOICES.find(({ key }) => key === rule.policy)
  const decided = choice ? ` Schools differ; the centre decides: “${choice.name} …”.` : ''
  return `${rule.source}.${decided}`
}

import { IDLE, KEPT, BROKEN, OPEN, handsIn, mustPrecede, placeOf, type Rule } from '../model/rule'
import { verifiedAt } from './verified'

/** What comes before anything is switched. */
export const BEFORE_RULES: readonly Rule[] = [
  {
    code: 'asked',
    part: 'before',
    isOwed: true,
    seriousness: () => 'note',
    judge: (pass) => mustPrecede(pass, ['ask', 'askDependants'], 'switchOff', true),
  },
  {
    code: 'permit',
    part: 'before',
    isOwed: true,
    seriousness: () => 'critical',
    judge: (pass, { needsPermit }) => (needsPermit ? mustPrecede(pass, 'permit', 'switchOff', true) : IDLE),
  },
  {
    code: 'dependantsAsked',
    part: 'before',
    isOwed: true,
    seriousness: () => 'fault',
    judge: (pass, { hasDependants }) =>
      hasDependants ? mustPrecede(pass, ['askDependants', 'inform'], 'switchOff', true) : IDLE,
  },
  {
    code: 'lookedOver',
    part: 'before',
    isOwed: true,
    seriousness: ({ policy }) => (policy.lookOver === 'required' ? 'fault' : 'note'),
    judge: ({ acts, ever }, site) => {
      if (site.policy.lookOver === 'unasked') return IDLE
      const looked = placeOf(acts, 'lookOver')
      const used = placeOf(acts, ['prove', 'checkLive', 'testDead'])
      if (looked !== -1 && (used === -1 || looked < used)) return KEPT(looked)
      if (placeOf(ever, 'lookOver') !== -1) return KEPT()
      const hands = handsIn(acts)
      if (used === -1 || hands === -1) return OPEN
      // Looked over late, proved and tested after it, it is put right until hands go in.
      const isPutRight =
        looked !== -1 &&
        looked < hands &&
        verifiedAt({ acts: acts.slice(looked) }, site, hands - looked) !== -1
      return isPutRight ? KEPT(looked) : BROKEN(used)
    },
  },
  {
    code: 'soundIndicator',
    part: 'before',
    isOwed: false,
    seriousness: () => 'fault',
    // Found damaged or out of date, it is put aside: nothing is tested before another one is taken.
    judge: ({ acts }) => {
      const found = acts.findIndex(({ kind, shows }) => kind === 'lookOver' && shows === false)
      if (found === -1) return IDLE
      const another = placeOf(acts, 'take', found)
      const used = placeOf(acts, ['prove', 'checkLive', 'testDead'], found)
      if (used !== -1 && (another === -1 || used < another)) return BROKEN(used)
      return another === -1 ? OPEN : KEPT(another)
    },
  },
  {
    code: 'informed',
    part: 'before',
    isOwed: true,
    seriousness: () => 'fault',
    judge: (pass) => mustPrecede(pass, 'inform', 'switchOff', true),
  },
  {
    code: 'identified',
    part: 'before',
    isOwed: true,
    seriousness: () => 'fault',
    judge: (pass) => mustPrecede(pass, 'identify', 'switchOff'),
  },
  {
    code: 'indicatorFits',
    part: 'before',
    isOwed: true,
    seriousness: () => 'fault',
    judge: ({ acts, ever }, { level, policy }) => {
      const all = [...ever, ...acts]
      const taken =
        all.findLast(({ kind }) => kind === 'take')?.indicator ??
        all.findLast(({ indicator }) => indicator !== undefined)?.indicator
      if (taken === undefined) return placeOf(acts, ['testDead', 'checkLive']) === -1 ? OPEN : BROKEN()
      const wanted = level === 'first-weeks' && policy.firstWeeks === 'plug-in' ? 'plug-in' : 'two-pole'
      return taken === wanted ? KEPT() : BROKEN(placeOf(acts, 'take'))
    },
  },
  {
    code: 'checkedLive',
    part: 'before',
    isOwed: true,
    seriousness: () => 'note',
    judge: ({ acts }) => {
      const off = placeOf(acts, 'switchOff')
      const live = acts.findIndex(({ kind, shows }) => kind === 'checkLive' && shows)
      if (live !== -1 && (off === -1 || live < off)) return KEPT(live)
      return off === -1 ? OPEN : BROKEN(off)
    },
  },
]

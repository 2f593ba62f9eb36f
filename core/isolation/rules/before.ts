import { IDLE, KEPT, BROKEN, OPEN, mustPrecede, placeOf, type Rule } from '../model/rule'

/** What comes before anything is switched. */
export const BEFORE_RULES: readonly Rule[] = [
  {
    code: 'asked',
    part: 'before',
    isOwed: true,
    seriousness: () => 'note',
    judge: (pass) => mustPrecede(pass, 'ask', 'switchOff', true),
  },
  {
    code: 'permit',
    part: 'before',
    isOwed: true,
    seriousness: () => 'critical',
    judge: (pass, { needsPermit }) => (needsPermit ? mustPrecede(pass, 'permit', 'switchOff', true) : IDLE),
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

import {
  BROKEN,
  IDLE,
  KEPT,
  OPEN,
  mustPrecede,
  placeOf,
  type Judged,
  type Pass,
  type Rule,
} from '../model/rule'

/** Only once restoring has begun: a finished isolation may end while the work goes on. */
const onceRestoring =
  (judge: (pass: Pass) => Judged) =>
  (pass: Pass): Judged =>
    placeOf(pass.acts, ['removeOwnLock', 'removeOthersLock', 'switchOn', 'informAgain', 'cover']) === -1
      ? OPEN
      : judge(pass)

export const RESTORE_RULES: readonly Rule[] = [
  {
    code: 'ownLockOnly',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'critical',
    judge: ({ acts }) => {
      const others = placeOf(acts, 'removeOthersLock')
      if (others !== -1) return BROKEN(others)
      const own = placeOf(acts, 'removeOwnLock')
      return own === -1 ? OPEN : KEPT(own)
    },
  },
  {
    code: 'covered',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'fault',
    judge: onceRestoring((pass) =>
      placeOf([...pass.ever, ...pass.acts], 'open') === -1 ? IDLE : mustPrecede(pass, 'cover', 'switchOn'),
    ),
  },
  {
    code: 'toolsClear',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'note',
    judge: onceRestoring((pass) => mustPrecede(pass, 'clearTools', 'switchOn')),
  },
  {
    code: 'informedAgain',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'fault',
    judge: onceRestoring((pass) => mustPrecede(pass, 'informAgain', 'switchOn')),
  },
  {
    code: 'noticeOff',
    part: 'restore',
    isOwed: false,
    seriousness: () => 'note',
    judge: onceRestoring((pass) =>
      placeOf(pass.acts, 'notice') === -1 ? IDLE : mustPrecede(pass, 'removeNotice', 'switchOn'),
    ),
  },
  {
    code: 'functionChecked',
    part: 'restore',
    isOwed: true,
    seriousness: () => 'fault',
    judge: ({ acts }) => {
      const on = placeOf(acts, 'switchOn')
      const checked = placeOf(acts, 'checkFunction', on)
      if (on === -1) return IDLE
      if (checked !== -1) return KEPT(checked)
      return placeOf(acts, 'handBack', on) === -1 ? OPEN : BROKEN(on)
    },
  },
  {
    code: 'permitBack',
    part: 'restore',
    isOwed: true,
    seriousness: () => 'fault',
    judge: ({ acts, ever }, { needsPermit }) => {
      if (!needsPermit || placeOf([...ever, ...acts], 'permit') === -1) return IDLE
      const back = placeOf(acts, 'handBack')
      if (back !== -1) return KEPT(back)
      return placeOf(acts, 'switchOn') === -1 ? IDLE : OPEN
    },
  },
]

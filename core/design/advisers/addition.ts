import { adviseRcd, type RcdAdvice, type RcdQuestion } from './rcd'

export const ADDITIONS = [
  'single-to-twin',
  'fused-spur',
  'points-on-ring',
  'light',
  'shower-swap',
  'new-circuit',
  'new-board',
] as const
export type Addition = (typeof ADDITIONS)[number]

export interface AdditionQuestion extends RcdQuestion {
  readonly addition: Addition
  /** The main earthing and bonding have been looked at and are as the present edition asks. */
  readonly earthingAdequate: boolean
  /** The circuit has an RCD of 30 mA already. */
  readonly hasRcd: boolean
  /** The socket that becomes a twin is itself an unfused spur that already feeds another. */
  readonly isSpurOfSpur: boolean
}

export type Duty =
  | 'look-first'
  | 'capacity'
  | 'earthing-first'
  | 'residual'
  | 'residual-there'
  | 'spur-rule'
  | 'spur-of-spur'
  | 'extend-ring'
  | 'fused-connection'
  | 'cpc-at-light'
  | 'own-circuit'
  | 'zones'
  | 'record-minor'
  | 'record-full'
  | 'test'
  | 'label'
  | 'surge'
  | 'client-told'

export interface AdditionAdvice {
  /** What has to be done or shown, in the order of the work. */
  readonly duties: readonly { readonly duty: Duty; readonly mustComeFirst: boolean }[]
  readonly residual: RcdAdvice
}

/** What each addition asks by itself. */
const OF_ADDITION: Readonly<Record<Addition, (question: AdditionQuestion) => readonly Duty[]>> = {
  'single-to-twin': ({ isSpurOfSpur }) => [isSpurOfSpur ? 'spur-of-spur' : 'spur-rule'],
  'fused-spur': () => ['fused-connection'],
  'points-on-ring': () => ['extend-ring'],
  light: () => ['cpc-at-light'],
  'shower-swap': () => ['own-circuit'],
  'new-circuit': () => [],
  'new-board': () => [],
}

/** "What does an addition require?": the duties that fall due when something is added to what is there. */
export function adviseAddition(question: AdditionQuestion): AdditionAdvice {
  const { addition } = question
  const residual = adviseRcd(question)
  const isNew = addition === 'new-circuit' || addition === 'new-board'
  const needsRcd = residual.neededA > 0
  const first: readonly Duty[] = [
    'look-first',
    ...when(!question.earthingAdequate, 'earthing-first'),
    ...when(!isNew, 'capacity'),
  ]
  const then: readonly Duty[] = [
    ...OF_ADDITION[addition](question),
    ...when(question.location === 'bathroom', 'zones'),
    ...when(needsRcd, question.hasRcd ? 'residual-there' : 'residual'),
    ...when(addition === 'new-board', 'surge'),
    'test',
    ...when(needsRcd, 'label'),
    isNew ? 'record-full' : 'record-minor',
    'client-told',
  ]
  const duties = [
    ...first.map((duty) => ({ duty, mustComeFirst: true })),
    ...then.map((duty) => ({ duty, mustComeFirst: false })),
  ]
  return { duties, residual }
}

const when = (isDue: boolean, duty: Duty): readonly Duty[] => (isDue ? [duty] : [])

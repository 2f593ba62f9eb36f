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

/** "What does an addition require?": the duties that fall due when something is added to what is there. */
export function adviseAddition(question: AdditionQuestion): AdditionAdvice {
  const { addition } = question
  const residual = adviseRcd(question)
  const duties: { duty: Duty; mustComeFirst: boolean }[] = []
  const add = (duty: Duty, mustComeFirst = false) => duties.push({ duty, mustComeFirst })
  add('look-first', true)
  if (!question.earthingAdequate) add('earthing-first', true)
  if (addition !== 'new-circuit' && addition !== 'new-board') add('capacity', true)
  if (addition === 'single-to-twin') add(question.isSpurOfSpur ? 'spur-of-spur' : 'spur-rule')
  if (addition === 'fused-spur') add('fused-connection')
  if (addition === 'points-on-ring') add('extend-ring')
  if (addition === 'light') add('cpc-at-light')
  if (addition === 'shower-swap') add('own-circuit')
  if (question.location === 'bathroom') add('zones')
  if (residual.neededA > 0) add(question.hasRcd ? 'residual-there' : 'residual')
  if (addition === 'new-board') add('surge')
  add('test')
  if (residual.neededA > 0) add('label')
  add(addition === 'new-circuit' || addition === 'new-board' ? 'record-full' : 'record-minor')
  add('client-told')
  return { duties, residual }
}

import type { FindingCode, FindingParams, FormParams } from './codes'
import type { Seriousness } from './seriousness'

/** A computed observation of one code. Its sentence is made from `params` where it is shown. */
export interface FindingOf<C extends FindingCode> {
  readonly code: C
  readonly seriousness: Seriousness
  readonly params: FindingParams[C]
  /** Where the rule stands, one line. */
  readonly regulation?: string
}

/** Any computed observation: the code says what its parameters are. */
export type Finding = { [C in FindingCode]: FindingOf<C> }[FindingCode]

/** A code that carries nothing needs no parameters. */
export type FindingRest<C extends FindingCode> =
  Readonly<Record<never, never>> extends FindingParams[C]
    ? [params?: FindingParams[C], regulation?: string]
    : [params: FindingParams[C], regulation?: string]

const finding = <C extends FindingCode>(
  seriousness: Seriousness,
  code: C,
  params: FindingParams[C] | undefined,
  regulation: string | undefined,
): Finding => ({ code, seriousness, params: params ?? {}, regulation }) as unknown as Finding

export const note = <C extends FindingCode>(code: C, ...[params, regulation]: FindingRest<C>): Finding =>
  finding('note', code, params, regulation)
export const fault = <C extends FindingCode>(code: C, ...[params, regulation]: FindingRest<C>): Finding =>
  finding('fault', code, params, regulation)
export const critical = <C extends FindingCode>(code: C, ...[params, regulation]: FindingRest<C>): Finding =>
  finding('critical', code, params, regulation)

const FORM_CODES: Readonly<Record<keyof FormParams, true>> = {
  'unreadable.notANumber': true,
  'unreadable.otherUnit': true,
  'unreadable.negative': true,
  'form.tickWanted': true,
  'form.numberWanted': true,
  'form.overNotHere': true,
  'form.notARangeEnd': true,
  'form.reasonNeeded': true,
}

/** Does its box not hold what belongs there? */
export const isAboutForm = ({ code }: Pick<Finding, 'code'>): boolean => code in FORM_CODES

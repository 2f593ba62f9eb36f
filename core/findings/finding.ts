/** A computed observation. Its sentence is made from `params` where it is shown. */
export interface Finding {
  readonly code: string
  /** `critical` outranks marks, `fault` costs the mark, `note` costs nothing. */
  readonly seriousness: 'critical' | 'fault' | 'note'
  readonly params: Readonly<Record<string, number | string>>
  /** Where the rule stands, one line. */
  readonly regulation?: string
}

export const note = (code: string, params: Finding['params'] = {}, regulation?: string): Finding => ({
  code,
  seriousness: 'note',
  params,
  regulation,
})
export const fault = (code: string, params: Finding['params'] = {}, regulation?: string): Finding => ({
  code,
  seriousness: 'fault',
  params,
  regulation,
})
export const critical = (code: string, params: Finding['params'] = {}, regulation?: string): Finding => ({
  code,
  seriousness: 'critical',
  params,
  regulation,
})

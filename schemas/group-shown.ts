/** Of the groups that have an exercise, the one whose part is shown. */
export interface GroupShown {
  readonly cohorts: readonly string[]
  /** Empty where nobody has it, or all are shown. */
  readonly cohort: string
}

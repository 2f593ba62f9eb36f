/**
 * One scale for readings, designs, isolation, wiring and inspection; words/seriousness.ts has each domain's
 * own words: `critical` outranks marks, `fault` costs the mark, `note` costs nothing.
 */
export const SERIOUSNESS = ['critical', 'fault', 'note'] as const
export type Seriousness = (typeof SERIOUSNESS)[number]

/** The most serious first. */
export const bySeriousness = (
  a: { readonly seriousness: Seriousness },
  b: { readonly seriousness: Seriousness },
): number => SERIOUSNESS.indexOf(a.seriousness) - SERIOUSNESS.indexOf(b.seriousness)

/** One term of the trade, explained in one plain sentence. */
export interface GlossaryEntry {
  /** Unique: letters and hyphens. */
  readonly key: string
  readonly term: string
  /** Symbol or abbreviation; empty where there is none. */
  readonly short: string
  readonly says: string
  /** What it is confused with; empty for nothing. */
  readonly not: string
}

/** key, term, symbol or abbreviation, one sentence, and what it is not the same as. */
export type Line = readonly [key: string, term: string, short: string, says: string, not?: string]
export const entriesOf = (lines: readonly Line[]): GlossaryEntry[] =>
  lines.map(([key, term, short, says, not = '']) => ({ key, term, short, says, not }))

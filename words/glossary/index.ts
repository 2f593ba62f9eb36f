import { BOARD_TERMS } from './board'
import { DESIGN_TERMS } from './design'
import type { GlossaryEntry } from './entry'
import { PROTECTION_TERMS } from './protection'
import { SUPPLY_TERMS } from './supply'
import { WIRING_TERMS } from './wiring'
import { WORK_TERMS } from './work'

/** The trade's terms, by their names. */
export const GLOSSARY: readonly GlossaryEntry[] = [
  ...DESIGN_TERMS,
  ...SUPPLY_TERMS,
  ...WIRING_TERMS,
  ...BOARD_TERMS,
  ...PROTECTION_TERMS,
  ...WORK_TERMS,
].sort((a, b) => (a.term.toLowerCase() < b.term.toLowerCase() ? -1 : 1))

export const GLOSSARY_BY_KEY: ReadonlyMap<string, GlossaryEntry> = new Map(
  GLOSSARY.map((entry) => [entry.key, entry]),
)

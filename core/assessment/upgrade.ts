import type { Installation } from '../installation/installation'
import { presentKey } from '../testing/upgrade'
import { FIRST } from '../exercise/upgrade'
import type { ItemKey } from './outcomes/evidence-key'
import type { Marked, Override } from './marking/proposal'

/* Marks and overrides from before circuits had names. Nothing stored is rewritten: it is read as the present form. */

const upgradeItem = <K extends string>(item: K): K =>
  /^design\.[^.]+$/.test(item) ? (item.replace('design.', `design.${FIRST}.`) as K) : item

/** `design.ib` is `design.c1.ib`. */
export const upgradeOverrides = (overrides: readonly Override[]): Override[] =>
  overrides.map((override) => ({ ...override, item: upgradeItem(override.item) }))

/**
 * Signed marks stay as they are, with the circuit they were about; before there were inspections there was no
 * work to mark.
 */
export const upgradeMarked = (marked: Marked): Marked => ({
  ...marked,
  work: marked.work ?? [],
  design: marked.design.map((mark) =>
    mark.node ? mark : { ...mark, node: `${FIRST}.${mark.step}`, scope: FIRST },
  ),
})

/** `reading.zs` of a sheet of one circuit, by the present key of that reading. */
export const presentItem = (item: ItemKey, installation: Installation, tests: string | null): ItemKey =>
  item.startsWith('reading.')
    ? `reading.${presentKey(item.slice('reading.'.length), installation, tests)}`
    : item

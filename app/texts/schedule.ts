import { KINDS } from '#core/testing/kinds/kinds'
import type { TestView } from '#schemas/schedule-views'

/** Columns of the schedule, in the order of the work: those of the dead tests, then of the live ones. */
const columns = (isDead: boolean): readonly string[] =>
  KINDS.filter((kind) => kind.isColumn && kind.isDead === isDead).map(({ key }) => key)
export const DEAD_COLUMNS = columns(true)
export const LIVE_COLUMNS = columns(false)

/** What must be so before anything is measured; the apprentice ticks it. */
export const READY: Readonly<
  Record<'dead' | 'live', readonly { readonly key: string; readonly name: string }[]>
> = {
  dead: [
    { key: 'isolated', name: 'Isolated, locked off, proved dead' },
    { key: 'inspected', name: 'Inspected: nothing open, nothing loose, covers ready' },
    { key: 'earth', name: 'Main earthing conductor connected' },
    { key: 'out', name: 'Lamps, loads, electronics, surge protection out' },
    { key: 'people', name: 'Others warned: the tester puts 500 V on the conductors' },
  ],
  live: [
    { key: 'permit', name: 'Permission given by name' },
    { key: 'covers', name: 'Covers on, blanks in' },
    { key: 'people', name: 'People informed' },
    { key: 'leads', name: 'Fused leads, undamaged' },
    { key: 'second', name: 'Second person, where the centre says so' },
  ],
}

/** `R1 + R2, furthest point`; the points by their names. */
export const whereWords = ({ pointName }: Pick<TestView, 'pointName'>): string =>
  pointName ? `at ${pointName}` : 'at the board'

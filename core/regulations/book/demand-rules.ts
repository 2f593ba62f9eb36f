import type { Diversity, Premises } from '../diversity'
import type { Use } from '../supply'
import type { Book } from './book'
import type { Cell } from './change'
import { DIVERSITY_COLUMNS, type DiversityPlace } from './values'

const PLACE: Readonly<Record<Premises, DiversityPlace>> = {
  dwelling: 'home',
  'shared-residence': 'home',
  'guest-house': 'guestHouse',
  commercial: 'business',
  // The table has no column for industry: taken as a business.
  industrial: 'business',
}
const IN_FULL: Diversity = { by: 'order', shares: [1] }

/**
 * On-Site Guide Table A2, from memory, unless the centre's book says otherwise. Water heaters with a thermostat, storage
 * and floor heating count in full by the table, fixed loads and boards because it does not name them, and so do the
 * motors of a home.
 */
export function diversityOf({ values }: Book, premises: Premises, use: Use): Diversity {
  const { largest, second, others, fullA, above } = values.diversity[PLACE[premises]]
  if (fullA[use] !== undefined) return { by: 'excess', fullA: fullA[use], share: (above[use] ?? 100) / 100 }
  if (largest[use] === undefined) return IN_FULL
  const shares = [largest[use], second[use], others[use]].flatMap((percent) =>
    percent === undefined ? [] : [percent / 100],
  )
  return { by: 'order', shares }
}

/** Where the shares of a use stand. */
export const diversityCells = ({ values }: Book, premises: Premises, use: Use): Cell[] =>
  DIVERSITY_COLUMNS.flatMap((column) =>
    values.diversity[PLACE[premises]][column][use] === undefined
      ? []
      : [{ table: `diversity-${PLACE[premises]}`, row: use, column }],
  )

/** A household cooker: so much in full, A, a share of the rest, and a socket on its control unit, A. */
export function cookerRule({ values }: Book) {
  const { fullA, above } = values.diversity.home
  return { fullA: fullA.cooker!, share: above.cooker! / 100, socketA: values.parameters.cookerSocketA }
}

/**
 * A household cooker's own current, A: 10 A, 30 % of the rest, 5 A for a socket; On-Site Guide Table A1, from
 * memory.
 */
export function cookerCurrentA(book: Book, fullA: number, hasSocket: boolean): number {
  const { fullA: base, share, socketA } = cookerRule(book)
  return (fullA <= base ? fullA : base + share * (fullA - base)) + (hasSocket ? socketA : 0)
}

/** What a household cooker takes in full, A, from the current reckoned by `cookerCurrentA`. */
export function cookerFullA(book: Book, currentA: number, hasSocket: boolean): number {
  const { fullA: base, share, socketA } = cookerRule(book)
  const reckoned = currentA - (hasSocket ? socketA : 0)
  return reckoned <= base ? reckoned : base + (reckoned - base) / share
}

import type { Cell } from './change'

/** Values that one memory alone has, or on which memories differ: the first to hold against a book. */
const DOUBTED: readonly ((cell: Cell) => boolean)[] = [
  // Some entries of Table 41.3 are printed rounded down.
  ({ table, row, column }) => table === 'zs-breakers' && ['B32', 'C32', 'C50'].includes(`${column}${row}`),
  ({ table, row }) => table === 'ca-air' && row === '25',
  ({ table, column }) => table === 'rating-flat-twin-earth' && /^10[0-3]/.test(column),
  ({ table }) => table === 'rule-buried',
  ({ table }) => table === 'rating-mineral' || table === 'drop-mineral',
]

/** Does the value stand on the list of our own doubts? */
export const isDoubted = (cell: Cell): boolean => DOUBTED.some((doubts) => doubts(cell))

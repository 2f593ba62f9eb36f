import type { Board, SurgeWays } from '../../installation/installation'
import { BOARD_BOXES, type BoardField, type ExerciseForm } from './fields'
import { readRow, type Problems } from './read-row'

/** A board as it stands in its boxes. */
export function readBoard(id: string, form: ExerciseForm, problems: Problems): Board {
  const row = readRow(`${id}.`, BOARD_BOXES, form, problems)
  const surge = readSurge(row)
  if (surge === 'half')
    problems[row.surge === null ? `${id}.surge` : `${id}.surgeDevice`] ??= { code: 'surgeHalf' }
  return {
    id,
    name: String(row.name),
    phases: Number(row.phases) as 1 | 3,
    ways: Number(row.ways),
    fedBy: row.fedBy === '' ? null : String(row.fedBy),
    electrodeOhm: row.electrode === null ? null : Number(row.electrode),
    ...(surge === null || surge === 'half' ? {} : { surge }),
  }
}

/** Both ways, or neither: an SPD stands behind a device of its own. */
function readSurge({
  surge,
  surgeDevice,
}: Record<BoardField, string | number | null>): SurgeWays | 'half' | null {
  if (surge === null && surgeDevice === null) return null
  return surge === null || surgeDevice === null
    ? 'half'
    : { deviceWay: Number(surgeDevice), way: Number(surge) }
}

import { swapped } from '#core/arrangement/swap'
import { USUAL_REACH } from '#core/arrangement/from-installation'
import { USUAL_WEIGHTS } from '#core/arrangement/wishes'
import type { Repos } from '../server/repos'
import type { Context } from '../server/services/context'
import { setLayout, showLayout, tryLayout } from '../server/services/layouts'

/** The battery store's board is set to be laid out; one apprentice has tried it twice. */
export async function playLayouts(repos: Repos, ago: (minutes: number) => Context): Promise<void> {
  const { id: exerciseId } = repos.exercises.byCode('T-04')!
  const { id } = await setLayout(ago(2880), repos.people.byNumber('I-201')!, {
    exerciseId,
    boardId: 'b1',
    cohort: 'Thursday level 2',
    reach: USUAL_REACH,
    weights: USUAL_WEIGHTS,
  })
  const apprentice = repos.people.byNumber('T-402')!
  const first = showLayout(ago(1500), apprentice, id)
  const { mark } = tryLayout(ago(1490), apprentice, id, { seating: [...first.start], tries: 0 })
  const better = swapped(first.circuits, first.board, first.start, mark!.better!.seats)
  tryLayout(ago(1480), apprentice, id, { seating: [...better], tries: 1 })
}

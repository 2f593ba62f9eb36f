import type { CuttingList, Piece } from '#core/containment/cutting'

interface Asked {
  readonly pieces: readonly Piece[]
  readonly stockMm: number
}

/** The cutting list of a run for so many bays, worked out in a worker; only the latest answer counts. */
export function useCutting(asked: () => Asked | null) {
  const desk = useDeskWorker()
  const { answer, ask } = useLatest<Asked, CuttingList>(({ pieces, stockMm }) =>
    desk.call((worker) => worker.cutStock(plain(pieces), stockMm)),
  )
  watch(asked, (job) => void ask(job && job.pieces.length > 0 ? job : null), { immediate: true })
  return answer
}

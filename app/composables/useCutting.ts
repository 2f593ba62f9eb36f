import type { CuttingList, Piece } from '#core/containment/cutting'

/** The cutting list of a run for so many bays, worked out in a worker; only the latest answer counts. */
export function useCutting(
  asked: () => { readonly pieces: readonly Piece[]; readonly stockMm: number } | null,
) {
  const list = shallowRef<CuttingList | null>(null)
  let worker: Worker | undefined
  let turn = 0
  watch(
    asked,
    (job) => {
      if (!job || job.pieces.length === 0) return void (list.value = null)
      if (!worker) {
        worker = new Worker(new URL('../workers/cutting.worker.ts', import.meta.url), { type: 'module' })
        worker.addEventListener(
          'message',
          ({ data }: MessageEvent<{ turn: number; result: CuttingList }>) => {
            if (data.turn === turn) list.value = data.result
          },
        )
      }
      worker.postMessage({
        turn: ++turn,
        pieces: job.pieces.map((piece) => ({ ...piece })),
        stockMm: job.stockMm,
      })
    },
    { immediate: true },
  )
  onScopeDispose(() => worker?.terminate())
  return list
}

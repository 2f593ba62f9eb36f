import type { Rig } from '#core/bay/model/rig'
import type { Diagnosis } from '#core/testing/diagnosis/diagnose'
import type { FromOtherBay } from '#core/testing/diagnosis/study'
import type { Readings } from '#core/testing/readings'
import type { DiagnosisOffer } from '~/workers/diagnosis.worker'

/** Causes of a sheet, looked for in a worker; a new search ends the one before. */
export function useDiagnosis() {
  const diagnosis = shallowRef<Diagnosis | null>(null)
  /** 0 to 1 while it searches; null at rest. */
  const progress = ref<number | null>(null)
  const { call, stop } = useWorker<DiagnosisOffer>(
    () => new Worker(new URL('../workers/diagnosis.worker.ts', import.meta.url), { type: 'module' }),
  )

  async function search(rig: Rig, readings: Readings, fromOtherBay: FromOtherBay): Promise<void> {
    // One that still goes on is ended; one that is done keeps what it knows of the bay.
    if (progress.value !== null) stop()
    progress.value = 0
    diagnosis.value = null
    const onProgress = callable((share: number) => (progress.value = share))
    const onFirst = callable((first: Diagnosis) => (diagnosis.value = first))
    try {
      diagnosis.value = await call((worker) =>
        worker.diagnoseSheet(plain(rig), plain(readings), fromOtherBay, onProgress, onFirst),
      )
    } catch (error) {
      // A search that a newer one has ended says nothing.
      if (error instanceof WorkerFailure && error.reason === 'stopped') return
      showProblem(error)
    }
    progress.value = null
  }

  return { diagnosis, progress, search }
}

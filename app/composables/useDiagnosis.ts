import type { Diagnosis } from '#core/testing/diagnosis/diagnose'
import type { Rig } from '#core/bay/model/rig'
import type { Readings } from '#core/testing/readings'
import type { DiagnosisNews } from '~/workers/diagnosis.worker'

/** Causes of a sheet, looked for in a worker; a new search ends the one before. */
export function useDiagnosis() {
  const diagnosis = shallowRef<Diagnosis | null>(null)
  /** 0 to 1 while it searches; null at rest. */
  const progress = ref<number | null>(null)
  let worker: Worker | undefined

  function search(rig: Rig, readings: Readings): void {
    worker?.terminate()
    worker = new Worker(new URL('../workers/diagnosis.worker.ts', import.meta.url), { type: 'module' })
    progress.value = 0
    diagnosis.value = null
    worker.addEventListener('message', ({ data }: MessageEvent<DiagnosisNews>) => {
      if (data.is === 'progress') progress.value = data.share
      else {
        diagnosis.value = data.diagnosis
        progress.value = null
      }
    })
    // A plain copy: reactive objects cannot cross to a worker.
    worker.postMessage(JSON.parse(JSON.stringify({ rig, readings })))
  }

  onScopeDispose(() => worker?.terminate())
  return { diagnosis, progress, search }
}

import { proofField, proofText, type PoleProof } from '#core/bay/mount/proof'
import { warn } from '~/utils/warn'
import type { useBayRun } from './useBayRun'
import type { useBayWiring } from './useBayWiring'

/** Continuity across a pole: the lever is put to its position, the leads to both ends, and what is read is kept. */
export function useProving(wiring: ReturnType<typeof useBayWiring>, run: ReturnType<typeof useBayRun>) {
  return async ({ device, pole, position }: PoleProof): Promise<void> => {
    const at = [`${device.id}.${pole} in`, `${device.id}.${pole} out`]
    const { display } = await run.measure(
      { instrument: 'continuity', at, volt: 500, ratedA: 0.03, multiple: 1 },
      { kind: 'close', part: device.id, on: position === 'closed' },
    )
    const text = display.is === 'reading' ? proofText(display.reading) : ''
    if (text === '') return warn('This could not be read. Switch everything off and check the wiring first.')
    wiring.change({ [proofField({ device, pole, position })]: text })
  }
}

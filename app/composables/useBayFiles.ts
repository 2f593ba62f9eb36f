import { saveFile } from '~/utils/save-file'
import { warn } from '~/utils/warn'
import type { useBayRun } from './useBayRun'
import type { useBayTouch } from './useBayTouch'
import type { useBayWiring } from './useBayWiring'

/** What may be done with all of a bay. */
export type BayFileAct = 'wired' | 'strip' | 'bare' | 'mounted' | 'listing' | 'rig'
const SAVES: readonly BayFileAct[] = ['listing', 'rig']

interface Bay {
  readonly key: string
  readonly wiring: ReturnType<typeof useBayWiring>
  readonly run: ReturnType<typeof useBayRun>
  readonly touch: ReturnType<typeof useBayTouch>
}

/** What is done with a whole bay: wired at once, stripped, saved as a network or as a file. */
export function useBayFiles({ key, wiring, run, touch }: Bay) {
  function mayChange(): boolean {
    if (touch.isLive.value) warn('The bay is live. Switch every supply off first.')
    return !touch.isLive.value
  }
  async function takeWired(): Promise<void> {
    touch.turn('connect')
    await wiring.autosave.flush()
    await wiring.takeWired(mayChange).catch(showProblem)
  }
  async function saveNetwork(): Promise<void> {
    const text = await run.listing()
    if (text === null) warn('This bay cannot be computed as it is wired, so there is no network to save.')
    else saveFile(text, `${key}.cir`, 'text/plain')
  }
  const saveBay = (): void =>
    saveFile(JSON.stringify(run.asTried.value, null, 1), `${key}.rig.json`, 'application/json')

  function begin(bare: boolean): void {
    wiring.beginBare(bare)
    touch.turn(bare ? 'mount' : 'connect')
  }

  const ACTS: Readonly<Record<BayFileAct, () => void | Promise<void>>> = {
    wired: takeWired,
    strip: wiring.strip,
    bare: () => begin(true),
    mounted: () => begin(false),
    listing: saveNetwork,
    rig: saveBay,
  }
  return async (what: BayFileAct): Promise<void> => {
    if (SAVES.includes(what) || mayChange()) await ACTS[what]()
  }
}

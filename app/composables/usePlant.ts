import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { layoutBay } from '#core/bay/layout/layout'
import { routeWires } from '#core/bay/layout/route'
import { isAtPlace, type Pointed } from '#core/bay/faults/at-place'
import type { Fault } from '#core/bay/faults/fault'
import type { AimCode } from '#core/testing/fault-finding/aims'
import type { PlantBay, PlantFault, PlantPreviewView } from '#schemas/fault-finding-views'

/** So many at once can still be told from their readings. */
const MOST_AT_ONCE = 3
const sameFault = (a: Pick<Fault, 'code' | 'place'>, b: Pick<Fault, 'code' | 'place'>): boolean =>
  a.code === b.code && a.place === b.place

export interface PlantServer {
  /** Null while it loads. */
  readonly bay: Readonly<Ref<PlantBay | null>>
  /** What these faults make of a bay. */
  readonly ask: (bay: string, faults: readonly Fault[]) => Promise<PlantPreviewView>
  readonly tell: (problem: unknown) => void
}

/** A bay with the faults that can be planted in it: pointed at on the drawing, chosen, and what they show. */
export function usePlant(code: Readonly<Ref<string>>, { bay: loaded, ask, tell }: PlantServer) {
  // Until another bay has come, the one before is not shown: its faults are none of the new one.
  const bay = computed(() => (loaded.value?.code === code.value ? loaded.value : null))
  const layout = computed(() => (bay.value ? layoutBay(bay.value.rig) : null))
  const paths = computed(() =>
    bay.value && layout.value ? routeWires(layout.value, bay.value.rig.wires) : new Map(),
  )

  const pointed = ref<Pointed | null>(null)
  const aim = ref<AimCode | 'any'>('any')
  const chosen = ref<readonly PlantFault[]>([])
  const preview = shallowRef<PlantPreviewView | null>(null)
  const isComputing = ref(false)
  const isChosen = (fault: PlantFault): boolean => chosen.value.some((one) => sameFault(one, fault))
  const shown = computed(() =>
    (bay.value?.faults ?? []).filter(
      (fault) =>
        (aim.value === 'any' || fault.aim === aim.value) &&
        (pointed.value === null || isAtPlace(bay.value!.rig, fault.at, pointed.value)),
    ),
  )

  let latest = 0
  /** What the chosen faults show; a slower earlier answer never stands over a later choice. */
  async function compute(): Promise<void> {
    const turn = ++latest
    preview.value = null
    isComputing.value = chosen.value.length > 0
    if (chosen.value.length === 0) return
    const faults = chosen.value.map(({ code: fault, place }) => ({ code: fault, place }))
    try {
      const answer = await ask(code.value, faults)
      if (turn === latest) preview.value = answer
    } catch (error) {
      if (turn === latest) tell(error)
    } finally {
      if (turn === latest) isComputing.value = false
    }
  }
  function choose(faults: readonly PlantFault[]): Promise<void> {
    chosen.value = faults.slice(-MOST_AT_ONCE)
    return compute()
  }
  const toggle = (fault: PlantFault): Promise<void> =>
    choose(isChosen(fault) ? chosen.value.filter((one) => !sameFault(one, fault)) : [...chosen.value, fault])

  watch(code, () => {
    pointed.value = null
    void choose([])
  })
  return {
    ...{ bay, layout, paths },
    ...{ pointed, aim, shown, chosen, isChosen, preview, isComputing, choose, toggle },
  }
}

import { computed, reactive, ref, shallowRef, watch, type Ref } from 'vue'
import type { Arranged, NotArranged } from '#core/arrangement/arrange'
import type { Seating } from '#core/arrangement/board'
import { swapped } from '#core/arrangement/swap'
import { boxesOf, laidBoard, USUAL_REACH } from '#core/arrangement/from-installation'
import { measure } from '#core/arrangement/measure'
import { costsOf, totalOf, USUAL_WEIGHTS, WISHES, type Weights, type Wish } from '#core/arrangement/wishes'
import type { InstallationDesign } from '#core/design/reference'
import type { Installation } from '#core/installation/installation'
import { callable, plain, useWorker, WorkerFailure } from '~/composables/useWorker'
import type { ArrangeOffer, Priced } from '~/workers/arrange.worker'

const NOTICEABLE = 1e-6

/** A board laid out by hand or computed from weighed wishes; the exercise has it once it is taken over. */
export function useArrangement(
  installation: () => Installation | null,
  design: () => InstallationDesign | null,
  boardId: Ref<string>,
) {
  const weights = reactive<Record<Wish, number>>({ ...USUAL_WEIGHTS })
  const reach = ref(USUAL_REACH)
  const laid = computed(() => {
    const [rig, worked] = [installation(), design()]
    return rig && worked ? laidBoard(rig, worked, boardId.value, reach.value) : null
  })
  const own = shallowRef<Seating | null>(null)
  const seating = computed<Seating>(() => own.value ?? laid.value?.seating ?? [])
  /** One that is kept to compare with what comes after it. */
  const kept = shallowRef<Seating | null>(null)
  /** A seating is of the circuits that there were when it was made. */
  watch(
    () => laid.value?.circuits.map(({ id }) => id).join(' ') + boardId.value,
    () => (own.value = kept.value = null),
  )
  const measured = (of: Seating) => (laid.value ? measure(laid.value.circuits, laid.value.board, of) : null)
  const now = computed(() => measured(seating.value))
  const before = computed(() => (laid.value ? measured(laid.value.seating) : null))
  const keptFigures = computed(() => (kept.value ? measured(kept.value) : null))
  const keep = () => (kept.value = seating.value)
  /** Swaps the one on the board and the kept one. */
  function swapWithKept() {
    const shown = seating.value
    own.value = kept.value
    kept.value = shown
  }
  const total = (of: Seating) =>
    laid.value ? totalOf(costsOf(laid.value.circuits, laid.value.board, of), weights) : 0

  const isBusy = ref(false)
  const problem = ref('')
  const refused = shallowRef<NotArranged | null>(null)
  const priced = shallowRef<Priced | null>(null)
  const { call, stop } = useWorker<ArrangeOffer>(
    () => new Worker(new URL('../workers/arrange.worker.ts', import.meta.url), { type: 'module' }),
  )

  let shown: Seating | null = null
  /** A better one takes the place of the first, unless somebody has moved something by hand meanwhile. */
  function show(best: Arranged | NotArranged) {
    refused.value = 'code' in best ? best : null
    if ('code' in best || (shown !== null && own.value !== shown)) return
    own.value = shown = best.seating
  }
  /** Ended by whoever waits, it leaves what was found so far. */
  async function workOut() {
    if (!laid.value) return
    const { circuits, board } = laid.value
    isBusy.value = true
    problem.value = ''
    priced.value = shown = null
    const wished: Weights = { ...weights }
    try {
      priced.value = await call((worker) =>
        worker.arrangeAll(plain(circuits), plain(board), wished, callable(show)),
      )
    } catch (error) {
      if (!(error instanceof WorkerFailure)) throw error
      if (error.reason === 'failed') problem.value = error.message
    } finally {
      isBusy.value = false
    }
  }
  /** Swaps two seats by hand; a device with three poles moves with its whole way. */
  function swap(a: number, b: number) {
    if (!laid.value) return
    own.value = swapped(laid.value.circuits, laid.value.board, seating.value, [a, b])
  }
  /** Which wishes would come out better without one: what that wish costs. */
  const prices = computed(() => {
    const { best, without } = priced.value ?? {}
    if (!best || 'code' in best) return []
    return WISHES.flatMap((wish) => {
      const other = without?.[wish]
      const gains = WISHES.filter(
        (one) => one !== wish && weights[one] > 0 && other && other.costs[one] < best.costs[one] - NOTICEABLE,
      )
      return gains.length > 0 ? [{ wish, gains }] : []
    })
  })
  const taken = () => (laid.value ? boxesOf(laid.value, seating.value, boardId.value) : {})
  const isChanged = computed(() => own.value !== null)
  const undo = () => (own.value = null)
  return {
    weights,
    reach,
    laid,
    seating,
    now,
    before,
    total,
    isBusy,
    problem,
    refused,
    priced,
    prices,
    workOut,
    stop,
    swap,
    taken,
    isChanged,
    undo,
    kept,
    keptFigures,
    keep,
    swapWithKept,
  }
}

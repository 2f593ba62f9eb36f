import { computed, onScopeDispose, shallowRef, type Ref } from 'vue'
import { AXES, directionsOf, dot } from '#core/containment/geometry'
import { project } from '#core/containment/drawing'
import type { ContainmentRun } from '#core/containment/containment-run'
import { aTaskLater } from '~/utils/a-task-later'

/** What a drawing shows of the wall, mm. */
export interface WallView {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}
/** From the screen to the wall, without a turn. */
export type ScreenToWall = Pick<DOMMatrix, 'a' | 'd' | 'e' | 'f'>

interface Drag {
  readonly straight: number
  /** As it was when the hand took the corner. */
  readonly run: ContainmentRun
  readonly axis: { readonly x: number; readonly y: number }
  /** Held while the view is: asking for it lays the whole page out. */
  readonly matrix: ScreenToWall
  readonly start: { readonly x: number; readonly y: number }
}
type At = Pick<PointerEvent, 'clientX' | 'clientY'>

const SNAP_MM = 10
const toWall = ({ clientX, clientY }: At, { a, d, e, f }: ScreenToWall) => ({
  x: clientX * a + e,
  y: clientY * d + f,
})

/** Does this straight come off the wall, or go back to it? */
export const isOffWall = (run: ContainmentRun, straight: number): boolean =>
  Math.abs(dot(directionsOf(run.straights)[straight]!, AXES.out)) > 0.5

/**
 * A corner dragged along its straight, snapping to ten millimetres. The run is drawn under the hand at once; `tell`
 * comes a task later, with the newest length alone, and at the latest when the hand lets go.
 */
export function useCornerDrag(
  run: Readonly<Ref<ContainmentRun>>,
  view: Readonly<Ref<WallView>>,
  tell: (straight: number, mm: number) => void,
) {
  const dragged = shallowRef<{ readonly straight: number; readonly mm: number } | null>(null)
  /** The view holds still while a corner is dragged, so that the hand and the line agree. */
  const held = shallowRef<WallView | null>(null)
  let drag: Drag | null = null
  const told = aTaskLater(() => dragged.value && tell(dragged.value.straight, dragged.value.mm))
  onScopeDispose(told.drop)

  const shown = computed<ContainmentRun>(() => {
    const now = dragged.value
    if (!now || !drag) return run.value
    const straights = drag.run.straights.map((one, i) =>
      i === now.straight ? { ...one, lengthMm: now.mm } : one,
    )
    return { ...drag.run, straights }
  })

  function grab(at: At, straight: number, matrix: ScreenToWall): void {
    held.value = { ...view.value }
    const axis = project(directionsOf(run.value.straights)[straight]!)
    drag = { straight, run: run.value, axis, matrix, start: toWall(at, matrix) }
  }
  function move(at: At): void {
    if (!drag) return
    const { axis, start, matrix, straight } = drag
    const fromMm = drag.run.straights[straight]!.lengthMm
    const { x, y } = toWall(at, matrix)
    const along = ((x - start.x) * axis.x + (y - start.y) * axis.y) / (axis.x ** 2 + axis.y ** 2)
    const mm = Math.max(SNAP_MM, Math.round((fromMm + along) / SNAP_MM) * SNAP_MM)
    if (mm === (dragged.value?.mm ?? fromMm)) return
    dragged.value = { straight, mm }
    told.ask()
  }
  function drop(): void {
    told.catchUp()
    dragged.value = null
    held.value = null
    drag = null
  }
  return { shown, seen: computed(() => held.value ?? view.value), grab, move, drop }
}

import { select } from 'd3-selection'
import { zoom, zoomIdentity, type ZoomTransform } from 'd3-zoom'

const MOST = 8
const STEP = 1.6
const MOVE = 90
/** A tap may slip so far, px, before it is a drag. */
const SLIP = 8

interface Size {
  readonly w: number
  readonly h: number
}
/** In a page that scrolls, the wheel alone and one finger scroll it while the whole is shown. */
const isForPage = (event: Event, scale: number): boolean => {
  if (event instanceof WheelEvent) return !event.ctrlKey && !event.metaKey
  return scale === 1 && 'touches' in event && (event as TouchEvent).touches.length < 2
}

/** A drawing that is zoomed and moved: by wheel, two fingers, drag, buttons and keys. */
export function useSceneZoom(svg: Ref<SVGSVGElement | null>, size: Size, isInPage = false) {
  const at = shallowRef<ZoomTransform>(zoomIdentity)
  const behaviour = zoom<SVGSVGElement, unknown>()
    .scaleExtent([1, MOST])
    .translateExtent([
      [0, 0],
      [size.w, size.h],
    ])
    .extent([
      [0, 0],
      [size.w, size.h],
    ])
    .filter((event: Event) => !(event as MouseEvent).button && !(isInPage && isForPage(event, at.value.k)))
    .clickDistance(SLIP)
    .on('zoom', ({ transform }: { transform: ZoomTransform }) => (at.value = transform))
  const drawn = () => select(svg.value!)
  onMounted(() => drawn().call(behaviour).on('dblclick.zoom', null))

  const by = (factor: number) => behaviour.scaleBy(drawn(), factor)
  const whole = () => behaviour.transform(drawn(), zoomIdentity)
  /** Brings a spot into the middle where it is zoomed. */
  function show(x: number, y: number) {
    if (at.value.k > 1) behaviour.translateTo(drawn(), x, y)
  }
  const KEYS: Readonly<Record<string, () => void>> = {
    '+': () => by(STEP),
    '=': () => by(STEP),
    '-': () => by(1 / STEP),
    '0': whole,
    ArrowLeft: () => behaviour.translateBy(drawn(), MOVE / at.value.k, 0),
    ArrowRight: () => behaviour.translateBy(drawn(), -MOVE / at.value.k, 0),
    ArrowUp: () => behaviour.translateBy(drawn(), 0, MOVE / at.value.k),
    ArrowDown: () => behaviour.translateBy(drawn(), 0, -MOVE / at.value.k),
  }
  function key(event: KeyboardEvent) {
    const act = KEYS[event.key]
    if (!act) return
    event.preventDefault()
    act()
  }
  return {
    transform: computed(() => at.value.toString()),
    scale: computed(() => at.value.k),
    by,
    whole,
    show,
    key,
  }
}

import { path } from 'd3-path'
import { cornersOf, type Corner, type Vector } from './geometry'
import { tangentMm } from './bending'
import type { ContainmentRun, Former } from './containment-run'

/** A run as somebody before the wall draws it: the wall flat, what comes off it slanting down to the right. */
export interface DrawnRun {
  /** Path of the centre line with its bends, SVG. */
  readonly path: string
  readonly corners: readonly { readonly x: number; readonly y: number; readonly corner: Corner }[]
  readonly viewBox: {
    readonly x: number
    readonly y: number
    readonly width: number
    readonly height: number
  }
}

/** How far a millimetre off the wall is drawn to the right and down. */
const SLANT: readonly [number, number] = [0.42, 0.3]
const MARGIN_MM = 130

export const project = ([x, y, z]: Vector): { readonly x: number; readonly y: number } => ({
  x: x + z * SLANT[0],
  y: -y + z * SLANT[1],
})

/**
 * The drawing in millimetres of the wall. Deviations, where there are any, shift the corners before they are
 * drawn.
 */
export function drawRun(run: ContainmentRun, former: Former, shifted?: readonly Vector[]): DrawnRun {
  const corners = cornersOf(run)
  const at = (i: number): Vector => shifted?.[i] ?? corners[i]!.at
  const points = corners.map((corner, i) => ({ ...project(at(i)), corner }))
  const line = path()
  line.moveTo(points[0]!.x, points[0]!.y)
  for (let i = 1; i < points.length; i += 1) {
    const [before, here, after] = [points[i - 1]!, points[i]!, points[i + 1]]
    // Only conduit is bent; trunking and tray meet at the corner.
    const isFormed = run.made === 'conduit' && (here.corner.joint === 'bend' || here.corner.joint === 'set')
    if (!after || !isFormed) {
      line.lineTo(here.x, here.y)
      continue
    }
    const share = (from: { x: number; y: number }, to: { x: number; y: number }, mm: number) => {
      const length = Math.hypot(to.x - from.x, to.y - from.y) || 1
      const t = Math.min(0.48, mm / length)
      return { x: from.x + (to.x - from.x) * t, y: from.y + (to.y - from.y) * t }
    }
    const tangent = tangentMm(former, here.corner.angleDeg)
    const [a, b] = [share(here, before, tangent), share(here, after, tangent)]
    line.lineTo(a.x, a.y)
    line.quadraticCurveTo(here.x, here.y, b.x, b.y)
  }
  const [xs, ys] = [points.map(({ x }) => x), points.map(({ y }) => y)]
  const [left, top] = [Math.min(...xs) - MARGIN_MM, Math.min(...ys) - MARGIN_MM]
  return {
    path: String(line),
    corners: points,
    viewBox: {
      x: left,
      y: top,
      width: Math.max(...xs) + MARGIN_MM - left,
      height: Math.max(...ys) + MARGIN_MM - top,
    },
  }
}

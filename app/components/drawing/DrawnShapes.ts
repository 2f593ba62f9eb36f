import { h, type FunctionalComponent, type VNode } from 'vue'
import type { Shape, Shapes } from '#core/drawing/shape'

const wide = (value: number | undefined) => (value === undefined ? undefined : { strokeWidth: value })

function node(shape: Shape): VNode {
  switch (shape.is) {
    case 'path':
      return h('path', { d: shape.d, class: shape.skin, style: wide(shape.wide) })
    case 'rect':
      return h('rect', {
        x: shape.x,
        y: shape.y,
        width: shape.w,
        height: shape.h,
        rx: shape.r,
        class: shape.skin,
      })
    case 'circle':
      return h('circle', { cx: shape.x, cy: shape.y, r: shape.r, class: shape.skin })
    case 'group':
      return h(
        'g',
        { transform: `translate(${shape.x} ${shape.y}) rotate(${shape.turn}) scale(${shape.scale ?? 1})` },
        shape.shapes.map(node),
      )
    case 'text':
      return h('text', { x: shape.x, y: shape.y, class: shape.skin }, shape.text)
  }
}

/** Drawn shapes inside an SVG of the class `drawn`: no component of its own for each, a scene has hundreds. */
const DrawnShapes: FunctionalComponent<{ shapes: Shapes }> = ({ shapes }) => shapes.map(node)
DrawnShapes.props = ['shapes']
export default DrawnShapes

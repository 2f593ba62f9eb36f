/* A drawn scene as one SVG picture with its stylesheet, so that it can be looked at pixel by pixel. */
import { readFileSync } from 'node:fs'
import type { Shape, Shapes } from '#core/drawing/shape'
import { SCENE_H, SCENE_W } from '#core/inspection/scenes/spot'

const escaped = (text: string): string => text.replace(/[&<>"]/g, (one) => `&#${one.charCodeAt(0)};`)
const SHEET = readFileSync('app/assets/drawn.css', 'utf8')
/** Colours of the light cloth; what draws the picture knows no variables. */
const LIGHT = Object.fromEntries(
  [.../\.drawn \{([^}]*)\}/.exec(SHEET)![1]!.matchAll(/(--[a-z-]+): (#\w+)/g)].map(([, name, colour]) => [
    name!,
    colour!,
  ]),
)
const STYLE = SHEET.replaceAll('var(--font)', 'sans-serif')
  .replaceAll('var(--mono)', 'monospace')
  .replace(/var\((--[a-z-]+)\)/g, (text, name: string) => LIGHT[name] ?? text)

function markup(shape: Shape): string {
  switch (shape.is) {
    case 'path':
      return `<path class="${shape.skin}" d="${shape.d}"${shape.wide === undefined ? '' : ` style="stroke-width:${shape.wide}"`}/>`
    case 'rect':
      return `<rect class="${shape.skin}" x="${shape.x}" y="${shape.y}" width="${shape.w}" height="${shape.h}" rx="${shape.r ?? 0}"/>`
    case 'circle':
      return `<circle class="${shape.skin}" cx="${shape.x}" cy="${shape.y}" r="${shape.r}"/>`
    case 'text':
      return `<text class="${shape.skin}" x="${shape.x}" y="${shape.y}">${escaped(shape.text)}</text>`
    case 'group':
      return `<g transform="translate(${shape.x} ${shape.y}) rotate(${shape.turn}) scale(${shape.scale ?? 1})">${shape.shapes.map(markup).join('')}</g>`
  }
}

/** `wide` by `high` units, drawn one pixel a unit. */
export const svgOf = (shapes: Shapes, wide = SCENE_W, high = SCENE_H): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" class="drawn" viewBox="0 0 ${wide} ${high}" width="${wide}" height="${high}">` +
  `<style>${STYLE}</style>${shapes.map(markup).join('')}</svg>`

/** What a shape is made of, as it is seen: a class of the stylesheet; never what is wrong with it. */
export type Skin =
  // Enclosures, mouldings and metal.
  | 'moulding'
  | 'moulding dim'
  | 'recess'
  | 'steel'
  | 'steel dark'
  | 'painted'
  | 'painted bare'
  | 'iron'
  | 'brass'
  | 'copper'
  | 'rail'
  | 'dark'
  | 'timber'
  | 'wall'
  | 'shade'
  // Devices.
  | 'lever'
  | 'lever red'
  | 'button'
  | 'window green'
  | 'window red'
  | 'lamp on'
  | 'lamp off'
  // What secures, and what is tested with.
  | 'clamp'
  | 'shackle'
  | 'lock own'
  | 'lock other'
  | 'grip'
  | 'lead'
  | 'lead red'
  | 'display'
  // Screws.
  | 'screw'
  | 'slot'
  // Conductors and sheaths, by colour.
  | 'wire brown'
  | 'wire black'
  | 'wire grey'
  | 'wire blue'
  | 'wire red'
  | 'wire earth'
  | 'wire bare'
  | 'sheath grey'
  | 'sheath white'
  | 'sheath armour'
  | 'band'
  | 'strand'
  // Paper, words and lines.
  | 'paper'
  | 'notice'
  | 'writing'
  | 'line'
  | 'line thin'
  | 'words'
  | 'words fine'
  | 'words white'
  /** On plaster or inside a case, in either cloth. */
  | 'words plain'
  // Marks of use.
  | 'scorch'
  | 'stain'
  | 'dust'
  | 'seal'
  | 'glow'
  | 'glow lit'
  | 'rays'

/** A drawn shape, in units of its scene; a group stands where it is put, turned in degrees about its corner. */
export type Shape =
  | { readonly is: 'path'; readonly d: string; readonly skin: Skin; readonly wide?: number }
  | {
      readonly is: 'rect'
      readonly x: number
      readonly y: number
      readonly w: number
      readonly h: number
      readonly r?: number
      readonly skin: Skin
    }
  | { readonly is: 'circle'; readonly x: number; readonly y: number; readonly r: number; readonly skin: Skin }
  /** Text stands in the middle of its place. */
  | {
      readonly is: 'text'
      readonly x: number
      readonly y: number
      readonly text: string
      readonly skin: Skin
    }
  | {
      readonly is: 'group'
      readonly x: number
      readonly y: number
      readonly turn: number
      /** Larger or smaller than it is drawn; as it is where left out. */
      readonly scale?: number
      readonly shapes: readonly Shape[]
    }
export type Shapes = readonly Shape[]

/** A line or an outline; `wide` in units of the scene, where its skin does not say it. */
export const path = (skin: Skin, d: string, wide?: number): Shape =>
  wide === undefined ? { is: 'path', d, skin } : { is: 'path', d, skin, wide }
type Rect = Extract<Shape, { is: 'rect' }>
/** A box from its upper left corner. */
export const rect = (skin: Skin, x: number, y: number, w: number, h: number): Rect => ({
  is: 'rect',
  x,
  y,
  w,
  h,
  skin,
})
/** With corners of a radius. */
export const rounded = (r: number, box: Rect): Shape => ({ ...box, r })
export const circle = (skin: Skin, x: number, y: number, r: number): Shape => ({
  is: 'circle',
  x,
  y,
  r,
  skin,
})
export const words = (x: number, y: number, text: string, skin: Skin = 'words'): Shape => ({
  is: 'text',
  x,
  y,
  text,
  skin,
})
/** Shapes drawn about their own corner, put somewhere. */
export const put = (x: number, y: number, shapes: Shapes, turn = 0): Shape => ({
  is: 'group',
  x,
  y,
  turn,
  shapes,
})
/** Drawn larger or smaller, put somewhere. */
export const sized = (x: number, y: number, scale: number, shapes: Shapes): Shape => ({
  is: 'group',
  x,
  y,
  turn: 0,
  scale,
  shapes,
})
/** Shapes that are there only where it looks so. */
export const where = (isSo: boolean, ...shapes: readonly Shape[]): Shapes => (isSo ? shapes : [])

/** A screw's head; the slot lies as it was left. */
export const screw = (x: number, y: number, r: number, turn = 30): Shapes => {
  const [dx, dy] = [Math.cos((turn * Math.PI) / 180) * r * 0.8, Math.sin((turn * Math.PI) / 180) * r * 0.8]
  const at = (value: number) => value.toFixed(1)
  return [
    circle('screw', x, y, r),
    path('slot', `M${at(x - dx)} ${at(y - dy)}L${at(x + dx)} ${at(y + dy)}`, Math.max(1, r / 3)),
  ]
}
/** The browned patch that heat leaves. */
export const scorch = (x: number, y: number, w: number, h: number): Shape =>
  path(
    'scorch',
    `M${x} ${y + h / 2}Q${x + w * 0.1} ${y} ${x + w / 2} ${y + h * 0.06}T${x + w} ${y + h / 2}` +
      `Q${x + w * 0.94} ${y + h} ${x + w / 2} ${y + h * 0.95}T${x} ${y + h / 2}Z`,
  )
/** A crack that runs through a moulding. */
export const crack = (x: number, y: number, w: number, h: number): Shape =>
  path(
    'line',
    `M${x} ${y}l${w * 0.3} ${h * 0.2} ${-w * 0.1} ${h * 0.25} ${w * 0.45} ${h * 0.2}` +
      ` ${-w * 0.15} ${h * 0.2} ${w * 0.5} ${h * 0.15}`,
    2,
  )

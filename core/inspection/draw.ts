import type { Spot, SpotKind } from './scene'

/** What a shape is made of, as it is seen; never what is wrong with it. */
export type Skin =
  | 'device'
  | 'device main'
  | 'lever'
  | 'lever red'
  | 'screw'
  | 'wire brown'
  | 'wire blue'
  | 'wire green'
  | 'wire green slim'
  | 'wire grey'
  | 'wire orange'
  | 'stripe'
  | 'strand'
  | 'line'
  | 'case'
  | 'blank'
  | 'dark'
  | 'busbar'
  | 'paper'
  | 'writing'
  | 'plug'
  | 'ring'
  | 'seal'
  | 'clamp'
  | 'pipe'
  | 'tiny'

/** A drawn shape, in units of the scene. */
export type Shape =
  | { readonly is: 'path'; readonly d: string; readonly skin: Skin }
  | {
      readonly is: 'rect'
      readonly x: number
      readonly y: number
      readonly w: number
      readonly h: number
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

const path = (skin: Skin, d: string): Shape => ({ is: 'path', d, skin })
const rect = (skin: Skin, x: number, y: number, w: number, h: number): Shape => ({
  is: 'rect',
  x,
  y,
  w,
  h,
  skin,
})
const whole = (skin: Skin, { x, y, w, h }: Spot): Shape => rect(skin, x, y, w, h)
const circle = (skin: Skin, x: number, y: number, r: number): Shape => ({ is: 'circle', x, y, r, skin })
const words = (x: number, y: number, text: string): Shape => ({ is: 'text', x, y, text, skin: 'tiny' })
/** Shapes that are there only where it looks so. */
const where = (isSo: boolean, ...shapes: readonly Shape[]): readonly Shape[] => (isSo ? shapes : [])

type Draw = (spot: Spot, mid: number) => readonly Shape[]

const device: Draw = (spot, mid) => {
  const { x, y, look } = spot
  return [
    whole('device', spot),
    rect('lever', x + 18, y + 30, 18, 34),
    circle('screw', mid, y + 12, 7),
    path('wire brown', `M${mid} ${y + (look === 'copper' ? -2 : 6)}V${y - 60}`),
    ...where(look === 'copper', path('wire orange', `M${mid} ${y + 4}V${y - 12}`)),
    ...where(look === 'insulation', path('wire brown', `M${mid} ${y + 20}V${y}`)),
    ...where(
      look === 'strands',
      ...[1, 2, 3].map((n) => path('strand', `M${mid - 6 + n * 4} ${y - 6}l${n * 4 - 8} -10`)),
    ),
  ]
}

const way: Draw = (spot) => {
  if (spot.look !== 'gap') return [whole('blank', spot)]
  const { x, y } = spot
  return [whole('dark', spot), path('busbar', `M${x + 14} ${y + 30}v16M${x + 36} ${y + 30}v16`)]
}

const label: Draw = (spot) => {
  const { x, y, w, look } = spot
  return where(
    look === 'text',
    whole('paper', spot),
    path('writing', `M${x + 6} ${y + 8}h${w - 14}M${x + 6} ${y + 15}h${w - 24}`),
  )
}

const knockOut: Draw = (spot) => [whole(spot.look === 'closed' ? 'plug' : 'dark', spot)]

const entry: Draw = (spot) => {
  const { x, y, w, h, look } = spot
  return [whole('dark', spot), ...where(look === 'grommet', rect('ring', x + 3, y + 3, w - 6, h - 6))]
}

const neutral: Draw = ({ y, look }, mid) => [
  path('wire blue', `M${mid} ${y + 30}V${look === 'own' ? 330 : 318}`),
  ...where(look === 'other', path('wire blue', `M${mid} ${y + 6}h44v-10`)),
  circle('screw', mid, y + 28, look === 'own' ? 6 : 3),
]

const earthAtBar: Draw = ({ y, look }, mid) => {
  const line = `M${mid} ${y + (look === 'loose' ? 12 : 30)}V${y - 14}`
  return [
    path(look === 'bare' ? 'wire orange' : 'wire green', line),
    ...where(look !== 'bare', path('stripe', line)),
    circle('screw', mid, y + 28, 6),
  ]
}

/** The earthing conductor of an intake, by its route: sheath, neutral block or electrode. */
const earthOfIntake: Draw = ({ id, x, y, w, look }) => {
  const end = x + w - (look === 'loose' ? 26 : -6)
  const skin = look === 'bare' ? 'wire orange' : 'wire green'
  const frayed = where(look === 'loose', path('strand', `M${x + w - 26} ${y + 20}l12 -14`))
  if (id.endsWith('-a')) return [path(skin, `M170 470H${end}`), circle('screw', 170, 470, 10), ...frayed]
  if (id.endsWith('-b')) return [path(skin, `M210 400V${y + 30}H${end}`), ...frayed]
  return [
    path(skin, `M${x} 528V${y + 30}H${end}`),
    path('busbar', `M${x - 8} 526h16M${x - 5} 531h10`),
    ...frayed,
  ]
}

const earth: Draw = (spot, mid) =>
  spot.id.startsWith('earthing-') ? earthOfIntake(spot, mid) : earthAtBar(spot, mid)

const tails: Draw = ({ x, y, w, look }, mid) => [
  path('wire grey', `M${mid - 7} ${y + 90}V284M${mid + 7} ${y + 90}V284`),
  ...where(look === 'clamped', rect('clamp', x, y + 30, w, 16)),
]

const paperOn =
  (text: string): Draw =>
  (spot, mid) =>
    where(spot.look === 'there', whole('paper', spot), words(mid, spot.y + 25, text))

const isolator: Draw = (spot, mid) => [
  whole('device main', spot),
  rect('lever red', mid - 11, spot.y + 26, 22, 40),
  ...where(spot.look === 'marked', words(mid, spot.y + spot.h - 8, 'main')),
]

const cutout: Draw = (spot) => {
  const { x, y, w, look } = spot
  return [
    whole('case', spot),
    circle(look === 'sealed' ? 'seal' : 'dark', x + w - 18, y + 20, 8),
    ...where(look === 'broken', path('strand', `M${x + w - 26} ${y + 30}l-8 14`)),
  ]
}

const meter: Draw = (spot, mid) => {
  const { x, y, w, look } = spot
  return [
    whole('case', spot),
    rect('paper', x + 22, y + 20, w - 44, 34),
    words(mid, y + 44, '04 371'),
    ...where(look === 'cracked', path('line', `M${x + 12} ${y + 120}l22 -30 14 10 26 -44`)),
  ]
}

const tailAtIntake: Draw = ({ y, look }, mid) =>
  where(look === 'damaged', path('wire orange', `M${mid - 10} ${y + 32}h20`))

const bond: Draw = ({ x, y, w, look }) => [
  ...where(
    look !== 'none',
    path(look === 'thin' ? 'wire green slim' : 'wire green', `M${x} ${y + 20}H${x + w}`),
    rect('clamp', x + w - 8, y + 8, 16, 26),
  ),
  path('pipe', `M${x + w} ${y - 16}v66`),
]

const DRAWN: Readonly<Record<SpotKind, Draw>> = {
  way,
  device,
  label,
  top: knockOut,
  side: knockOut,
  entry,
  neutral,
  earth,
  tails,
  notice: paperOn('press every 6 months'),
  chart: paperOn('circuits 1 … 6'),
  bond,
  cutout,
  meter,
  main: tailAtIntake,
  isolator,
}

/** A spot as it is seen: shapes and what they are made of. What is wrong with it is not named. */
export const drawSpot = (spot: Spot): readonly Shape[] => DRAWN[spot.kind](spot, spot.x + spot.w / 2)

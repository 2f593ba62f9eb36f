import { conductor } from '../drawing/conductor'
import { notice } from '../drawing/enclosure'
import {
  cableEnd,
  connectorBlock,
  cutOut,
  earthClamp,
  earthTerminal,
  isolatorBox,
  meter,
  stored,
  tail,
  type Age,
  type TailLook,
} from '../drawing/intake'
import { path, put, rect, rounded, words, where, type Shapes } from '../drawing/shape'
import type { Draw } from './draw-board'
import type { SpotKind } from './looks'
import type { Spot } from './scenes/spot'

const text = ({ detail }: Spot, key: string): string => String(detail[key] ?? '')
const figure = ({ detail }: Spot, key: string): number => Number(detail[key] ?? 0)
const THREE = ['brown', 'black', 'grey', 'blue'] as const
const ONE = ['brown', 'blue'] as const

/** Tails from the cut-out up to the meter, or from the meter across to what follows. */
const tails: Draw = (spot) => {
  const colours = figure(spot, 'phases') === 3 ? THREE : ONE
  const [wide, look] = [figure(spot, 'wide'), spot.look as TailLook]
  if (text(spot, 'from') === 'cutout')
    return colours.flatMap((colour, i) => {
      const [x, mx, over] = [150 + wide - 62 + i * 19, 442 + i * 16, 280 - i * 22]
      return tail(
        colour,
        `M${x} 380V${over + 20}Q${x} ${over} ${x + 20} ${over}H396Q${mx - 6} ${over} ${mx - 6} 372H${mx - 2}`,
        { x, y: 374 },
        i === 0 ? look : 'right',
      )
    })
  const to = figure(spot, 'to')
  return colours.flatMap((colour, i) => {
    const [x, low] = [510 + i * 14, 430 + i * 18]
    return tail(
      colour,
      `M${x} 380V${low - 16}Q${x} ${low} ${x + 16} ${low}` +
        `H${to - 30 + i * 12}Q${to + i * 14} ${low} ${to + 14 + i * 14} 390`,
      { x, y: 428 },
      i === 0 ? look : 'right',
    )
  })
}

/** The earthing conductor, by its route: from the sheath, from the neutral block, from an electrode. */
const earthing: Draw = (spot) => {
  const { x, y, look } = spot
  const [route, wide] = [text(spot, 'route'), figure(spot, 'wide')]
  const colour = look === 'unsleeved' ? 'bare' : 'earth'
  const thick = look === 'thin' ? 4 : 10
  const starts: Readonly<Record<string, string>> = {
    a: `M${150 + wide / 2 + 10} 610C${x + 40} 640 ${x + 60} 640 620 582`,
    b: `M${150 + wide - 30} 500V560Q${150 + wide - 30} 584 ${150 + wide + 10} 584H620`,
    c: `M490 694V640Q490 586 540 584H620`,
  }
  const clampAt =
    route === 'a'
      ? put(150 + wide / 2, 610, earthClamp(look === 'wrongClamp' ? 'pipe' : 'cable', 34, false))
      : put(620, 584, [])
  return [
    ...where(look !== 'none', ...conductor(colour, starts[route]!, thick)),
    ...where(look === 'old', path('dust', starts[route]!, 2)),
    ...where(route === 'a' && look !== 'none', clampAt),
    ...where(
      look === 'wrongClamp' && route !== 'a',
      put(route === 'c' ? 490 : 150 + wide - 30, route === 'c' ? 694 : 520, earthClamp('pipe', 22, false)),
    ),
    ...where(route === 'a' && look === 'none', rect('stain', x + 4, y + 82, 30, 6)),
    ...where(look === 'thin' && route === 'b', path('line thin', `M${x} ${y + 10}h4`)),
  ]
}

const bond: Draw = (spot) => {
  const { look } = spot
  const [pipeX, metX, lane] = [figure(spot, 'pipeX'), figure(spot, 'metX'), figure(spot, 'lane')]
  const clampY = lane === 520 ? 590 : 620
  const colour = 'earth'
  const d =
    look === 'loose'
      ? `M${metX} 600V${clampY + 44}H${pipeX - 70}q20 0 26 16`
      : `M${metX} 600V${clampY + 44}H${pipeX - 40}Q${pipeX - 24} ${clampY + 44} ${pipeX - 18} ${clampY}`
  return [
    ...where(
      look === 'plastic',
      path('sheath white', `M${pipeX} ${clampY - 24}V${clampY + 40}`, 24),
      rounded(4, rect('moulding dim', pipeX - 17, clampY - 44, 34, 22)),
    ),
    ...where(look !== 'none', ...conductor(colour, d, look === 'thin' ? 3.5 : 9)),
    ...where(look !== 'none', put(pipeX, clampY, earthClamp('pipe', 28, look !== 'unlabelled'))),
    ...where(
      look === 'painted',
      path('dust', `M${pipeX - 8} ${clampY - 60}v30M${pipeX + 6} ${clampY + 22}v26`, 6),
    ),
  ]
}

const backing: Draw = ({ x, y, w, h, look }): Shapes => {
  if (look === 'wet')
    return [path('stain', `M${x + 20} ${y - 10}q-30 60 10 ${h}q60 24 120 -10q40 -40 10 -${h}Z`)]
  if (look === 'painted')
    return [path('dust', `M${x + 20} ${y + 20}h${w - 80}M${x + 50} ${y + 44}h${w - 120}`, 8)]
  return []
}

export const INTAKE_DRAWN = {
  cutout: (spot) => [
    put(
      spot.x,
      spot.y,
      cutOut(text(spot, 'age') as Age, figure(spot, 'phases') as 1 | 3, spot.look as 'sealed'),
    ),
  ],
  cableEnd: (spot) => [
    put(spot.x + 4, spot.y, cableEnd(text(spot, 'cable') as 'lead', spot.look as 'sound')),
  ],
  meter: (spot) => [put(spot.x, spot.y, meter(spot.look as 'whole', text(spot, 'reading')))],
  tail: tails,
  block: ({ x, y, look }) => [put(x, y, connectorBlock(look as 'right'))],
  switchBox: (spot) => [
    put(spot.x, spot.y, isolatorBox(spot.look as 'marked', text(spot, 'text').split('|'))),
  ],
  earthing,
  earthTerminal: ({ x, y, look }) => [
    put(x + 8, y + 8, earthTerminal(look as 'right')),
    words(x + 108, y - 8, 'E'),
  ],
  bond,
  place: ({ x, y, look }) => (look === 'clear' ? [] : [put(x, y, stored(look as 'cans'))]),
  backing,
  warning: (spot) =>
    spot.look === 'there' ? [put(spot.x, spot.y, notice(text(spot, 'text').split('|'), 188))] : [],
} as const satisfies Partial<Record<SpotKind, Draw>>

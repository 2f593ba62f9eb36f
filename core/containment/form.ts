import { MOST_RIGHT_ANGLES } from './check'
import { TOLERANCE_MM } from './measure'
import { PASS_PERCENT, type RunLimits } from './parts-met'
import {
  DIRECTIONS,
  JOINTS,
  MADE,
  MATERIALS,
  SIZES,
  usualFormer,
  type ContainmentRun,
  type Detour,
  type Direction,
  type Former,
  type Joint,
  type RunMaterial,
  type Straight,
} from './containment-run'

/**
 * A run as it is typed: one flat record of text, `s2.length`, so that it is kept, merged and undone like
 * everything else.
 */
export type RunFields = Readonly<Record<string, string>>

export interface RunSheet extends RunLimits {
  readonly run: ContainmentRun
  readonly former: Former
  readonly bays: number
  readonly mostRightAngles: number
  /** Span of temperature of the place, K. */
  readonly spanK: number
  /** Areas of the conductors that are drawn in, mm². */
  readonly areasMm2: readonly number[]
}

export interface ReadRun {
  /** Undefined while something cannot be read. */
  readonly sheet: RunSheet | undefined
  /** By box, what is wrong with it. */
  readonly problems: Readonly<Record<string, string>>
}

export const straightIds = (fields: RunFields): string[] => (fields.order ?? '').split(' ').filter(Boolean)

/** Reads a run; every box that cannot be read is named, with what to write. */
export function readRun(fields: RunFields): ReadRun {
  const boxes = new Boxes(fields)
  const run = readDrawing(boxes, fields)
  const usual = usualFormer(run)
  const former: Former = {
    radiusMm: boxes.number('radius', 20, 500, usual.radiusMm),
    startMm: boxes.number('start', -200, 200, 0),
    springDeg: boxes.number('spring', 0, 20, usual.springDeg),
  }
  const sheet: RunSheet = {
    run,
    former,
    bays: Math.round(boxes.number('bays', 1, 60, 1)),
    toleranceMm: boxes.number('tolerance', 0.5, 20, TOLERANCE_MM),
    passPercent: boxes.number('pass', 1, 100, PASS_PERCENT),
    mostRightAngles: boxes.number('bends', 1, 6, MOST_RIGHT_ANGLES),
    spanK: boxes.number('span', 0, 80, 20),
    areasMm2: readAreas(boxes, fields.areas ?? ''),
  }
  const { problems } = boxes
  return { sheet: Object.keys(problems).length === 0 ? sheet : undefined, problems }
}

/** Boxes as they are read; what cannot be is noted under its key. */
class Boxes {
  readonly problems: Record<string, string> = {}

  constructor(readonly fields: RunFields) {}

  number(key: string, least: number, most: number, usual?: number): number {
    const text = (this.fields[key] ?? '')
      .trim()
      .replace(',', '.')
      .replace(/\s*(mm|m|°|K)$/i, '')
    if (text === '' && usual !== undefined) return usual
    const value = Number(text)
    if (text !== '' && Number.isFinite(value) && value >= least && value <= most) return value
    this.problems[key] = `A number from ${least} to ${most}.`
    return least
  }

  choice<T extends string>(key: string, values: readonly T[], usual: T): T {
    const text = this.fields[key] ?? ''
    return (values as readonly string[]).includes(text) ? (text as T) : usual
  }
}

function readDrawing(boxes: Boxes, fields: RunFields): ContainmentRun {
  const ids = straightIds(fields)
  if (ids.length === 0) boxes.problems.order = 'Add a first straight.'
  const material = boxes.choice<RunMaterial>('material', MATERIALS, 'pvc')
  const system = boxes.choice('made', MADE, 'conduit')
  const { sizeMm, depthMm } = SIZES[system].find(({ code }) => code === fields.size) ?? SIZES[system][1]!
  const straights = ids.map((id, i) =>
    readStraight(boxes, id, { isFirst: i === 0, isLast: i === ids.length - 1 }),
  )
  return { name: (fields.name ?? '').trim() || 'Run', made: system, material, sizeMm, depthMm, straights }
}

/** Joints between two straights. */
const BETWEEN = JOINTS.filter((candidate) => candidate !== 'end')

function readStraight(
  boxes: Boxes,
  id: string,
  { isFirst, isLast }: { readonly isFirst: boolean; readonly isLast: boolean },
): Straight {
  return {
    to: boxes.choice<Direction>(`${id}.to`, DIRECTIONS, 'right'),
    setDeg: isFirst ? 90 : boxes.number(`${id}.set`, 10, 90, 90),
    lengthMm: boxes.number(`${id}.length`, 1, 20_000),
    then: isLast ? 'end' : boxes.choice<Joint>(`${id}.then`, BETWEEN, 'bend'),
    detour: readDetour(boxes, id),
  }
}

function readDetour(boxes: Boxes, id: string): Detour | null {
  const kind = boxes.fields[`${id}.detour`]
  if (kind !== 'offset' && kind !== 'bridge') return null
  return {
    kind,
    atMm: boxes.number(`${id}.at`, 1, 20_000),
    heightMm: boxes.number(`${id}.height`, 5, 1000),
    angleDeg: boxes.number(`${id}.angle`, 10, 60, 30),
    towards: boxes.choice<Direction>(`${id}.towards`, DIRECTIONS, 'out'),
    flatMm: kind === 'bridge' ? boxes.number(`${id}.flat`, 1, 2000, 100) : 0,
  }
}

/** Areas of the conductors: `6×2.5 3×1.5`. */
const readAreas = (boxes: Boxes, typed: string): number[] =>
  typed
    .split(/[\s,;]+/)
    .filter(Boolean)
    .flatMap((text) => {
      const match = /^(?:(\d+)[x×])?([\d.]+)$/i.exec(text)
      if (!match) boxes.problems.areas = 'Areas in mm², such as 6×2.5 3×1.5.'
      return match ? Array.from({ length: Number(match[1] ?? 1) }, () => Number(match[2])) : []
    })

/** The fields with one straight more at the end. */
export function addStraight(fields: RunFields, to: Direction): RunFields {
  const ids = straightIds(fields)
  let n = ids.length + 1
  while (ids.includes(`s${n}`)) n += 1
  return {
    ...fields,
    order: [...ids, `s${n}`].join(' '),
    [`s${n}.to`]: to,
    [`s${n}.length`]: '500',
    [`s${n}.then`]: 'bend',
  }
}

/** The fields without one straight. */
export const removeStraight = (fields: RunFields, id: string): RunFields => ({
  ...Object.fromEntries(Object.entries(fields).filter(([key]) => !key.startsWith(`${id}.`))),
  order: straightIds(fields)
    .filter((straightId) => straightId !== id)
    .join(' '),
})

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
  type Direction,
  type Former,
  type Joint,
  type RunMaterial,
  type Straight,
} from './containment-run'

/** A run as it is typed: one flat record of text, `s2.length`, so that it is kept, merged and undone like everything else. */
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
  const problems: Record<string, string> = {}
  const number = (key: string, least: number, most: number, usual?: number): number => {
    const text = (fields[key] ?? '')
      .trim()
      .replace(',', '.')
      .replace(/\s*(mm|m|°|K)$/i, '')
    if (text === '' && usual !== undefined) return usual
    const value = Number(text)
    if (text === '' || !Number.isFinite(value) || value < least || value > most) {
      problems[key] = `A number from ${least} to ${most}.`
      return least
    }
    return value
  }
  const choice = <T extends string>(key: string, values: readonly T[], usual: T): T =>
    (values as readonly string[]).includes(fields[key] ?? '') ? (fields[key] as T) : usual
  const ids = straightIds(fields)
  if (ids.length === 0) problems.order = 'Add a first straight.'
  const material = choice<RunMaterial>('material', MATERIALS, 'pvc')
  const made = choice('made', MADE, 'conduit')
  const { sizeMm, depthMm } = SIZES[made].find(({ code }) => code === fields.size) ?? SIZES[made][1]!
  const usual = usualFormer({ material, sizeMm })
  const straights = ids.map((id, i): Straight => {
    const isLast = i === ids.length - 1
    const detour = fields[`${id}.detour`]
    return {
      to: choice<Direction>(`${id}.to`, DIRECTIONS, 'right'),
      setDeg: i === 0 ? 90 : number(`${id}.set`, 10, 90, 90),
      lengthMm: number(`${id}.length`, 1, 20_000),
      then: isLast
        ? 'end'
        : choice<Joint>(
            `${id}.then`,
            JOINTS.filter((one) => one !== 'end'),
            'bend',
          ),
      detour:
        detour === 'offset' || detour === 'bridge'
          ? {
              kind: detour,
              atMm: number(`${id}.at`, 1, 20_000),
              heightMm: number(`${id}.height`, 5, 1000),
              angleDeg: number(`${id}.angle`, 10, 60, 30),
              towards: choice<Direction>(`${id}.towards`, DIRECTIONS, 'out'),
              flatMm: detour === 'bridge' ? number(`${id}.flat`, 1, 2000, 100) : 0,
            }
          : null,
    }
  })
  const areas = (fields.areas ?? '')
    .split(/[\s,;]+/)
    .filter(Boolean)
    .flatMap((text) => {
      const match = /^(?:(\d+)[x×])?([\d.]+)$/i.exec(text)
      if (!match) {
        problems.areas = 'Areas in mm², such as 6×2.5 3×1.5.'
        return []
      }
      return Array.from({ length: Number(match[1] ?? 1) }, () => Number(match[2]))
    })
  const former: Former = {
    radiusMm: number('radius', 20, 500, usual.radiusMm),
    startMm: number('start', -200, 200, 0),
    springDeg: number('spring', 0, 20, usual.springDeg),
  }
  const sheet: RunSheet = {
    run: { name: (fields.name ?? '').trim() || 'Run', made, material, sizeMm, depthMm, straights },
    former,
    bays: Math.round(number('bays', 1, 60, 1)),
    toleranceMm: number('tolerance', 0.5, 20, TOLERANCE_MM),
    passPercent: number('pass', 1, 100, PASS_PERCENT),
    mostRightAngles: number('bends', 1, 6, MOST_RIGHT_ANGLES),
    spanK: number('span', 0, 80, 20),
    areasMm2: areas,
  }
  return { sheet: Object.keys(problems).length === 0 ? sheet : undefined, problems }
}

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
    .filter((one) => one !== id)
    .join(' '),
})

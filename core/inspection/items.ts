import type { Seriousness } from '../findings/seriousness'
import type { Rig, DevicePart } from '../bay/model/rig'
import type { Policy } from '../policies/policy'

/** How serious what was seen is. */
export const GRADES = ['danger', 'potential', 'improve', 'further'] as const
export type Grade = (typeof GRADES)[number]

/** A danger outranks marks, what is potentially dangerous costs the mark, the rest is said and costs nothing. */
export const GRADE_SERIOUSNESS: Readonly<Record<Grade, Seriousness>> = {
  danger: 'critical',
  potential: 'fault',
  improve: 'note',
  further: 'note',
}

export const ITEM_GROUPS = [
  'enclosure',
  'supply',
  'devices',
  'bars',
  'labels',
  'accessories',
  'conductors',
] as const
export type ItemGroup = (typeof ITEM_GROUPS)[number]

/** Something to look at on this bay before anything is tested. */
export interface InspectionItem {
  readonly key: string
  readonly group: ItemGroup
  /** What it is, of which part. */
  readonly what:
    | 'cover'
    | 'ipTop'
    | 'ipSides'
    | 'grommets'
    | 'tails'
    | 'bonding'
    | 'busbar'
    | 'terminals'
    | 'blank'
    | 'neutralBar'
    | 'earthBar'
    | 'label'
    | 'chart'
    | 'notice'
    | 'accessory'
    | 'accessoryTails'
    | 'drawn'
    | 'sleeves'
    | 'doubling'
    | 'dressing'
    | 'cordGrip'
  readonly part: string
  /** Screws that are tightened to a value marked on the device: what is usual where nothing is marked, N·m. */
  readonly torqueNm: number | null
}

/** Usual where a device has no mark of its own, N·m; common practice, no source: the mark on the device counts. */
const USUAL_TORQUE_NM = 2
const SWITCH_TORQUE_NM = 2.5

/** The checklist of a bay, made from its parts: every terminal group, bar, blank, label and accessory. */
export function inspectionItems(
  rig: Rig,
  policy: Pick<Policy, 'doubling' | 'dressing'> = {},
): InspectionItem[] {
  const item = (
    group: ItemGroup,
    what: InspectionItem['what'],
    part: string,
    id = '',
    torqueNm: number | null = null,
  ): InspectionItem => ({ key: `${what}${id ? `-${id}` : ''}`, group, what, part, torqueNm })
  const devices = rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board !== null,
  )
  const points = rig.parts.filter(
    ({ kind }) => kind === 'socket' || kind === 'switch' || kind === 'lampholder' || kind === 'appliance',
  )
  return [
    ...rig.boards.flatMap(({ id, name, ways, blanks }) => [
      item('enclosure', 'cover', name, id),
      item('enclosure', 'ipTop', name, id),
      item('enclosure', 'ipSides', name, id),
      item('enclosure', 'grommets', name, id),
      ...spareWays(rig, id, ways).map((way) =>
        item(
          'enclosure',
          'blank',
          `${name}, way ${way}${blanks.includes(way) ? '' : ' (open)'}`,
          `${id}w${way}`,
        ),
      ),
      item('labels', 'chart', name, id),
      ...(devices.some((device) => device.board === id && device.residual)
        ? [item('labels', 'notice', name, id)]
        : []),
    ]),
    item('supply', 'tails', 'Intake', 'intake'),
    item('supply', 'bonding', 'Main earthing terminal', 'met'),
    ...rig.busbars.map(({ id, name }) => item('devices', 'busbar', name, id)),
    ...devices.map((device) =>
      item(
        'devices',
        'terminals',
        device.name,
        device.id,
        device.role === 'main-switch' ? SWITCH_TORQUE_NM : USUAL_TORQUE_NM,
      ),
    ),
    ...devices
      .filter(({ role }) => role === 'way')
      .map((device) => item('labels', 'label', device.name, device.id)),
    ...rig.parts
      .filter((part) => part.kind === 'bar')
      .map((bar) =>
        item(
          'bars',
          bar.kind === 'bar' && bar.serves === 'E' ? 'earthBar' : 'neutralBar',
          bar.name,
          bar.id,
          USUAL_TORQUE_NM,
        ),
      ),
    ...points.flatMap((point) => [
      item('accessories', 'accessory', point.name, point.id),
      item('accessories', 'accessoryTails', point.name, point.id),
      ...(point.kind === 'appliance' ? [item('accessories', 'cordGrip', point.name, point.id)] : []),
    ]),
    item('conductors', 'sleeves', 'All', 'all'),
    ...(rig.runs.some(({ made }) => made === 'steel' || made === 'plastic')
      ? [item('conductors', 'drawn', 'All', 'all')]
      : []),
    ...(policy.doubling && policy.doubling !== 'either'
      ? [item('conductors', 'doubling', 'All', 'all')]
      : []),
    ...(policy.dressing === 'marked' ? [item('conductors', 'dressing', 'All', 'all')] : []),
  ]
}

/** Ways of a board on which nothing stands. */
function spareWays(rig: Rig, board: string, ways: number): number[] {
  const taken = new Set(
    rig.parts.flatMap((part) =>
      part.kind === 'device' && part.board === board && part.way !== null ? [part.way] : [],
    ),
  )
  return Array.from({ length: ways }, (_, i) => i + 1).filter((way) => !taken.has(way))
}

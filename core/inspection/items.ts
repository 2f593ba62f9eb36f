import { fedEnds, isFedAtBothEnds } from '../bay/behaviour/fed-ends'
import type { Seriousness } from '../findings/seriousness'
import type { Bar, BoardFrame, DevicePart, Part, Rig } from '../bay/model/rig'
import { spareWaysOf } from '../bay/model/rail'
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
    | 'direction'
    | 'sources'
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

interface Noted {
  readonly group: ItemGroup
  readonly what: InspectionItem['what']
  readonly part: string
  readonly id: string
  readonly torqueNm?: number
}

const item = ({ group, what, part, id, torqueNm }: Noted): InspectionItem => ({
  key: `${what}-${id}`,
  group,
  what,
  part,
  torqueNm: torqueNm ?? null,
})

/** The checklist of a bay, made from its parts: every terminal group, bar, blank, label and accessory. */
export function inspectionItems(
  rig: Rig,
  policy: Pick<Policy, 'doubling' | 'dressing'> = {},
): InspectionItem[] {
  const devices = rig.parts.filter(
    (part): part is DevicePart => part.kind === 'device' && part.board !== null,
  )
  return [
    ...rig.boards.flatMap((board) => boardItems(rig, board, devices)),
    item({ group: 'supply', what: 'tails', part: 'Intake', id: 'intake' }),
    item({ group: 'supply', what: 'bonding', part: 'Main earthing terminal', id: 'met' }),
    ...rig.busbars.map(({ id, name }) => item({ group: 'devices', what: 'busbar', part: name, id })),
    ...devices.map(terminalsItem),
    ...directionItems(rig, devices),
    ...devices
      .filter(({ role }) => role === 'way')
      .map(({ id, name }) => item({ group: 'labels', what: 'label', part: name, id })),
    ...rig.parts.flatMap((part) => (part.kind === 'bar' ? [barItem(part)] : [])),
    ...rig.parts.flatMap(accessoryItems),
    ...conductorItems(rig, policy),
  ]
}

/** Enclosure, chart and notice of a board. */
function boardItems(rig: Rig, board: BoardFrame, devices: readonly DevicePart[]): InspectionItem[] {
  const { id, name, blanks } = board
  const enclosure = (['cover', 'ipTop', 'ipSides', 'grommets'] as const).map((what) =>
    item({ group: 'enclosure', what, part: name, id }),
  )
  const spare = spareWaysOf(board, rig.parts).map((way) => {
    const part = `${name}, way ${way}${blanks.includes(way) ? '' : ' (open)'}`
    return item({ group: 'enclosure', what: 'blank', part, id: `${id}w${way}` })
  })
  const hasRcd = devices.some((device) => device.board === id && device.residual)
  return [
    ...enclosure,
    ...spare,
    item({ group: 'labels', what: 'chart', part: name, id }),
    ...(hasRcd ? [item({ group: 'labels', what: 'notice', part: name, id })] : []),
  ]
}

const terminalsItem = ({ id, name, role }: DevicePart): InspectionItem =>
  item({
    group: 'devices',
    what: 'terminals',
    part: name,
    id,
    torqueNm: role === 'main-switch' ? SWITCH_TORQUE_NM : USUAL_TORQUE_NM,
  })

/** Where a second source feeds in: which end of each device on its way is fed, and the notice of two supplies. */
function directionItems(rig: Rig, devices: readonly DevicePart[]): InspectionItem[] {
  const fedBack = devices.filter(({ id }) => isFedAtBothEnds(fedEnds(rig).get(id)))
  const hasStandby = rig.parts.some(({ kind }) => kind === 'changeover')
  return [
    ...fedBack.map(({ id, name }) => item({ group: 'devices', what: 'direction', part: name, id })),
    ...rig.boards
      .filter(({ id }, i) => fedBack.some(({ board }) => board === id) || (hasStandby && i === 0))
      .map(({ id, name }) => item({ group: 'labels', what: 'sources', part: name, id })),
  ]
}

const barItem = ({ id, name, serves }: Bar): InspectionItem =>
  item({
    group: 'bars',
    what: serves === 'E' ? 'earthBar' : 'neutralBar',
    part: name,
    id,
    torqueNm: USUAL_TORQUE_NM,
  })

const ACCESSORIES: readonly Part['kind'][] = ['socket', 'switch', 'lampholder', 'appliance']

function accessoryItems({ id, name, kind }: Part): InspectionItem[] {
  if (!ACCESSORIES.includes(kind)) return []
  const kinds = [
    'accessory',
    'accessoryTails',
    ...(kind === 'appliance' ? ['cordGrip' as const] : []),
  ] as const
  return kinds.map((what) => item({ group: 'accessories', what, part: name, id }))
}

/** What is looked at on all conductors together; some of it only where the centre asks. */
function conductorItems(
  rig: Rig,
  { doubling, dressing }: Pick<Policy, 'doubling' | 'dressing'>,
): InspectionItem[] {
  const isDrawn = rig.runs.some(({ made }) => made === 'steel' || made === 'plastic')
  const looked = [
    'sleeves' as const,
    ...(isDrawn ? ['drawn' as const] : []),
    ...(doubling && doubling !== 'either' ? ['doubling' as const] : []),
    ...(dressing === 'marked' ? ['dressing' as const] : []),
  ]
  return looked.map((what) => item({ group: 'conductors', what, part: 'All', id: 'all' }))
}

import type { Busbar, Rig } from '../model/rig'
import { partIdOf } from '../model/terminals'
import type { WiringFields } from '../model/wiring'
import { boxesOf, type PartsBox } from './box'
import { mountOn, occupied, type Mounted } from './mounted'
import { unproved } from './proof'

/** Something about the mounting that is not finished. */
export interface MountingLack {
  readonly code:
    | 'railMissing'
    | 'notMounted'
    | 'combMissing'
    | 'combShort'
    | 'combTouches'
    | 'combLong'
    | 'capMissing'
    | 'deviceUnproved'
  /** Board, part or busbar to look at. */
  readonly where: string
  readonly params: Readonly<Record<string, string | number>>
}

const lack = (code: MountingLack['code'], where: string, params: MountingLack['params']): MountingLack => ({
  code,
  where,
  params,
})

/** What is still in the box of parts, open, uncapped or not proved, board by board. */
export function mountingLacks(intended: Rig, fields: WiringFields): MountingLack[] {
  const { rig, mounting } = mountOn(intended, fields)
  const mounted = new Set(rig.parts.map(({ id }) => id))
  return [
    ...boxesOf(intended).flatMap((box): MountingLack[] => {
      const { board, devices, bars, busbars } = box
      if (!mounting.rails.has(board.id)) return [lack('railMissing', board.id, { board: board.name })]
      const missing = [...devices, ...bars].filter(({ id }) => !mounted.has(id))
      return [
        ...missing.map(({ id, name }) => lack('notMounted', id, { part: name })),
        ...busbars.flatMap((busbar) => combLacks(box, busbar, { rig, mounting })),
      ]
    }),
    ...unprovedDevices(rig, fields),
  ]
}

/** A busbar that is not there, ends too soon or too late, touches what it should not, or has no cap. */
function combLacks(box: PartsBox, { id, name, teeth }: Busbar, { rig, mounting }: Mounted): MountingLack[] {
  const modules = mounting.combs.get(id)
  if (modules === undefined) return [lack('combMissing', id, { busbar: name })]
  const nameOf = (tooth: string) => box.devices.find((part) => part.id === partIdOf(tooth))?.name ?? ''
  const lies = rig.busbars.find((busbar) => busbar.id === id)?.teeth ?? []
  const from = mounting.places.get(partIdOf(teeth[0]!)) ?? 1
  const isOpen = !occupied(box, mounting.places).has(from + modules - 1)
  return [
    ...teeth
      .filter((tooth) => mounting.places.has(partIdOf(tooth)) && !lies.includes(tooth))
      .map((tooth) => lack('combShort', id, { busbar: name, part: nameOf(tooth) })),
    ...lies
      .filter((tooth) => !teeth.includes(tooth))
      .map((tooth) => lack('combTouches', id, { busbar: name, part: nameOf(tooth) })),
    ...(isOpen ? [lack('combLong', id, { busbar: name, place: from + modules - 1 })] : []),
    ...(mounting.caps.has(id) ? [] : [lack('capMissing', id, { busbar: name })]),
  ]
}

/** Each device with the poles and positions of it that have not been shown. */
function unprovedDevices(rig: Rig, fields: WiringFields): MountingLack[] {
  const open = unproved(rig, fields)
  return [...new Set(open.map(({ device }) => device))].map((device) => {
    const poles = open
      .filter((proof) => proof.device === device)
      .map(({ pole, position }) => `${pole} ${position}`)
    return lack('deviceUnproved', device.id, { device: device.name, poles: poles.join(', ') })
  })
}

import type { BoardFrame, Busbar, Part, Rig } from '../model/rig'
import { modulesOf, railOrder, spareWaysOf, type OnRail } from '../model/rail'
import { indexParts, partIdOf, terminalNameOf } from '../model/terminals'
import { applyWiring, intakeWires, type Route, type WiringFields } from '../model/wiring'
import { boxesOf, type PartsBox } from './box'

/**
 * What has been mounted, beside the conductors of a bay: `rail.<board>`, `mount.<part>` (a place of the rail from 1, or
 * `fitted` for a bar), `comb.<busbar>` (modules that it was cut to), `cap.<busbar>`, `cover.<board>.<place>` (a blank).
 */
export interface Mounting {
  /** First place of each device on its rail. */
  readonly places: ReadonlyMap<string, number>
  readonly rails: ReadonlySet<string>
  /** Places with a blank, by board. */
  readonly covers: ReadonlyMap<string, ReadonlySet<number>>
  /** Modules that each busbar was cut to. */
  readonly combs: ReadonlyMap<string, number>
  readonly caps: ReadonlySet<string>
}

/** A bay with what has been mounted in it so far. */
export interface Mounted {
  readonly rig: Rig
  readonly mounting: Mounting
}

/** Nothing shorter joins two devices. */
export const LEAST_COMB = 2

const isThere = (fields: WiringFields, name: string): boolean => (fields[name] ?? '') !== ''
const placeIn = (fields: WiringFields, name: string, most: number): number | null => {
  const place = Number(fields[name] ?? '')
  return Number.isInteger(place) && place >= 1 && place <= most ? place : null
}

/** Every place of a rail with what stands on it. */
export function occupied(box: PartsBox, places: ReadonlyMap<string, number>): Map<number, OnRail> {
  const taken = new Map<number, OnRail>()
  for (const part of box.devices) {
    const from = places.get(part.id)
    if (from !== undefined)
      for (let module = 0; module < modulesOf(part); module += 1) taken.set(from + module, part)
  }
  return taken
}

/** May this device stand here: on the rail with all its modules, and on nothing else? */
export function fits(
  box: PartsBox,
  places: ReadonlyMap<string, number>,
  part: OnRail,
  place: number,
): boolean {
  const others = new Map([...places].filter(([id]) => id !== part.id))
  const taken = occupied(box, others)
  const last = place + modulesOf(part) - 1
  if (place < 1 || last > box.places) return false
  for (let at = place; at <= last; at += 1) if (taken.has(at)) return false
  return true
}

/** A bay of which only that is there which has been mounted; what cannot stand where it is said to is left in the box. */
export function mountOn(rig: Rig, fields: WiringFields): Mounted {
  const boxes = boxesOf(rig)
  const mounting = mountingOf(boxes, fields)
  const isMounted = (part: Part): boolean =>
    part.board === null ||
    (part.kind === 'bar' ? isThere(fields, `mount.${part.id}`) : mounting.places.has(part.id))
  return {
    mounting,
    rig: {
      ...rig,
      parts: rig.parts.filter(isMounted),
      wires: intakeWires(rig),
      busbars: boxes.flatMap((box) => box.busbars.flatMap((busbar) => combOn(box, busbar, mounting))),
      boards: boxes.map((box) => blankedFrame(box, mounting)),
    },
  }
}

/** As it has been mounted and wired; a conductor to a part that is back in the box is gone with it. */
export function wiredOn(mounted: Rig, routes: readonly Route[], fields: WiringFields): Rig {
  const wired = applyWiring(mounted, routes, fields)
  const parts = indexParts(wired)
  const isHeld = (ref: string): boolean => parts.has(partIdOf(ref))
  return { ...wired, wires: wired.wires.filter(({ from, to }) => isHeld(from) && isHeld(to)) }
}

function mountingOf(boxes: readonly PartsBox[], fields: WiringFields): Mounting {
  const places = new Map<string, number>()
  const rails = new Set<string>()
  const covers = new Map<string, Set<number>>()
  const combs = new Map<string, number>()
  const caps = new Set<string>()
  for (const box of boxes) {
    const { board } = box
    if (isThere(fields, `rail.${board.id}`)) rails.add(board.id)
    for (const part of box.devices) {
      const place = rails.has(board.id) ? placeIn(fields, `mount.${part.id}`, box.places) : null
      if (place !== null && fits(box, places, part, place)) places.set(part.id, place)
    }
    const taken = occupied(box, places)
    covers.set(
      board.id,
      new Set(
        Array.from({ length: box.places }, (_, i) => i + 1).filter(
          (place) => !taken.has(place) && isThere(fields, `cover.${board.id}.${place}`),
        ),
      ),
    )
    for (const { id } of box.busbars) {
      const modules = placeIn(fields, `comb.${id}`, box.places)
      if (modules !== null && modules >= LEAST_COMB) combs.set(id, modules)
      if (isThere(fields, `cap.${id}`)) caps.add(id)
    }
  }
  return { places, rails, covers, combs, caps }
}

/** Blanks by the ways that are spare: as many as are covered, from the first one on. */
function blankedFrame(box: PartsBox, { covers }: Mounting): BoardFrame {
  const count = covers.get(box.board.id)?.size ?? 0
  return { ...box.board, blanks: spareWaysOf(box.board, box.devices).slice(0, count), labels: {} }
}

/**
 * A comb as it lies: from the device that feeds it over as many modules as it was cut to. It touches the line of every
 * device under it, whether it should or not.
 */
function combOn(box: PartsBox, busbar: Busbar, { places, combs }: Mounting): Busbar[] {
  const feeder = busbar.teeth[0]!
  const from = places.get(partIdOf(feeder))
  const modules = combs.get(busbar.id)
  if (from === undefined || modules === undefined) return []
  const pole = terminalNameOf(feeder).split(' ')[0]!
  const under = box.devices
    .filter((part) => {
      const place = places.get(part.id)
      return place !== undefined && place > from && place < from + modules
    })
    .sort((a, b) => places.get(a.id)! - places.get(b.id)!)
  const tooth = (part: OnRail): string[] => {
    if (part.kind === 'arrester') return part.poles.some((own) => own === pole) ? [`${part.id}.${pole}`] : []
    const side = part.role === 'way' ? 'in' : 'out'
    return part.poles.some((own) => own === pole) ? [`${part.id}.${pole} ${side}`] : []
  }
  return [{ ...busbar, teeth: [feeder, ...under.flatMap(tooth)], missing: [], cutAfter: [] }]
}

/** Everything mounted as it was meant, in the order of the rail. */
export function mountingFields(rig: Rig): Record<string, string> {
  return Object.assign({}, ...boxesOf(rig).map((box) => fieldsOfBox(rig, box))) as Record<string, string>
}

function fieldsOfBox(rig: Rig, box: PartsBox): Record<string, string> {
  const { board, devices, bars, busbars, places } = box
  const at = new Map<string, number>()
  let next = 1
  for (const part of railOrder(rig, board.id)) {
    at.set(part.id, next)
    next += modulesOf(part)
  }
  const spare = Array.from({ length: places - next + 1 }, (_, i) => next + i)
  const combOf = ({ teeth }: Busbar): number => {
    const places = teeth.map((tooth) => at.get(partIdOf(tooth)) ?? 0)
    return Math.max(...places) - places[0]! + 1
  }
  return Object.fromEntries([
    [`rail.${board.id}`, 'fitted'],
    ...devices.map(({ id }) => [`mount.${id}`, String(at.get(id))]),
    ...bars.map(({ id }) => [`mount.${id}`, 'fitted']),
    ...busbars.flatMap((busbar) => [
      [`comb.${busbar.id}`, String(combOf(busbar))],
      [`cap.${busbar.id}`, 'fitted'],
    ]),
    ...spare.map((place) => [`cover.${board.id}.${place}`, 'fitted']),
  ])
}

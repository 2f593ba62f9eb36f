import { COLOURS, type Colour, type Part, type Rig, type TerminalRef, type Wire } from './rig'
import { indexParts, partIdOf, type PartIndex } from './terminals'

/** A way between two places of the bay: boards by their id, everything else by its part. */
export interface Route {
  readonly a: string
  readonly b: string
  readonly lengthM: number
  readonly run: string | null
}

/**
 * What somebody has done to a bay, as flat text: `wire.<id>` → from|to|mm²|colour, `blank.<board>.<way>`,
 * `label.<board>.<way>`. Empty text is taken back.
 */
export type WiringFields = Readonly<Record<string, string>>

/** Inside a board, m. */
const INSIDE_M = 0.3
/** Where no route is known, m. */
const STRAY_M = 3

const placeOf = (part: Part | undefined): string => part?.board ?? part?.id ?? ''
const placeOfRef = (parts: PartIndex, ref: TerminalRef): string => placeOf(parts.get(partIdOf(ref)))

/** The ways on which a bay's conductors lie. They tell distances, not connections. */
export function routesOf(rig: Rig): Route[] {
  const parts = indexParts(rig)
  const routes = new Map<string, Route>()
  for (const { from, to, lengthM, run } of rig.wires) {
    const [a, b] = [placeOfRef(parts, from), placeOfRef(parts, to)].sort() as [string, string]
    const known = routes.get(`${a} ${b}`)
    if (a !== b && (!known || lengthM < known.lengthM)) routes.set(`${a} ${b}`, { a, b, lengthM, run })
  }
  return [...routes.values()]
}

/**
 * Length and run of a conductor between two terminals: straight where there is a route, else the shortest way
 * round.
 */
export function wayBetween(
  parts: PartIndex,
  routes: readonly Route[],
  from: TerminalRef,
  to: TerminalRef,
): { readonly lengthM: number; readonly run: string | null } {
  const [a, b] = [placeOfRef(parts, from), placeOfRef(parts, to)]
  if (a === b) return { lengthM: INSIDE_M, run: null }
  const best = new Map([[a, { lengthM: 0, run: null as string | null }]])
  const open = new Set([a])
  while (open.size > 0) {
    const here = [...open].reduce((entry, other) =>
      best.get(other)!.lengthM < best.get(entry)!.lengthM ? other : entry,
    )
    open.delete(here)
    if (here === b) return best.get(here)!
    for (const route of routes) {
      if (route.a !== here && route.b !== here) continue
      const next = route.a === here ? route.b : route.a
      const lengthM = best.get(here)!.lengthM + route.lengthM
      if (lengthM >= (best.get(next)?.lengthM ?? Infinity)) continue
      best.set(next, { lengthM, run: route.run })
      open.add(next)
    }
  }
  return { lengthM: STRAY_M, run: null }
}

/** How many ends of a conductor are at the intake: at a part of no board and no circuit. */
function endsAtIntake(rig: Rig): (wire: Wire) => number {
  const parts = indexParts(rig)
  const isIntake = (ref: TerminalRef): boolean => {
    const part = parts.get(partIdOf(ref))
    return part !== undefined && part.board === null && part.circuit === null
  }
  return ({ from, to }) => [from, to].filter(isIntake).length
}

/** Conductors that a bay comes with: the intake, up to the board's own tails and earth. */
export const givenWires = (rig: Rig): Wire[] => {
  const ends = endsAtIntake(rig)
  return rig.wires.filter((wire) => ends(wire) > 0)
}

/** Conductors that lie there before a bare enclosure is opened: those of the intake among themselves. */
export const intakeWires = (rig: Rig): Wire[] => {
  const ends = endsAtIntake(rig)
  return rig.wires.filter((wire) => ends(wire) === 2)
}

/** The bay before anybody has worked on it: everything mounted, nothing wired beyond the intake. */
export const bareRig = (rig: Rig): Rig => ({
  ...rig,
  wires: givenWires(rig),
  leaks: [],
  boards: rig.boards.map((board) => ({ ...board, blanks: [], labels: {} })),
})

export const wireField = ({
  from,
  to,
  areaMm2,
  colour,
}: Pick<Wire, 'from' | 'to' | 'areaMm2' | 'colour'>): string => [from, to, areaMm2, colour].join('|')

/** All that has been done to a rig beyond the conductors that it came with, as fields. */
export function wiringFields(rig: Rig, came: readonly Wire[] = givenWires(rig)): Record<string, string> {
  const given = new Set(came.map(({ id }) => id))
  return Object.fromEntries([
    ...rig.wires.filter(({ id }) => !given.has(id)).map((wire) => [`wire.${wire.id}`, wireField(wire)]),
    ...rig.boards.flatMap(({ id, blanks, labels }) => [
      ...blanks.map((way) => [`blank.${id}.${way}`, 'fitted']),
      ...Object.entries(labels).map(([way, text]) => [`label.${id}.${way}`, text]),
    ]),
  ])
}

const isColour = (text: string | undefined): text is Colour => COLOURS.includes(text as Colour)

/**
 * The bay as it has been wired. Text that is no conductor is left out; whether what remains can be is for the
 * check of the rig.
 */
export function applyWiring(bare: Rig, routes: readonly Route[], fields: WiringFields): Rig {
  const parts = indexParts(bare)
  const wires = Object.entries(fields).flatMap(([name, text]): Wire[] => {
    if (!name.startsWith('wire.') || text === '') return []
    const [from, to, area, colour] = text.split('|')
    if (!from || !to || !isColour(colour)) return []
    return [
      {
        id: name.slice('wire.'.length),
        from,
        to,
        areaMm2: Number(area),
        colour,
        ...wayBetween(parts, routes, from, to),
      },
    ]
  })
  return {
    ...bare,
    wires: [...bare.wires, ...wires],
    boards: bare.boards.map((board) => {
      const terminalsOf = (kind: string) =>
        Object.entries(fields).flatMap(([name, text]) =>
          name.startsWith(`${kind}.${board.id}.`) && text.trim() !== ''
            ? [[name.slice(`${kind}.${board.id}.`.length), text] as const]
            : [],
        )
      return {
        ...board,
        blanks: [...board.blanks, ...terminalsOf('blank').map(([way]) => Number(way))],
        labels: Object.fromEntries(terminalsOf('label')),
      }
    }),
  }
}

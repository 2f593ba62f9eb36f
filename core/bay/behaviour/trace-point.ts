import type { Part, Rig, TerminalRef } from '../model/rig'
import { terminalsOf } from '../model/terminals'
import type { BayState } from './state'
import { trace, type TraceStep } from './trace'

/** How one terminal of a point is reached from the origin: through every conductor and contact, open ones too. */
export interface TracedPole {
  readonly pole: string
  readonly to: TerminalRef
  /** Undefined where nothing joins it to the origin. */
  readonly steps: readonly TraceStep[] | undefined
}

/** Terminals of the origin that a pole may come from; line of a single-phase point from any line. */
function originsOf(rig: Rig, pole: string): TerminalRef[] {
  const supply = rig.parts.find(({ kind }) => kind === 'supply')
  if (!supply) return []
  const names = terminalsOf(supply)
  const wanted =
    pole === 'L' || pole === 'C'
      ? names.filter((name) => name.startsWith('L'))
      : names.filter((name) => name === pole)
  return wanted.map((name) => `${supply.id}.${name}`)
}

/** Earth that the supply does not bring: of a TT supply, or of a board with an electrode of its own. */
const electrodesOf = (rig: Rig): TerminalRef[] =>
  rig.parts.filter(({ kind }) => kind === 'metalwork').map(({ id }) => `${id}.E`)

/** Line, neutral and earth of a part, each from the origin to it. */
export function tracePoint(rig: Rig, state: BayState, part: Part): TracedPole[] {
  const seen = new Set<string>()
  return terminalsOf(part).flatMap((name): TracedPole[] => {
    const pole = name.replace(/ (in|out|grid|standby)$/, '')
    const supplied = originsOf(rig, part.kind === 'switch' && pole !== 'E' ? 'L' : pole)
    const electrodes = pole === 'E' ? electrodesOf(rig) : []
    const origins = [...supplied, ...electrodes]
    // Of a device its supply side; of a switch its common terminal.
    if (seen.has(pole) || origins.length === 0 || (part.kind === 'switch' && pole !== 'C' && pole !== 'E'))
      return []
    seen.add(pole)
    const to = `${part.id}.${name}`
    const shortest = (from: readonly TerminalRef[]) =>
      from
        .map((origin) => trace(rig, state, origin, to, { throughOpen: true }))
        .filter((steps) => steps !== undefined)
        .sort((a, b) => a.length - b.length)[0]
    return [{ pole, to, steps: shortest(supplied) ?? shortest(electrodes) }]
  })
}

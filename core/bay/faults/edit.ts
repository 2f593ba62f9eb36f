import type { DevicePart, Leak, Part, Rig, TerminalRef, Wire } from '../model/rig'

/** Small changes of a rig, of which faults and repairs are composed. Each returns a new rig. */

export const withoutWire = (rig: Rig, id: string): Rig => ({
  ...rig,
  wires: rig.wires.filter((wire) => wire.id !== id),
})

export const withWire = (rig: Rig, wire: Wire): Rig => ({ ...rig, wires: [...rig.wires, wire] })

export const changeWire = (rig: Rig, id: string, change: Partial<Wire>): Rig => ({
  ...rig,
  wires: rig.wires.map((wire) => (wire.id === id ? { ...wire, ...change } : wire)),
})

export const changePart = <P extends Part>(rig: Rig, id: string, change: Partial<P>): Rig => ({
  ...rig,
  parts: rig.parts.map((part) => (part.id === id ? ({ ...part, ...change } as Part) : part)),
})

export const withLeak = (rig: Rig, leak: Leak): Rig => ({ ...rig, leaks: [...rig.leaks, leak] })

/** Puts the end of a conductor that is at `at` to another terminal. */
export const moveEnd = (rig: Rig, id: string, at: TerminalRef, to: TerminalRef): Rig => ({
  ...rig,
  wires: rig.wires.map((wire) => (wire.id === id ? withEnd(wire, at, to) : wire)),
})

const withEnd = (wire: Wire, at: TerminalRef, to: TerminalRef): Wire =>
  wire.from === at ? { ...wire, from: to } : { ...wire, to: wire.to === at ? to : wire.to }

/** One of two terminals becomes the other; every other one stays. */
export function interchanged(ref: TerminalRef, a: TerminalRef, b: TerminalRef): TerminalRef {
  if (ref === a) return b
  return ref === b ? a : ref
}

/**
 * Everything at one terminal goes to the other, and the other way round; only conductors of these wires if
 * they are named.
 */
export function swapTerminals(rig: Rig, a: TerminalRef, b: TerminalRef, only?: ReadonlySet<string>): Rig {
  const swapped = (ref: TerminalRef) => interchanged(ref, a, b)
  return {
    ...rig,
    wires: rig.wires.map((wire) =>
      only && !only.has(wire.id) ? wire : { ...wire, from: swapped(wire.from), to: swapped(wire.to) },
    ),
  }
}

/** The device the other way round: what came in goes out. */
export function reverseDevice(rig: Rig, device: DevicePart): Rig {
  const turned = (ref: TerminalRef) => {
    if (!ref.startsWith(`${device.id}.`)) return ref
    return ref.endsWith(' in') ? ref.replace(/ in$/, ' out') : ref.replace(/ out$/, ' in')
  }
  return {
    ...rig,
    wires: rig.wires.map((wire) => ({ ...wire, from: turned(wire.from), to: turned(wire.to) })),
    busbars: rig.busbars.map((busbar) => ({ ...busbar, teeth: busbar.teeth.map(turned) })),
  }
}

/** An id that no wire, leak or part of the rig has yet. */
export function freshId(rig: Rig, stem: string): string {
  const taken = new Set([...rig.wires, ...rig.leaks, ...rig.parts].map(({ id }) => id))
  let n = 1
  while (taken.has(`${stem}${n}`)) n += 1
  return `${stem}${n}`
}

import { COPPER_OHM_PER_M } from '../../regulations/conductors'
import type { Rig, TerminalRef, Wire } from './rig'
import {
  indexParts,
  nodeOf,
  partIdOf,
  roomOf,
  terminalNameOf,
  terminalWords,
  terminalsOf,
  type PartIndex,
} from './terminals'

/** Something in a rig that cannot be, told by the name of the terminal or part. */
export interface RigProblem {
  readonly code:
    | 'twoOfOneId'
    | 'unknownPart'
    | 'unknownTerminal'
    | 'lengthNotPositive'
    | 'unknownArea'
    | 'ohmNotPositive'
    | 'sameTerminal'
    | 'terminalFull'
    | 'noSuchRun'
    | 'noSuchBoard'
    | 'noSupply'
    | 'twoSupplies'
    | 'boardUnsupplied'
    | 'noTooth'
    | 'wayBeyond'
    | 'wayTaken'
  /** What to look at: a wire, a part, a terminal. */
  readonly where: string
  readonly params: Readonly<Record<string, string | number>>
}

/** Everything that keeps a rig from being a bay; empty when it is one. An unsupplied board is told only where `isWired`, since one under construction has none. */
export function rigProblems(
  rig: Rig,
  { isWired }: { readonly isWired: boolean } = { isWired: false },
): RigProblem[] {
  const parts = indexParts(rig)
  const problems: RigProblem[] = [...doubles(rig)]
  const add = (code: RigProblem['code'], where: string, params: RigProblem['params'] = {}) =>
    problems.push({ code, where, params })
  const isKnown = (ref: TerminalRef, where: string): boolean => {
    const part = parts.get(partIdOf(ref))
    if (!part) add('unknownPart', where, { part: partIdOf(ref) })
    else if (!terminalsOf(part).includes(terminalNameOf(ref)))
      add('unknownTerminal', where, {
        terminal: terminalNameOf(ref),
        part: part.name,
        terminals: terminalsOf(part).join(', '),
      })
    else return true
    return false
  }
  const runs = new Set(rig.runs.map(({ id }) => id))
  const frames = new Map(rig.boards.map((board) => [board.id, board]))

  for (const wire of rig.wires) {
    const areKnown = [isKnown(wire.from, wire.id), isKnown(wire.to, wire.id)].every(Boolean)
    if (areKnown && wire.from === wire.to)
      add('sameTerminal', wire.id, { terminal: terminalWords(parts, wire.from) })
    const ends = areKnown
      ? `${terminalWords(parts, wire.from)} to ${terminalWords(parts, wire.to)}`
      : `${wire.from} to ${wire.to}`
    if (!(wire.lengthM > 0) || !Number.isFinite(wire.lengthM))
      add('lengthNotPositive', wire.id, { ends, lengthM: wire.lengthM })
    if (COPPER_OHM_PER_M[wire.areaMm2] === undefined)
      add('unknownArea', wire.id, {
        ends,
        areaMm2: wire.areaMm2,
        areas: Object.keys(COPPER_OHM_PER_M)
          .map(Number)
          .sort((a, b) => a - b)
          .join(', '),
      })
    if ((wire.ohmPerM !== undefined && !(wire.ohmPerM > 0)) || wire.looseOhm?.some((ohm) => !(ohm >= 0)))
      add('ohmNotPositive', wire.id, { ends })
    if (wire.run !== null && !runs.has(wire.run)) add('noSuchRun', wire.id, { run: wire.run })
  }
  for (const leak of rig.leaks) {
    isKnown(leak.from, leak.id)
    isKnown(leak.to, leak.id)
    if (!(leak.ohm > 0)) add('ohmNotPositive', leak.id, { ends: `${leak.from} to ${leak.to}` })
  }
  for (const busbar of rig.busbars) {
    busbar.teeth.forEach((tooth) => isKnown(tooth, busbar.id))
    for (const place of [...busbar.missing, ...busbar.cutAfter])
      if (!(place in busbar.teeth)) add('noTooth', busbar.id, { place, teeth: busbar.teeth.length })
  }
  for (const run of rig.runs) {
    if (!(run.lengthM > 0)) add('lengthNotPositive', run.id, { ends: run.name, lengthM: run.lengthM })
    run.metal?.forEach((ref) => isKnown(ref, run.id))
  }
  const taken = new Map<string, string>()
  for (const part of rig.parts) {
    if (part.board === null) continue
    const frame = frames.get(part.board)
    if (!frame) add('noSuchBoard', part.id, { board: part.board })
    else if (part.kind === 'device' && part.way !== null) {
      if (part.way > frame.ways)
        add('wayBeyond', part.id, { way: part.way, ways: frame.ways, board: frame.name })
      for (const pole of part.poles.filter((one) => one !== 'N')) {
        const key = `${frame.id} ${part.way} ${pole}${frame.phases === 3 && pole === 'L' ? part.id : ''}`
        const other = taken.get(key)
        if (other !== undefined) add('wayTaken', part.id, { way: part.way, other, board: frame.name })
        taken.set(key, part.name)
      }
    }
  }
  problems.push(...overfull(rig, parts))
  const supplies = rig.parts.filter(({ kind }) => kind === 'supply')
  if (supplies.length === 0) add('noSupply', rig.name)
  if (supplies.length > 1)
    add('twoSupplies', supplies[1]!.id, { one: supplies[0]!.name, other: supplies[1]!.name })
  if (isWired && supplies.length === 1) problems.push(...unsupplied(rig, parts))
  return problems
}

function doubles(rig: Rig): RigProblem[] {
  const seen = new Set<string>()
  return [...rig.parts, ...rig.wires, ...rig.busbars, ...rig.runs, ...rig.leaks].flatMap(
    ({ id }): RigProblem[] => {
      if (!seen.has(id)) {
        seen.add(id)
        return []
      }
      return [{ code: 'twoOfOneId', where: id, params: {} }]
    },
  )
}

/** Terminals with more conductors than they take. */
function overfull(rig: Rig, parts: PartIndex): RigProblem[] {
  const held = new Map<TerminalRef, Wire[]>()
  for (const wire of rig.wires)
    for (const ref of [wire.from, wire.to]) held.set(ref, [...(held.get(ref) ?? []), wire])
  return [...held].flatMap(([ref, wires]): RigProblem[] => {
    const part = parts.get(partIdOf(ref))
    if (!part || wires.length <= roomOf(part)) return []
    return [
      {
        code: 'terminalFull',
        where: ref,
        params: { terminal: terminalWords(parts, ref), room: roomOf(part), count: wires.length },
      },
    ]
  })
}

/** Boards whose devices no chain of conductors, bars and poles joins to the supply. */
function unsupplied(rig: Rig, parts: PartIndex): RigProblem[] {
  const joined = new Map<string, string[]>()
  const join = (a: string, b: string) => {
    joined.set(a, [...(joined.get(a) ?? []), b])
    joined.set(b, [...(joined.get(b) ?? []), a])
  }
  for (const { from, to } of rig.wires) join(nodeOf(parts, from), nodeOf(parts, to))
  for (const { teeth, missing } of rig.busbars)
    teeth.filter((_, i) => !missing.includes(i)).reduce((before, tooth) => (join(before, tooth), tooth))
  for (const part of rig.parts) {
    if (part.kind === 'device' || part.kind === 'meter')
      for (const terminal of terminalsOf(part))
        if (terminal.endsWith(' in'))
          join(`${part.id}.${terminal}`, `${part.id}.${terminal.replace(' in', ' out')}`)
  }
  const supply = rig.parts.find(({ kind }) => kind === 'supply')!
  const reached = new Set(
    terminalsOf(supply)
      .filter((name) => name !== 'E')
      .map((name) => `${supply.id}.${name}`),
  )
  for (const node of reached) for (const other of joined.get(node) ?? []) reached.add(other)
  return rig.boards
    .filter(
      ({ id }) =>
        !rig.parts.some(
          (part) =>
            part.board === id &&
            part.kind === 'device' &&
            terminalsOf(part).some((name) => reached.has(`${part.id}.${name}`)),
        ),
    )
    .map(({ id, name }) => ({ code: 'boardUnsupplied', where: id, params: { board: name } }))
}

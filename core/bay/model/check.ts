import { COPPER_OHM_PER_M } from '../../regulations/conductors'
import type { Arrester, BoardFrame, Busbar, DevicePart, Leak, Part, Rig, Run, TerminalRef, Wire } from './rig'
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

/**
 * Everything that keeps a rig from being a bay; empty when it is one. An unsupplied board is told only where
 * `isWired`, since one under construction has none.
 */
export function rigProblems(
  rig: Rig,
  { isWired }: { readonly isWired: boolean } = { isWired: false },
): RigProblem[] {
  const parts = indexParts(rig)
  const supplies = rig.parts.filter(({ kind }) => kind === 'supply')
  return [
    ...doubles(rig),
    ...rig.wires.flatMap((wire) => wireProblems(rig, parts, wire)),
    ...rig.leaks.flatMap((leak) => leakProblems(parts, leak)),
    ...rig.busbars.flatMap((busbar) => busbarProblems(parts, busbar)),
    ...rig.runs.flatMap((run) => runProblems(parts, run)),
    ...frameProblems(rig),
    ...overfull(rig, parts),
    ...supplyProblems(rig, supplies),
    ...(isWired && supplies.length === 1 ? unsupplied(rig, parts) : []),
  ]
}

const problem = (code: RigProblem['code'], where: string, params: RigProblem['params'] = {}): RigProblem => ({
  code,
  where,
  params,
})

/** A terminal that is none; `where` is what names it. */
function unknown(parts: PartIndex, ref: TerminalRef, where: string): RigProblem[] {
  const part = parts.get(partIdOf(ref))
  if (!part) return [problem('unknownPart', where, { part: partIdOf(ref) })]
  const terminals = terminalsOf(part)
  if (terminals.includes(terminalNameOf(ref))) return []
  const params = { terminal: terminalNameOf(ref), part: part.name, terminals: terminals.join(', ') }
  return [problem('unknownTerminal', where, params)]
}

const areas = (): string =>
  Object.keys(COPPER_OHM_PER_M)
    .map(Number)
    .sort((a, b) => a - b)
    .join(', ')

function wireProblems(rig: Rig, parts: PartIndex, wire: Wire): RigProblem[] {
  const { id, from, to, lengthM, areaMm2, run } = wire
  const found = [from, to].flatMap((ref) => unknown(parts, ref, id))
  const words = (ref: TerminalRef) => (found.length === 0 ? terminalWords(parts, ref) : ref)
  const ends = `${words(from)} to ${words(to)}`
  if (found.length === 0 && from === to) found.push(problem('sameTerminal', id, { terminal: words(from) }))
  if (!(lengthM > 0) || !Number.isFinite(lengthM))
    found.push(problem('lengthNotPositive', id, { ends, lengthM }))
  if (COPPER_OHM_PER_M[areaMm2] === undefined && wire.ohmPerM === undefined)
    found.push(problem('unknownArea', id, { ends, areaMm2, areas: areas() }))
  if (hasBadOhm(wire)) found.push(problem('ohmNotPositive', id, { ends }))
  if (run !== null && !rig.runs.some((candidate) => candidate.id === run))
    found.push(problem('noSuchRun', id, { run }))
  return found
}

const hasBadOhm = ({ ohmPerM, looseOhm }: Wire): boolean =>
  (ohmPerM !== undefined && !(ohmPerM > 0)) || (looseOhm?.some((ohm) => !(ohm >= 0)) ?? false)

const leakProblems = (parts: PartIndex, { id, from, to, ohm }: Leak): RigProblem[] => [
  ...[from, to].flatMap((ref) => unknown(parts, ref, id)),
  ...(ohm > 0 ? [] : [problem('ohmNotPositive', id, { ends: `${from} to ${to}` })]),
]

const busbarProblems = (parts: PartIndex, { id, teeth, missing, cutAfter }: Busbar): RigProblem[] => [
  ...teeth.flatMap((tooth) => unknown(parts, tooth, id)),
  ...[...missing, ...cutAfter]
    .filter((place) => !(place in teeth))
    .map((place) => problem('noTooth', id, { place, teeth: teeth.length })),
]

const runProblems = (parts: PartIndex, { id, name, lengthM, metal }: Run): RigProblem[] => [
  ...(lengthM > 0 ? [] : [problem('lengthNotPositive', id, { ends: name, lengthM })]),
  ...(metal ?? []).flatMap((ref) => unknown(parts, ref, id)),
]

/** Parts in frames that are not there, and ways beyond their board or taken twice. */
function frameProblems(rig: Rig): RigProblem[] {
  const frames = new Map(rig.boards.map((board) => [board.id, board]))
  const taken = new Map<string, string>()
  return rig.parts.flatMap((part): RigProblem[] => {
    if (part.board === null) return []
    const frame = frames.get(part.board)
    if (!frame) return [problem('noSuchBoard', part.id, { board: part.board })]
    if (part.kind !== 'device' && part.kind !== 'arrester') return []
    return part.way == null ? [] : wayProblems(part, part.way, frame, taken)
  })
}

function wayProblems(
  part: DevicePart | Arrester,
  way: number,
  frame: BoardFrame,
  taken: Map<string, string>,
): RigProblem[] {
  const board = frame.name
  const found = way > frame.ways ? [problem('wayBeyond', part.id, { way, ways: frame.ways, board })] : []
  for (const pole of part.poles.filter((candidate) => candidate !== 'N')) {
    const key = `${frame.id} ${way} ${pole}${frame.phases === 3 && pole === 'L' ? part.id : ''}`
    const other = taken.get(key)
    if (other !== undefined) found.push(problem('wayTaken', part.id, { way, other, board }))
    taken.set(key, part.name)
  }
  return found
}

function supplyProblems(rig: Rig, [one, other]: readonly Part[]): RigProblem[] {
  if (!one) return [problem('noSupply', rig.name)]
  return other ? [problem('twoSupplies', other.id, { one: one.name, other: other.name })] : []
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
  for (const part of rig.parts)
    if (part.kind === 'changeover')
      for (const pole of part.poles) join(`${part.id}.${pole} grid`, `${part.id}.${pole} out`)
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

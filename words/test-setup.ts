import { prepareTest, type TestKind } from '#core/testing/diagnosis/bay-test'
import { readingKind } from '#core/testing/readings'
import type { Rig, TerminalRef } from '#core/bay/model/rig'
import { indexParts, partIdOf, terminalWords, type PartIndex } from '#core/bay/model/terminals'
import type { ScheduleTest } from '#core/testing/plan/schedule'

/** How a test is set up at this bay, in words. */
export interface SetupWords {
  readonly instrument: string
  /** Where the leads go. */
  readonly probes: string
  /** What is linked, taken out, closed, opened. */
  readonly ready: readonly string[]
  readonly caution: string | null
}

const DEAD = 'Isolated, locked off and proved dead'
const INSTRUMENT: Readonly<Record<TestKind, string>> = {
  bonding: 'Continuity, long lead',
  r1: 'Continuity',
  rn: 'Continuity',
  r2: 'Continuity',
  r1r2: 'Continuity',
  r2Long: 'Continuity, long lead',
  irLL: 'Insulation, 500 V',
  irLN: 'Insulation, 500 V',
  irLE: 'Insulation, 500 V',
  irNE: 'Insulation, 500 V',
  polarity: 'Continuity',
  ze: 'Loop',
  pfc: 'Fault current',
  rotation: 'Rotation indicator',
  zs: 'Loop that does not trip',
  rcd: 'RCD, 1 × IΔn, both half-cycles',
  rcdHalf: 'RCD, ½ × IΔn',
  rcdFive: 'RCD, 5 × IΔn, both half-cycles',
  rcdButton: 'Finger',
  functional: 'Hand and eye',
  drop: 'Voltmeter',
  clamp: 'Clamp meter',
}
const LIVE_CAUTION = 'Supervised live work: permission given, covers on, fused leads, people informed.'

/** The set-up of one test: computed from how the test is made in the model of the bay, so that words and readings belong together. */
export function setupWords(rig: Rig, test: ScheduleTest): SetupWords {
  const parts = indexParts(rig)
  const made = prepareTest(rig, test)
  const terminal = (ref: TerminalRef) => nameOf(rig, parts, ref)
  const links = made?.setup.links.map(([a, b]) => `Link ${terminal(a)} and ${terminal(b)}`) ?? []
  const freed =
    made?.setup.freed.map(({ wire, end }) => `Take out: ${terminal(`free-${wire}-${end}.S`)}`) ?? []
  return {
    instrument: INSTRUMENT[test.kind],
    probes: made ? probesOf(test.kind, terminal(made.at), terminal(made.to)) : 'Cannot be made at this bay',
    ready: [...first(test), ...freed, ...links],
    caution: test.isDead ? null : LIVE_CAUTION,
  }
}

function probesOf(kind: TestKind, at: string, to: string): string {
  if (kind === 'pfc') return `${at} – N, then ${at} – E; write down the larger`
  if (kind === 'irLL') return 'Each line against the next at the way; write down the lowest'
  if (kind === 'rotation') return 'Incoming L1, L2, L3'
  if (kind === 'rcdButton') return 'Press it once; it must open at once'
  if (kind === 'drop') return `Origin, then ${at} – ${to}; write down the difference`
  if (kind === 'clamp') return 'Round the line alone, at the way'
  if (kind === 'functional') return 'Every switch, isolator and point of the circuit'
  return `${at} – ${to}`
}

/** What must be so before it. */
function first({ kind, isDead }: ScheduleTest): string[] {
  if (!isDead)
    return kind === 'ze'
      ? ['Main switch off and locked', 'Put the earthing conductor back straight afterwards']
      : kind === 'functional'
        ? ['All ways closed']
        : kind === 'drop' || kind === 'clamp'
          ? ['Only this circuit’s way closed', 'Everything of the circuit running']
          : ['Only this circuit’s way closed', 'Loads out']
  if (kind.startsWith('ir'))
    return [
      DEAD,
      'Lamps and loads out, electronics and surge protection out',
      'Switches closed',
      'Main earthing conductor connected',
    ]
  return readingKind(kind).quantity === 'resistance'
    ? [DEAD, 'Leads nulled']
    : [DEAD, 'Switches closed, then open']
}

/** A terminal by its part; the free end of a conductor by where it came from. */
function nameOf(rig: Rig, parts: PartIndex, ref: TerminalRef): string {
  const free = /^free-(.+)-(from|to)\.S$/.exec(ref)
  const wire = free && rig.wires.find(({ id }) => id === free[1])
  if (!wire) return terminalWords(parts, ref)
  const [own, other] = free[2] === 'from' ? [wire.from, wire.to] : [wire.to, wire.from]
  const colour = wire.colour === 'green-and-yellow' ? 'cpc' : wire.colour === 'blue' ? 'neutral' : 'line'
  return `${colour} of ${parts.get(partIdOf(other))?.name ?? partIdOf(other)} out of ${terminalWords(parts, own)}`
}

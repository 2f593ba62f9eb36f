import type { Rig, TerminalRef } from '#core/bay/model/rig'
import { indexParts, partIdOf, terminalWords, type PartIndex } from '#core/bay/model/terminals'
import { prepareTest } from '#core/testing/expected/predict'
import type { Condition } from '#core/testing/kinds/kind'
import { kindOf } from '#core/testing/kinds/kinds'
import type { ScheduleTest } from '#core/testing/plan/schedule'
import { readingText } from './testing'

const CONDITION: Readonly<Record<Condition, string>> = {
  isolated: 'Isolated, locked off and proved dead',
  leadsNulled: 'Leads nulled',
  loadsOut: 'Lamps and loads out, electronics and surge protection out',
  switchesClosed: 'Switches closed',
  waysClosedBehind: 'Main switch off; RCDs and ways behind it closed',
  switchesBothWays: 'Switches closed, then open',
  earthConnected: 'Main earthing conductor connected',
  mainSwitchOff: 'Main switch off and locked',
  earthBackAfter: 'Put the earthing conductor back straight afterwards',
  allWaysClosed: 'All ways closed',
  onlyThisWay: 'Only this circuit’s way closed',
  loadsRunning: 'Everything of the circuit running',
  nothingInUse: 'Loads out',
}

/** How a test is set up at this bay, in words. */
export interface SetupWords {
  readonly instrument: string
  /** Where the leads go. */
  readonly probes: string
  /** What is linked, taken out, closed, opened. */
  readonly ready: readonly string[]
  readonly caution: string | null
}

const LIVE_CAUTION = 'Supervised live work: permission given, covers on, fused leads, people informed.'

/**
 * The set-up of one test: computed from how the test is made in the model of the bay, so that words and
 * readings belong together.
 */
export function setupWords(rig: Rig, test: ScheduleTest): SetupWords {
  const parts = indexParts(rig)
  const prepared = prepareTest(rig, test)
  const terminal = (ref: TerminalRef) => nameOf(rig, parts, ref)
  const { instrument, probes = (at: string, to: string) => `${at} – ${to}` } = readingText(test.key)
  const { setup } = prepared ?? { setup: { links: [], freed: [] } }
  return {
    instrument,
    probes: prepared ? probes(terminal(prepared.at), terminal(prepared.to)) : 'Cannot be made at this bay',
    ready: [
      ...kindOf(test.kind).conditions.map((condition) => CONDITION[condition]),
      ...setup.freed.map(({ wire, end }) => `Disconnect: ${terminal(`free-${wire}-${end}.S`)}`),
      ...setup.links.map(([a, b]) => `Link ${terminal(a)} and ${terminal(b)}`),
    ],
    caution: test.isDead ? null : LIVE_CAUTION,
  }
}

const CONDUCTOR = { 'green-and-yellow': 'cpc', blue: 'neutral' } as const

/** A terminal by its part; the free end of a conductor by where it came from. */
function nameOf(rig: Rig, parts: PartIndex, ref: TerminalRef): string {
  const free = /^free-(.+)-(from|to)\.S$/.exec(ref)
  const wire = free && rig.wires.find(({ id }) => id === free[1])
  if (!wire) return terminalWords(parts, ref)
  const [own, other] = free[2] === 'from' ? [wire.from, wire.to] : [wire.to, wire.from]
  const conductor = CONDUCTOR[wire.colour as keyof typeof CONDUCTOR] ?? 'line'
  const of = parts.get(partIdOf(other))?.name ?? partIdOf(other)
  return `${conductor} of ${of} out of ${terminalWords(parts, own)}`
}

import { simulate } from '#core/bay/behaviour/simulate'
import { workingState } from '#core/bay/behaviour/state'
import { applyFaults, possibleFaults } from '#core/bay/faults/catalogue'
import { reverseDevice } from '#core/bay/faults/edit'
import type { Leak, Rig } from '#core/bay/model/rig'
import { voltAt } from '#core/bay/practice/trial'
import type { JobGenerator } from './generator'
import { UNTIL_S, asked, circuitName, played, pointOf, simulated } from './simulated'
import { goneDark, inUse, timeline } from './timeline'

/** The first place of this fault that belongs to a circuit of the job. */
function faulted(rig: Rig, code: string, accept: (at: readonly string[]) => boolean = () => true) {
  for (const { kind, place } of possibleFaults(rig)) {
    if (kind.code !== code || !accept(place.at)) continue
    const done = applyFaults(rig, [{ code, place: place.key }])
    if (done.ok) return { rig: done.rig, at: place.at }
  }
  return undefined
}

/** What would happen if the bay were wired so. */
export const IF_FAULTY_QUESTIONS: readonly JobGenerator[] = [
  simulated('if-lost-neutral', 'neutral', (rig) => {
    const lost = faulted(rig, 'supplyNeutralLost')
    if (!lost) return []
    const { happenings } = simulate(lost.rig, inUse(lost.rig), [], { untilS: UNTIL_S })
    const isDark = happenings.every(({ kind }) => kind !== 'lit')
    const model = isDark
      ? 'Everything goes dark and nothing trips. Behind the break the neutrals are at line voltage through the loads.'
      : timeline(lost.rig, happenings)
    return [
      [
        'supply',
        asked(
          'The board loses its neutral while everything is in use. What do the loads get, and does anything trip?',
          model,
          ['Which way can the current go back?'],
        ),
      ],
    ]
  }),
  simulated('if-other-bar', 'rcd', (rig, job) => {
    const other = faulted(rig, 'neutralOnOtherBar')
    if (!other) return []
    const wire = rig.wires.find(({ id }) => id === other.at[0])
    const scope = rig.parts.find(
      (part) => part.circuit && wire && [wire.from, wire.to].some((end) => end.startsWith(`${part.id}.`)),
    )?.circuit
    return [
      [
        scope ?? 'bar',
        asked(
          `You put the neutral of ${circuitName(job, scope)} on the other RCD’s bar. What happens when it is used?`,
          played(other.rig, []),
          ['What does each RCD compare?'],
        ),
      ],
    ]
  }),
  simulated('if-cpc-open', 'bonding', (rig, job) => {
    const open = faulted(rig, 'earthOpen')
    if (!open) return []
    const wire = rig.wires.find(({ id }) => id === open.at[0])
    const point = wire && pointOf(rig, wire.to.split('.')[0]!)
    if (!point?.circuit) return []
    const leak: Leak = { id: 'question', from: `${point.id}.L`, to: `${point.id}.E`, ohm: 1 }
    if (point.kind !== 'socket') return []
    return [
      [
        point.circuit,
        asked(
          `The cpc of ${circuitName(job, point.circuit)} is open in front of ${point.name}. Line touches the case there. What opens?`,
          played(open.rig, [{ kind: 'fault', leak }]),
          ['Ring or radial: is there a second way?', 'Which current can flow to earth?'],
          { follow: 'Which dead test finds it?' },
        ),
      ],
    ]
  }),
  simulated('if-neutral-open', 'neutral', (rig, job) => {
    const open = faulted(rig, 'neutralOpen')
    const wire = open && rig.wires.find(({ id }) => id === open.at[0])
    const point = wire && pointOf(rig, wire.to.split('.')[0]!)
    if (!open || !point?.circuit) return []
    const dark = goneDark(rig, open.rig)
    const model =
      dark.length === 0
        ? 'Everything still works: the other leg of the ring carries it all. Nothing is noticed, and a test finds it.'
        : `${dark.slice(0, 4).join(', ')}${dark.length > 4 ? ` and ${dark.length - 4} more` : ''} are off. Beyond the break everything up to the lamp or appliance is at line voltage.`
    return [
      [
        point.circuit,
        asked(
          `The neutral of ${circuitName(job, point.circuit)} comes loose on its way to ${point.name}. What works, and what is live?`,
          model,
          ['Ring or radial?', 'Does “off” say “dead”?'],
        ),
      ],
    ]
  }),
  simulated('if-reversed', 'terminations', (rig) => {
    const device = rig.parts.find((part) => part.kind === 'device' && part.marking !== 'either')
    if (device?.kind !== 'device') return []
    const turned = reverseDevice(rig, device)
    return [
      [
        device.id,
        asked(
          `${device.name} is fed from its other end. What happens when it has to open?`,
          played(turned, [{ kind: 'close', part: device.id, on: false }]),
          ['Look at its marks.'],
        ),
      ],
    ]
  }),
  simulated('if-switch-neutral', 'terminations', (rig, job) => {
    const wrong = faulted(rig, 'switchInNeutral')
    const turned = wrong && pointOf(rig, wrong.at[0]!)
    const lamp = rig.parts.find((part) => part.kind === 'lampholder' && part.circuit === turned?.circuit)
    if (!wrong || !turned || !lamp) return []
    const off = { ...workingState(wrong.rig), thrown: {}, inUse: { [lamp.id]: true } }
    const volt = voltAt(wrong.rig, off, `${lamp.id}.L`)
    return [
      [
        turned.id,
        asked(
          `The switch for ${lamp.name} (${circuitName(job, turned.circuit)}) is in the neutral. It is off and the lamp is dark. What stands at the lampholder?`,
          `${volt.toFixed(0)} V to earth: the switch opens the neutral alone.`,
          ['Which conductor goes straight to the lamp?'],
        ),
      ],
    ]
  }),
]

import { workingState } from '#core/bay/behaviour/state'
import { changePart } from '#core/bay/faults/edit'
import { rcdBefore } from '#core/bay/model/rcd-before'
import type { Leak, Rig } from '#core/bay/model/rig'
import { tryOut, type Act } from '#core/bay/practice/trial'
import type { JobMaterial } from '#core/questions/material'
import { circuitsOf, wayOf } from '#core/testing/setup/circuit-ends'
import type { JobGenerator } from './generator'
import { asked, circuitName, played, simulated } from './simulated'
import { timeline } from './timeline'

const sharesRcd = (rig: Rig, circuit: string | null): boolean => {
  const rcd = rcdBefore(rig, circuit)
  return !!rcd && circuitsOf(rig).some((other) => other !== circuit && rcdBefore(rig, other)?.id === rcd.id)
}

/** A leak between two terminals of a point, coming while the bay is at work. */
function touching(
  rig: Rig,
  job: JobMaterial,
  between: 'N' | 'L',
  ask: (name: string, point: string) => string,
  isOff: boolean,
) {
  const sockets = rig.parts.filter((part) => part.kind === 'socket')
  // Behind an RCD with other circuits there is load current that can divide.
  const shared = sockets.filter(({ circuit }) => sharesRcd(rig, circuit))
  for (const part of [...shared, ...sockets]) {
    if (!part.circuit) continue
    const way = wayOf(rig, part.circuit)
    if (!way) continue
    const leak: Leak = { id: 'question', from: `${part.id}.${between}`, to: `${part.id}.E`, ohm: 0.05 }
    const acts: Act[] = [
      ...(isOff ? [{ kind: 'close', part: way.id, on: false } as const] : []),
      { kind: 'fault', leak },
    ]
    return {
      name: circuitName(job, part.circuit),
      text: ask(circuitName(job, part.circuit), part.name),
      model: played(rig, acts),
      circuit: part.circuit,
    }
  }
  return undefined
}

/** What would happen if somebody did this at a sound bay. */
export const IF_DONE_QUESTIONS: readonly JobGenerator[] = [
  simulated('if-neutral-earth', 'neutral', (rig, job) => {
    const played = touching(
      rig,
      job,
      'N',
      (name, point) =>
        `${name} is switched off. At ${point} you let neutral touch earth, and the other circuits are in use. What happens?`,
      true,
    )
    return played
      ? [
          [
            played.circuit,
            asked(
              played.text,
              played.model,
              ['Is the neutral off too?', 'Where can load current of the others go?'],
              { follow: 'And with no load elsewhere?' },
            ),
          ],
        ]
      : []
  }),
  simulated('if-neutral-earth-quiet', 'neutral', (rig, job) => {
    const socket = rig.parts.find((part) => part.kind === 'socket' && part.circuit)
    const way = socket?.circuit && wayOf(rig, socket.circuit)
    if (!socket || !way) return []
    const acts: Act[] = [
      { kind: 'close', part: way.id, on: false },
      { kind: 'fault', leak: { id: 'question', from: `${socket.id}.N`, to: `${socket.id}.E`, ohm: 0.05 } },
    ]
    const quiet = { ...workingState(rig), inUse: {}, thrown: {} }
    return [
      [
        socket.circuit!,
        asked(
          `${circuitName(job, socket.circuit)} is off, nothing else is in use. Neutral touches earth at ${socket.name}. What happens?`,
          played(rig, acts, quiet),
          ['Does any current flow to divide?'],
        ),
      ],
    ]
  }),
  simulated('if-line-earth', 'rcd', (rig, job) => {
    const played = touching(
      rig,
      job,
      'L',
      (name, point) => `${name} is in use. At ${point} line touches earth. What opens, and after how long?`,
      false,
    )
    return played
      ? [[played.circuit, asked(played.text, played.model, ['RCD or breaker: which is quicker?'])]]
      : []
  }),
  simulated('if-short', 'board', (rig, job) => {
    const socket = rig.parts.find((part) => part.kind === 'socket' && part.circuit)
    if (!socket) return []
    const acts: Act[] = [
      { kind: 'fault', leak: { id: 'question', from: `${socket.id}.L`, to: `${socket.id}.N`, ohm: 0.02 } },
    ]
    return [
      [
        socket.circuit!,
        asked(
          `Line and neutral touch at ${socket.name} of ${circuitName(job, socket.circuit)}. What opens: the RCD?`,
          played(rig, acts),
          ['Is anything missing on the way back?'],
        ),
      ],
    ]
  }),
  simulated('if-overload', 'board', (rig, job) => {
    const heaters = rig.parts.filter((part) => part.kind === 'socket' && part.circuit)
    const first = heaters[0]
    const way = first?.circuit && wayOf(rig, first.circuit)
    if (!first || !way) return []
    const watt = Math.round((way.ratingA * 230 * 1.6) / 100) * 100
    const loaded = changePart<Extract<Rig['parts'][number], { kind: 'socket' }>>(rig, first.id, {
      load: { kind: 'resistive', watt },
    })
    const state = { ...workingState(loaded), inUse: { [first.id]: true } }
    return [
      [
        first.circuit!,
        asked(
          `${watt / 1000} kW is connected to ${circuitName(job, first.circuit)}, ${way.ratingA} A. What happens, and how fast?`,
          timeline(loaded, tryOut(loaded, state, [], 3600).happenings),
          ['How many times its rating is that?', 'Which part of the breaker acts?'],
        ),
      ],
    ]
  }),
  simulated('if-main-off', 'isolation', (rig) => {
    const main = rig.parts.find((part) => part.kind === 'device' && part.role === 'main-switch')
    if (!main) return []
    return [
      [
        main.id,
        asked(
          `${main.name} is switched off. What goes dark, and what in the board is still live?`,
          `${played(rig, [{ kind: 'close', part: main.id, on: false }])}\nLive: its supply side and the tails.`,
          ['What comes in from above?'],
        ),
      ],
    ]
  }),
]

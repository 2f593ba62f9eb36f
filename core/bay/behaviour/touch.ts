import { bodyEffect, bodyOhm, type BodyEffect } from '../network/body'
import { real, magnitude } from '../network/complex'
import { EARTH } from '../network/network'
import type { Rig, TerminalRef } from '../model/rig'
import { indexParts, nodeOf } from '../model/terminals'
import { isBattery } from './live'
import { solveBay } from './network-of'
import type { BayState } from './state'

/** What somebody who touches a terminal and stands on the ground would feel. */
export interface Touched {
  readonly terminal: TerminalRef
  /** Against earth before the touch, V. */
  readonly openV: number
  /** Across the body, V, and through it, A. */
  readonly touchV: number
  readonly ampere: number
  readonly effect: BodyEffect
}

/** The body's impedance follows its voltage; two rounds settle it to a volt. */
const ROUNDS = 4

/** Hand to foot, dry, with no shoes that insulate: the body as part of the network. */
export function touchTerminal(rig: Rig, state: BayState, terminal: TerminalRef): Touched {
  const hertz = isBattery(rig) ? 0 : 50
  const node = nodeOf(indexParts(rig), terminal)
  const across = (ohm: number | null): number => {
    const solved = solveBay(rig, state, {
      hertz,
      ...(ohm === null
        ? {}
        : { add: [{ kind: 'impedance', name: 'body', from: terminal, to: EARTH, ohm: real(ohm) }] }),
    })
    return solved.ok && !(ohm === null && solved.floating.has(node)) ? magnitude(solved.volt(node)) : 0
  }
  const openV = across(null)
  let ohm = bodyOhm(openV)
  let touchV = openV
  for (let round = 0; round < ROUNDS; round += 1) {
    touchV = across(ohm)
    ohm = bodyOhm(touchV)
  }
  const ampere = touchV / ohm
  return { terminal, openV, touchV, ampere, effect: bodyEffect(ampere) }
}

import { magnitude, real } from '../network/complex'
import { display, refused, type Hazard, type Reading, type Scale } from './reading'
import { solveWith, standingVolt, voltBetween, type Probes } from './measure'
import type { Bench } from './setup'

/**
 * Open-circuit voltage 4 to 24 V and at least 200 mA into a short; BS 7671 643.2 and BS EN 61557-4, from
 * memory.
 */
const OPEN_V = 5
const INNER_OHM = 20
const SCALE: Scale = {
  quantity: 'resistance',
  ranges: [
    { end: 19.99, step: 0.01 },
    { end: 199.9, step: 0.1 },
    { end: 1999, step: 1 },
  ],
  accuracy: { relative: 0.02, digits: 2 },
}
/** The instrument warns and refuses above this between its leads, V. */
const LIVE_V = 5
/** A pair of leads in ordinary order, Ω. */
export const USUAL_LEADS_OHM = 0.08
const NULLED_OHM = 0.005

export interface Leads {
  /** Both leads together, Ω. */
  readonly ohm: number
  /** What was nulled before, Ω. */
  readonly nulledOhm: number
}

export const NULLED: Leads = { ohm: USUAL_LEADS_OHM, nulledOhm: USUAL_LEADS_OHM }

/** Low-resistance ohmmeter, for continuity of conductors. On a live circuit it refuses. */
export function readContinuity(bench: Bench, probes: Probes, leads: Leads = NULLED, error = 0): Reading {
  const standing = standingVolt(bench, probes)
  if (standing > LIVE_V) return refused('resistance', 'live', { volt: Math.round(standing) })
  const solved = solveWith(bench, 0, [
    {
      kind: 'source',
      name: 'ohmmeter',
      from: probes.to,
      to: probes.at,
      volt: real(OPEN_V),
      ohm: real(INNER_OHM),
    },
  ])
  if (!solved) return refused('resistance', 'unsolved')
  const current = magnitude(solved.ampere('ohmmeter'))
  const measured =
    current === 0 ? Infinity : voltBetween(bench, solved, probes) / current + leads.ohm - leads.nulledOhm
  const notNulled: Hazard[] =
    leads.ohm - leads.nulledOhm > NULLED_OHM ? [{ code: 'leads', params: { ohm: leads.ohm } }] : []
  return display(SCALE, measured, error, notNulled)
}

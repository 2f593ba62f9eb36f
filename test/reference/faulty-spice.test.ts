/* What a tester should show at a faulty bay, against ngspice (39, from Debian's packages): the bay with its set-up and one milliampere at the probes, as a netlist; the voltage over the current is the reading. */
import { describe, expect, it } from 'vitest'
import { networkOf } from '#core/bay/behaviour/network-of'
import { prepareTest, predict } from '#core/testing/expected/predict'
import { testsOf } from '#core/testing/plan/schedule'
import { prepare } from '#core/bay/instruments/setup'
import { real } from '#core/bay/network/complex'
import { spiceListing } from '#core/bay/network/spice'
import { possibleFaults } from '#core/bay/faults/catalogue'
import type { Rig } from '#core/bay/model/rig'
import { indexParts, nodeOf } from '#core/bay/model/terminals'
import { aBay } from '../support/bay'
import { runSpice } from '../support/spice'

const sound = aBay()
const PROBE_A = 1e-3

/** The rig with the first fault of this kind at this part. */
function faulty(code: string, part: string): Rig {
  const found = possibleFaults(sound).find(
    ({ kind, place }) =>
      kind.code === code &&
      [
        place.key,
        ...place.at,
        ...sound.wires.filter(({ id }) => place.at.includes(id)).flatMap(({ from, to }) => [from, to]),
      ].some((name) => name.includes(part)),
  )
  if (!found) throw new Error(`${code} has no place at ${part}`)
  return found.kind.apply(sound, found.place)
}

/** Ohms between the probes of a dead test, by ngspice. */
function bySpice(rig: Rig, key: string): number {
  const prepared = prepareTest(
    rig,
    testsOf(sound).find((test) => test.key === key)!,
  )!
  const bench = prepare(rig, prepared.state, prepared.setup)
  const parts = indexParts(bench.rig)
  const [at, to] = [nodeOf(parts, prepared.at), nodeOf(parts, prepared.to)]
  const listing = spiceListing(
    networkOf(bench.rig, prepared.state, {
      hertz: 0,
      conductorC: 20,
      add: [...bench.links, { kind: 'injection', name: 'probe', from: to, to: at, ampere: real(PROBE_A) }],
    }),
    key,
  )!
  const volts = runSpice(listing.text)
  const volt = (node: string) => volts.get(`v(${listing.nodes.get(node)})`)?.re ?? 0
  return (volt(at) - volt(to)) / PROBE_A
}

describe('expected readings of faulty bays', () => {
  const cases: readonly (readonly [string, string, string])[] = [
    ['loose', 'c1p2', 'c1.r1r2@c1p3'],
    ['loose', 'c2p1', 'c2.r1r2@c2p2'],
    ['thinner', 'c1run', 'c1.r1'],
    ['longer', 'c2run', 'c2.r1r2@c2p2'],
    ['earthOpen', 'c1p3', 'c1.r1r2@c1p2'],
    ['lineOpen', 'c1p4', 'c1.r1r2@c1p6'],
    ['shortNE', 'c1p3', 'c1.irNE'],
    ['shortLE', 'c2p2', 'c2.irLE'],
    ['damp', 'c1p5', 'c1.irLE'],
    ['trappedNeutral', 'c2p1', 'c2.irNE'],
    ['ringBridged', 'c1', 'c1.r1r2@c1p2'],
  ]
  it.each(cases)('%s at %s: %s', (code, part, key) => {
    const rig = faulty(code, part)
    const outcome = predict(
      rig,
      testsOf(sound).find((test) => test.key === key)!,
    )
    if (outcome?.is !== 'value') throw new Error(`no value for ${key}: ${JSON.stringify(outcome)}`)
    // The listing's own least conductances show in megohms.
    expect(Math.abs(bySpice(rig, key) / outcome.value - 1)).toBeLessThan(outcome.value > 1e4 ? 1e-3 : 1e-6)
  })
})

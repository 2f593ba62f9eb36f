/* The leanest listing that the bench gives ngspice is the same network as the one that is solved: node voltages agree. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { networkOf } from '#core/bay/behaviour/network-of'
import { workingState } from '#core/bay/behaviour/state'
import { buildRig } from '#core/bay/build/build'
import { magnitude, subtract } from '#core/bay/network/complex'
import { solve, type Solved } from '#core/bay/network/solve'
import { settledNetwork, spiceListing } from '#core/bay/network/spice'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { leanListing, timedListing, ANALYSES } from '../support/lean-listing'
import { runSpice, spiceAnalysisMs } from '../support/spice'

const RELATIVE = 1e-9
/** Below this the simulator's own least conductance shows, V. */
const LEAST_V = 1e-8

describe.each(['T-04', 'T-05'])('the bay of %s', (code) => {
  const assignment = assignmentOf(JSON.parse(readFileSync(`packs/workshop/${code}.json`, 'utf8')))
  const rig = buildRig(assignment.installation, designOf(assignment), code)!
  const network = networkOf(rig, workingState(rig))
  const settled = solve(settledNetwork(network)) as Solved
  const listing = spiceListing(network, code)!
  const named = [...listing.nodes].filter(([, name]) => name !== '0')

  it('with its loads as they settle is the network that was solved, and needs no second round', () => {
    const whole = solve(network) as Solved
    for (const [node] of named) {
      const [a, b] = [settled.volt(node), whole.volt(node)]
      expect(magnitude(subtract(a, b)), node).toBeLessThan(RELATIVE * Math.max(1, magnitude(b)))
    }
    expect(settledNetwork(network).elements.some((one) => one.kind === 'impedance' && one.law)).toBe(false)
  })
  it('has the same node voltages in ngspice, listed without ammeters', () => {
    const lean = leanListing(listing)
    expect(lean).not.toMatch(/^VM/m)
    expect(lean.match(/^print /gm)).toHaveLength(1)
    const printed = runSpice(lean)
    for (const [node, name] of named) {
      if (settled.floating.has(node)) continue
      const [theirs, ours] = [printed.get(`v(${name})`)!, settled.volt(node)]
      const apart = magnitude(subtract(theirs, ours))
      expect(apart, node).toBeLessThan(Math.max(LEAST_V, RELATIVE * magnitude(ours)))
    }
  })
  it('tells how long one analysis takes by ngspice’s own account', () => {
    const ms = spiceAnalysisMs(timedListing(leanListing(listing)), ANALYSES)
    expect(ms).toBeGreaterThan(0)
    expect(ms).toBeLessThan(1000)
  })
})

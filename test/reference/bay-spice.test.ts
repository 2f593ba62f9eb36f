/* Whole bays, exported as netlists, against ngspice (39, from Debian's packages): node voltages and branch currents to 1e-9. */
import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { networkOf } from '#core/bay/behaviour/network-of'
import { workingState } from '#core/bay/behaviour/state'
import { magnitude, subtract } from '#core/bay/network/complex'
import { solve } from '#core/bay/network/solve'
import { spiceListing } from '#core/bay/network/spice'
import { assignmentOf, designOf } from '#core/exercise/assignment'
import { buildRig } from '#core/bay/build/build'
import type { Rig } from '#core/bay/model/rig'
import { aBattery, aBay, aRing, rigOf, someLights, splitBoard, withFault, wireBetween } from '../support/bay'
import { runSpice } from '../support/spice'
import { aBoard, aCircuit, anInstallation } from '../support/task'

const RELATIVE = 1e-9
/** Below these a simulator's own least conductance of 1e-12 S shows at 230 V: V, and A in megohm leaks. */
const LEAST_V = 1e-8
const LEAST_A = 1e-9

const demo = (code: string): Rig => {
  const assignment = assignmentOf(JSON.parse(readFileSync(`packs/workshop/${code}.json`, 'utf8')))
  return buildRig(assignment.installation, designOf(assignment), code)!
}
const sound = aBay()
const threePhase = rigOf(
  anInstallation({
    intake: { arrangement: 'TN-S', phases: 3, zeOhm: 0.3, ipfA: 3000, mainFuseA: 100, neutralMm2: 25 },
    boards: [aBoard({ phases: 3 })],
    circuits: [1, 2, 3].map((i) =>
      someLights({
        id: `c${i}`,
        name: `L${i}`,
        way: 1,
        line: (['L1', 'L2', 'L3'] as const)[i - 1]!,
        residualA: null,
        load: { basis: 'lamps', count: 2, eachW: 40 * i ** 2, isDischarge: false },
      }),
    ),
  }),
)
const electrode = rigOf(
  anInstallation({
    intake: { arrangement: 'TT', phases: 1, zeOhm: 60, ipfA: 1200, mainFuseA: 60, neutralMm2: 25 },
    circuits: [aCircuit()],
  }),
)

const BAYS: readonly (readonly [string, Rig])[] = [
  ['split board, all in use', sound],
  [
    'neutral on the other bar',
    withFault(sound, 'neutralOnOtherBar', `${wireBetween(sound, 'b1nB', 'c2p1')} b1nA`),
  ],
  ['neutral touching earth', withFault(sound, 'shortNE', 'c1p3')],
  ['open neutral', withFault(sound, 'neutralOpen', wireBetween(sound, 'b1nB', 'c2p1'))],
  ['dead fault to earth', withFault(sound, 'shortLE', 'c1p4')],
  ['three phases', threePhase],
  [
    'three phases, neutral lost',
    withFault(threePhase, 'supplyNeutralLost', wireBetween(threePhase, 'supply.N', 'meter.N in')),
  ],
  ['TT with a fault', withFault(electrode, 'shortLE', 'c1p1')],
  ['a battery that feeds in', rigOf(splitBoard({ circuits: [aRing(), someLights(), aBattery()] }))],
  ['the battery store of the demo, electronics and motor', demo('T-04')],
]

describe('a bay and its netlist are the same network', () => {
  it.each(BAYS)('%s', (name, rig) => {
    const working = workingState(rig)
    const network = networkOf(rig, {
      ...working,
      inUse: Object.fromEntries(rig.parts.map(({ id }) => [id, true])),
    })
    const solved = solve(network)
    if (!solved.ok) throw new Error(`${solved.reason} ${solved.name}`)
    const listing = spiceListing(network, name)!
    const theirs = runSpice(listing.text)
    const largest = Math.max(
      ...[...listing.ammeters.keys()].map((element) => magnitude(solved.ampere(element))),
    )
    for (const [node, spiceName] of listing.nodes) {
      if (spiceName === '0') continue
      const other = theirs.get(`v(${spiceName})`)!
      expect(magnitude(subtract(solved.volt(node), other)), `V of ${node}`).toBeLessThanOrEqual(
        LEAST_V + RELATIVE * magnitude(other),
      )
    }
    for (const [element, ammeter] of listing.ammeters) {
      const other = theirs.get(`i(${ammeter})`)!
      expect(magnitude(subtract(solved.ampere(element), other)), `I of ${element}`).toBeLessThanOrEqual(
        LEAST_A + RELATIVE * Math.max(magnitude(other), largest / 100),
      )
    }
  })
})

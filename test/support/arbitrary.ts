import fc from 'fast-check'
import type { CableKind } from '#core/regulations/cables/cable'
import { methodsOf } from '#core/regulations/cables/sizes'
import { AMBIENT_FACTOR } from '#core/regulations/factors'
import type { Task } from '#core/design/model/task'
import { aTask } from './task'

/** Any radial final circuit that an instructor might write down, solvable or not. */
export const tasks: fc.Arbitrary<Task> = fc
  .record({
    kind: fc.constantFrom<CableKind>('flat-twin-earth', 'singles-in-conduit'),
    methodPick: fc.nat(20),
    arrangement: fc.constantFrom('TN-S' as const, 'TN-C-S' as const, 'TT' as const),
    zeHundredths: fc.integer({ min: 5, max: 80 }),
    powerW: fc.integer({ min: 2, max: 140 }).map((n) => n * 50),
    powerFactor: fc.constantFrom(1, 0.95, 0.9, 0.8),
    lengthM: fc.integer({ min: 4, max: 160 }).map((n) => n / 2),
    ambientC: fc.constantFrom(...AMBIENT_FACTOR[70].keys()),
    circuits: fc.integer({ min: 1, max: 6 }),
    bunching: fc.constantFrom('bunched' as const, 'single-layer' as const),
    use: fc.constantFrom('sockets' as const, 'lighting' as const, 'fixed' as const),
    curve: fc.constantFrom('B' as const, 'C' as const, 'D' as const),
    concealed: fc.boolean(),
  })
  .map((r) => {
    const methods = methodsOf(r.kind)
    return aTask({
      supply: {
        arrangement: r.arrangement,
        zeOhm: r.arrangement === 'TT' ? r.zeHundredths : r.zeHundredths / 100,
        ipfA: 1500,
      },
      use: r.use,
      load: { basis: 'power', powerW: r.powerW, powerFactor: r.powerFactor },
      lengthM: r.lengthM,
      cable: { kind: r.kind, method: methods[r.methodPick % methods.length]! },
      ambientC: r.ambientC,
      grouping: { circuits: r.circuits, arrangement: r.bunching },
      device: { family: 'rcbo', curve: r.curve },
      concealed: r.concealed,
    })
  })

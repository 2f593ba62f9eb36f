import { randomLcg, randomNormal } from 'd3-random'
import { testsOf } from '#core/testing/plan/schedule'
import { predict, type Outcomes } from '#core/testing/expected/predict'
import type { Outcome } from '#core/testing/kinds/kind'
import type { Rig } from '#core/bay/model/rig'

/**
 * A whole sheet as a careful person would take it from this bay: instrument error, cut lengths and workshop
 * air scattered as they are.
 */
export function measure(built: Rig, asMeant: Rig, seed: number): Outcomes {
  const random = randomNormal.source(randomLcg(seed / 1e6))(0, 1)
  const air = 1 + 0.012 * Math.max(-2, Math.min(2, random()))
  // The long lead comes out when something is looked for.
  return new Map(
    testsOf(asMeant)
      .filter(({ kind }) => kind !== 'r2Long')
      .flatMap((test): [string, Outcome][] => {
        const outcome = predict(built, test)
        if (!outcome) return []
        if (outcome.is !== 'value' || test.kind === 'rcd' || test.kind === 'polarity')
          return [[test.key, outcome]]
        const scatter = 1 + 0.012 * Math.max(-2.5, Math.min(2.5, random()))
        const factor = test.kind.startsWith('ir')
          ? 1 + 0.1 * Math.max(-2, Math.min(2, random()))
          : scatter * (test.kind === 'ze' ? 1 : air)
        const digits = test.kind.startsWith('ir') ? 0 : 0.008 * Math.max(-2, Math.min(2, random()))
        return [[test.key, { is: 'value', value: Math.max(0, outcome.value * factor + digits) }]]
      }),
  )
}

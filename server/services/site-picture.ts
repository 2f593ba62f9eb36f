import { drawIntake } from '#core/inspection/scenes/intake-read'
import type { IntakeKind } from '#core/inspection/scenes/intake'
import type { Shapes } from '#core/drawing/shape'
import type { Site, SiteAct } from '#core/survey/site/site'

/** Tails this thin, and an earth from the sheath, are those of an old intake; common practice, no source. */
const MODERN_TAILS_MM2 = 25

/**
 * What somebody sees who looks at the intake of an invented site: a drawing from its facts, with nothing on it that
 * this act does not show. Null for every other act.
 */
export function pictureOfAct({ facts }: Site, { id, kind }: SiteAct): Shapes | null {
  const known = new Map(facts.filter(({ by }) => by.includes(id)).map(({ key, value }) => [key, value]))
  const arrangement = known.get('intake.arrangement') as IntakeKind['arrangement'] | undefined
  if (kind !== 'look' || arrangement === undefined) return null
  const figure = (text: string | undefined) => (text === undefined ? null : parseFloat(text) || null)
  const tailsMm2 = figure(known.get('intake.tails'))
  const seals = known.get('intake.seals') ?? 'whole'
  const bond = (spot: string, key: 'earth.bondWater' | 'earth.bondGas') =>
    known.get(key) === 'not-bonded' ? { [spot]: 'none' } : {}
  return drawIntake({
    arrangement,
    phases: known.get('intake.phases') === '3' ? 3 : 1,
    age: arrangement === 'TN-S' || (tailsMm2 ?? MODERN_TAILS_MM2) < MODERN_TAILS_MM2 ? 'old' : 'modern',
    isLooped: false,
    isDivided: false,
    hasServices: known.has('earth.bondWater') || known.has('earth.bondGas'),
    mainFuseA: figure(known.get('intake.mainFuse')),
    tailsMm2,
    looks: {
      ...(seals === 'whole' ? {} : { cutout: 'broken' }),
      ...bond('bondwater', 'earth.bondWater'),
      ...bond('bondgas', 'earth.bondGas'),
    },
  })
}

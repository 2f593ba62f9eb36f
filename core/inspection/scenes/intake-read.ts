import { words, type Shapes } from '../../drawing/shape'
import { drawSpot } from '../draw'
import { rightLook } from '../looks'
import { CUT_OUT, intakeGround, intakeSpots, type IntakeKind } from './intake'

/** An intake of a known place, to be read: how each spot looks that is not as it should be, and what is printed. */
export interface IntakeRead extends IntakeKind {
  /** By the id of the spot. */
  readonly looks: Readonly<Record<string, string>>
  /** Printed on the fuse carrier and the tails: A and mm²; null where nothing can be read. */
  readonly mainFuseA: number | null
  readonly tailsMm2: number | null
}

/** The picture of an intake that somebody reads. */
export function drawIntake({ looks, mainFuseA, tailsMm2, ...kind }: IntakeRead): Shapes {
  return [
    ...intakeGround(kind),
    ...intakeSpots(kind).flatMap((spot) =>
      drawSpot({ ...spot, look: looks[spot.id] ?? rightLook(spot.kind) }),
    ),
    ...(mainFuseA === null ? [] : [words(CUT_OUT.x + 34, CUT_OUT.y + 82, `${mainFuseA} A`, 'words fine')]),
    ...(tailsMm2 === null ? [] : [words(310, 268, `${tailsMm2} mm²`, 'words fine')]),
  ]
}

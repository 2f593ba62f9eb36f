import { expose } from 'comlink'
import { cutStock } from '#core/containment/cutting'
import { makeVariants } from '#core/exercise/variants'
import type { ExpectedReading } from '#core/testing/expected/expected'
import { bayUnderTest, type TestedAssignment } from '#core/testing/judge/bay-under-test'

/** What the tests that are asked of this bay should show; none where it cannot be built. */
function expectedOf(assignment: TestedAssignment): ExpectedReading[] {
  const bay = bayUnderTest(assignment, '')
  return bay ? bay.schedule.filter(({ isAsked }) => isAsked).map(({ key }) => bay.expected.get(key)!) : []
}

/** Work of the desk that may take longer than a frame: variants, cutting lists, what a bay should show. */
const offer = { makeVariants, cutStock, expectedOf }
export type DeskOffer = typeof offer
expose(offer)

import { arrange } from '#core/arrangement/arrange'
import { compareDesigns, type BookChosen, type CompareRules } from '#core/design/compare-designs'
import type { Installation } from '#core/installation/installation'
import { makeVariants } from '#core/exercise/variants'
import type { Expected } from '#core/testing/expected/expected'
import { bayUnderTest } from '#core/testing/judge/bay-under-test'
import { previewPlant } from '#core/testing/fault-finding/preview'
import { whatIfQuestions } from '#words/questions/job/index'
import { readBank, writeBank } from '#schemas/question-file'
import { mergeLog } from '../db/merge-log'

/** What tries are marked against is looked for longer than what somebody waits for. */
const LAYOUT_MOVES = 1_000_000

/** A board laid out as the wishes weigh. */
export const arrangeBoard = (...[circuits, board, weights]: Parameters<typeof arrange>) =>
  arrange(circuits, board, weights, LAYOUT_MOVES)

/** Many designs by two books. */
export const compareAll = (
  designs: readonly { readonly installation: Installation; readonly rules: CompareRules }[],
  books: readonly [BookChosen, BookChosen],
) => designs.map(({ installation, rules }) => compareDesigns(installation, rules, books))

/** What each test of a bay should show; undefined where it has none. */
export const expectedOf = (...[assignment, name]: Parameters<typeof bayUnderTest>): Expected | undefined =>
  bayUnderTest(assignment, name)?.expected

/* What takes longer than the server may be away from everybody else. Runs in a thread of its own; the same
   functions run in place where there is none. */
export { makeVariants, mergeLog, previewPlant, readBank, whatIfQuestions, writeBank }

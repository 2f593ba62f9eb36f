import type { Question } from '#core/questions/question'
import { BOARD } from './board'
import { BONDING } from './bonding'
import { CABLE } from './cable'
import { CONTAINMENT } from './containment'
import { DEAD } from './dead'
import { FAULT } from './fault'
import { IP } from './ip'
import { ISOLATION } from './isolation'
import { LIVE } from './live'
import { LOCATIONS } from './locations'
import { MYTHS } from './myths'
import { NEUTRAL } from './neutral'
import { PAPERWORK } from './paperwork'
import { PICTURES } from './pictures'
import { PRINCIPLES } from './principles'
import { RCD } from './rcd'
import { REGULATIONS } from './regulations'
import { SUPPLY } from './supply'
import { TERMINATIONS } from './terminations'

/** The questions that come with the product; a centre adds its own and may replace one by its code. */
export const SHIPPED_QUESTIONS: readonly Question[] = (
  [
    ...PRINCIPLES,
    ...SUPPLY,
    ...REGULATIONS,
    ...CONTAINMENT,
    ...CABLE,
    ...BOARD,
    ...TERMINATIONS,
    ...IP,
    ...ISOLATION,
    ...DEAD,
    ...LIVE,
    ...RCD,
    ...NEUTRAL,
    ...BONDING,
    ...LOCATIONS,
    ...PAPERWORK,
    ...FAULT,
    ...MYTHS,
  ] satisfies readonly Question[]
).map((question) => {
  const picture = PICTURES[question.code]
  return picture ? { ...question, picture } : question
})

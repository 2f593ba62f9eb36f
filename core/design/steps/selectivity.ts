import type { Task } from '../model/task'
import { DEVICES, MAGNETIC_BAND } from '../../regulations/devices'
import { fuseCurrentA } from '../../regulations/fuses'
import { letThroughA2s } from '../../regulations/book/let-through'
import { SOURCES } from '../../regulations/source'
import { INSTANTANEOUS_S } from '../../regulations/time-current'
import { formatNumber } from '../../units/format'
import { accepted, refused, worked } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

/** A plug's fuse; BS 1362. */
const PLUG_FUSE_A = 13
/** The smallest breaker that lets a 13 A plug fuse go first; common practice, no source. */
const ABOVE_PLUG_A = 20
/**
 * Ratio of ratings at which two fuses, or two thermal parts, open in order; BS 88 guidance (1.6 : 1), from
 * memory.
 */
const RATIO = 1.6
/** A fuse melts before its total clearing energy; taken at a hundredth of a second. */
const PRE_ARC_S = 0.01

export interface SelectivityVerdict {
  readonly isSelective: boolean
  readonly why: string
}

/**
 * Does the device nearest to a fault open alone: the plug fuse before this one, and this one before the
 * device above?
 */
export function selectivity(task: Task, ratingA: number): SelectivityVerdict {
  if (task.use === 'sockets' && task.device.curve !== null && ratingA < ABOVE_PLUG_A) {
    return {
      isSelective: false,
      why: `a ${PLUG_FUSE_A} A plug fuse behind ${ratingA} A: both may open; 20 A and more let the fuse go first`,
    }
  }
  const { above } = task
  if (!above) return { isSelective: true, why: 'nothing above is known' }
  if (above.ratingA < RATIO * ratingA)
    return { isSelective: false, why: `${above.ratingA} A above is less than ${RATIO} × ${ratingA} A` }
  return DEVICES[above.family].fuse === null
    ? underBreaker(task, above.ratingA, above.curve!)
    : underFuse(task, ratingA)
}

function underBreaker(task: Task, aboveA: number, curve: 'B' | 'C' | 'D'): SelectivityVerdict {
  const quietUpToA = MAGNETIC_BAND[curve][0] * aboveA
  const isSelective = task.supply.ipfA < quietUpToA
  const compared = `${formatNumber(task.supply.ipfA, 'faultCurrent')} kA ${isSelective ? 'stays below' : 'passes'} ${quietUpToA} A, where ${curve}${aboveA} may trip at once`
  return { isSelective, why: compared }
}

function underFuse(task: Task, ratingA: number): SelectivityVerdict {
  const above = task.above!
  const { curve } = task.device
  const melts = fuseCurrentA(DEVICES[above.family].fuse!, above.ratingA, PRE_ARC_S)
  if (curve === null || melts === undefined)
    return {
      isSelective: true,
      why: `fuse ${above.ratingA} A above fuse ${ratingA} A: ratio ${RATIO} or more`,
    }
  // Makers give type D about what type C lets through; from memory.
  const energy =
    letThroughA2s(task.book, curve === 'D' ? 'C' : curve, ratingA, task.supply.ipfA) ??
    task.supply.ipfA ** 2 * INSTANTANEOUS_S
  const preArc = melts ** 2 * PRE_ARC_S
  const isSelective = energy < preArc
  return {
    isSelective,
    why: `${(energy / 1e3).toFixed(0)} kA²s let through, the ${above.ratingA} A fuse melts at ${(preArc / 1e3).toFixed(0)} kA²s`,
  }
}

/** Selective along the path, from the plug to the device in front of the board: yes (1) or no (0). */
export const selectivityStep: CircuitStep = {
  key: 'selective',
  ...STEP_KINDS.selective,
  kind: 'chosen',
  needs: ['in'],
  appliesTo: ({ above, use }) => above !== null || use === 'sockets',
  derive: (task, values) => {
    const { isSelective, why } = selectivity(task, values.in!)
    return worked(isSelective ? 1 : 0, 'the nearest device opens alone', why, SOURCES.selectivity)
  },
  accept: (task, values, answer) =>
    answer === (selectivity(task, values.in!).isSelective ? 1 : 0)
      ? accepted()
      : refused('selectivityWrong', { why: selectivity(task, values.in!).why }),
}

import type { Task } from '../../exercise/task'
import { sizeOf, sizesOf } from '../../regulations/cables'
import { HOT_MULTIPLIER, pairOhmPerM } from '../../regulations/conductors'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import { hotZsOhm, maximumZsOhm, neededResidualA, sizeFails, smallestSize, voltDropLimitV, voltDropV } from '../limits'
import { accepted, refused, stopped, worked, type Constraint, type Derivation, type Step, type StepValues } from '../step'
import { STEP_KINDS } from '../step-kinds'

/** csa = the smallest conductor whose rating, voltage drop and fault loop are all within limits, mm². */
export const conductorArea: Step = {
  key: 'csa',
  ...STEP_KINDS.csa,
  kind: 'chosen',
  needs: ['itMin', 'ib', 'in'],
  derive: (task, values) => {
    const sizes = sizesOf(task.cable.kind, task.cable.method)
    if (sizes.length === 0) return stopped('method', { kind: task.cable.kind, method: task.cable.method })
    const { size, ruledOutBy } = smallestSize(task, chosenNeeds(values))
    if (!size) return tooMuchForTheLargest(task, values, ruledOutBy!)
    const whyNotSmaller = {
      area: 'smaller is not allowed for this use', capacity: 'the size below carries too little', voltDrop: 'the size below drops too much', loop: 'the size below has too high a Zs',
    }
    return worked(
      size.lineMm2,
      'smallest csa with It, ΔU and Zs in limits',
      `${formatNumber(size.ratingA, 'rating')} A ≥ ${formatNumber(values.itMin!, 'current')} A${ruledOutBy ? `; ${whyNotSmaller[ruledOutBy]}` : ''}`,
      ruledOutBy === 'voltDrop' ? SOURCES.voltDropLimit : ruledOutBy === 'loop' ? SOURCES.maximumLoopImpedance : ruledOutBy === 'area' ? SOURCES.minimumArea : ratingSource(task),
    )
  },
  accept: (task, values, answer) => {
    const size = sizeOf(task.cable.kind, task.cable.method, answer)
    if (!size) return refused('notASize', { answer })
    const fails = sizeFails(task, size, chosenNeeds(values))
    if (fails) return refused(`size_${fails}`, failureParams(task, values, answer))
    const sizes = sizesOf(task.cable.kind, task.cable.method)
    const smallest = smallestSize(task, chosenNeeds(values)).size!
    const step = sizes.findIndex((s) => s.lineMm2 === answer) - sizes.findIndex((s) => s.lineMm2 === smallest.lineMm2)
    if (step <= 1) return accepted('oneSizeUp')
    return refused('sizeTooLarge', { answer, smallest: smallest.lineMm2 })
  },
}

function chosenNeeds(values: StepValues) {
  return { itMin: values.itMin!, ib: values.ib!, in: values.in! }
}

function ratingSource(task: Task) {
  return task.cable.kind === 'flat-twin-earth' ? SOURCES.flatCableRatings : SOURCES.conduitRatings
}

function failureParams(task: Task, values: StepValues, areaMm2: number): Constraint['params'] {
  const size = sizeOf(task.cable.kind, task.cable.method, areaMm2)!
  return {
    answer: areaMm2,
    ratingA: size.ratingA,
    itMin: values.itMin!,
    voltDropV: voltDropV(task, size, values.ib!),
    voltDropLimitV: voltDropLimitV(task),
    zsOhm: hotZsOhm(task, size),
    zsMaxOhm: maximumZsOhm(task, values.in!, neededResidualA(task, values.in!)),
  }
}

/** No size will do: name what the largest one still fails, and how short the run would have to be. */
function tooMuchForTheLargest(task: Task, values: StepValues, fails: 'area' | 'capacity' | 'voltDrop' | 'loop'): Derivation {
  const largest = sizesOf(task.cable.kind, task.cable.method).at(-1)!
  const params = failureParams(task, values, largest.lineMm2)
  if (fails === 'voltDrop') {
    return stopped('voltDrop', { ...params, longestM: voltDropLimitV(task) / (largest.voltDropVPerAm * values.ib!) })
  }
  if (fails === 'loop') {
    const room = Number(params.zsMaxOhm) - task.supply.zeOhm
    return stopped('loop', { ...params, zeOhm: task.supply.zeOhm, arrangement: task.supply.arrangement, longestM: Math.max(0, room / (pairOhmPerM(largest) * HOT_MULTIPLIER)) })
  }
  return stopped(fails, params)
}

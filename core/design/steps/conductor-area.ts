import type { Task } from '../model/task'
import type { SizeFigures } from '../../findings/codes'
import { CABLES, pairOhmPerM, type CableSize } from '../../regulations/cables/sizes'
import { SOURCES } from '../../regulations/source'
import { formatNumber } from '../../units/format'
import {
  dropShare,
  faultCurrentA,
  hotZsOhm,
  maximumZsOhm,
  sizeFails,
  sizeFor,
  sizesFor,
  smallestSize,
  voltDropLimitV,
  voltDropV,
  type SizeFailure,
} from '../limits/limits'
import { dropFactor, sizeNeeds } from '../limits/counted-drop'
import { faultEnergy } from '../limits/fault-energy'
import { neededRcdA } from '../limits/rcd-needs'
import { accepted, refused, stopped, worked, type Derivation, type StepValues } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { CircuitStep } from './step-context'

const WHY_NOT_SMALLER: Readonly<Record<SizeFailure, string>> = {
  area: 'smaller is not allowed here',
  capacity: 'the size below carries too little',
  voltDrop: 'the size below drops too much',
  loop: 'the size below has too high a Zs',
  adiabatic: 'the size below has too thin a cpc',
}

/** csa = the smallest conductor whose rating, voltage drop, fault loop and cpc are all within limits, mm². */
export const conductorArea: CircuitStep = {
  key: 'csa',
  ...STEP_KINDS.csa,
  kind: 'chosen',
  needs: ['itMin', 'ib', 'in', 'ca', 'cg'],
  derive: (task, values) => {
    if (sizesFor(task).length === 0)
      return stopped('method', { kind: task.cable.kind, method: task.cable.method, phases: task.phases })
    if (task.existing) return existingSize(task, values, task.existing.lineMm2)
    const { size, ruledOutBy } = smallestSize(task, sizeNeeds(values))
    if (!size) return tooMuchForTheLargest(task, values, ruledOutBy!)
    return worked(
      size.lineMm2,
      'smallest csa with It, ΔU, Zs and cpc in limits',
      `${formatNumber(size.ratingA, 'current')} A ≥ ${formatNumber(values.itMin!, 'current')} A${ruledOutBy ? `; ${WHY_NOT_SMALLER[ruledOutBy]}` : ''}`,
      sourceOf(task, ruledOutBy),
    )
  },
  accept: (task, values, answer) => {
    const size = sizeFor(task, answer)
    if (!size) return refused('notASize', { answer })
    const fails = sizeFails(task, size, sizeNeeds(values))
    if (fails) return refused(`size_${fails}`, failureParams(task, values, size))
    if (task.existing) return refused('notTheExisting', { answer, existing: task.existing.lineMm2 })
    const sizes = sizesFor(task)
    const step = sizes.indexOf(size) - sizes.indexOf(smallestSize(task, sizeNeeds(values)).size!)
    if (step === 0) return accepted(undefined)
    return accepted(step === 1 ? 'oneSizeUp' : 'soundNotEconomical')
  },
}

function sourceOf(task: Task, ruledOutBy: SizeFailure | undefined) {
  switch (ruledOutBy) {
    case 'voltDrop':
      return SOURCES.voltDropLimit
    case 'loop':
      return SOURCES.maximumLoopImpedance
    case 'adiabatic':
      return SOURCES.adiabatic
    case 'area':
      return task.topology === 'ring' ? SOURCES.ringRating : SOURCES.minimumArea
    default:
      return CABLES[task.cable.kind].ratingSource
  }
}

/** An existing conductor is not chosen, only found to be enough or not. */
function existingSize(task: Task, values: StepValues, lineMm2: number): Derivation {
  const size = sizeFor(task, lineMm2)
  if (!size) return stopped('area', { answer: lineMm2 })
  const fails = sizeFails(task, size, sizeNeeds(values))
  if (fails) return stopped('existingCable', { ...failureParams(task, values, size), fails })
  return worked(
    lineMm2,
    'csa as it is there',
    `${formatNumber(size.ratingA, 'current')} A ≥ ${formatNumber(values.itMin!, 'current')} A`,
    CABLES[task.cable.kind].ratingSource,
  )
}

function failureParams(task: Task, values: StepValues, size: CableSize): SizeFigures {
  const residualA = neededRcdA(task, values.in!)
  const zsOhm = hotZsOhm(task, size)
  return {
    answer: size.lineMm2,
    ratingA: size.ratingA,
    itMin: values.itMin!,
    cpcMm2: size.cpcMm2,
    cpcMinMm2: faultEnergy(task, values.in!, residualA, faultCurrentA(zsOhm)).areaMm2(size.k),
    voltDropV: voltDropV(task, size, sizeNeeds(values)),
    voltDropLimitV: voltDropLimitV(task),
    zsOhm,
    zsMaxOhm: maximumZsOhm(task, values.in!, residualA),
  }
}

/** No size will do: name what the largest one still fails, and how short the run would have to be. */
function tooMuchForTheLargest(task: Task, values: StepValues, fails: SizeFailure): Derivation {
  const largest = sizesFor(task).at(-1)!
  const params = failureParams(task, values, largest)
  if (fails === 'voltDrop') {
    if (voltDropLimitV(task) <= 0) return stopped('dropAbove', { dropAbove: task.dropAbove })
    return stopped('voltDrop', {
      ...params,
      longestM:
        voltDropLimitV(task) /
        (largest.voltDropVPerAm *
          values.ib! *
          dropShare(task) *
          dropFactor(task, largest, sizeNeeds(values))),
    })
  }
  if (fails === 'loop') {
    const room = (params.zsMaxOhm - task.supply.zeOhm) / (pairOhmPerM(largest) * largest.hotMultiplier)
    const longestM = task.topology === 'ring' ? (room - task.spurM) * 4 : room
    return stopped('loop', {
      ...params,
      zeOhm: task.supply.zeOhm,
      arrangement: task.supply.arrangement,
      longestM: Math.max(0, longestM),
    })
  }
  return stopped(fails, params)
}

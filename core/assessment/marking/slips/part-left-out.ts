import { dropShare, loopMetres, sizeFor } from '../../../design/limits/limits'
import type { StepKey } from '../../../design/model/step-keys'
import type { StepValues } from '../../../design/model/step'
import type { Task } from '../../../design/model/task'
import { fault } from '../../../findings/finding'
import type { CableSize } from '../../../regulations/cables/sizes'
import { nominalV } from '../../../regulations/supply'
import { forCircuits, type Slip } from './slip'

interface Left {
  readonly task: Task
  readonly v: Required<StepValues>
  readonly size: CableSize | undefined
  readonly metres: number
  readonly zeOhm: number
}

const lineOnly = ({ size }: Left, scale: number, offset = 0): Slip[] =>
  size ? [{ value: offset + size.r1OhmPerM * scale, finding: fault('slip.lineOnly') }] : []
const hotOf = ({ size }: Left): number => size?.hotMultiplier ?? 1

/** By step, what the sum would be without one of its parts. */
const LEFT_OUT: Readonly<Partial<Record<StepKey, (left: Left) => readonly Slip[]>>> = {
  itMin: ({ v }) => [{ value: v.ib / (v.ca * v.cg * v.ci * v.cf), finding: fault('slip.loadForRating') }],
  voltDrop: ({ task, v }) => [
    { value: v.voltDropPerAm * v.in * task.lengthM * dropShare(task), finding: fault('slip.ratingForLoad') },
  ],
  voltDropTotal: ({ task, v }) =>
    task.dropAbove > 0
      ? [
          {
            value: v.voltDrop / nominalV(task.phases),
            finding: fault('slip.dropAboveForgotten', { above: task.dropAbove }),
          },
        ]
      : [],
  ohmPerM: (left) => lineOnly(left, 1),
  r1r2: (left) => [
    ...lineOnly(left, left.metres),
    { value: (left.v.ohmPerM ?? 0) * left.metres * hotOf(left), finding: fault('slip.hotForCold') },
  ],
  r1r2Hot: (left) => [
    { value: left.v.r1r2, finding: fault('slip.coldForHot') },
    {
      value: left.v.r1r2 / hotOf(left),
      finding: fault('slip.invertedFactor', { symbol: hotOf(left).toFixed(2) }),
    },
  ],
  zs: (left) => [
    { value: left.v.r1r2Hot, finding: fault('slip.externalForgotten', { zeOhm: left.zeOhm }) },
    { value: left.zeOhm + left.v.r1r2, finding: fault('slip.coldForHot') },
    ...lineOnly(left, left.metres * hotOf(left), left.zeOhm),
  ],
  cpcMin: ({ v, size }) =>
    size ? [{ value: (v.faultCurrent ** 2 * v.time) / size.k, finding: fault('slip.rootForgotten') }] : [],
}

/** Something that belongs in the sum is missing, or the value of another step was put in its place. */
export const partLeftOut = forCircuits(({ step, task, values }) => {
  const v = values as Required<StepValues>
  const left = { task, v, size: sizeFor(task, v.csa), metres: loopMetres(task), zeOhm: task.supply.zeOhm }
  return LEFT_OUT[step.key]?.(left) ?? []
})

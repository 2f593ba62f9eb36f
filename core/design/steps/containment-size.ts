import type { Task } from '../model/task'
import { isDrawnIn, type CableSize } from '../../regulations/cables/sizes'
import {
  conduitCells,
  conduitFactor,
  conduitTerms,
  trunkingCells,
  trunkingTerms,
} from '../../regulations/book/drawn-in'
import { CONDUITS_MM, TRUNKING } from '../../regulations/containment'
import { SOURCES } from '../../regulations/source'
import { accepted, atMost, refused, stopped, worked, type Check, type StepValues } from '../model/step'
import { STEP_KINDS } from '../model/step-kinds'
import type { Choice } from '../model/step-kinds'
import { fromRow } from './cable-rows'
import { sizeFor } from '../limits/limits'
import type { CircuitStep } from './step-context'

/** Conductors side by side in the conduit: lines, neutral and cpc of every circuit in it; both legs of a ring. */
function areasInside(task: Task, size: CableSize): number[] {
  const legs = task.topology === 'ring' ? 2 : 1
  const live = (task.phases === 3 ? 4 : 2) * legs
  const areasMm2 = [...Array<number>(live).fill(size.lineMm2), ...Array<number>(legs).fill(size.cpcMm2)]
  return Array.from({ length: task.grouping.circuits }, () => areasMm2).flat()
}

interface Fit {
  readonly choice: Choice
  readonly terms: number
  readonly factor: number
}

/** Every size on offer with what it takes, smallest first; undefined where a conductor has no term. */
function fits(task: Task, size: CableSize): Fit[] | undefined {
  const isConduit = task.cable.kind === 'singles-in-conduit'
  const terms = isConduit
    ? conduitTerms(task.book.values, areasInside(task, size), task.run)
    : trunkingTerms(task.book.values, areasInside(task, size))
  if (terms === undefined) return undefined
  const choices = STEP_KINDS.containment.choices!
  return isConduit
    ? CONDUITS_MM.map((mm, i) => ({
        choice: choices[i]!,
        terms,
        factor: conduitFactor(task.book.values, mm, task.run),
      }))
    : TRUNKING.map(({ size: dimensions }, i) => ({
        choice: choices[CONDUITS_MM.length + i]!,
        terms,
        factor: task.book.values.trunking[dimensions]!,
      }))
}

/** The smallest conduit or trunking whose factor the cables' terms do not pass. */
export const containmentSize: CircuitStep = {
  key: 'containment',
  ...STEP_KINDS.containment,
  kind: 'chosen',
  needs: ['csa'],
  cell: (task, values) => {
    const size = sizeFor(task, values.csa!)
    const at = STEP_KINDS.containment.choices!.findIndex(({ value }) => value === values.containment)
    if (!size || at === -1) return undefined
    const areas = areasInside(task, size)
    return at < CONDUITS_MM.length
      ? conduitCells(areas, CONDUITS_MM[at]!, task.run)
      : trunkingCells(areas, TRUNKING[at - CONDUITS_MM.length]!.size)
  },
  appliesTo: ({ cable }) => isDrawnIn(cable.kind),
  derive: (task, values) =>
    fromRow(task, values, (size) => {
      const all = fits(task, size)
      const fit = all?.find(({ terms, factor }) => terms <= factor)
      if (!fit)
        return stopped('containment', { terms: all?.[0]?.terms ?? 0, largest: all?.at(-1)?.factor ?? 0 })
      const { betweenBoxesM, bends } = task.run
      const route =
        task.cable.kind === 'singles-in-conduit'
          ? `, ${betweenBoxesM} m with ${bends} ${bends === 1 ? 'bend' : 'bends'}`
          : ''
      const check: Check = atMost(fit.terms, fit.factor)
      return worked(
        fit.choice.value,
        'Σ terms ≤ factor',
        `${Math.round(fit.terms)} ≤ ${Math.round(fit.factor)} for ${fit.choice.text}${route}`,
        SOURCES.conduitCapacity,
        check,
      )
    }),
  accept: (task, values, answer) => {
    const fit = fitOf(task, values, answer)
    if (!fit) return refused('notHere')
    return fit.terms <= fit.factor
      ? accepted('soundNotEconomical')
      : refused('containmentFull', { terms: fit.terms, factor: fit.factor, size: fit.choice.text })
  },
}

function fitOf(task: Task, values: StepValues, answer: number): Fit | undefined {
  const size = sizeFor(task, values.csa!)
  return size && fits(task, size)?.find(({ choice }) => choice.value === answer)
}

import { circuitsOf, boardsOutward } from '../../installation/tree'
import type { Installation } from '../../installation/installation'
import { sizeFor } from '../../design/limits/limits'
import type { InstallationDesign } from '../../design/reference'
import type { Rig } from '../model/rig'
import { buildBoard } from './board'
import type { WorkedCircuit } from './worked'
import { createDraft } from './draft'
import { buildIntake } from './intake'

/**
 * The bay that a worked installation asks for, wired as it should be: intake, boards, points, and every conductor from
 * terminal to terminal. Undefined where a circuit has no design.
 */
export function buildRig(
  installation: Installation,
  design: InstallationDesign,
  name: string,
): Rig | undefined {
  const worked = new Map<string, WorkedCircuit>()
  for (const { circuit, task, values, stopped } of design.circuits) {
    const size = values.csa === undefined ? undefined : sizeFor(task, values.csa)
    if (stopped || values.in === undefined || !size) return undefined
    const { residualA } = circuit
    worked.set(circuit.id, { circuit, ratingA: values.in, lineMm2: size.lineMm2, size, residualA })
  }
  const draft = createDraft()
  let feeds = new Map([
    [installation.boards.find(({ fedBy }) => fedBy === null)!.id, buildIntake(draft, installation)],
  ])
  for (const board of boardsOutward(installation)) {
    const feed = feeds.get(board.id)
    if (!feed) return undefined
    const workedCircuits = circuitsOf(installation, board.id).flatMap(({ id }) => worked.get(id) ?? [])
    feeds = new Map([...feeds, ...buildBoard(draft, installation, board, workedCircuits, feed)])
  }
  return draft.rig(name)
}

import type { Rig } from '../../bay/model/rig'
import { indexParts } from '../../bay/model/terminals'
import { liveBench, loadedBench } from './bench-state'
import { earthAt, lineAt, returnAt, wayOf } from './circuit-ends'
import { plainly, type Prepared } from './prepared'

interface AtPoint {
  readonly circuit: string | null
  readonly point: string | null
}

/** Line to earth at a point, this circuit alone energised and nothing in use. */
export function liveAtPoint(rig: Rig, { circuit, point }: AtPoint): Prepared | undefined {
  const way = wayOf(rig, circuit!)
  const part = point ? indexParts(rig).get(point) : undefined
  return way && part && plainly(liveBench(rig, way.id), lineAt(part), earthAt(rig, part)!)
}

/** The voltage of the load at a point, everything of the circuit running. */
export function loadedAtPoint(rig: Rig, { circuit, point }: AtPoint): Prepared | undefined {
  const way = wayOf(rig, circuit!)
  const part = point ? indexParts(rig).get(point) : undefined
  return way && part && plainly(loadedBench(rig, way.id, circuit!), lineAt(part), returnAt(part))
}

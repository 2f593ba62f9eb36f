import type { RunPart } from '../../containment/parts-met'
import type { NodeKey, StepKey } from '../../design/model/step-keys'
import type { ItemGroup } from '../../inspection/items'
import type { IsolationPart } from '../../isolation/model/rule'
import type { Topic } from '../../questions/topics'
import type { ReadingEvidence } from '../../testing/kinds/kind'
import { kindOf, type ReadingKey } from '../../testing/kinds/kinds'

/**
 * One kind of thing that a criterion can rest on: a design step, a reading, asking before energising, a part
 * of an observed isolation, a group of an inspected bay, a part of a measured run,
 * questions on a topic.
 */
export type EvidenceKey =
  | `design.${StepKey}`
  | `reading.${ReadingEvidence}`
  | 'process.permission'
  | `isolation.${IsolationPart}`
  | `work.${ItemGroup}`
  | `run.${RunPart}`
  | `question.${Topic}`

/** One thing of one attempt: a step of a circuit or board, a reading, or a group of what was inspected. */
export type ItemKey = `design.${NodeKey}` | `reading.${ReadingKey}` | `work.${ItemGroup}`

/**
 * The kind of evidence that an item is: `design.c2.zs` is `design.zs`, `reading.c1.irNE` is `reading.irNE`; a
 * group of an inspection is itself.
 */
export function evidenceOf(item: ItemKey): EvidenceKey {
  if (item.startsWith('work.')) return item as EvidenceKey
  if (item.startsWith('design.')) return item.replace(/^design\..+\.(?=[^.]+$)/, 'design.') as EvidenceKey
  return `reading.${kindOf(item.slice('reading.'.length)).shows}`
}

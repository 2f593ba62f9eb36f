import type { InstallationDesign } from '../reference'
import { isDrawnIn } from '../../regulations/cables/sizes'

/** Tools, and what protects the person, for the work that these circuits ask for; common practice, no source. */
export function toolsFor(
  design: InstallationDesign,
  circuits: readonly string[],
  isTested: boolean,
): { readonly tools: readonly string[]; readonly protection: readonly string[] } {
  const built = design.circuits.filter(({ scope }) => circuits.includes(scope))
  const has = (isIt: (kind: string) => boolean) => built.some(({ task }) => isIt(task.cable.kind))
  const tools = [
    'side cutters',
    'strippers',
    'insulated screwdrivers',
    'torque screwdriver',
    'tape and level',
  ]
  if (built.some(({ task }) => isDrawnIn(task.cable.kind)))
    tools.push('bending spring or former', 'hacksaw and file', 'draw tape')
  if (has((kind) => kind.startsWith('armoured'))) tools.push('armour cutter and gland spanners')
  if (has((kind) => kind === 'mineral')) tools.push('sheath stripper and pot tool')
  if (isTested)
    tools.push(
      'approved voltage indicator and proving unit',
      'lock, tag and key',
      'multifunction tester with fused leads',
    )
  const protection = ['safety glasses', 'safety shoes']
  if (has((kind) => kind.startsWith('armoured') || kind === 'mineral'))
    protection.push('cut-resistant gloves')
  return { tools, protection }
}

import { tryOut, type Act } from '#core/bay/practice/trial'
import type { Rig } from '#core/bay/model/rig'
import type { JobMaterial } from '#core/questions/material'
import type { JobGenerator, Made } from './generator'
import { inUse, timeline } from './timeline'

export const UNTIL_S = 20

export const simulated = (
  code: string,
  topic: JobGenerator['topic'],
  make: (rig: Rig, job: JobMaterial) => readonly (readonly [string, Made])[],
): JobGenerator => ({
  code,
  topic,
  level: 3,
  moments: ['energise', 'live', 'fault', 'dead'],
  isSimulated: true,
  make: (job) => (job.rig ? make(job.rig, job).slice(0, 1) : []),
})

/** These acts at a bay with this fault, and what follows. */
export const played = (rig: Rig, acts: readonly Act[], state = inUse(rig)): string =>
  timeline(rig, tryOut(rig, state, acts, UNTIL_S).happenings)
export const asked = (
  text: string,
  model: string,
  prompts: readonly string[],
  more: Partial<Made> = {},
): Made => ({
  text,
  expected: { kind: 'spoken', model },
  prompts,
  source: 'computed from the model of this bay',
  ...more,
})

export const pointOf = (rig: Rig, id: string) => rig.parts.find((part) => part.id === id)
export const circuitName = ({ circuits }: JobMaterial, scope: string | null | undefined): string =>
  circuits.find((circuit) => circuit.scope === scope)?.circuit.name ?? 'this circuit'
